package jollytide.core.outage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

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
                0,
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

    /** Three hours without a heater, one with it: the water begins the second outage colder, and never warmer. */
    @Test
    void aSecondOutageBeginsWithTheWaterOfTheFirst() {
        TankAtFailure tank = new TankAtFailure(
                420,
                35,
                1013.25,
                0.9,
                Nights.REEF,
                Fish.NONE,
                6.3,
                true,
                25.5,
                RoomAround.known(15),
                TankAtFailure.ordinaryCoolingPerH(420),
                24,
                OutageAssumptions.DEFAULT,
                0,
                0);
        StillCool first = new NightWithoutMains(tank, List.of(), List.of()).coolAfter(3);
        OxygenPoint atThree = new NightWithoutMains(tank, List.of(), List.of())
                .run(4)
                .points()
                .get(18);
        assertThat(first.likelyK()).isCloseTo(25.5 - atThree.celsius(), within(1e-6));
        assertThat(first.mostK()).isCloseTo(25.5 - atThree.coldestC(), within(1e-6));
        TankAtFailure again = tank.after(first.heated(1));
        OxygenCourse second = new NightWithoutMains(again, List.of(), List.of()).run(24);
        assertThat(second.points().get(0).coldestC()).isCloseTo(atThree.coldestC() + 0.25, within(1e-6));
        assertThat(second.points().get(0).celsius()).isCloseTo(atThree.celsius() + 0.5, within(1e-6));
        // The early side of oxygen stays that of warm water.
        assertThat(second.danger().early())
                .isEqualTo(new NightWithoutMains(tank, List.of(), List.of())
                        .run(24)
                        .danger()
                        .early());
        assertThat(first.heated(100)).isEqualTo(StillCool.NONE);
        assertThat(new NightWithoutMains(again, List.of(), List.of()).coolAfter(0))
                .isEqualTo(first.heated(1));
    }

    /** Blankets halve what glass loses, a heat pack adds some watts; neither is counted on for oxygen. */
    @Test
    void whatKeepsWarmKeepsWarm() {
        TankAtFailure bare =
                new TankAtFailure(60, 35, 1013.25, 0.2, Nights.REEF, Fish.NONE, 6.3, true, 25.5, 12, 0.05, 24);
        double cold = after(bare, 8);
        assertThat(after(bare.keptWarm(true, 0), 8)).isGreaterThan(cold + 0.8);
        assertThat(after(bare.keptWarm(false, 4), 8)).isGreaterThan(cold + 0.5);
        assertThat(after(bare.keptWarm(true, 4), 8)).isLessThan(25.5);
        assertThat(new NightWithoutMains(bare.keptWarm(true, 4), List.of(), List.of())
                        .run(24)
                        .danger()
                        .early())
                .isEqualTo(new NightWithoutMains(bare, List.of(), List.of())
                        .run(24)
                        .danger()
                        .early());
    }

    private static double after(TankAtFailure tank, int hours) {
        return new NightWithoutMains(tank, List.of(), List.of())
                .run(24)
                .points()
                .get(6 * hours)
                .celsius();
    }

    /** A meal in the middle of an outage makes the fish use more for the hours after it. */
    @Test
    void aMealInTheOutageCosts() {
        Fish fish = new Fish(List.of(new Fish.Group(8, 40)));
        TankAtFailure fasted = new TankAtFailure(420, 35, 1013, 0.9, 0.01, fish, 6.5, true, 25, 25, 0, 24);
        TankAtFailure fed = new TankAtFailure(420, 35, 1013, 0.9, 0.01, fish, 6.5, true, 25, 25, 0, -2);
        assertThat(new NightWithoutMains(fed, List.of(), List.of())
                        .run(24)
                        .danger()
                        .early())
                .isLessThan(new NightWithoutMains(fasted, List.of(), List.of())
                        .run(24)
                        .danger()
                        .early());
    }
}
