package jollytide.core.outage;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Who gets what when several tanks lose their mains at once. What is kept for no tank in particular can be at one only:
 * thing by thing it goes to the tank that is in danger first on its early side.
 */
public final class Sharing {
    private Sharing() {}

    /**
     * What each tank has.
     *
     * @param own what is kept for each tank already, in the order of the tanks
     * @param free what may go to any of them
     */
    public static List<List<Backup>> of(
            List<TankAtFailure> tanks, List<List<Backup>> own, List<Backup> free, double hours) {
        List<List<Backup>> all = new ArrayList<>();
        own.forEach(kit -> all.add(new ArrayList<>(kit)));
        if (tanks.size() == 1) {
            all.get(0).addAll(free);
        }
        if (tanks.size() <= 1 || free.isEmpty()) {
            return all;
        }
        double[] early = IntStream.range(0, tanks.size())
                .parallel()
                .mapToDouble(i -> KitPlan.best(tanks.get(i), all.get(i), hours).earlyDangerH())
                .toArray();
        for (Backup thing : free) {
            int neediest = 0;
            for (int i = 1; i < early.length; i++) {
                neediest = early[i] < early[neediest] ? i : neediest;
            }
            all.get(neediest).add(thing);
            early[neediest] =
                    KitPlan.best(tanks.get(neediest), all.get(neediest), hours).earlyDangerH();
        }
        return all;
    }
}
