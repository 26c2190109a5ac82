package jollytide.server.schedule;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import jollytide.core.schedule.DayCourse;
import jollytide.core.schedule.Known;
import jollytide.core.schedule.Lane;
import jollytide.core.schedule.Rule;
import jollytide.core.schedule.Rule.Special;
import jollytide.core.schedule.Schedule;
import jollytide.core.schedule.Window;
import jollytide.core.schedule.Window.Span;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/**
 * For who switches by hand: the windows that beat the usual day, as a calendar (iCalendar, RFC 5545). Each stands there
 * with its own date, for lamps that do not follow the clock move them, and seasons end.
 */
final class ScheduleCalendar {
    /** Lines may have 75 octets (RFC 5545, 3.1): so many characters are no more in any script. */
    private static final int FOLDED_AT = 24;

    private static final int DAYS = 28;

    private ScheduleCalendar() {}

    static byte[] of(String tank, Schedule p, LocalDate first, Instant now) throws IOException {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Jolly Tide//Schedule//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        DtStamp stamp = new DtStamp(now);
        List<Special> specials = p.rules().stream()
                .filter(Special.class::isInstance)
                .map(Special.class::cast)
                .toList();
        for (LocalDate date : first.datesUntil(first.plusDays(DAYS)).toList()) {
            DayCourse day = DayCourse.of(p, date, Known.NOTHING);
            for (int i = 0; i < p.windows().size(); i++) {
                Window window = p.windows().get(i);
                String lanes = lanes(p, specials, window);
                for (Span span : day.windows().get(i)) {
                    if (!lanes.isEmpty() && day.day().holds(span.from())) {
                        calendar.add(event(tank, window, lanes, span, stamp));
                    }
                }
            }
        }
        ByteArrayOutputStream text = new ByteArrayOutputStream();
        new CalendarOutputter(false, FOLDED_AT).output(calendar, text);
        return text.toByteArray();
    }

    private static String lanes(Schedule p, List<Special> specials, Window window) {
        List<String> ids = specials.stream()
                .filter(rule -> rule.window().equals(window.id()))
                .map(Rule::lane)
                .toList();
        return p.lanes().stream()
                .filter(lane -> ids.contains(lane.id()))
                .map(Lane::name)
                .collect(Collectors.joining(", "));
    }

    private static VEvent event(String tank, Window window, String lanes, Span span, DtStamp stamp) {
        VEvent event = new VEvent(false);
        event.add(stamp);
        event.add(new Uid(window.id() + "-" + span.from().getEpochSecond() + "@jolly-tide"));
        event.add(new Summary(tank + ": " + window.name()));
        event.add(new Description(lanes));
        event.add(new DtStart<>(span.from()));
        event.add(new DtEnd<>(span.until()));
        return event;
    }
}
