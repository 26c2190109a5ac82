package jollytide.server.due;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import jollytide.server.account.NewToken;
import jollytide.server.account.SignedIn;
import jollytide.server.setup.Computes;
import jollytide.server.setup.Computes.Lane;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.parameter.Related;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Trigger;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableAction;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What is due, as a list and as a calendar. */
@Computes(Lane.URGENT)
@RestController
class DueController {
    /** Lines may have 75 octets (RFC 5545, 3.1): so many characters are no more in any script. */
    private static final int FOLDED_AT = 24;

    private final DueService dues;
    private final Subscriptions subscriptions;
    private final Clock clock;

    DueController(DueService dues, Subscriptions subscriptions, Clock clock) {
        this.dues = dues;
        this.subscriptions = subscriptions;
        this.clock = clock;
    }

    @GetMapping("/api/v1/homes/{homeId}/due")
    List<Due> list(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId) {
        return dues.list(who.keeperId(), homeId);
    }

    /** For a calendar (iCalendar, RFC 5545): bringing it in again moves the same entries. */
    @GetMapping(value = "/api/v1/homes/{homeId}/due.ics", produces = "text/calendar")
    ResponseEntity<byte[]> calendar(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId)
            throws IOException {
        ContentDisposition file =
                ContentDisposition.attachment().filename("due.ics").build();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, file.toString())
                .body(written(dues.list(who.keeperId(), homeId)));
    }

    /** @param since when the address was made that a calendar reads by itself; null without one */
    record Subscription(@Nullable Instant since) {}

    @GetMapping("/api/v1/homes/{homeId}/calendar")
    Subscription subscription(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId) {
        return new Subscription(subscriptions.since(who.keeperId(), homeId));
    }

    /** A new address, {@code /api/v1/calendar/} and what is answered here, once; the one before it opens nothing any more. */
    @PostMapping("/api/v1/homes/{homeId}/calendar")
    @ResponseStatus(HttpStatus.CREATED)
    NewToken subscribe(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId) {
        return new NewToken(subscriptions.make(who.keeperId(), homeId));
    }

    @DeleteMapping("/api/v1/homes/{homeId}/calendar")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@AuthenticationPrincipal SignedIn who, @PathVariable UUID homeId) {
        subscriptions.withdraw(who.keeperId(), homeId);
    }

    /** What is due, for calendars that know the address and nothing else. */
    @GetMapping(value = "/api/v1/calendar/{code}", produces = "text/calendar")
    ResponseEntity<byte[]> subscribed(@PathVariable String code) throws IOException {
        return ResponseEntity.ok()
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(written(subscriptions.read(code)));
    }

    private byte[] written(List<Due> all) throws IOException {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Jolly Tide//Due//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        DtStamp stamp = new DtStamp(clock.instant().truncatedTo(ChronoUnit.SECONDS));
        for (Due due : all) {
            VEvent event = new VEvent(false);
            event.add(stamp);
            event.add(new Uid(due.id() + "@jolly-tide"));
            event.add(new Summary(due.what()));
            if (due.hours() == null) {
                event.add(new DtStart<>(due.on()));
            } else {
                event.add(new DtStart<>(due.hours().from()));
                event.add(new DtEnd<>(due.hours().until()));
                event.add(alarm(due, Related.START));
                event.add(alarm(due, Related.END));
            }
            calendar.add(event);
        }
        ByteArrayOutputStream text = new ByteArrayOutputStream();
        new CalendarOutputter(false, FOLDED_AT).output(calendar, text);
        return text.toByteArray();
    }

    /** Where a calendar rings: what has hours must begin and end in time. */
    private static VAlarm alarm(Due due, Related edge) {
        VAlarm alarm = new VAlarm();
        Trigger trigger = new Trigger(Duration.ZERO);
        trigger.add(edge);
        alarm.add(trigger);
        alarm.add(ImmutableAction.DISPLAY);
        alarm.add(new Description(due.what()));
        return alarm;
    }
}
