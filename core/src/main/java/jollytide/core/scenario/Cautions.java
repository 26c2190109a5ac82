package jollytide.core.scenario;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import jollytide.core.measure.Caution;
import jollytide.core.measure.Caution.Concern;
import jollytide.core.measure.Measure;
import jollytide.core.measure.MeasureSet;
import jollytide.core.reef.OxygenLines;
import jollytide.core.scenario.OrdinaryDays.SettledDay;
import jollytide.core.twin.TwinState;

/** What must be known before a set is fitted: by what its measures are, and by what this tank does with them. */
public final class Cautions {
    /** How far a day's mean pH may be moved at once. From memory. */
    public static final double DAILY_CHANGE_PH = 0.2;

    /** Above this Ω of aragonite lime may fall out on heaters and pumps. From memory. */
    public static final double PRECIPITATION_OMEGA = 7;
    /** Common practice: a reef's pH should not go above this. */
    public static final double HIGHEST_PH = 8.45;
    /** A difference of oxygen that no sum can tell from none. */
    private static final double NOTICEABLE_MG_PER_L = 0.2;

    private static final int SAMPLES_PER_DAY = 96;

    private Cautions() {}

    /** The cautions of a set, those for animals first, each once. */
    public static List<String> of(
            MeasureSet measures, SettledDay today, List<TwinState> run, double lowestOxygenMgPerL) {
        List<Caution> all = new ArrayList<>();
        measures.all().forEach(measure -> all.addAll(measure.cautions()));
        oxygen(measures, today, lowestOxygenMgPerL).ifPresent(all::add);
        pace(measures, today, run).ifPresent(all::add);
        double highestPh = run.stream().mapToDouble(TwinState::phNbs).max().orElseThrow();
        if (highestPh > HIGHEST_PH) {
            all.add(water("Use less, or spread it over hours: on the way pH reaches %.2f, above %.1f."
                    .formatted(highestPh, HIGHEST_PH)));
        }
        double omega = run.stream().mapToDouble(TwinState::omegaAragonite).max().orElseThrow();
        if (omega > PRECIPITATION_OMEGA) {
            all.add(water("Aim for lower alkalinity or pH: aragonite is %.1f times saturated at the daily high."
                            .formatted(omega)
                    + " Scale may form on heaters and pumps."));
        }
        return all.stream()
                .sorted(Comparator.comparing(Caution::concerns))
                .map(Caution::text)
                .distinct()
                .toList();
    }

    private static Caution water(String text) {
        return new Caution(Concern.WATER, text);
    }

    /** Oxygen that is low without the set is no reason against it; oxygen that falls by it is. */
    private static Optional<Caution> oxygen(MeasureSet measures, SettledDay today, double lowest) {
        if (lowest >= OxygenLines.CAUTION) {
            return Optional.empty();
        }
        if (lowest > today.lowestOxygenMgPerL() - NOTICEABLE_MG_PER_L) {
            return Optional.of(new Caution(
                    Concern.ANIMALS,
                    "Check Oxygen margin: oxygen falls to about %.1f mg/L before lights-on, with or without this."
                            .formatted(lowest)));
        }
        boolean recirculated = measures.all().stream().anyMatch(Measure::recirculates);
        return Optional.of(new Caution(
                Concern.ANIMALS,
                ("Oxygen may fall to %.1f mg/L before lights-on, from %.1f."
                                + (recirculated
                                        ? " Don’t recirculate exhaust at night."
                                        : " Add air before you do this."))
                        .formatted(lowest, today.lowestOxygenMgPerL())));
    }

    private static Optional<Caution> pace(MeasureSet measures, SettledDay today, List<TwinState> run) {
        SettledDay first = SettledDay.of(run.subList(0, Math.min(SAMPLES_PER_DAY, run.size())));
        double moved = middle(first) - middle(today);
        double atLast = middle(OrdinaryDays.settled(run)) - middle(today);
        double farthest = Math.abs(moved) > Math.abs(atLast) ? moved : atLast;
        boolean canBeMetered = measures.all().stream().anyMatch(Measure::inSteps);
        return canBeMetered && Math.abs(farthest) > DAILY_CHANGE_PH
                ? Optional.of(water("The daily average moves by %+.2f. Go in steps of %.1f a day, hours at first."
                        .formatted(farthest, DAILY_CHANGE_PH)))
                : Optional.empty();
    }

    private static double middle(SettledDay day) {
        return (day.troughPh() + day.peakPh()) / 2;
    }
}
