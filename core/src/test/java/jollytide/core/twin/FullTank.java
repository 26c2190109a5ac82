package jollytide.core.twin;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import jollytide.core.air.Enclosure;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.dosing.Inflow;
import jollytide.core.exchange.Fall;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.CalciumReactor;
import jollytide.core.reef.Fish;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Conditions.Acting;
import jollytide.core.twin.Conditions.Intake;
import jollytide.core.twin.Conditions.Room;
import org.jspecify.annotations.Nullable;

/** The reference tank with everything on it: canopy, cabinet, media, fish, corals that calcify, refugium, reactor. */
final class FullTank {
    private static final Seawater WATER = new Seawater(35, 25.5);
    private static final Skimmer SKIMMER = new Skimmer(500);
    private static final Instant MIDNIGHT = Instant.parse("2026-11-01T00:00:00Z");

    static final Intake FROM_CABINET = new Intake(0, 420, 1, 1, 1, true);
    static final Inflow DOSES = AlkalinitySource.POTASSIUM_HYDROXIDE.perDay(0.1);
    static final Inflow REACTOR = new CalciumReactor(1.5, 6.7, 12, 0.3, 0.5)
            .perDay(CarbonateSystem.of(WATER), CarbonateSystem.of(WATER).fromAlkalinityAndCo2(0.00296, 600), 420);

    static final TwinTank TANK = tank(
            new Enclosure(2000),
            new Enclosure(1500),
            new Media(1, MediaAssumptions.DEFAULT),
            new Life(
                    0.016,
                    0.034,
                    0.6,
                    3,
                    new Fish(List.of(new Fish.Group(6, 20), new Fish.Group(1, 120))),
                    1.5,
                    0.3,
                    1));

    /** Lamps 10 to 21 h, the refugium's at night. */
    static final Conditions DAYS = new Conditions() {
        @Override
        public Acting at(Instant t) {
            long hour = Duration.between(MIDNIGHT, t).toHours() % 24;
            boolean lit = hour >= 10 && hour < 21;
            Room room = new Room(lit ? 60 : 160, 0.4, 420, null, null);
            return new Acting(lit ? 1 : 0, lit ? 0 : 1, room, 1, FROM_CABINET, 25.5, DOSES, REACTOR);
        }

        @Override
        public Instant nextChange(Instant t) {
            long hours = Duration.between(MIDNIGHT, t).toHours();
            long hour = hours % 24;
            long ahead = hour < 10 ? 10 - hour : hour < 21 ? 21 - hour : 34 - hour;
            return MIDNIGHT.plus(Duration.ofHours(hours + ahead));
        }
    };

    private FullTank() {}

    /** The reef alone, with sump and skimmer in a cabinet of such an air exchange. */
    static TwinTank inCabinet(double exchangeLPerH) {
        return tank(null, new Enclosure(exchangeLPerH), null, Life.reef(0.018, 0.034));
    }

    private static TwinTank tank(@Nullable Enclosure canopy, Enclosure cabinet, @Nullable Media media, Life life) {
        return new TwinTank(
                420,
                35,
                Gases.STANDARD_HPA,
                List.of(
                        new Opening(
                                new Channel(Channel.Kind.SURFACE, "display"),
                                Opening.Air.CANOPY,
                                new Surface(0.6, 8, 0.5).conductance(WATER)),
                        new Opening(
                                new Channel(Channel.Kind.SURFACE, "sump"),
                                Opening.Air.CABINET,
                                new Surface(0.3, 12, 0.5).conductance(WATER)),
                        new Opening(
                                new Channel(Channel.Kind.FALL, "drain"),
                                Opening.Air.CABINET,
                                new Fall(1500, 0.15).conductance(WATER))),
                canopy,
                cabinet,
                new TwinTank.Stripper(SKIMMER.conductance(WATER), SKIMMER.airConductance(WATER), true),
                media,
                life);
    }
}
