package jollytide.server.outage;

import java.time.Instant;
import java.time.Month;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** The season at a home, from its zone: where clocks are put forward for our winter, summer is then. */
enum Season {
    /** Air of a room without heating, °C; from memory. A noted temperature replaces it. */
    SUMMER(25),
    BETWEEN(20),
    WINTER(16);

    private static final Set<Month> WARM_IN_THE_NORTH = EnumSet.range(Month.JUNE, Month.SEPTEMBER);
    private static final Set<Month> COLD_IN_THE_NORTH = EnumSet.of(Month.DECEMBER, Month.JANUARY, Month.FEBRUARY);
    private static final int HALF_A_YEAR = 6;

    /** In the south clocks are forward in January; a zone without summer time is taken for the north's. */
    private static boolean south(ZoneId zone) {
        return zone.getRules().isDaylightSavings(Instant.parse("2026-01-15T00:00:00Z"));
    }

    /** Months, 1 to 12, whose nights are warm at a home. */
    static List<Integer> warmMonths(ZoneId zone) {
        return WARM_IN_THE_NORTH.stream()
                .map(month -> south(zone) ? month.plus(HALF_A_YEAR) : month)
                .map(Month::getValue)
                .sorted()
                .toList();
    }

    private final double unheatedRoomC;

    Season(double unheatedRoomC) {
        this.unheatedRoomC = unheatedRoomC;
    }

    double unheatedRoomC() {
        return unheatedRoomC;
    }

    static Season of(Instant at, ZoneId zone) {
        ZonedDateTime local = at.atZone(zone);
        Month month = south(zone) ? local.getMonth().plus(HALF_A_YEAR) : local.getMonth();
        return WARM_IN_THE_NORTH.contains(month) ? SUMMER : COLD_IN_THE_NORTH.contains(month) ? WINTER : BETWEEN;
    }
}
