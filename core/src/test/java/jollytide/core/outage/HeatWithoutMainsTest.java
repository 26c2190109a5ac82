package jollytide.core.outage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import jollytide.core.outage.NightWithoutMains.OxygenCourse;
import jollytide.core.outage.NightWithoutMains.OxygenPoint;
import jollytide.core.reef.Evaporation;
import jollytide.core.reef.Fish;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How a tank without heater cools, and on which side of danger that counts. */
class HeatWithoutMainsTest {
    private static final double WH_PER_KG_K = 3990 / 3600.0;

    private static OxygenCourse course(double surfaceM2, double startC, RoomAround room) {
        TankAtFailure tank = new TankAtFailure(
                420,
                35,
                1013.25,
                surfaceM2,
                Nights.REEF,
                Fish.NONE,
                6.3,
                true,
                startC,
                room,
                TankAtFailure.ordinaryCoolingPerH(420),
                24,
                OutageAssumptions.DEFAULT,
                0);
        return new NightWithoutMains(tank, List.of(), List.of()).run(24);
    }

    /**
     * 420 L in a room of 18 °C lose what 17 to 30 W/K would, by their open area; an independent balance of glass, air and
     * vapour gave 21 for an ordinary tank.
     */
    @ParameterizedTest
    @CsvSource({"0.25, 16, 20", "0.5, 19, 24", "0.9, 23, 30"})
    void heatLeavesByGlassAirAndVapour(double openM2, double least, double most) {
        OxygenPoint hour = course(openM2, 25.5, RoomAround.known(18)).points().get(6);
        double watts = (25.5 - hour.celsius()) * 420 * 1.0234 * WH_PER_KG_K;
        assertThat(watts / (25.5 - 18)).isBetween(least, most);
    }

    /** Water as warm as its room still cools: its vapour takes heat along. */
    @Test
    void vapourCoolsAtEqualTemperatures() {
        assertThat(course(0.9, 24, RoomAround.known(24)).points().get(60).celsius())
                .isBetween(22.0, 23.8);
        assertThat(Evaporation.stillAirWPerM2(24, 24, 0.5)).isBetween(40.0, 90.0);
        assertThat(Evaporation.stillAirWPerM2(20, 35, 0.9)).isZero();
    }

    /** A cold room spares oxygen: that is not counted on. A warm one costs it, and its doubt is counted, too. */
    @Test
    void coolingIsNotCountedOnAndWarmingIs() {
        double even = danger(RoomAround.known(25.5));
        assertThat(danger(RoomAround.known(10))).isEqualTo(even);
        assertThat(danger(RoomAround.known(32))).isLessThan(even);
        assertThat(danger(RoomAround.expected(29))).isLessThan(danger(RoomAround.known(29)));
        OxygenCourse cold = course(0.9, 25.5, RoomAround.known(10));
        assertThat(cold.danger().likely())
                .isGreaterThan(
                        course(0.9, 25.5, RoomAround.known(25.5)).danger().likely());
    }

    private static double danger(RoomAround room) {
        return course(0.9, 25.5, room).danger().early();
    }

    /** For danger from cold the fastest loss counts: dry air, half as fast again, and the coldest that the room may be. */
    @Test
    void coldComesAtItsFastest() {
        for (OxygenPoint point : course(0.9, 25.5, RoomAround.expected(18)).points()) {
            assertThat(point.coldestC()).isLessThanOrEqualTo(point.celsius());
        }
        OxygenPoint measured = course(0.9, 25.5, RoomAround.known(18)).points().get(60);
        OxygenPoint expected =
                course(0.9, 25.5, RoomAround.expected(18)).points().get(60);
        assertThat(expected.coldestC()).isLessThan(measured.coldestC());
    }
}
