package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.exchange.Conductance;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Skimmer;
import jollytide.core.media.Media;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Intake.Leg;
import org.jspecify.annotations.Nullable;

/**
 * A skimmer between water and the air that it draws: from the room, the cabinet, an outdoor line and its own exhaust,
 * through media or not.
 *
 * @param name empty for the tank's first, which the gas balance calls by its kind alone
 * @param factor what it carries, over what its physics lets expect
 * @param draw share of its free draw that is left
 * @param inCabinet whether its exhaust opens into the cabinet
 * @param bed media before it; null without
 * @param breathing what it breathes, hour by hour
 */
public record SkimmerAir(
        String name,
        Skimmer skimmer,
        double factor,
        double draw,
        boolean inCabinet,
        @Nullable MediaBed bed,
        Breathing breathing)
        implements Part.Opening {
    /** No skimmer brings its air all the way to the water. */
    private static final double MOST_EFFECTIVE = 0.98;

    private static final int AIR = 2;
    private static final int VAPOUR = 3;

    /** What a skimmer breathes at a moment, when that switches, and what a controller decides. */
    public interface Breathing {
        Intake at(Instant t, boolean gateOpen);

        default Instant nextSwitch(Instant t, Instant until) {
            return until;
        }

        /** Share of the skimmer's draw that is left at that moment. */
        default double drawing(Instant t) {
            return 1;
        }

        /** Whether the gate stands open from a switch on, by the water's pH then. */
        default boolean opens(double phNbs, boolean open) {
            return open;
        }
    }

    public SkimmerAir {
        within("skimmerFactor", factor, 0, 100, "");
        within("skimmerShare", draw, 0, 20, "");
    }

    /** The first skimmer, all of its draw free. */
    public SkimmerAir(Skimmer skimmer, Breathing breathing) {
        this("", skimmer, 1, 1, false, null, breathing);
    }

    @Override
    public List<Channel> channels() {
        return List.of(new Channel(Channel.Kind.SKIMMER, name));
    }

    /** Its gate, then its bed. */
    @Override
    public List<Stock> stocks() {
        List<Stock> all = new ArrayList<>();
        all.add(Stock.carried(name.isEmpty() ? "skimmer.gate" : "skimmer.gate " + name, 0));
        if (bed != null) {
            all.addAll(bed.stocks(name));
        }
        return all;
    }

    /** At full draw: conductance of CO2 and of oxygen, what the air stream can carry, vapour of its exhaust. */
    @Override
    public double[] warm(Seawater water) {
        double air = skimmer.airConductance(water);
        Conductance physics = skimmer.conductance(water).times(factor);
        return new double[] {
            Math.min(physics.co2(), MOST_EFFECTIVE * air),
            Math.min(physics.oxygen(), MOST_EFFECTIVE * air),
            air,
            Media.exhaustGPerM3(water)
        };
    }

    private boolean gateOpen(Moment now) {
        return now.held(0) > 0.5;
    }

    private Intake intake(Moment now) {
        return breathing.at(now.at(), gateOpen(now));
    }

    @Override
    public Instant nextSwitch(Moment now, Instant until) {
        return breathing.nextSwitch(now.at(), until);
    }

    @Override
    public void decides(Moment now) {
        now.set(0, breathing.opens(now.phNbs(), gateOpen(now)) ? 1 : 0);
    }

    private double drawn(Moment now, Intake intake) {
        boolean choked = bed != null
                && intake.through() != null
                && bed.media().assumed().chokes()
                && bed.media().drowned(bed.held(now, 1));
        return choked ? 0 : draw * breathing.drawing(now.at());
    }

    /** Share of the CO2 that the media let through. */
    private double pass(Moment now, Intake intake) {
        return bed == null || intake.through() == null ? 1 : 1 - bed.media().efficiency(bed.held(now, 1));
    }

    private double effectiveness(Moment now, Gas gas) {
        return now.warm(AIR) == 0 ? 0 : now.warm(gas == Gas.CO2 ? 0 : 1) / now.warm(AIR);
    }

    /**
     * Notes what enters, as {@code fixed + ofCabinet × cabinet}. Fresh air and recirculated exhaust meet before the skimmer,
     * and the exhaust is what entered, brought towards the water by the effectiveness: the loop is solved.
     */
    private void noteEntering(Moment now, Intake intake, Gas gas, int at) {
        double pass = gas == Gas.CO2 ? pass(now, intake) : 1;
        double onFresh = intake.through() == Leg.ALL ? pass : 1;
        double e = effectiveness(now, gas);
        double fresh = intake.freshShare();
        double divisor = 1 - pass * (1 - fresh) * (1 - e);
        double elsewhere = freshElsewhere(now, intake, gas);
        now.note(at, (onFresh * fresh * elsewhere + pass * (1 - fresh) * e * now.inWater(gas)) / divisor);
        now.note(at + 1, onFresh * fresh * intake.cabinetShare() / divisor);
    }

    /** The fresh air that is not the cabinet's. */
    private static double freshElsewhere(Moment now, Intake intake, Gas gas) {
        double line = gas == Gas.CO2 ? intake.outdoorPpm() * 1e-6 : Gas.OXYGEN_IN_AIR;
        return intake.outdoorShare() * line * now.dryAtm()
                + (1 - intake.outdoorShare() - intake.cabinetShare()) * now.in(Air.ROOM, gas);
    }

    private static final int CO2_IN = 0;
    private static final int OXYGEN_IN = 2;

    /** Notes what enters, for the rounds to come. */
    @Override
    public void opens(Moment now) {
        Intake intake = intake(now);
        noteEntering(now, intake, Gas.CO2, CO2_IN);
        noteEntering(now, intake, Gas.OXYGEN, OXYGEN_IN);
        if (inCabinet) {
            double blown = intake.freshShare() * now.warm(AIR) * drawn(now, intake);
            blow(now, Gas.CO2, CO2_IN, blown);
            blow(now, Gas.OXYGEN, OXYGEN_IN, blown);
        }
    }

    private void blow(Moment now, Gas gas, int at, double blown) {
        double e = effectiveness(now, gas);
        now.open(
                Air.CABINET,
                gas,
                blown * (now.noted(at) * (1 - e) + e * now.inWater(gas)),
                blown * (1 - now.noted(at + 1) * (1 - e)));
    }

    private static double entering(Moment now, Gas gas, int at) {
        double ofCabinet = now.noted(at + 1);
        return ofCabinet == 0 ? now.noted(at) : now.noted(at) + ofCabinet * now.in(Air.CABINET, gas);
    }

    @Override
    public void acts(Moment now) {
        Intake intake = intake(now);
        double share = drawn(now, intake);
        double co2 = entering(now, Gas.CO2, CO2_IN);
        double oxygen = entering(now, Gas.OXYGEN, OXYGEN_IN);
        now.gain(
                0,
                now.warm(0) * share * (co2 - now.inWater(Gas.CO2)),
                now.warm(1) * share * (oxygen - now.inWater(Gas.OXYGEN)));
        Leg through = intake.through();
        if (bed != null && through != null) {
            bed.breathes(now, 1, stream(now, intake, through, share, co2));
        }
    }

    private Media.Stream stream(Moment now, Intake intake, Leg through, double share, double entering) {
        double back = 1 - intake.freshShare();
        double exhaust = entering + effectiveness(now, Gas.CO2) * (now.inWater(Gas.CO2) - entering);
        double fresh = freshElsewhere(now, intake, Gas.CO2) + intake.cabinetShare() * now.in(Air.CABINET, Gas.CO2);
        double molPerHAtm = now.warm(AIR) * share;
        double litresPerH = molPerHAtm * Gases.R_L_ATM * (now.celsius() + Seawater.ZERO_CELSIUS_K);
        if (through == Leg.RECIRCULATED) {
            return new Media.Stream(litresPerH * back, molPerHAtm * back * exhaust, now.warm(VAPOUR));
        }
        return new Media.Stream(
                litresPerH,
                molPerHAtm * (intake.freshShare() * fresh + back * exhaust),
                intake.freshShare() * MediaBed.ROOM_VAPOUR_G_PER_M3 + back * now.warm(VAPOUR));
    }

    @Override
    public List<Exchange> exchanges(Moment now) {
        Intake intake = intake(now);
        return List.of(new Exchange(
                channels().get(0),
                new Conductance(now.warm(0), now.warm(1)),
                drawn(now, intake),
                entering(now, Gas.CO2, CO2_IN),
                entering(now, Gas.OXYGEN, OXYGEN_IN),
                now.warm(AIR)));
    }
}
