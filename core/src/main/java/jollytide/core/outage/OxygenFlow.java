package jollytide.core.outage;

import java.util.ArrayList;
import java.util.List;
import jollytide.core.outage.NightWithoutMains.OxygenPoint;
import jollytide.core.outage.NightWithoutMains.Running;

/**
 * How oxygen goes from any level on, for a card that cannot run the clock: the way down from saturation and the way up
 * from nothing, at the tank's temperature as the mains failed. A reading, or air that starts or ends, goes on from the
 * point of the way at which that oxygen stands.
 *
 * @param everyH between two values
 */
public record OxygenFlow(double everyH, Side early, Side likely, Side late) {
    private static final double HOURS = 24;

    /**
     * Both ways on one side of what is not known.
     *
     * @param falling from saturation on, mg/L
     * @param rising from nothing on, mg/L
     */
    public record Side(List<Double> falling, List<Double> rising) {}

    /** With these backups running, as long as they do. */
    public static OxygenFlow of(TankAtFailure tank, List<Backup> running) {
        List<OxygenPoint> down = course(tank, running, tank.saturationMgPerL(tank.startC()));
        List<OxygenPoint> up = course(tank, running, 0);
        return new OxygenFlow(
                down.get(1).hours() - down.get(0).hours(),
                side(down, up, OxygenPoint::early),
                side(down, up, OxygenPoint::likely),
                side(down, up, OxygenPoint::late));
    }

    private interface Which {
        double of(OxygenPoint point);
    }

    private static Side side(List<OxygenPoint> down, List<OxygenPoint> up, Which which) {
        return new Side(values(down, which), values(up, which));
    }

    private static List<Double> values(List<OxygenPoint> points, Which which) {
        List<Double> values = new ArrayList<>();
        points.forEach(point -> values.add(Math.round(which.of(point) * 1000) / 1000.0));
        return values;
    }

    /** Without end: when a backup ends the card knows by its run time. */
    private static List<OxygenPoint> course(TankAtFailure tank, List<Backup> running, double startMgPerL) {
        List<Running> all = running.stream()
                .map(b -> new Running(new Backup(b.name(), b.way(), b.loadW(), null), 0, null))
                .toList();
        return new NightWithoutMains(tank.at(startMgPerL), all, List.of())
                .run(HOURS)
                .points();
    }
}
