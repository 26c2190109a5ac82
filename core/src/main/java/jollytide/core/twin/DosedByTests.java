package jollytide.core.twin;

import java.time.Instant;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * What its keeper pours in more or less than the usual doses, so that alkalinity stays where the tests say it was: it
 * follows them within about a day, evenly, for a step would look like one of pH.
 *
 * @param tested alkalinity at a moment, mol/kg
 * @param carbonPerEquivalent what the source brings along, mol for each equivalent
 */
public record DosedByTests(ToDoubleFunction<Instant> tested, double carbonPerEquivalent) implements Part {
    private static final double FOLLOWS_WITHIN_H = 24;

    @Override
    public List<Channel> channels() {
        return List.of(new Channel(Channel.Kind.DOSES));
    }

    @Override
    public void acts(Moment now) {
        double perKg = tested.applyAsDouble(now.at()) - now.alkalinityMolPerKg();
        double molPerH = perKg * now.kg() / FOLLOWS_WITHIN_H;
        now.gain(0, molPerH * carbonPerEquivalent, 0);
        now.dissolve(molPerH, 0, 0);
    }
}
