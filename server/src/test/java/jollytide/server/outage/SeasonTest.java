package jollytide.server.outage;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;

class SeasonTest {
    @Test
    void summerIsInJulyHereAndInJanuaryThere() {
        ZoneId north = ZoneId.of("Europe/Amsterdam");
        ZoneId south = ZoneId.of("Australia/Sydney");
        Instant july = Instant.parse("2026-07-15T00:00:00Z");
        Instant january = Instant.parse("2026-01-15T00:00:00Z");
        assertThat(Season.of(july, north)).isEqualTo(Season.SUMMER);
        assertThat(Season.of(july, south)).isEqualTo(Season.WINTER);
        assertThat(Season.of(january, north)).isEqualTo(Season.WINTER);
        assertThat(Season.of(january, south)).isEqualTo(Season.SUMMER);
        assertThat(Season.warmMonths(north)).containsExactly(6, 7, 8, 9);
        assertThat(Season.warmMonths(south)).containsExactly(1, 2, 3, 12);
        assertThat(Season.SUMMER.unheatedRoomC()).isGreaterThan(Season.WINTER.unheatedRoomC());
    }
}
