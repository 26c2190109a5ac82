package jollytide.server.schedule;

import jakarta.validation.Valid;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.core.schedule.Template;
import jollytide.server.account.SignedIn;
import jollytide.server.schedule.ScheduleRuns.RunsOfSchedule;
import jollytide.server.schedule.ScheduleViews.HeldLane;
import jollytide.server.schedule.ScheduleViews.HeldUntil;
import jollytide.server.schedule.ScheduleViews.HoldAsked;
import jollytide.server.schedule.ScheduleViews.RunAsked;
import jollytide.server.schedule.ScheduleViews.ScheduleDay;
import jollytide.server.schedule.ScheduleViews.ScheduleDayAsked;
import jollytide.server.schedule.ScheduleViews.ScheduleEdit;
import jollytide.server.schedule.ScheduleViews.ScheduleView;
import jollytide.server.schedule.ScheduleViews.TemplateAsked;
import jollytide.server.schedule.ScheduleViews.TemplateView;
import jollytide.server.setup.Computes;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A tank's schedule. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/schedule")
class ScheduleController {
    private final ScheduleService schedules;
    private final HoldService holds;
    private final ScheduleAir air;

    ScheduleController(ScheduleService schedules, HoldService holds, ScheduleAir air) {
        this.schedules = schedules;
        this.holds = holds;
        this.air = air;
    }

    @GetMapping
    ScheduleView get(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return schedules.get(who.keeperId(), tankId);
    }

    /** Refused where it would harm, and with what is saved now where it was changed from something older. */
    @Computes
    @PutMapping
    ScheduleView save(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody ScheduleEdit body) {
        String caution = air.maySave(who.keeperId(), tankId, body.schedule());
        return schedules.save(who.keeperId(), tankId, body).saying(caution);
    }

    /** What each lane does over a day by a schedule that need not be saved, and what is wrong with it. */
    @Computes
    @PostMapping("/day")
    ScheduleDay day(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @Valid @RequestBody ScheduleDayAsked body) {
        return schedules.day(who.keeperId(), tankId, body);
    }

    /** A schedule with what keepers commonly make of a day, fitted to its lanes; nothing is saved. */
    @PostMapping("/templates/{template}")
    TemplateView template(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable Template template,
            @Valid @RequestBody TemplateAsked body) {
        return schedules.template(who.keeperId(), tankId, template, body);
    }

    /** The twin by a schedule that need not be saved, beside the one that is. */
    @Computes
    @PostMapping("/run")
    RunsOfSchedule run(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody RunAsked body) {
        return schedules.run(who.keeperId(), tankId, body);
    }

    /** What is held by hand, and what was until lately. */
    @GetMapping("/holds")
    List<HeldLane> held(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return holds.open(who.keeperId(), tankId);
    }

    /**
     * Lanes held from now on, such as pumps off while the fish are fed; nothing switches them but who holds them. A hold ends
     * before oxygen is in danger.
     */
    @Computes
    @PostMapping("/holds")
    @ResponseStatus(HttpStatus.CREATED)
    HeldUntil hold(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody HoldAsked body) {
        Instant now = holds.minute();
        ScheduleAir.HoldAhead ahead = air.ahead(who.keeperId(), tankId, body, now);
        List<HeldLane> held = holds.hold(who.keeperId(), tankId, body, now, ahead.until());
        return new HeldUntil(
                held,
                ahead.until(),
                ahead.until().isBefore(now.plus(Duration.ofMinutes(body.minutes()))),
                ahead.lowestMgPerL());
    }

    /** Ends a hold, or says of one that is over that its lane does again what it should. */
    @DeleteMapping("/holds/{id}")
    List<HeldLane> letGo(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        return holds.letGo(who.keeperId(), tankId, id);
    }

    /** For who switches by hand: what is special in the four weeks ahead, by the schedule that is saved. */
    @GetMapping(value = "/steps.ics", produces = "text/calendar")
    ResponseEntity<byte[]> calendar(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId)
            throws IOException {
        ContentDisposition file =
                ContentDisposition.attachment().filename("schedule.ics").build();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, file.toString())
                .body(schedules.calendar(who.keeperId(), tankId));
    }
}
