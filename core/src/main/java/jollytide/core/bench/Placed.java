package jollytide.core.bench;

import java.time.Duration;
import java.time.Instant;
import jollytide.core.dosing.Inflow;
import jollytide.core.reef.CalciumReactor;
import jollytide.core.reef.LightClock;
import jollytide.core.reef.LightCourse;
import jollytide.core.twin.Conditions;
import jollytide.core.twin.TwinState;
import org.jspecify.annotations.Nullable;

/** A setup's days with the remedies in place, laid out from {@code from} on. */
final class Placed implements Conditions {
    private static final Duration CONTROLLER = Duration.ofMinutes(15);
    /** A switch further away than this is met later. */
    private static final Duration LONGEST = Duration.ofHours(12);

    private final @Nullable RoomCourse logged;
    private final Setup setup;
    private final Remedies remedies;
    private final Fitted.Draw draw;
    private final LightCourse lamps;
    private final @Nullable LightCourse refugium;
    private final LocalHours local;
    private final Inflow doses;
    private final Inflow reactor;
    private final Remedy.Ventilation ventilation;
    private final Remedy.Company company;
    private final boolean roomAsMeasured;
    private final Remedy.@Nullable Scrubber scrubber;
    private final double temperatureC;
    private final boolean dark;
    private final boolean gateOpen;

    Placed(Setup setup, Remedies remedies, Instant from, Duration length, @Nullable RoomCourse logged) {
        this.logged = logged;
        this.setup = setup;
        this.remedies = remedies;
        draw = Fitted.Draw.of(setup, remedies);
        lamps = new LightCourse(setup.light(), setup.zone(), from, length);
        LightClock algae =
                remedies.find(Remedy.Refugium.class).map(Remedy.Refugium::light).orElse(setup.refugiumLight());
        refugium = algae == null ? null : new LightCourse(algae, setup.zone(), from, length);
        local = new LocalHours(setup.zone());
        reactor = reactor();
        doses = doses();
        ventilation = remedies.find(Remedy.Ventilation.class).orElse(new Remedy.Ventilation(1, 0));
        company = remedies.find(Remedy.Company.class).orElse(new Remedy.Company(1, 0));
        roomAsMeasured = ventilation.times() == 1
                && ventilation.extraPerH() == 0
                && company.times() == 1
                && company.extraPpmPerH() == 0;
        scrubber = remedies.find(Remedy.Scrubber.class).orElse(null);
        temperatureC = setup.water().temperatureC()
                + remedies.find(Remedy.Warmth.class).map(Remedy.Warmth::kelvin).orElse(0.0);
        dark = remedies.find(Remedy.PowerOff.class).isPresent();
        gateOpen = false;
    }

    private Placed(Placed other, boolean gateOpen) {
        logged = other.logged;
        setup = other.setup;
        remedies = other.remedies;
        draw = other.draw;
        lamps = other.lamps;
        refugium = other.refugium;
        local = other.local;
        doses = other.doses;
        reactor = other.reactor;
        ventilation = other.ventilation;
        company = other.company;
        roomAsMeasured = other.roomAsMeasured;
        scrubber = other.scrubber;
        temperatureC = other.temperatureC;
        dark = other.dark;
        this.gateOpen = gateOpen;
    }

    /** As it is, never more than the animals use; a care that makes it stronger is met by turning its effluent down. */
    private Inflow reactor() {
        Inflow plain = setup.reactorAsDescribed(r -> r);
        if (plain.alkalinityMeq() <= 0) {
            return Inflow.NONE;
        }
        Inflow after = remedies.find(Remedy.ReactorAfterCare.class)
                .map(care -> setup.reactorAsDescribed(today -> new CalciumReactor(
                        today.effluentLPerH(),
                        today.effluentPhNbs(),
                        today.effluentMeqPerL(),
                        care.secondChamberShare(),
                        care.dripShare())))
                .orElse(plain);
        double wanted = Math.min(plain.alkalinityMeq(), setup.useMeqPerLPerDay());
        return after.times(wanted / after.alkalinityMeq());
    }

    /**
     * Doses keep up with the animals' use, of alkalinity and of calcium: what the reactor does not bring comes from the
     * sources. Another source takes today's place as far as that goes; what it brings beyond, and its calcium, comes on
     * top.
     */
    private Inflow doses() {
        double use = setup.useMeqPerLPerDay();
        double poured = Math.max(0, use - reactor.alkalinityMeq());
        Inflow today = setup.source().perDay(poured);
        double calcium = use / 2 - reactor.calciumMmol() - today.calciumMmol();
        Inflow asItIs = today.plus(new Inflow(0, 0, calcium, 0));
        Remedy.OtherSource other = remedies.find(Remedy.OtherSource.class).orElse(null);
        if (other == null) {
            return asItIs;
        }
        Inflow brought = other.source().perDay(other.meqPerLPerDay());
        // Where no use is known, what is poured from another source replaces as much of a carbonate dose.
        double instead = use == 0 ? other.meqPerLPerDay() : Math.min(poured, other.meqPerLPerDay());
        return asItIs.plus(setup.source().perDay(-instead)).plus(brought);
    }

    @Override
    public Conditions having(TwinState state) {
        if (scrubber == null || scrubber.hours() != Remedy.MediaHours.BELOW_PH) {
            return this;
        }
        boolean open = gateOpen
                ? state.phNbs() < scrubber.gatePh() + Remedy.Scrubber.HYSTERESIS_PH
                : state.phNbs() < scrubber.gatePh();
        return open == gateOpen ? this : new Placed(this, open);
    }

    @Override
    public Acting at(Instant t) {
        double hour = local.at(t);
        return new Acting(
                dark ? 0 : lamps.levelAt(t),
                refugium == null || dark ? 0 : refugium.levelAt(t),
                room(t, hour),
                draw.share(),
                intake(t, hour),
                temperatureC,
                doses,
                reactor);
    }

    private Room room(Instant t, double hour) {
        if (roomAsMeasured && logged != null) {
            return Room.known(logged.at(t).orElseGet(() -> setup.room().ppm().at(hour)));
        }
        if (roomAsMeasured) {
            return Room.known(setup.room().ppm().at(hour));
        }
        return new Room(
                company.times() * setup.room().sourcePpmPerH(hour, setup.outdoorPpm()) + company.extraPpmPerH(),
                setup.room().airChangesPerH() * ventilation.times() + ventilation.extraPerH(),
                setup.outdoorPpm(),
                null,
                null);
    }

    private Intake intake(Instant t, double hour) {
        DailyAir mouth = draw.mouth();
        double linePpm = mouth == null ? setup.outdoorPpm() : mouth.at(hour);
        double inside = setup.inCabinet() && setup.cabinet() != null ? 1 - draw.outdoorShare() : 0;
        boolean inUse = scrubber != null && inUse(scrubber, t);
        boolean through = scrubber != null && (inUse || scrubber.driesBetween());
        return new Intake(
                draw.outdoorShare(),
                linePpm,
                inside,
                1,
                scrubber != null && inUse ? scrubber.media().assumed().fresh(scrubber.freshShare()) : 1,
                through);
    }

    private boolean inUse(Remedy.Scrubber media, Instant t) {
        return switch (media.hours()) {
            case ALWAYS -> true;
            case LAMPS_OFF -> !lamps.litAt(t);
            case LAMPS_ON -> lamps.litAt(t);
            case BELOW_PH -> gateOpen;
        };
    }

    /** Lamps and ramps; a controller's quarter. All else is continuous. */
    @Override
    public Instant nextChange(Instant t) {
        boolean gated = scrubber != null && scrubber.hours() == Remedy.MediaHours.BELOW_PH;
        Instant next = lamps.nextChange(t, t.plus(gated ? CONTROLLER : LONGEST));
        return refugium == null ? next : refugium.nextChange(t, next);
    }
}
