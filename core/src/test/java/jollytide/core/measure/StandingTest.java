package jollytide.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import jollytide.core.air.AirLine;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.LightClock;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.scenario.OrdinaryDays.SettledDay;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;

/** A tank with measures standing on it is the tank on which they were tried, once it has settled. */
class StandingTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-10T23:00:00Z");
    /** Without a use of alkalinity: that would follow what is tried, and a test made under what stands shows it. */
    private static final Setup TANK = Setup.plain(
            300,
            new Seawater(35, 25.5),
            3.0,
            Gases.STANDARD_HPA,
            List.of(new Surface(0.6, SurfaceClass.ROLLING)),
            new Skimmer(400),
            420,
            new RoomDay(DailyAir.constant(1100), 0.3),
            new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 30),
            ZoneId.of("Europe/Amsterdam"));

    private static final Measure WIDE = new OutdoorLine(new AirLine(6, 12.7, AirLine.ASSUMED_LOSS), null, 0);
    private static final Measure THIN = new OutdoorLine(new AirLine(6, 6, AirLine.ASSUMED_LOSS), null, 0);
    private static final Measure MEDIA =
            new Scrubber(new Media(0.2, MediaAssumptions.DEFAULT), 1, MediaUse.Hours.ALWAYS, 8.2, false);

    private static SettledDay settled(Setup setup, MeasureSet tried) {
        OrdinaryDays days = new OrdinaryDays(setup, TankParameters.ORDINARY);
        return days.settled(days.today(MIDNIGHT), tried, Duration.ofDays(14));
    }

    private static SettledDay standing(Measure... measures) {
        return settled(TANK.with(MeasureSet.of(measures)), MeasureSet.NONE);
    }

    @Test
    void standingOrTriedIsOneAnswer() {
        SettledDay stands = standing(WIDE);
        SettledDay tried = settled(TANK, MeasureSet.of(WIDE));
        assertThat(stands.troughPh()).isCloseTo(tried.troughPh(), within(0.004));
        assertThat(stands.lowestOxygenMgPerL()).isCloseTo(tried.lowestOxygenMgPerL(), within(0.01));
        assertThat(stands.troughPh())
                .isGreaterThan(settled(TANK, MeasureSet.NONE).troughPh() + 0.03);
    }

    @Test
    void whatIsTriedTakesThePlaceOfWhatStands() {
        SettledDay thinInstead = settled(TANK.with(MeasureSet.of(WIDE)), MeasureSet.of(THIN));
        assertThat(thinInstead.troughPh()).isCloseTo(standing(THIN).troughPh(), within(0.004));
        assertThat(thinInstead.troughPh()).isLessThan(standing(WIDE).troughPh() - 0.01);
    }

    @Test
    void whatIsTriedComesOnTopOfWhatElseStands() {
        double both =
                settled(TANK.with(MeasureSet.of(MEDIA)), MeasureSet.of(WIDE)).troughPh();
        assertThat(both).isGreaterThan(standing(MEDIA).troughPh() + 0.005);
        MeasureSet set = MeasureSet.of(WIDE).over(MeasureSet.of(MEDIA));
        assertThat(set.all()).containsExactly(MEDIA, WIDE);
    }

    /** A skimmer has room for one bed of media, whichever leg of its air passes it. */
    @Test
    void mediaReplaceMedia() {
        Measure recirculated = new RecirculatedMedia(((Scrubber) MEDIA).use());
        assertThat(MeasureSet.of(recirculated).over(MeasureSet.of(MEDIA)).all()).containsExactly(recirculated);
        assertThat(MeasureSet.of(MEDIA).over(MeasureSet.of(recirculated)).all()).containsExactly(MEDIA);
        assertThat(MeasureSet.of(WIDE).over(MeasureSet.of(MEDIA, THIN)).all()).containsExactly(MEDIA, WIDE);
    }

    /** 200 g on room air are spent within days; on a tank where media stand, they are taken to be changed in time. */
    @Test
    void mediaThatStandAreKeptUp() {
        double once = settled(TANK, MeasureSet.of(MEDIA)).troughPh();
        double fresh = standing(MEDIA).troughPh();
        assertThat(fresh).isGreaterThan(once + 0.02);
    }

    @Test
    void whatReadingsShowIsNotCountedTwice() {
        MeasureSet all = MeasureSet.of(
                WIDE, new Warmth(1), new AlkalinityChange(0.3), new Ventilation(3), new NobodyHome(), new Guests(200));
        assertThat(all.notInTheReadings(true).all()).containsExactly(WIDE);
        assertThat(all.notInTheReadings(false).all())
                .containsExactly(WIDE, new Ventilation(3), new NobodyHome(), new Guests(200));
    }
}
