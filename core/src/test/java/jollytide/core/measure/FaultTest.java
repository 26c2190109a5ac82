package jollytide.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Stream;
import jollytide.core.air.AirLine;
import jollytide.core.air.Enclosure;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Stone;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.CalciumReactor;
import jollytide.core.reef.LightClock;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import jollytide.core.twin.OpenPath;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What a fault does to a tank that has all that can be at fault. */
class FaultTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Amsterdam");
    private static final Instant START = Instant.parse("2026-11-08T23:00:00Z");
    private static final LightClock LAMPS = new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 30);

    private static final MeasureSet LINE =
            MeasureSet.of(new OutdoorLine(new AirLine(4, 19, AirLine.ASSUMED_LOSS), null, 0));
    private static final MeasureSet MEDIA = MeasureSet.of(
            new Scrubber(new Media(1, MediaAssumptions.DEFAULT).endless(), 1, MediaUse.Hours.ALWAYS, 8.2, false));
    private static final MeasureSet STONE = MeasureSet.of(new AirStone(new Stone(300, 2, 0.4), Air.ROOM));

    private static Setup tank(MeasureSet stands) {
        Setup plain = Setup.plain(
                420,
                new Seawater(35, 25.5),
                3.03,
                1013.25,
                List.of(),
                new Skimmer(500),
                420,
                new RoomDay(DailyAir.constant(900), 0.4),
                LAMPS,
                ZONE);
        return new Setup(
                plain.netVolumeL(),
                plain.water(),
                plain.alkalinityMeqPerL(),
                plain.pressureHpa(),
                List.of(OpenPath.surface("surface", Air.CANOPY, new Surface(0.9, SurfaceClass.ROLLING))),
                new Enclosure(Enclosure.Door.AJAR.exchangeLPerH()),
                new Enclosure(Enclosure.Door.AJAR.exchangeLPerH()),
                plain.skimmer(),
                true,
                null,
                plain.outdoorPpm(),
                plain.room(),
                plain.light(),
                plain.life().withUse(0.3),
                plain.source(),
                new CalciumReactor(1.5, 6.6, 20, 0, 0),
                null,
                ZONE,
                plain.withoutMains(),
                stands,
                plain.doseHours());
    }

    private static MeasureSet standing(Fault.Of of) {
        return switch (of) {
            case SECOND_INLET, FOUL_MOUTH -> LINE;
            case MEDIA -> MEDIA;
            case STONES -> STONE;
            default -> MeasureSet.NONE;
        };
    }

    private static double trough(Setup as) {
        OrdinaryDays days = new OrdinaryDays(as, TankParameters.ORDINARY);
        return days.settled(days.today(START), MeasureSet.NONE).troughPh();
    }

    private static double peak(Setup as) {
        OrdinaryDays days = new OrdinaryDays(as, TankParameters.ORDINARY);
        return days.settled(days.today(START), MeasureSet.NONE).peakPh();
    }

    @ParameterizedTest
    @CsvSource({
        "SECOND_INLET, 0.8",
        "FOUL_MOUTH, 600",
        "STONES, -2",
        "MEDIA, 1",
        "CABINET, -3",
        "CANOPY, -4",
        "LAMPS, 4",
        "REACTOR, 0.5"
    })
    void lowersPh(Fault.Of of, double size) {
        Setup sound = tank(standing(of));
        Setup faulty = sound.with(MeasureSet.of(new Fault(of, size)).over(sound.standing()));
        assertThat(faulty.standing().all()).hasSize(sound.standing().all().size() + 1);
        assertThat(Math.min(trough(faulty) - trough(sound), peak(faulty) - peak(sound)))
                .isLessThan(-0.002);
    }

    @ParameterizedTest
    @EnumSource(Fault.Of.class)
    void ofNoSizeChangesNothing(Fault.Of of) {
        Setup sound = tank(standing(of));
        Setup same = sound.with(MeasureSet.of(new Fault(of, 0)).over(sound.standing()));
        assertThat(trough(same)).isCloseTo(trough(sound), within(1e-9));
    }

    @Test
    void isOfASizeThatCanBe() {
        Stream.of(Fault.Of.values())
                .forEach(of -> assertThatThrownBy(() -> new Fault(of, 1e6)).isInstanceOf(InputException.class));
        assertThatThrownBy(() -> new Fault(Fault.Of.SECOND_INLET, -0.1)).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> new Fault(Fault.Of.STONES, 0.5)).isInstanceOf(InputException.class);
    }

    @Test
    void shortensTheLightFromItsEnd() {
        assertThat(LAMPS.shorter(2)).isEqualTo(new LightClock(LocalTime.of(10, 0), LocalTime.of(19, 0), true, 30));
        assertThat(LAMPS.shorter(0)).isEqualTo(LAMPS);
        assertThat(LAMPS.shorter(30).litHours()).isCloseTo(0.25, within(1e-9));
        LightClock always = new LightClock(LocalTime.MIDNIGHT, LocalTime.MIDNIGHT, true, 0);
        assertThat(always.shorter(3)).isEqualTo(always);
    }
}
