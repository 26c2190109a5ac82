package jollytide.core.dosingline;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import jollytide.core.dosingline.SingleDose.TopOff;
import org.jspecify.annotations.Nullable;

/**
 * What evaporates, as fresh water was put in for it: each time as much as was gone since the time before, with the water
 * that limewater brought meanwhile.
 *
 * @param litresPerDay over the last weeks
 * @param times that fresh water was put in
 */
public record Evaporated(double litresPerDay, int times) {
    private static final Duration WINDOW = Duration.ofDays(28);
    /** Fewer days than these say more of how it was filled up than of what went. */
    private static final double LEAST_DAYS = 5;

    private static final int LEAST_TIMES = 3;

    /** @return null with too few times, or over too few days */
    public static @Nullable Evaporated of(List<SingleDose> byHand, List<DosedLine> lines, Instant now) {
        List<TopOff> all = byHand.stream()
                .filter(TopOff.class::isInstance)
                .map(TopOff.class::cast)
                .filter(t -> t.at().isAfter(now.minus(WINDOW)) && !t.at().isAfter(now))
                .sorted(Comparator.comparing(TopOff::at))
                .toList();
        if (all.size() < LEAST_TIMES) {
            return null;
        }
        Instant first = all.get(0).at();
        Instant last = all.get(all.size() - 1).at();
        double days = Duration.between(first, last).toMinutes() / 1440.0;
        if (days < LEAST_DAYS) {
            return null;
        }
        double freshL = all.stream().skip(1).mapToDouble(TopOff::litres).sum();
        double limewaterL = lines.stream()
                .filter(line -> line.solution().solute() == Solution.Solute.LIMEWATER)
                .mapToDouble(line -> line.arrivedMl(first, last).value() / 1000)
                .sum();
        return new Evaporated((freshL + limewaterL) / days, all.size());
    }
}
