package jollytide.core.twin;

import jollytide.core.exchange.Gas;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Conditions.Intake;
import org.jspecify.annotations.Nullable;

/**
 * The air that one gas meets, as partial pressures in atm: over the openings, and before the skimmer. Cabinet and canopy
 * follow the tank within minutes, so their balance is solved at every moment rather than carried along.
 */
final class AirAround {
    private final double room;
    private final double outdoors;
    private final double canopy;
    private final double cabinet;
    private final double entering;
    private final double beforeMedia;

    /**
     * @param water pressure of the gas in the water
     * @param room pressure of the gas in the room
     * @param line pressure of the gas in an outdoor line
     * @param pass share of the gas that media let through
     */
    AirAround(
            TwinTank tank,
            Seawater at,
            Gas gas,
            double water,
            double room,
            double line,
            Intake intake,
            double pass,
            double skimmerShare) {
        this.room = room;
        this.outdoors = line;
        double inCanopy = tank.canopy() == null ? 0 : tank.canopy().conductance(at);
        double underCanopy = open(tank, Opening.Air.CANOPY, gas);
        canopy = tank.canopy() == null ? room : (inCanopy * room + underCanopy * water) / (inCanopy + underCanopy);

        TwinTank.@Nullable Stripper skimmer = tank.skimmer();
        double e = skimmer == null ? 0 : skimmer.effectiveness(gas);
        double fresh = intake.freshShare();
        double cabinetShare = tank.cabinet() == null ? 0 : intake.cabinetShare();
        double fromElsewhere = intake.outdoorShare() * line + (1 - intake.outdoorShare() - cabinetShare) * room;
        // What enters is pass × (fresh air + exhaust led back), and the exhaust is what entered, brought towards the
        // water by the effectiveness: entering = a + b × cabinet.
        double divisor = 1 - pass * (1 - fresh) * (1 - e);
        double a = pass * (fresh * fromElsewhere + (1 - fresh) * e * water) / divisor;
        double b = pass * fresh * cabinetShare / divisor;
        if (tank.cabinet() == null) {
            cabinet = room;
        } else {
            double exchange = tank.cabinet().conductance(at);
            double inside = open(tank, Opening.Air.CABINET, gas);
            double blown = skimmer != null && skimmer.inCabinet() ? fresh * skimmer.air() * skimmerShare : 0;
            cabinet = (exchange * room + inside * water + blown * (a * (1 - e) + e * water))
                    / (exchange + inside + blown * (1 - b * (1 - e)));
        }
        entering = a + b * cabinet;
        double exhaust = entering + e * (water - entering);
        beforeMedia = fresh * (fromElsewhere + cabinetShare * cabinet) + (1 - fresh) * exhaust;
    }

    private static double open(TwinTank tank, Opening.Air over, Gas gas) {
        double sum = 0;
        for (Opening opening : tank.openings()) {
            if (opening.over() == over) {
                sum += opening.conductance().of(gas);
            }
        }
        return sum;
    }

    double over(Opening.Air over) {
        return switch (over) {
            case ROOM -> room;
            case CANOPY -> canopy;
            case CABINET -> cabinet;
            case OUTDOORS -> outdoors;
        };
    }

    /** Behind the media, into the skimmer. */
    double entering() {
        return entering;
    }

    double beforeMedia() {
        return beforeMedia;
    }
}
