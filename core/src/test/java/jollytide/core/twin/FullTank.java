package jollytide.core.twin;

import java.time.Instant;
import java.util.ArrayList;
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
import jollytide.core.reef.Life;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import org.jspecify.annotations.Nullable;

/** The reference tank with everything on it: canopy, cabinet, media, fish, corals that calcify, refugium, reactor. */
final class FullTank {
    private static final Seawater WATER = new Seawater(35, 25.5);
    private static final Skimmer SKIMMER = new Skimmer(500);

    static final Inflow DOSES = AlkalinitySource.POTASSIUM_HYDROXIDE.perDay(0.1);
    static final Inflow REACTOR = new CalciumReactor(1.5, 6.7, 12, 0.3, 0.5)
            .perDay(CarbonateSystem.of(WATER), CarbonateSystem.of(WATER).fromAlkalinityAndCo2(0.00296, 600), 420);

    private FullTank() {}

    /** Lamps 10 to 21 h, the refugium's at night. */
    static TwinTank tank() {
        Fish fish = new Fish(List.of(new Fish.Group(6, 20), new Fish.Group(1, 120)));
        Life life = new Life(0.016, 0.034, 0.6, 3, fish, 1.5, 0.3, 1);
        Lamp night = new Lamp() {
            @Override
            public double at(Instant t) {
                return 1 - TwinTest.SQUARE.at(t);
            }

            @Override
            public Instant nextSwitch(Instant t, Instant until) {
                return TwinTest.SQUARE.nextSwitch(t, until);
            }
        };
        MediaBed bed = new MediaBed(new Media(1, MediaAssumptions.DEFAULT));
        Intake fromCabinet = new Intake(0, 420, 1, 1, Intake.Leg.ALL);
        List<Part> parts = new ArrayList<>(open(Air.CANOPY, 2000.0, 1500));
        parts.add(new RoomSpace(700, RoomSpace.Hours.breathed(t -> TwinTest.SQUARE.at(t) > 0 ? 60 : 160, 0.4, 420)));
        parts.add(new SkimmerAir("", SKIMMER, 1, 1, true, bed, (t, open) -> fromCabinet));
        parts.add(new Reef(life, 1, TwinTest.SQUARE));
        parts.add(new Refugium(3, 1, night));
        parts.add(new Swimmers(fish, 1.5, 1));
        parts.add(new Dosing(Channel.Kind.DOSES, DOSES));
        parts.add(new Dosing(Channel.Kind.REACTOR, REACTOR));
        return new TwinTank(new Water(420, 35, Gases.STANDARD_HPA, 25.5, true), parts);
    }

    /** The reef alone, with sump and skimmer in a cabinet of such an air exchange; it breathes so much of its air. */
    static TwinTank inCabinet(double exchangeLPerH, double cabinetShare) {
        Intake intake = new Intake(0, 420, cabinetShare, 1, null);
        List<Part> parts = new ArrayList<>(open(Air.ROOM, null, exchangeLPerH));
        parts.add(new RoomSpace(900, RoomSpace.Hours.breathed(t -> RoomSpace.ppmPerH(0.0072, 180), 0.3, 420)));
        parts.add(new SkimmerAir("", SKIMMER, 1, 1, true, null, (t, open) -> intake));
        parts.add(new Reef(Life.reef(0.018, 0.034), 1, TwinTest.SQUARE));
        return new TwinTank(new Water(420, 35, Gases.STANDARD_HPA, 25.5, true), parts);
    }

    private static List<Part> open(Air overDisplay, @Nullable Double canopyLPerH, double cabinetLPerH) {
        List<Part> parts = new ArrayList<>();
        parts.add(OpenPath.surface("display", overDisplay, new Surface(0.6, 8, 0.5)));
        parts.add(OpenPath.surface("sump", Air.CABINET, new Surface(0.3, 12, 0.5)));
        parts.add(OpenPath.fall("drain", Air.CABINET, new Fall(1500, 0.15)));
        if (canopyLPerH != null) {
            parts.add(new BoxedAir(Air.CANOPY, new Enclosure(canopyLPerH)));
        }
        parts.add(new BoxedAir(Air.CABINET, new Enclosure(cabinetLPerH)));
        return parts;
    }
}
