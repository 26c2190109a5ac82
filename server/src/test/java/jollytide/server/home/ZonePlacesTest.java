package jollytide.server.home;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Latitudes of cities as any atlas has them. */
class ZonePlacesTest {
    @ParameterizedTest
    @CsvSource({
        "Europe/Amsterdam, 52.4",
        "Africa/Johannesburg, -26.3",
        "Australia/Sydney, -33.9",
        "Asia/Singapore, 1.3",
        "America/New_York, 40.7"
    })
    void zonesLieWhereTheirCitiesLie(String zone, double latitude) {
        assertThat(ZonePlaces.season(ZoneId.of(zone)).latitude()).isCloseTo(latitude, within(0.1));
    }

    /** Johannesburg has no summer time, and is in the south all the same. */
    @Test
    void summerIsInJulyHereAndInJanuaryThere() {
        assertThat(ZonePlaces.season(ZoneId.of("Europe/Amsterdam")).warmMonths())
                .containsExactly(6, 7, 8, 9);
        assertThat(ZonePlaces.season(ZoneId.of("Africa/Johannesburg")).warmMonths())
                .contains(1, 12)
                .doesNotContain(6, 7, 8);
        assertThat(ZonePlaces.season(ZoneId.of("Asia/Singapore")).warmMonths()).hasSize(12);
    }

    /** Zones without a place are taken for the temperate north, or for the south where January's clocks are forward. */
    @Test
    void aZoneWithoutAPlaceIsAssumed() {
        assertThat(ZonePlaces.season(ZoneId.of("Etc/UTC")).latitude()).isPositive();
        assertThat(ZonePlaces.season(ZoneId.of("Australia/ACT")).latitude()).isNegative();
    }
}
