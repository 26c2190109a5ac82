package jollytide.core.outage;

import java.util.List;
import jollytide.core.outage.NightWithoutMains.OxygenCourse;
import jollytide.core.outage.NightWithoutMains.Running;
import jollytide.core.reef.Fish;

/** A tank without mains, and its night. */
final class Nights {
    /** 0.6 mg/(L·h) at 25.5 °C, all of it the reef's. */
    static final double REEF = 0.6 / 31.9988 / Math.pow(2, 0.05);

    static TankAtFailure tank(double reef, double startMgPerL, double celsius) {
        return new TankAtFailure(420, 35, 1013.25, 0.9, reef, Fish.NONE, startMgPerL, true, celsius, celsius, 0, 24);
    }

    static OxygenCourse run(TankAtFailure tank, Backup... backups) {
        return new NightWithoutMains(
                        tank,
                        List.of(backups).stream()
                                .map(b -> new Running(b, 0, null))
                                .toList(),
                        List.of())
                .run(24);
    }

    static Backup stone(double airLPerH, double mm, double depthM) {
        return new Backup("stone", new Backup.Stone(airLPerH, mm, depthM), 0, null);
    }

    private Nights() {}
}
