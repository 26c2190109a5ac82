package jollytide.core.outage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import jollytide.core.outage.NightWithoutMains.OxygenCourse;
import jollytide.core.outage.NightWithoutMains.Running;
import org.jspecify.annotations.Nullable;

/**
 * Which backup runs when. Weak ones together may hold what none holds alone; strong ones one after the other last longer.
 *
 * @param running in the order in which they are started
 */
public record KitPlan(List<Running> running, OxygenCourse course) {
    public KitPlan {
        running = List.copyOf(running);
    }

    /** The one of several ways that keeps the early side out of danger longest; then the one that lasts likely longer. */
    public static KitPlan best(TankAtFailure tank, List<Backup> kit, double hours) {
        List<List<Running>> ways = new ArrayList<>();
        ways.add(relay(kit, hours));
        List<Backup> strongest = new ArrayList<>(kit);
        strongest.sort(Comparator.comparingDouble((Backup b) -> b.way().least(tank.water(tank.startC())))
                .reversed());
        ways.add(relay(strongest, hours));
        ways.add(atOnce(strongest));
        return ways.stream()
                .map(way -> new KitPlan(way, new NightWithoutMains(tank, way, List.of()).run(hours)))
                .max(Comparator.comparingDouble(KitPlan::earlyDangerH)
                        .thenComparingDouble(s -> orLong(s.course().danger().likely())))
                .orElseThrow();
    }

    /** All from the first minute, but what drives the tank's own pumps: one source after the other. */
    private static List<Running> atOnce(List<Backup> kit) {
        List<Running> running = new ArrayList<>();
        double own = 0;
        for (Backup backup : kit) {
            boolean pumps = backup.way() instanceof Backup.OwnPumps;
            running.add(new Running(backup, pumps ? own : 0, null));
            own += pumps ? backup.runTime().early() : 0;
        }
        return running;
    }

    /** Hours until danger on the early side; very many when there is none in sight. */
    public double earlyDangerH() {
        return orLong(course.danger().early());
    }

    private static double orLong(@Nullable Double hours) {
        return hours == null ? Double.MAX_VALUE : hours;
    }

    /**
     * What starts by itself and cannot be switched off runs from the first minute; the rest one after the other, as each
     * ends on its early side.
     */
    private static List<Running> relay(List<Backup> kit, double hours) {
        List<Running> running = new ArrayList<>();
        double from = 0;
        for (Backup backup : kit) {
            if (backup.runsToTheEnd()) {
                running.add(new Running(backup, 0, null));
                from = Math.max(from, backup.runTime().early());
            }
        }
        for (Backup backup : kit) {
            if (!backup.runsToTheEnd() && from < hours) {
                running.add(new Running(backup, from, null));
                from += backup.runTime().early();
            }
        }
        return running;
    }

    /** What happens with nobody there to start anything. */
    public static KitPlan unattended(TankAtFailure tank, List<Backup> kit, double hours) {
        List<Running> running = kit.stream()
                .filter(Backup::startsItself)
                .map(backup -> new Running(backup, 0, null))
                .toList();
        return new KitPlan(running, new NightWithoutMains(tank, running, List.of()).run(hours));
    }
}
