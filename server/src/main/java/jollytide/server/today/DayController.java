package jollytide.server.today;

import java.time.LocalDate;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.today.DayService.DayView;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** One day of a tank. */
@RestController
class DayController {
    private final DayService days;

    DayController(DayService days) {
        this.days = days;
    }

    /**
     * The day ribbon.
     *
     * @param day local date; by default that of the newest reading
     */
    @GetMapping("/api/v1/tanks/{tankId}/day")
    DayView day(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @RequestParam(required = false) @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate day) {
        return days.day(who.keeperId(), tankId, day);
    }
}
