package jollytide.core.measure;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import jollytide.core.air.Enclosure;
import jollytide.core.description.LocalHours;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.Inflow;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.media.Media;
import jollytide.core.reef.CalciumReactor;
import jollytide.core.reef.LightClock;
import jollytide.core.reef.LightCourse;
import jollytide.core.twin.Air;
import jollytide.core.twin.BoxedAir;
import jollytide.core.twin.Channel;
import jollytide.core.twin.Dosing;
import jollytide.core.twin.Lamp;
import jollytide.core.twin.OpenPath;
import jollytide.core.twin.Outdoors;
import jollytide.core.twin.Part;
import jollytide.core.twin.Reef;
import jollytide.core.twin.Refugium;
import jollytide.core.twin.RoomSpace;
import jollytide.core.twin.Swimmers;
import jollytide.core.twin.SwitchedPath;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.TwinTank;
import jollytide.core.twin.Water;
import org.jspecify.annotations.Nullable;

/**
 * A tank while it is put together: the setup as it is, on which measures turn what they change, until its parts are laid
 * out in time.
 */
public final class Rig {
    private final Setup setup;
    private final TankParameters metabolism;

    private final List<OpenPath> added = new ArrayList<>();

    double surfaceTimes = 1;
    double stoneTimes = 1;

    @Nullable
    Enclosure canopy;

    @Nullable
    Enclosure cabinet;

    /** The tank's own, and what is added; empty where none draws air. */
    final List<SkimmerRig> skimmers = new ArrayList<>();

    double ventilationTimes = 1;
    double extraAirChangesPerH;
    double peopleTimes = 1;
    double extraPpmPerH;
    double warmerByK;
    double alkalinityChangeMeqPerL;

    double lampsShorterH;
    double lampsTimes = 1;
    double dosesTimes = 1;

    @Nullable
    Dose instead;

    double refugiumMmolPerH;

    @Nullable
    LightClock refugiumLight;

    UnaryOperator<CalciumReactor> reactorCare = reactor -> reactor;

    private @Nullable Switches switches;
    private final List<SwitchedPath> switched = new ArrayList<>();

    private Rig(Setup setup, TankParameters metabolism) {
        this.setup = setup;
        this.metabolism = metabolism;
        canopy = setup.canopy();
        cabinet = setup.cabinet();
        refugiumMmolPerH = setup.life().refugiumMmolPerH();
        refugiumLight = setup.refugiumLight();
        if (setup.skimmer() != null) {
            skimmers.add(new SkimmerRig(
                    "",
                    setup.skimmer(),
                    setup.inCabinet() && cabinet != null,
                    setup.line(),
                    metabolism.intakeOddsFactor()));
        }
    }

    /** The tank with measures on, and with those that stand on it and are not replaced by them. */
    public static Rig of(Setup setup, TankParameters metabolism, MeasureSet measures) {
        Rig rig = new Rig(setup, metabolism);
        measures.over(setup.standing()).all().forEach(measure -> measure.on(rig));
        return rig;
    }

    /** Whether just this stands on the tank already. */
    boolean isOn(Measure measure) {
        return setup.standing().all().contains(measure);
    }

    /** One more path between water and air. */
    public void add(OpenPath path) {
        added.add(path);
    }

    /** One more that a schedule switches. */
    public void add(SwitchedPath path) {
        switched.add(path);
    }

    /**
     * Its devices do what a schedule says.
     *
     * @param media before the tank's own skimmer, used in the hours that the schedule says; null without
     */
    public void switchedBy(Switches by, @Nullable MediaUse media) {
        switches = by;
        if (!skimmers.isEmpty()) {
            skimmers.get(0).switches = by;
            skimmers.get(0).media = media;
        }
    }

    /** The tank's own skimmer; every measure on it needs one. */
    SkimmerRig skimmer() {
        if (skimmers.isEmpty()) {
            throw new IllegalStateException("a measure on a skimmer that is not there");
        }
        return skimmers.get(0);
    }

    /** The skimmer with media before it, if there is one that draws air. */
    public Optional<SkimmerRig> withMedia() {
        return skimmers.stream()
                .filter(skimmer -> skimmer.media != null && skimmer.share() > 0)
                .findFirst();
    }

    public List<SkimmerRig> skimmers() {
        return List.copyOf(skimmers);
    }

    /** Media that are other than they are put on: endless for a settled day, tight for the careful side. */
    public Rig media(UnaryOperator<Media> change) {
        skimmers.forEach(skimmer -> {
            MediaUse use = skimmer.media;
            skimmer.media = use == null ? null : use.with(change.apply(use.media()));
        });
        return this;
    }

    public double celsius() {
        return setup.water().temperatureC() + warmerByK;
    }

    /** Where it starts from: the settled tank, alkalinity brought up or down with soda ash, which brings carbon too. */
    public TwinState startsFrom(TwinState today) {
        double perKg = alkalinityChangeMeqPerL / 1000 / setup.water().densityKgPerL();
        TwinState raised = perKg == 0
                ? today
                : today.with(Water.DIC, dic -> dic + perKg / 2)
                        .with(Water.ALKALINITY, alkalinity -> alkalinity + perKg);
        return today.temperatureC() == celsius() ? raised : raised.with(Water.TEMPERATURE, celsius());
    }

    /**
     * Laid out in time.
     *
     * @param logged the room as it was, for days that have been; where it has gaps its ordinary day is taken
     * @param gasBalance whether its runs keep the gas balance
     */
    public TwinTank tank(Instant from, Duration length, @Nullable RoomCourse logged, boolean gasBalance) {
        LightCourse lamps = new LightCourse(setup.light().shorter(lampsShorterH), setup.zone(), from, length);
        LocalHours local = new LocalHours(setup.zone());
        List<Part> parts = new ArrayList<>();
        parts.add(new RoomSpace(setup.room().ppm().mean(), room(local, logged)));
        parts.add(new Outdoors(setup.outdoorPpm()));
        open(parts);
        added.forEach(path -> parts.add(stone(path)));
        parts.addAll(switched);
        for (SkimmerRig skimmer : skimmers) {
            if (skimmer.share() > 0) {
                parts.add(skimmer.part(setup, metabolism, lamps, local));
            }
        }
        if (canopy != null) {
            parts.add(new BoxedAir(Air.CANOPY, canopy));
        }
        if (cabinet != null) {
            parts.add(new BoxedAir(Air.CABINET, cabinet));
        }
        var life = setup.life()
                .withUse(setup.useMeqPerLPerDay())
                .withRespiration(metabolism.respirationMmolPerLPerH(), metabolism.photosynthesisMmolPerLPerH());
        Switches by = switches;
        Lamp shines = Lamp.of(lamps).times(lampsTimes);
        parts.add(new Reef(life, 1, by == null ? shines : shines.switched(by::lamps, by::nextSwitch)));
        if (refugiumLight != null) {
            LightCourse algae = new LightCourse(refugiumLight, setup.zone(), from, length);
            // Where a schedule switches it, its own clock says nothing any more.
            Lamp over = by == null ? Lamp.of(algae) : Lamp.ALWAYS.switched(by::refugium, by::nextSwitch);
            parts.add(new Refugium(refugiumMmolPerH, life.quotient(), over));
        }
        parts.add(new Swimmers(life.fish(), life.fishActivity(), life.quotient()));
        Inflow reactor = reactor();
        Dosing.Pace hours = DosedByHours.of(setup.doseHours(), local);
        parts.add(new Dosing(
                Channel.Kind.DOSES, doses(reactor), by == null ? hours : hours.switched(by::doses, by::nextSwitch)));
        parts.add(new Dosing(Channel.Kind.REACTOR, reactor));
        return new TwinTank(
                new Water(
                        setup.netVolumeL(),
                        setup.water().salinity(),
                        setup.pressureHpa(),
                        setup.water().temperatureC(),
                        true),
                parts,
                gasBalance);
    }

    /** What lies open to air as described, switched where a schedule says so. */
    private void open(List<Part> parts) {
        Switches by = switches;
        OpenPath display = display();
        int stones = 0;
        for (OpenPath path : setup.open()) {
            boolean surface = path.path() instanceof Surface;
            OpenPath plain = surface ? path.times(surfaceTimes * metabolism.surfaceFactor()) : stone(path);
            if (by == null) {
                parts.add(plain);
            } else if (path.path() instanceof Surface s) {
                boolean apart = !path.equals(display);
                parts.add(switched(plain, by, t -> apart ? sumpShare(s, t, by) : displayShare(s, t, by)));
            } else if (isStone(path)) {
                int i = stones++;
                boolean inSump = path.over() == Air.CABINET;
                parts.add(switched(plain, by, t -> by.stone(i, t) * (inSump ? by.returns(t) : 1)));
            } else {
                parts.add(switched(plain, by, by::returns));
            }
        }
    }

    /** The largest surface. The smaller ones are a sump's: without the return they stand apart from the display. */
    private @Nullable OpenPath display() {
        return setup.open().stream()
                .filter(path -> path.path() instanceof Surface)
                .max(Comparator.comparingDouble(path -> ((Surface) path.path()).areaM2()))
                .orElse(null);
    }

    /**
     * Of what the display's surface carries as described. Without the return, pumps below it only ripple it: what breaks or
     * rolls a surface is taken to be the return's outlet and overflow. From memory, and on the early side.
     */
    private static double displayShare(Surface display, Instant t, Switches by) {
        double still = of(SurfaceClass.STILL, display);
        double rippled = of(SurfaceClass.RIPPLED, display);
        double moved = rippled + (1 - rippled) * by.returns(t);
        return still + (moved - still) * by.flow(t);
    }

    /** It may be a second part of the display: then it calms with the flow. */
    private static double sumpShare(Surface sump, Instant t, Switches by) {
        double still = of(SurfaceClass.STILL, sump);
        return by.returns(t) * (still + (1 - still) * by.flow(t));
    }

    /** Of what a surface carries as described, what it carries when it moves so. */
    private static double of(SurfaceClass motion, Surface described) {
        return Math.min(1, motion.k600CmPerH() / described.k600CmPerH());
    }

    /** A path that a schedule opens so far. */
    public static SwitchedPath switched(OpenPath path, Switches by, ToDoubleFunction<Instant> open) {
        return new SwitchedPath(path, Dosing.Pace.EVENLY.switched(open, by::nextSwitch));
    }

    private OpenPath stone(OpenPath path) {
        return isStone(path) ? path.times(stoneTimes) : path;
    }

    private static boolean isStone(OpenPath path) {
        return path.channel().kind() == Channel.Kind.STONE;
    }

    public boolean hasStones() {
        return Stream.concat(setup.open().stream(), added.stream()).anyMatch(Rig::isStone);
    }

    private RoomSpace.Hours room(LocalHours local, @Nullable RoomCourse logged) {
        boolean asMeasured = ventilationTimes == 1 && extraAirChangesPerH == 0 && peopleTimes == 1 && extraPpmPerH == 0;
        if (asMeasured && logged != null) {
            return RoomSpace.Hours.known(
                    t -> logged.at(t).orElseGet(() -> setup.room().ppm().at(local.at(t))));
        }
        if (asMeasured) {
            return RoomSpace.Hours.known(t -> setup.room().ppm().at(local.at(t)));
        }
        return RoomSpace.Hours.breathed(
                t -> peopleTimes * setup.room().sourcePpmPerH(local.at(t), setup.outdoorPpm()) + extraPpmPerH,
                setup.room().airChangesPerH() * ventilationTimes + extraAirChangesPerH,
                setup.outdoorPpm());
    }

    /** As it is, never more than the animals use; a care that makes it stronger is met by turning its effluent down. */
    private Inflow reactor() {
        Inflow plain = setup.reactorAsDescribed(r -> r);
        if (plain.alkalinityMeq() <= 0) {
            return Inflow.NONE;
        }
        Inflow after = setup.reactorAsDescribed(reactorCare);
        double wanted = Math.min(plain.alkalinityMeq(), setup.useMeqPerLPerDay());
        return after.times(wanted / after.alkalinityMeq());
    }

    /**
     * Doses keep up with the animals' use, of alkalinity and of calcium: what the reactor does not bring comes from the
     * sources. Another source takes today's place as far as that goes; what it brings beyond, and its calcium, comes on
     * top.
     */
    private Inflow doses(Inflow reactor) {
        double use = setup.useMeqPerLPerDay();
        double poured = Math.max(0, use - reactor.alkalinityMeq());
        Inflow today = setup.source().perDay(poured);
        double calcium = use / 2 - reactor.calciumMmol() - today.calciumMmol();
        Inflow asItIs = today.plus(new Inflow(0, 0, calcium, 0));
        Dose other = instead;
        if (other == null) {
            return asItIs.times(dosesTimes);
        }
        Inflow brought = other.source().perDay(other.meqPerLPerDay());
        // Where no use is known, what is poured from another source replaces as much of a carbonate dose.
        double replaced = use == 0 ? other.meqPerLPerDay() : Math.min(poured, other.meqPerLPerDay());
        return asItIs.plus(setup.source().perDay(-replaced)).plus(brought);
    }
}
