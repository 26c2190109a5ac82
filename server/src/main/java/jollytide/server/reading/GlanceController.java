package jollytide.server.reading;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.server.account.SignedIn;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The strip on top of every screen. */
@RestController
class GlanceController {
    private static final Duration EVER = Duration.ofDays(20_000);

    private final ReadingService readings;
    private final TankService tanks;
    private final Clock clock;

    GlanceController(ReadingService readings, TankService tanks, Clock clock) {
        this.readings = readings;
        this.tanks = tanks;
        this.clock = clock;
    }

    /**
     * The last of each reading, and the light.
     *
     * @param lit null when the tank has no light clock
     * @param nextSwitch when the light next goes on or off; null as {@code lit}
     */
    record Glance(
            @Nullable ReadingView ph,
            @Nullable ReadingView roomCo2,
            @Nullable ReadingView oxygen,
            @Nullable ReadingView alkalinity,
            @Nullable ReadingView temperature,
            @Nullable ReadingView salinity,
            @Nullable Boolean lit,
            @Nullable Instant nextSwitch) {}

    @GetMapping("/api/v1/tanks/{tankId}/glance")
    @Transactional(readOnly = true)
    Glance glance(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        Tank tank = tanks.tank(who.keeperId(), tankId);
        Instant now = clock.instant();
        boolean neverLit = tank.light().neverLit();
        return new Glance(
                last(tank, Quantity.PH, Place.TANK, now),
                last(tank, Quantity.CO2, Place.ROOM, now),
                last(tank, Quantity.OXYGEN, Place.TANK, now),
                last(tank, Quantity.ALKALINITY, Place.TANK, now),
                last(tank, Quantity.TEMPERATURE, Place.TANK, now),
                last(tank, Quantity.SALINITY, Place.TANK, now),
                neverLit ? null : tank.light().litAt(now, tank.home().zone()),
                tank.light().switches()
                        ? tank.light().nextSwitch(now, tank.home().zone())
                        : null);
    }

    private @Nullable ReadingView last(Tank tank, Quantity quantity, Place place, Instant now) {
        return readings
                .between(tank, quantity, place, now.minus(EVER), now.plus(Duration.ofMinutes(10)), Limit.of(1))
                .stream()
                .findFirst()
                .map(ReadingView::of)
                .orElse(null);
    }
}
