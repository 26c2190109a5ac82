package jollytide.core.scenario;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;

class RoomSeasonTest {
    private static final LocalDate NEW_YEAR = LocalDate.of(2026, 1, 1);

    /** No day is more than a tenth of a kelvin from the one before, at a month's end neither. */
    @Test
    void theYearHasNoSteps() {
        for (double latitude : new double[] {-35, -10, 0, 25, 52, 70}) {
            RoomSeason season = new RoomSeason(latitude);
            for (int day = 1; day < 400; day++) {
                assertThat(season.roomC(NEW_YEAR.plusDays(day)))
                        .isCloseTo(season.roomC(NEW_YEAR.plusDays(day - 1)), within(0.15));
            }
        }
    }

    @Test
    void theSouthIsTheNorthHalfAYearLater() {
        RoomSeason north = new RoomSeason(40);
        RoomSeason south = new RoomSeason(-40);
        LocalDate day = LocalDate.of(2026, 3, 1);
        assertThat(south.roomC(day)).isCloseTo(north.roomC(day.plusDays(183)), within(0.1));
        assertThat(south.roomC(LocalDate.of(2026, 1, 20))).isGreaterThan(25);
        assertThat(north.roomC(LocalDate.of(2026, 1, 20))).isLessThan(19);
    }

    @Test
    void theTropicsHaveNoWinter() {
        RoomSeason tropics = new RoomSeason(-6);
        assertThat(tropics.coldestC()).isGreaterThan(25);
        assertThat(tropics.warmMonths()).hasSize(12);
        assertThat(new RoomSeason(52).coldestC()).isEqualTo(17);
        assertThat(new RoomSeason(52).warmestC()).isEqualTo(27);
    }
}
