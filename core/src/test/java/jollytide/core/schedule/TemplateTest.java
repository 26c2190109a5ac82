package jollytide.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.MonthDay;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import jollytide.core.dosingline.DoseTimes;
import jollytide.core.dosingline.Solution.Solute;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.core.reef.LightClock;
import jollytide.core.schedule.LaneState.Does;
import jollytide.core.schedule.Rule.Strength;
import jollytide.core.schedule.Rule.Usual;
import jollytide.core.schedule.Template.Wishes;
import jollytide.core.upkeep.Chore;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Each template on a tank with every lane: without conflict, and put in twice the same. Lamps from 10 to 21. */
class TemplateTest {
    private static final ZoneId PARIS = ZoneId.of("Europe/Paris");
    private static final LocalDate DAY = LocalDate.of(2026, 11, 12);
    private static final LightClock LAMPS = new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 0);
    private static final Wishes WISHES = new Wishes(8.2, MonthDay.of(12, 20), MonthDay.of(1, 3));
    private static final Window ALL_DAY = new Window(
            "all-day",
            "all day",
            new Edge.AtClock(LocalTime.MIDNIGHT),
            new Edge.AtClock(LocalTime.MIDNIGHT),
            true,
            Days.ALL);

    private static Lane lane(String id, LaneKind kind, LaneState rest) {
        return new Lane(id, kind, id, rest, rest);
    }

    private static final Schedule TANK = new Schedule(
            PARIS,
            LAMPS,
            List.of(
                    lane("return", LaneKind.RETURN_PUMP, LaneState.ON),
                    lane("left", LaneKind.FLOW_PUMP, LaneState.ON),
                    lane("right", LaneKind.FLOW_PUMP, LaneState.ON),
                    lane("skimmer", LaneKind.SKIMMER, LaneState.ON),
                    lane("air", LaneKind.AIR_PATH, LaneState.FRESH),
                    lane("refugium", LaneKind.REFUGIUM, LaneState.OFF),
                    new Lane(
                            "lime",
                            LaneKind.DOSER,
                            "limewater",
                            LaneState.OFF,
                            LaneState.OFF,
                            new Lane.Doses(Solute.LIMEWATER, new DoseTimes(16, LocalTime.MIDNIGHT, 24)))),
            List.of(ALL_DAY),
            List.of(new Usual("lime", "all-day", LaneState.ON)));

    private static Schedule with(Template template) {
        return template.fit(TANK, WISHES).schedule();
    }

    private static Verdict at(Schedule p, String lane, String dateTime) {
        return p.at(lane, java.time.LocalDateTime.parse(dateTime).atZone(PARIS).toInstant(), Known.NOTHING);
    }

    private static Verdict atTime(Schedule p, String lane, String time) {
        return at(p, lane, DAY + "T" + time);
    }

    @ParameterizedTest
    @EnumSource(Template.class)
    void fitsWithoutConflictAndOnce(Template template) {
        Template.Fitted fitted = template.fit(TANK, WISHES);
        assertThat(Conflicts.of(fitted.schedule(), DAY, Known.NOTHING)).isEmpty();
        assertThat(template.fit(fitted.schedule(), WISHES).schedule()).isEqualTo(fitted.schedule());
        if (template != Template.HOLIDAY) {
            assertThat(fitted.schedule()).isNotEqualTo(TANK);
        }
    }

    /** Two hours before lamps-off at 21 to one hour before. */
    @Test
    void theBubbleHourFollowsTheLampsAndBringsItsSurgesAndItsUpkeep() {
        Template.Fitted fitted = Template.BUBBLE_HOUR.fit(TANK, WISHES);
        Schedule p = fitted.schedule();
        assertThat(atTime(p, "stone", "18:59:59").runs()).isFalse();
        assertThat(atTime(p, "stone", "19:00:00").runs()).isTrue();
        assertThat(atTime(p, "left", "19:30:00").runs()).isFalse();
        assertThat(atTime(p, "right", "19:05:10").runs()).isFalse();
        assertThat(atTime(p, "right", "19:05:40").runs()).isTrue();
        assertThat(atTime(p, "left", "20:00:30").winner().strength()).isEqualTo(Strength.FOLLOW_UP);
        assertThat(Template.brought(p))
                .containsExactly(new Template.Brings(Chore.SOCK, 1), new Template.Brings(Chore.SKIMMER_CUP, 2));
        assertThat(fitted.cautions()).anyMatch(c -> c.contains("supersaturate"));
        assertThat(Template.brought(with(Template.QUIET_NIGHT))).isEmpty();
    }

    /** Common practice: 2 to 5 % fresh air stay in. */
    @Test
    void nightMediaAreRecirculatedInTheDarkAloneAndDryByDay() {
        Schedule p = with(Template.NIGHT_MEDIA);
        LaneState night = atTime(p, "air", "03:00:00").state();
        assertThat(night.does()).isEqualTo(Does.RECIRCULATED);
        assertThat(night.share()).isBetween(0.02, 0.05);
        assertThat(atTime(p, "air", "12:00:00").state()).isEqualTo(LaneState.FRESH);
        assertThat(with(Template.GATE_BELOW_PH).rules()).hasSize(2);
        assertThat(Template.GATE_BELOW_PH.fit(p, WISHES).schedule().rules())
                .as("one way of using media, not two")
                .noneMatch(r -> r instanceof Usual u && u.lane().equals("air"));
    }

    /** Recirculation, a pH gate and a drying pump in one day; without a reading the air stays fresh. */
    @Test
    void nightMediaWaitForALowPhAndDryByDay() {
        Schedule p = with(Template.NIGHT_MEDIA_BELOW_PH);
        Instant three = DAY.atTime(3, 0).atZone(PARIS).toInstant();
        Known low = read(three, 7.9);
        Known high = read(three, 8.3);
        assertThat(p.at("air", three, low).state().does()).isEqualTo(Does.RECIRCULATED);
        assertThat(p.at("air", three, high).state()).isEqualTo(LaneState.FRESH);
        assertThat(p.at("air", three, Known.NOTHING).state()).isEqualTo(LaneState.FRESH);
        Instant noon = DAY.atTime(12, 0).atZone(PARIS).toInstant();
        Known lowAtNoon = read(noon, 7.9);
        assertThat(p.at("air", noon, lowAtNoon).state()).isEqualTo(LaneState.FRESH);
        assertThat(p.at("dryer", noon, lowAtNoon).runs()).isTrue();
        assertThat(p.at("dryer", three, low).runs()).isFalse();
    }

    private static Known read(Instant at, double ph) {
        return new Known(Map.of(Quantity.PH, List.of(new Reading(at.minusSeconds(60), ph))), List.of(), List.of());
    }

    /** Sixteen doses in the thirteen dark hours instead of over the day; none is left out. */
    @Test
    void dosesOverTheNight() {
        Schedule p = with(Template.NIGHT_DOSES);
        DayCourse.LaneCourse lime = DayCourse.of(p, DAY, Known.NOTHING).lanes().get(6);
        assertThat(lime.doses()).hasSize(16).allMatch(t -> {
            int hour = t.atZone(PARIS).getHour();
            return hour >= 21 || hour < 10;
        });
        Instant first = DAY.atTime(21, 0).atZone(PARIS).toInstant();
        assertThat(lime.doses()).contains(first, first.plus(Duration.ofMinutes(49)));
    }

    @Test
    void onHolidayOnlyTheUsualDayIsLeft() {
        Schedule bubbles =
                Template.NIGHT_MEDIA.fit(with(Template.BUBBLE_HOUR), WISHES).schedule();
        Schedule night = Template.QUIET_NIGHT.fit(bubbles, WISHES).schedule();
        Schedule p = Template.HOLIDAY.fit(night, WISHES).schedule();
        for (String away : List.of("2026-12-20", "2026-12-31", "2027-01-03")) {
            assertThat(at(p, "stone", away + "T19:30:00").runs()).as(away).isFalse();
            assertThat(at(p, "left", away + "T19:30:00").runs()).isTrue();
            assertThat(at(p, "left", away + "T20:00:30").winner().strength()).isEqualTo(Strength.REST);
            assertThat(at(p, "air", away + "T23:00:00").state()).isEqualTo(LaneState.FRESH);
            assertThat(at(p, "left", away + "T23:00:00").state())
                    .as("quiet as every night")
                    .isEqualTo(LaneState.share(0.4));
        }
        for (String home : List.of("2026-12-19", "2027-01-04")) {
            assertThat(at(p, "stone", home + "T19:30:00").runs()).as(home).isTrue();
            assertThat(at(p, "air", home + "T23:00:00").state().does()).isEqualTo(Does.RECIRCULATED);
        }
        assertThatThrownBy(() -> Template.HOLIDAY.fit(TANK, new Wishes(8.2, null, null)))
                .hasMessageContaining("nobody at home");
    }

    @Test
    void whatIsNotThereIsSaid() {
        Schedule bare = new Schedule(PARIS, LAMPS, List.of(), List.of(), List.of());
        assertThatThrownBy(() -> Template.BUBBLE_HOUR.fit(bare, WISHES))
                .hasMessageContaining("no device for flow pumps");
        assertThatThrownBy(() -> Template.REVERSE_REFUGIUM.fit(bare, WISHES)).hasMessageContaining("refugium");
        Schedule dark = TANK.with(new LightClock(LocalTime.NOON, LocalTime.NOON, true, 0));
        assertThatThrownBy(() -> Template.NIGHT_MEDIA.fit(dark, WISHES)).hasMessageContaining("no dark phase");
    }
}
