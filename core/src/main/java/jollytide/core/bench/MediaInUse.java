package jollytide.core.bench;

import java.util.List;
import jollytide.core.exchange.Skimmer;
import jollytide.core.media.MediaLife;
import jollytide.core.seawater.Gases;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;
import org.jspecify.annotations.Nullable;

/** How long scrubber media last on this tank: their use, told to {@link MediaLife}. */
public final class MediaInUse {
    private static final int SAMPLES_PER_DAY = 96;

    private MediaInUse() {}

    /**
     * The life of a fill, or null when the remedies hold no media or no skimmer draws air.
     *
     * @param run of the setup with these remedies; its first day tells water and room
     */
    public static @Nullable MediaLife of(Setup setup, Remedies remedies, List<TwinState> run) {
        Remedy.Scrubber scrubber = remedies.find(Remedy.Scrubber.class).orElse(null);
        Skimmer skimmer = setup.skimmer();
        Fitted.Draw draw = Fitted.Draw.of(setup, remedies);
        if (scrubber == null || skimmer == null || draw.share() == 0) {
            return null;
        }
        List<TwinState> day = run.subList(0, Math.min(SAMPLES_PER_DAY, run.size()));
        double room = mean(day, TwinState::roomPpm);
        DailyAir mouth = draw.mouth();
        double outdoors = mouth == null ? setup.outdoorPpm() : mouth.mean();
        double fresh = draw.outdoorShare() * outdoors + (1 - draw.outdoorShare()) * room;
        double water = Gases.dryPpmInBalance(mean(day, TwinState::co2Uatm), setup.pressureHpa(), setup.water());
        double hours = hoursPerDay(setup, scrubber, day);
        return hours < LEAST_HOURS
                ? null
                : new MediaLife(
                        scrubber.media(),
                        setup.water(),
                        skimmer.airDrawLPerH() * draw.share(),
                        fresh,
                        Twin.ROOM_VAPOUR_G_PER_M3,
                        water,
                        scrubber.freshShare(),
                        hours,
                        scrubber.driesBetween());
    }

    private static final double LEAST_HOURS = 0.5;

    private static double hoursPerDay(Setup setup, Remedy.Scrubber scrubber, List<TwinState> day) {
        double litHours = setup.light().litHours();
        return switch (scrubber.hours()) {
            case ALWAYS -> 24;
            case LAMPS_ON -> litHours;
            case LAMPS_OFF -> 24 - litHours;
            case BELOW_PH ->
                24.0
                        * day.stream()
                                .filter(s -> s.phNbs() < scrubber.gatePh() + Remedy.Scrubber.HYSTERESIS_PH)
                                .count()
                        / day.size();
        };
    }

    private interface Value {
        double of(TwinState state);
    }

    private static double mean(List<TwinState> day, Value value) {
        return day.stream().mapToDouble(value::of).average().orElseThrow();
    }
}
