package jollytide.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import jollytide.core.air.AirLine;
import jollytide.core.air.Enclosure;
import jollytide.core.exchange.Bubbles;
import jollytide.core.exchange.Bubbles.Skin;
import jollytide.core.exchange.Conductance;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Stone;
import jollytide.core.exchange.Surface;
import jollytide.core.media.Media;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Channel;
import jollytide.core.twin.Life;
import jollytide.core.twin.Opening;
import jollytide.core.twin.TwinTank;
import org.jspecify.annotations.Nullable;

/** The twin's tank: a setup with its respiration and with remedies built on. */
final class Fitted {
    /** No skimmer brings its air all the way to the water. */
    private static final double MOST_EFFECTIVE = 0.98;

    private Fitted() {}

    static TwinTank tank(Setup setup, Living living, Remedies remedies) {
        Seawater water = setup.water();
        double agitation = remedies.find(Remedy.Agitation.class)
                .map(Remedy.Agitation::times)
                .orElse(1.0);
        boolean still = remedies.find(Remedy.PowerOff.class).isPresent();
        List<Opening> openings = new ArrayList<>();
        for (Part part : setup.parts()) {
            Part as = still ? part.still() : part;
            double times = as.path() instanceof Surface ? (still ? 1 : agitation) * living.surfaceTimes() : 1;
            openings.add(new Opening(
                    new Channel(as.kind(), as.name()),
                    as.over(),
                    as.path().conductance(water).times(times)));
        }
        remedies.find(Remedy.Stone.class)
                .ifPresent(stone -> openings.add(new Opening(
                        new Channel(Channel.Kind.STONE, "stone"),
                        Opening.Air.ROOM,
                        new Stone(stone.airLPerH(), stone.diameterMm(), stone.depthM()).conductance(water))));
        return new TwinTank(
                setup.netVolumeL(),
                water.salinity(),
                setup.pressureHpa(),
                openings,
                replaced(setup.canopy(), remedies.find(Remedy.CanopyAir.class).map(Remedy.CanopyAir::canopy)),
                replaced(setup.cabinet(), remedies.find(Remedy.CabinetAir.class).map(Remedy.CabinetAir::cabinet)),
                stripper(setup, living, remedies),
                media(remedies),
                life(setup, living, remedies));
    }

    private static @Nullable Enclosure replaced(@Nullable Enclosure today, Optional<Enclosure> by) {
        return today == null ? null : by.orElse(today);
    }

    private static @Nullable Media media(Remedies remedies) {
        return remedies.find(Remedy.Scrubber.class).map(Remedy.Scrubber::media).orElse(null);
    }

    private static TwinTank.@Nullable Stripper stripper(Setup setup, Living living, Remedies remedies) {
        Skimmer skimmer = setup.skimmer();
        double share = remedies.find(Remedy.SkimmerDraw.class)
                .map(Remedy.SkimmerDraw::times)
                .orElse(1.0);
        if (skimmer == null || share == 0) {
            return null;
        }
        double air = skimmer.airConductance(setup.water());
        Conductance physics = skimmer.conductance(setup.water()).times(living.skimmerFactor());
        Conductance full = new Conductance(
                Math.min(physics.co2(), MOST_EFFECTIVE * air), Math.min(physics.oxygen(), MOST_EFFECTIVE * air));
        return new TwinTank.Stripper(full, air, setup.inCabinet());
    }

    private static Life life(Setup setup, Living living, Remedies remedies) {
        Life life = setup.life()
                .withUse(setup.useMeqPerLPerDay())
                .withRespiration(living.respirationMmolPerLPerH(), living.photosynthesisMmolPerLPerH());
        return remedies.find(Remedy.Refugium.class)
                .map(refugium -> life.withRefugium(refugium.mmolPerH()))
                .orElse(life);
    }

    static Bubbles bubbles(Remedy.Stone stone, Skin skin) {
        return new Bubbles(stone.airLPerH(), stone.diameterMm(), stone.depthM(), skin);
    }

    /** How the skimmer's draw comes in: through which hose, and how much of it is left. */
    record Draw(double share, double outdoorShare, @Nullable DailyAir mouth) {
        static Draw of(Setup setup, Remedies remedies) {
            double share = remedies.find(Remedy.SkimmerDraw.class)
                    .map(Remedy.SkimmerDraw::times)
                    .orElse(1.0);
            Remedy.OutdoorLine placed = remedies.find(Remedy.OutdoorLine.class).orElse(null);
            FixedLine fixed = setup.line();
            Skimmer skimmer = setup.skimmer();
            double free = skimmer == null ? 0 : skimmer.airDrawLPerH();
            if (skimmer != null && placed == null && fixed != null) {
                return new Draw(share * fixed.kept(free), fixed.fromOutdoors(), null);
            }
            if (skimmer == null || placed == null) {
                return new Draw(share, 0, null);
            }
            AirLine.Drawn drawn = placed.line().withLeak(free, AirLine.ASSUMED_SUCTION_PA, placed.leakMm());
            double kept = (drawn.lineLPerH() + drawn.leakLPerH()) / free;
            return new Draw(share * kept, drawn.lineShare(), placed.mouth());
        }
    }
}
