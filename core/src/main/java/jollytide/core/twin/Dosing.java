package jollytide.core.twin;

import java.util.List;
import jollytide.core.dosing.Inflow;

/**
 * What is poured in evenly through the day.
 *
 * @param kind {@link Channel.Kind#DOSES} or {@link Channel.Kind#REACTOR}
 */
public record Dosing(Channel.Kind kind, Inflow perDay) implements Part {
    @Override
    public List<Channel> channels() {
        return List.of(new Channel(kind));
    }

    @Override
    public void acts(Moment now) {
        double molPerH = now.litres() / 1000 / 24;
        now.gain(0, perDay.carbonMmol() * molPerH, 0);
        now.dissolve(
                perDay.alkalinityMeq() * molPerH, perDay.calciumMmol() * molPerH, perDay.potassiumMmol() * molPerH);
    }
}
