package jollytide.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.dosing.DoseHours;
import jollytide.core.dosingline.DoseTimes;
import jollytide.core.dosingline.Solution.Solute;
import jollytide.core.evidence.Quantity;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Stone;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.measure.AirStone;
import jollytide.core.measure.Measure;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.Scrubber;
import jollytide.core.measure.Setup;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.LightClock;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.scenario.OrdinaryDays.SettledDay;
import jollytide.core.schedule.Edge.FromLight;
import jollytide.core.schedule.Edge.Light;
import jollytide.core.schedule.Rule.Gate;
import jollytide.core.schedule.Rule.Usual;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import jollytide.core.twin.Intake.Leg;
import jollytide.core.twin.TwinState;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** The twin by a schedule, held against the same said by measures, and against what physics says of it. */
class TimetableTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Amsterdam");
    private static final Instant MIDNIGHT = Instant.parse("2026-11-10T23:00:00Z");
    private static final Duration WEEK = Duration.ofDays(7);
    private static final LightClock LAMPS = new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 30);
    private static final Setup TANK = tank(new Skimmer(400), new Surface(0.6, SurfaceClass.ROLLING));
    private static final OrdinaryDays DAYS = new OrdinaryDays(TANK, TankParameters.ORDINARY);
    private static final TwinState TODAY = DAYS.today(MIDNIGHT);
    private static final SettledDay AS_IT_IS = DAYS.settled(TODAY, MeasureSet.NONE);
    private static final Media FILL = new Media(1.5, MediaAssumptions.DEFAULT);

    private static final Window LIT =
            Window.daily("lit", "lamps on", new FromLight(Light.ON, 0), new FromLight(Light.OFF, 0));
    private static final Window DARK =
            Window.daily("dark", "lamps off", new FromLight(Light.OFF, 0), new FromLight(Light.ON, 0));

    private static final List<Lane> LANES = List.of(
            lane("display", LaneKind.LAMPS, LaneState.OFF),
            lane("return", LaneKind.RETURN_PUMP, LaneState.ON),
            lane("flow", LaneKind.FLOW_PUMP, LaneState.ON),
            lane("skimmer", LaneKind.SKIMMER, LaneState.ON),
            lane("air", LaneKind.AIR_PATH, LaneState.FRESH));

    private static Lane lane(String id, LaneKind kind, LaneState rest) {
        return new Lane(id, kind, id, rest, rest);
    }

    private static Schedule schedule(Rule... rules) {
        return new Schedule(ZONE, LAMPS, LANES, List.of(LIT, DARK), List.of(rules))
                .and(new Usual("display", "lit", LaneState.ON));
    }

    private static MediaUse fill(MediaUse.Hours hours, double freshShare) {
        return new MediaUse(FILL, freshShare, Leg.ALL, hours, 8.2, false);
    }

    private static Timetable laid(Schedule p, MediaUse media) {
        return new Timetable(p, MIDNIGHT, WEEK, Known.NOTHING, new Timetable.Gear(0, media, lane -> 0));
    }

    private static List<TwinState> run(Measure measure) {
        return DAYS.run(TODAY, MeasureSet.of(measure), WEEK);
    }

    private static SettledDay settled(Schedule p) {
        return OrdinaryDays.settled(run(laid(p, null)));
    }

    private static double media(List<TwinState> run) {
        Media.State state = run.get(run.size() - 1).media();
        assertThat(state).isNotNull();
        return state.co2Mol();
    }

    @Test
    void theDayAsItIsDescribedChangesNothing() {
        SettledDay same = settled(schedule());
        assertThat(same.troughPh()).isCloseTo(AS_IT_IS.troughPh(), within(0.001));
        assertThat(same.peakPh()).isCloseTo(AS_IT_IS.peakPh(), within(0.001));
        assertThat(same.lowestOxygenMgPerL()).isCloseTo(AS_IT_IS.lowestOxygenMgPerL(), within(0.005));
    }

    /** The same night of recirculation, said by the measure that knew it before schedules did. */
    @Test
    void mediaByNightAreTheScrubbersOwn() {
        Schedule night = schedule(new Usual("air", "dark", LaneState.recirculated(0.1)));
        List<TwinState> bySchedule = run(laid(night, fill(MediaUse.Hours.ALWAYS, 1)));
        List<TwinState> byMeasure = run(new Scrubber(FILL, 0.1, MediaUse.Hours.LAMPS_OFF, 8.2, false));
        SettledDay one = OrdinaryDays.settled(bySchedule);
        SettledDay other = OrdinaryDays.settled(byMeasure);
        assertThat(one.troughPh()).isCloseTo(other.troughPh(), within(0.001)).isGreaterThan(AS_IT_IS.troughPh() + 0.05);
        assertThat(one.lowestOxygenMgPerL()).isCloseTo(other.lowestOxygenMgPerL(), within(0.005));
        assertThat(media(bySchedule)).isCloseTo(media(byMeasure), within(0.005 * media(byMeasure)));
    }

    @Test
    void aGateGoesByTheTwinsOwnWater() {
        Limit low = new Limit(
                Quantity.PH,
                false,
                8.2,
                MediaUse.HYSTERESIS_PH,
                Duration.ofMinutes(10),
                Duration.ofMinutes(10),
                Duration.ofMinutes(30));
        Schedule gated = schedule(new Gate("air", null, low, LaneState.media(), LaneState.FRESH));
        List<TwinState> bySchedule = run(laid(gated, fill(MediaUse.Hours.ALWAYS, 1)));
        List<TwinState> byMeasure = run(new Scrubber(FILL, 1, MediaUse.Hours.BELOW_PH, 8.2, false));
        assertThat(OrdinaryDays.settled(bySchedule).troughPh())
                .isCloseTo(OrdinaryDays.settled(byMeasure).troughPh(), within(0.002));
        assertThat(media(bySchedule)).isCloseTo(media(byMeasure), within(0.02 * media(byMeasure)));
    }

    /** The same stone that bubbles all day, said by its own measure. */
    @Test
    void aStoneThatIsALaneBubblesWhileItIsOn() {
        Lane stone = lane("stone", LaneKind.AIR_PUMP, LaneState.ON);
        Schedule all = new Schedule(
                ZONE,
                LAMPS,
                List.of(LANES.get(0), stone),
                List.of(LIT, DARK),
                schedule().rules());
        Stone assumed = Timetable.UNDESCRIBED;
        SettledDay byMeasure = DAYS.settled(TODAY, MeasureSet.of(new AirStone(assumed, Air.ROOM)));
        SettledDay bySchedule = settled(all);
        assertThat(bySchedule.troughPh()).isCloseTo(byMeasure.troughPh(), within(0.001));
        Schedule night = all.with(new Lane("stone", LaneKind.AIR_PUMP, "stone", LaneState.OFF, LaneState.OFF))
                .and(new Usual("stone", "dark", LaneState.ON));
        assertThat(settled(night).lowestOxygenMgPerL())
                .isBetween(AS_IT_IS.lowestOxygenMgPerL(), byMeasure.lowestOxygenMgPerL() + 0.01);
    }

    /** What rests exchanges less: oxygen at night falls, and more so with both. */
    @Test
    void whatRestsExchangesLess() {
        double flow =
                settled(schedule(new Usual("flow", "dark", LaneState.OFF))).lowestOxygenMgPerL();
        double skimmer =
                settled(schedule(new Usual("skimmer", "dark", LaneState.OFF))).lowestOxygenMgPerL();
        double both = settled(
                        schedule(new Usual("flow", "dark", LaneState.OFF), new Usual("skimmer", "dark", LaneState.OFF)))
                .lowestOxygenMgPerL();
        double half = settled(schedule(new Usual("flow", "dark", LaneState.share(0.5))))
                .lowestOxygenMgPerL();
        assertThat(flow).isLessThan(half);
        assertThat(half).isLessThan(AS_IT_IS.lowestOxygenMgPerL());
        assertThat(skimmer).isLessThan(AS_IT_IS.lowestOxygenMgPerL());
        assertThat(both).isLessThan(Math.min(flow, skimmer));
    }

    /** Described by its parts: one rippled surface is what a stuck return leaves of display, sump and skimmer. */
    @Test
    void aStuckReturnStopsWhatItMoves() {
        Setup whole =
                tank(new Skimmer(400), new Surface(0.6, SurfaceClass.ROLLING), new Surface(0.2, SurfaceClass.BROKEN));
        Setup left = tank(null, new Surface(0.6, SurfaceClass.RIPPLED.k600CmPerH(), 0.5));
        Known stuck = new Known(
                java.util.Map.of(), List.of(), List.of(), List.of(new Known.Stuck("return", LaneState.OFF, MIDNIGHT)));
        Timetable table = new Timetable(schedule(), MIDNIGHT, WEEK, stuck, new Timetable.Gear(0, null, lane -> 0));
        double lowest = lowest(whole, MeasureSet.of(table));
        assertThat(lowest).isCloseTo(lowest(left, MeasureSet.NONE), within(0.02));
        assertThat(lowest).isLessThan(lowest(whole, MeasureSet.NONE) - 0.3);
    }

    private static Setup tank(@Nullable Skimmer skimmer, Surface... surfaces) {
        return Setup.plain(
                300,
                new Seawater(35, 25.5),
                3.0,
                Gases.STANDARD_HPA,
                List.of(surfaces),
                skimmer,
                420,
                new RoomDay(DailyAir.constant(1100), 0.3),
                LAMPS,
                ZONE);
    }

    private static double lowest(Setup setup, MeasureSet measures) {
        OrdinaryDays days = new OrdinaryDays(setup, TankParameters.ORDINARY);
        List<TwinState> run = days.run(days.today(MIDNIGHT), measures, WEEK);
        return OrdinaryDays.settled(run).lowestOxygenMgPerL();
    }

    @Test
    void aDarkDayHasNoPeakAndACutNoSkimmer() {
        Schedule dark = new Schedule(ZONE, LAMPS, LANES, List.of(LIT, DARK), List.of());
        SettledDay day = settled(dark);
        assertThat(day.peakPh()).isLessThan(AS_IT_IS.troughPh() + 0.02);
        Known cut = new Known(
                java.util.Map.of(),
                List.of(),
                List.of(new Known.Cut(MIDNIGHT.plus(Duration.ofHours(1)), MIDNIGHT.plus(Duration.ofHours(5)), null)));
        Timetable table = new Timetable(schedule(), MIDNIGHT, WEEK, cut, new Timetable.Gear(0, null, lane -> 0));
        double lowest = DAYS.run(TODAY, MeasureSet.of(table), Duration.ofHours(6)).stream()
                .mapToDouble(TwinState::oxygenMgPerL)
                .min()
                .orElseThrow();
        double usual = DAYS.run(TODAY, MeasureSet.NONE, Duration.ofHours(6)).stream()
                .mapToDouble(TwinState::oxygenMgPerL)
                .min()
                .orElseThrow();
        assertThat(lowest).isLessThan(usual - 0.1);
    }

    /** In a cut nothing is dosed, and after it nothing before somebody has looked. */
    @Test
    void aCutKeepsDosesBack() {
        Lane soda = new Lane(
                "soda", LaneKind.DOSER, "soda", LaneState.ON, LaneState.OFF, new Lane.Doses(Solute.SODA_ASH, null));
        Lane lime = new Lane(
                "lime", LaneKind.DOSER, "lime", LaneState.ON, LaneState.OFF, new Lane.Doses(Solute.LIMEWATER, null));
        Schedule p = new Schedule(ZONE, LAMPS, List.of(soda, lime), List.of(), List.of());
        Known known = new Known(
                java.util.Map.of(),
                List.of(),
                List.of(new Known.Cut(hours(1), hours(5), hours(9))),
                List.of(new Known.Stuck("soda", LaneState.OFF, hours(20))));
        Timetable.Gear gear = new Timetable.Gear(0, null, lane -> lane.id().equals("soda") ? 30 : 10);
        Timetable table = new Timetable(p, MIDNIGHT, WEEK, known, gear);
        assertThat(List.of(0.5, 1.0, 6.0, 8.9, 9.0, 20.5))
                .extracting(h -> table.doses(hours(h)))
                .containsExactly(1.0, 0.0, 0.0, 0.0, 1.0, 0.25);
        double meqPerLPerDay = 0.5;
        Setup dosed = TANK.dosed(meqPerLPerDay, AlkalinitySource.SODA_ASH, DoseHours.EVENLY);
        OrdinaryDays days = new OrdinaryDays(dosed, TankParameters.ORDINARY);
        Duration morning = Duration.ofHours(9);
        double usual = alkalinity(days.run(TODAY, MeasureSet.NONE, morning));
        double cut = alkalinity(days.run(TODAY, MeasureSet.of(table), morning));
        assertThat(usual - cut)
                .as("of eight hours")
                .isCloseTo(meqPerLPerDay * 8 / 24, within(0.1 * meqPerLPerDay * 8 / 24));
    }

    private static Instant hours(double h) {
        return MIDNIGHT.plusSeconds(Math.round(3600 * h));
    }

    private static double alkalinity(List<TwinState> run) {
        return 1000
                * run.get(run.size() - 1).alkalinityMolPerKg()
                * TANK.water().densityKgPerL();
    }

    /** Twenty-four doses over the day, of which thirteen hours may dose; and one that drips there all the while. */
    @Test
    void dosesByTheHoursInWhichTheyAreMade() {
        Lane.Doses hourly = new Lane.Doses(Solute.SODA_ASH, new DoseTimes(24, LocalTime.MIDNIGHT, 24));
        for (Lane.Doses doses : List.of(hourly, new Lane.Doses(Solute.SODA_ASH, null))) {
            Lane soda = new Lane("soda", LaneKind.DOSER, "soda", LaneState.OFF, LaneState.OFF, doses);
            Schedule p = new Schedule(
                    ZONE, LAMPS, List.of(soda), List.of(LIT, DARK), List.of(new Usual("soda", "dark", LaneState.ON)));
            List<Double> shares = Timetable.doseHours(p, LocalDate.of(2026, 11, 12), lane -> 30)
                    .shares();
            for (int hour = 0; hour < 24; hour++) {
                assertThat(shares.get(hour))
                        .as(hour + " h")
                        .isCloseTo(hour >= 21 || hour < 10 ? 1.0 / 13 : 0, within(1e-9));
            }
        }
        assertThat(Timetable.doseHours(schedule(), LocalDate.of(2026, 11, 12), lane -> 30))
                .isNull();
    }

    @Test
    void wavesCountAsTheirMean() {
        assertThat(Timetable.share(LaneState.wave(Duration.ofMinutes(5), Duration.ofSeconds(30))))
                .isCloseTo(300.0 / 330, within(1e-9));
    }
}
