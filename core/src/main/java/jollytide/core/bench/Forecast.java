package jollytide.core.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.Comparator;
import java.util.List;
import jollytide.core.air.AirLine;
import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.Bubbles;
import jollytide.core.exchange.Bubbles.Skin;
import jollytide.core.exchange.Conductance;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.twin.Conditions;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.TwinTank;

/** Runs a setup with remedies on, for one of the tanks that could be behind its log. */
public final class Forecast {
    private static final Duration EVERY = Duration.ofMinutes(15);
    private static final Duration SETTLING_IN = Duration.ofDays(7);
    private static final Duration DAY = Duration.ofDays(1);

    private final Setup setup;
    private final Living living;

    public Forecast(Setup setup, Living living) {
        this.setup = setup;
        this.living = living;
    }

    /**
     * What a day brings once everything has settled.
     *
     * @param troughPh and its moment
     * @param lowestOxygenMgPerL of the day
     */
    public record SettledDay(
            double troughPh,
            Instant troughAt,
            double peakPh,
            Instant peakAt,
            double lowestOxygenMgPerL,
            Instant lowestOxygenAt) {

        static SettledDay of(List<TwinState> day) {
            TwinState trough = day.stream()
                    .min(Comparator.comparingDouble(TwinState::phNbs))
                    .orElseThrow();
            TwinState peak = day.stream()
                    .max(Comparator.comparingDouble(TwinState::phNbs))
                    .orElseThrow();
            TwinState breath = day.stream()
                    .min(Comparator.comparingDouble(TwinState::oxygenMgPerL))
                    .orElseThrow();
            return new SettledDay(
                    trough.phNbs(), trough.at(), peak.phNbs(), peak.at(), breath.oxygenMgPerL(), breath.at());
        }
    }

    /** Settled under today's conditions: the state from which every variant starts, at {@code at}. */
    public TwinState today(Instant at) {
        Twin twin = twin(Remedies.NONE);
        TwinState start = twin.start(at.minus(SETTLING_IN), setup.alkalinityMeqPerL(), 900, 600);
        return twin.run(start, at, SETTLING_IN).get(0);
    }

    /** The water from {@code today} on with the remedies in place, every quarter of an hour. */
    public List<TwinState> run(TwinState today, Remedies remedies, Duration length) {
        return twin(remedies).run(today, today.at().plus(length), EVERY);
    }

    /** The last day of a run long enough to have settled. */
    public SettledDay settled(TwinState today, Remedies remedies) {
        return settled(run(today, remedies, SETTLING_IN));
    }

    /** The last day of such a run. */
    public static SettledDay settled(List<TwinState> run) {
        Instant from = run.get(run.size() - 1).at().minus(DAY);
        return SettledDay.of(run.stream().filter(s -> s.at().isAfter(from)).toList());
    }

    /** From the lowest to the highest of what several tanks give, with the first one's value. */
    public static Estimate band(List<Double> values) {
        double low = values.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
        double high = values.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        return new Estimate(values.get(0), low, high);
    }

    private Twin twin(Remedies remedies) {
        Conductance open = Conductance.NONE;
        for (Surface surface : setup.surfaces()) {
            open = open.plus(surface.conductance(setup.water()).times(remedies.surfaceTimes()));
        }
        if (remedies.stone() != null) {
            open = open.plus(betweenSkins(remedies.stone()));
        }
        Skimmer skimmer = setup.skimmer();
        Conductance full = Conductance.NONE;
        double air = 0;
        if (skimmer != null && remedies.skimmerShare() > 0) {
            air = skimmer.airConductance(setup.water());
            Conductance physics = skimmer.conductance(setup.water()).times(living.skimmerFactor());
            full = new Conductance(Math.min(physics.co2(), 0.98 * air), Math.min(physics.oxygen(), 0.98 * air));
        }
        TwinTank tank = new TwinTank(
                setup.netVolumeL(),
                setup.water().salinity(),
                1000,
                open,
                full,
                air,
                living.respirationMmolPerLPerH(),
                living.photosynthesisMmolPerLPerH(),
                setup.pressureHpa());
        return new Twin(tank, new Placed(remedies, drawKept(remedies)));
    }

    /** Between the rigid and the mobile skin lies what a stone does; the middle on a scale of ratios. */
    private Conductance betweenSkins(Bubbles stone) {
        Conductance least = new Bubbles(stone.airLPerH(), stone.diameterMm(), stone.depthM(), Skin.RIGID)
                .conductance(setup.water());
        Conductance most = new Bubbles(stone.airLPerH(), stone.diameterMm(), stone.depthM(), Skin.MOBILE)
                .conductance(setup.water());
        return new Conductance(Math.sqrt(least.co2() * most.co2()), Math.sqrt(least.oxygen() * most.oxygen()));
    }

    /** Share of the skimmer's draw that is left behind hose and clogged inlet. */
    private double drawKept(Remedies remedies) {
        Skimmer skimmer = setup.skimmer();
        AirLine line = remedies.line();
        double kept =
                skimmer == null || line == null ? 1 : line.kept(skimmer.airDrawLPerH(), AirLine.ASSUMED_SUCTION_PA);
        return kept * remedies.skimmerShare();
    }

    /** The setup's day with the remedies in place. */
    private final class Placed implements Conditions {
        private final Remedies remedies;
        private final double draw;

        Placed(Remedies remedies, double draw) {
            this.remedies = remedies;
            this.draw = draw;
        }

        @Override
        public Acting at(Instant t) {
            ZonedDateTime local = t.atZone(setup.zone());
            double outdoors = setup.outdoorPpm();
            double room = remedies.nobodyHome()
                    ? outdoors
                    : outdoors + (setup.room().at(local) - outdoors) / remedies.ventilationTimes();
            DailyAir mouth = remedies.lineMouth();
            Intake intake = new Intake(
                    remedies.line() == null ? 0 : 1,
                    mouth == null ? outdoors : mouth.at(local),
                    remedies.mediaPass(),
                    remedies.freshShare());
            return new Acting(
                    setup.light().levelAt(t, setup.zone()),
                    0,
                    0,
                    outdoors,
                    draw,
                    intake,
                    setup.water().temperatureC(),
                    0,
                    remedies.hydroxideMeqPerLPerDay(),
                    room);
        }

        @Override
        public Instant nextChange(Instant t) {
            Instant hour = t.truncatedTo(java.time.temporal.ChronoUnit.HOURS).plus(Duration.ofHours(1));
            if (setup.light().neverLit()) {
                return hour;
            }
            Instant lamps = setup.light().nextSwitch(t, setup.zone());
            return lamps.isBefore(hour) ? lamps : hour;
        }
    }
}
