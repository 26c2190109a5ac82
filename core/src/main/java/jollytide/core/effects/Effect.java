package jollytide.core.effects;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.TankLog;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * What a change did: the day's numbers after it beside those before it.
 *
 * @param daysBefore that were logged closely, {@code daysAfter} likewise
 * @param explained whether the twin was there to explain anything
 * @param ofAlkalinity what of the trough's change alkalinity explains; the rest of what is explained is the room's and
 *     of what stood on the tank
 */
public record Effect(
        List<LocalDate> daysBefore,
        List<LocalDate> daysAfter,
        Comparison trough,
        Comparison peak,
        Comparison mean,
        boolean explained,
        double ofAlkalinity) {
    /** A change of less than this no keeper would see. */
    private static final double NOTHING = 0.01;
    /** One-sided 90 % and 80 % of a normal distribution. */
    private static final double SEEN_FOUR_TIMES_IN_FIVE = 1.645 + 0.842;

    private static final int MOST_DAYS = 60;

    /** What can be said of it. */
    public enum Verdict {
        /** Fewer than three whole days on a side: its band rests on the other side's scatter. */
        THIN,
        /** No change is within the band. */
        NOT_TOLD,
        /** It can do nothing here, and nothing was seen. */
        NONE_EXPECTED,
        AS_POSSIBLE,
        LESS_THAN_POSSIBLE,
        MORE_THAN_POSSIBLE,
        /** Nobody said in measures' terms what was done: nothing to hold it against. */
        ROSE,
        FELL;

        /** @param possible null when nobody said in measures' terms what was done */
        public static Verdict of(Comparison.Remainder left, @Nullable Estimate possible) {
            if (!left.claimed()) {
                return possible != null && Math.max(Math.abs(possible.low()), Math.abs(possible.high())) < NOTHING
                        ? NONE_EXPECTED
                        : possible != null && outside(left, possible) ? LESS_THAN_POSSIBLE : NOT_TOLD;
            }
            if (possible == null) {
                return left.value() > 0 ? ROSE : FELL;
            }
            if (!outside(left, possible)) {
                return AS_POSSIBLE;
            }
            boolean further = possible.value() >= 0 ? left.value() > possible.high() : left.value() < possible.low();
            return further ? MORE_THAN_POSSIBLE : LESS_THAN_POSSIBLE;
        }

        private static boolean outside(Comparison.Remainder left, Estimate possible) {
            return left.band().low() > possible.high() || left.band().high() < possible.low();
        }
    }

    /**
     * @param logs that hold the days before and the days after, in their order, as if nothing had been changed; one for
     *     each where they lie far apart
     * @param tanks that could be behind the days before, as {@link jollytide.core.fit.FittedTank#apart} gives them; none
     *     where it was not fitted
     * @param leftOut days of which somebody said that they tell nothing
     * @return null where one of both sides has no day
     */
    public static @Nullable Effect of(
            List<TankLog> logs,
            Setup setup,
            List<TankParameters> tanks,
            Windows windows,
            Predicate<LocalDate> leftOut,
            Doubt doubt,
            ZoneId zone) {
        List<DayOfWater> days = logs.stream()
                .flatMap(log -> DayOfWater.of(log.ph(), zone).stream())
                .filter(d -> !leftOut.test(d.day()))
                .toList();
        List<DayOfWater> before =
                days.stream().filter(d -> windows.isBefore(d.day())).toList();
        List<DayOfWater> after =
                days.stream().filter(d -> windows.isAfter(d.day())).toList();
        if (before.isEmpty() || after.isEmpty()) {
            return null;
        }
        List<List<DayOfWater>> shown = shown(logs, setup, tanks, zone);
        return new Effect(
                before.stream().map(DayOfWater::day).toList(),
                after.stream().map(DayOfWater::day).toList(),
                compared(before, after, shown, doubt, DayOfWater::trough),
                compared(before, after, shown, doubt, DayOfWater::peak),
                compared(before, after, shown, doubt, DayOfWater::mean),
                !shown.isEmpty(),
                shown.isEmpty() ? 0 : ofAlkalinity(logs, setup, tanks.get(0), before, after, shown.get(0), zone));
    }

    private static double ofAlkalinity(
            List<TankLog> logs,
            Setup setup,
            TankParameters tank,
            List<DayOfWater> before,
            List<DayOfWater> after,
            List<DayOfWater> shown,
            ZoneId zone) {
        TankLog first = logs.get(0);
        double steady = first.alkalinity().at(first.ph().get(0).at(), setup.alkalinityMeqPerL());
        List<TankLog> unchanged =
                logs.stream().map(log -> log.withSteadyAlkalinity(steady)).toList();
        List<List<DayOfWater>> unmoved = shown(unchanged, setup, List.of(tank), zone);
        return unmoved.isEmpty() ? 0 : troughShift(shown, before, after) - troughShift(unmoved.get(0), before, after);
    }

    private static double troughShift(List<DayOfWater> shown, List<DayOfWater> before, List<DayOfWater> after) {
        return Shift.between(
                Shift.array(values(those(shown, before), DayOfWater::trough)),
                Shift.array(values(those(shown, after), DayOfWater::trough)));
    }

    /** By each tank; none where the most probable one leaves what water can be, without those of the others that do. */
    private static List<List<DayOfWater>> shown(
            List<TankLog> logs, Setup setup, List<TankParameters> tanks, ZoneId zone) {
        List<List<DayOfWater>> shown = new ArrayList<>();
        for (TankParameters tank : tanks) {
            try {
                shown.add(logs.stream()
                        .flatMap(log -> DayOfWater.of(log.shownBy(setup, tank), zone).stream())
                        .toList());
            } catch (InputException leavesWhatWaterCanBe) {
                if (shown.isEmpty()) {
                    return List.of();
                }
            }
        }
        return shown;
    }

    private static Comparison compared(
            List<DayOfWater> before,
            List<DayOfWater> after,
            List<List<DayOfWater>> shown,
            Doubt doubt,
            ToDoubleFunction<DayOfWater> number) {
        return shown.isEmpty()
                ? Comparison.raw(values(before, number), values(after, number), doubt.deviation())
                : Comparison.of(
                        values(before, number),
                        values(after, number),
                        shown.stream()
                                .map(tank -> new Comparison.Expected(
                                        values(those(tank, before), number), values(those(tank, after), number)))
                                .toList(),
                        doubt.deviation());
    }

    private static List<DayOfWater> those(List<DayOfWater> all, List<DayOfWater> like) {
        Set<LocalDate> wanted = like.stream().map(DayOfWater::day).collect(Collectors.toSet());
        return all.stream().filter(d -> wanted.contains(d.day())).toList();
    }

    private static List<Double> values(List<DayOfWater> days, ToDoubleFunction<DayOfWater> number) {
        return days.stream().map(number::applyAsDouble).toList();
    }

    /**
     * What a change can do to the settled day's trough here, with the band of the tanks that could be behind the log.
     *
     * @param before as the tank was, {@code after} as it is described since
     * @param tanks the most probable first, at least one
     * @return null where not even the most probable of them can be run
     */
    public static @Nullable Estimate possible(Setup before, Setup after, List<TankParameters> tanks, Instant at) {
        try {
            return OrdinaryDays.band(
                    tanks.stream().map(tank -> gain(before, after, tank, at)).toList());
        } catch (InputException leavesWhatWaterCanBe) {
            return null;
        }
    }

    private static double gain(Setup before, Setup after, TankParameters tank, Instant at) {
        return settledTrough(after, tank, at) - settledTrough(before, tank, at);
    }

    private static double settledTrough(Setup setup, TankParameters tank, Instant at) {
        OrdinaryDays days = new OrdinaryDays(setup, tank);
        return days.settled(days.today(at), MeasureSet.NONE).troughPh();
    }

    private boolean thin() {
        return daysBefore.size() < Shift.LEAST_DAYS || daysAfter.size() < Shift.LEAST_DAYS;
    }

    /** @param possible null when nobody said in measures' terms what was done */
    public Verdict verdict(@Nullable Estimate possible) {
        return thin() ? Verdict.THIN : Verdict.of(trough.left(), possible);
    }

    /**
     * So many more whole days after the change, at this scatter, would tell a change of such a size four times in five;
     * 0 when there are enough, null when no number of days would, for the probe or the fit leave too much open.
     */
    public @Nullable Integer moreDays(double size) {
        Comparison.Remainder left = trough.left();
        if (thin() || left.deviation() == null || left.ofDays() == null) {
            return daysBefore.size() < Shift.LEAST_DAYS ? null : Math.max(0, Shift.LEAST_DAYS - daysAfter.size());
        }
        double wanted = Math.abs(size) / SEEN_FOUR_TIMES_IN_FIVE;
        double ofDays = left.ofDays() * left.ofDays();
        double rest = left.deviation() * left.deviation() - ofDays;
        double now = 1.0 / daysBefore.size() + 1.0 / daysAfter.size();
        for (int more = 0; more <= MOST_DAYS; more++) {
            double then = 1.0 / daysBefore.size() + 1.0 / (daysAfter.size() + more);
            if (Math.sqrt(rest + ofDays * then / now) <= wanted) {
                return more;
            }
        }
        return null;
    }
}
