package jollytide.server.outage;

import java.time.Instant;
import java.time.Month;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.EnumSet;
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

    private final double unheatedRoomC;

    Season(double unheatedRoomC) {
        this.unheatedRoomC = unheatedRoomC;
    }

    double unheatedRoomC() {
        return unheatedRoomC;
    }

    static Season of(Instant at, ZoneId zone) {
        ZonedDateTime local = at.atZone(zone);
        Instant january = local.withMonth(1).withDayOfMonth(15).toInstant();
        boolean south = zone.getRules().isDaylightSavings(january);
        Month month = south ? local.getMonth().plus(HALF_A_YEAR) : local.getMonth();
        return WARM_IN_THE_NORTH.contains(month) ? SUMMER : COLD_IN_THE_NORTH.contains(month) ? WINTER : BETWEEN;
    }
}
