package jollytide.demo;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.SplittableRandom;
import jollytide.core.dosing.Inflow;
import jollytide.core.dosingline.Solution;
import jollytide.demo.TankHistory.ReservoirNote;
import jollytide.demo.TankHistory.Seen;

/**
 * A bottle that a sound pump empties as planned: the animals use what it brings.
 *
 * @param readMl what it is read to, one standard deviation
 * @param sinceDays before the end, at {@link #READ_AT}
 * @param readOn days on which it is read and filled up
 */
public record Bottle(
        Solution solution, double vesselMl, double mlPerDay, double readMl, int sinceDays, Set<DayOfWeek> readOn) {
    static final LocalTime READ_AT = LocalTime.of(15, 40);
    private static final double DAY_SCATTER = 0.03;

    /** Room 6's soda ash. */
    public static final Bottle SODA_ASH = new Bottle(
            new Solution(Solution.Solute.SODA_ASH, 0.09),
            500,
            90,
            5,
            110,
            Set.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY));

    /** Heron's bicarbonate, weighed. */
    public static final Bottle BICARBONATE =
            new Bottle(new Solution(Solution.Solute.BICARBONATE, 0.1), 350, 40, 2, 115, Set.of(DayOfWeek.SUNDAY));

    /** What it brings to so much water, and what is used there, meq/(L·day). */
    double meqPerLPerDay(double litres) {
        return solution.meqPerMl() * mlPerDay / litres;
    }

    /** Of alkalinity, with what its source brings along, into so much water, a day. */
    Inflow perDay(double litres) {
        return Objects.requireNonNull(solution.source()).perDay(meqPerLPerDay(litres));
    }

    List<ReservoirNote> notes(long seed, Instant end, ZoneId zone) {
        SplittableRandom random = new SplittableRandom(seed);
        Instant filled = DemoHistory.moment(end, zone, sinceDays, READ_AT.toString());
        List<ReservoirNote> notes = new ArrayList<>(List.of(new ReservoirNote(filled, Seen.FILLED, vesselMl, "")));
        LocalDate first = LocalDate.ofInstant(filled, zone).plusDays(1);
        double held = vesselMl;
        for (LocalDate day = first; ; day = day.plusDays(1)) {
            Instant at = day.atTime(READ_AT).atZone(zone).toInstant();
            if (at.isAfter(end)) {
                return notes;
            }
            held -= mlPerDay * (1 + DAY_SCATTER * random.nextGaussian());
            if (readOn.contains(day.getDayOfWeek())) {
                notes.add(new ReservoirNote(at, Seen.LEVEL, held + readMl * random.nextGaussian(), ""));
                notes.add(new ReservoirNote(at, Seen.FILLED, vesselMl, ""));
                held = vesselMl;
            }
        }
    }
}
