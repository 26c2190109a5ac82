package jollytide.server.effect;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import jollytide.core.effects.Trial;
import jollytide.core.effects.Windows;
import jollytide.core.probe.Calibration;
import jollytide.server.effect.EffectViews.Trough;
import jollytide.server.event.EventView;
import jollytide.server.tank.ChapterBook;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankDescription;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;

/**
 * What happened to a tank up to now.
 *
 * @param logged its whole days
 * @param settling how long its water takes to follow a change
 */
record TankHistory(
        Tank tank,
        Instant now,
        List<EventView> events,
        List<ChapterBook.Change> chapters,
        List<Calibration> calibrations,
        List<Trough> logged,
        Duration settling) {
    ZoneId zone() {
        return tank.home().zone();
    }

    LocalDate today() {
        return LocalDate.ofInstant(now, zone());
    }

    /** All changes that are over by now. */
    List<Step> steps() {
        return Step.of(events, chapters, calibrations, now);
    }

    Instant start(LocalDate day) {
        return day.atStartOfDay(zone()).toInstant();
    }

    /** As it was described at a moment, in its room as that is described. */
    String described(Instant t) {
        TankDescription then = chapters.stream()
                .filter(c -> c.at().isAfter(t))
                .map(ChapterBook.Change::was)
                .findFirst()
                .orElseGet(() -> TankService.described(tank));
        return then + " " + tank.room().volumeM3() + " " + tank.room().people() + " "
                + tank.room().airChangesPerH() + " " + tank.home().pressureHpa();
    }

    /** Events of which a part lies between two times. */
    List<EventView> between(Instant from, Instant until) {
        return events.stream()
                .filter(e -> e.at().isBefore(until) && !(e.until() == null ? e.at() : e.until()).isBefore(from))
                .toList();
    }

    /** Whether somebody said of a day that it tells nothing, or an experiment moved it. */
    boolean leftOut(LocalDate day) {
        Instant from = start(day);
        Instant until = start(day.plusDays(1));
        return events.stream().anyMatch(e -> e.excludes(from, until) || e.moved(from, until));
    }

    /** Whether something stood on the tank that no longer does, or the water was still on its way back from that. */
    boolean passing(LocalDate day) {
        return events.stream()
                .filter(e -> e.until() != null
                        && (e.measures() == null || !e.measures().isEmpty()))
                .anyMatch(e -> e.at().isBefore(start(day.plusDays(1)))
                        && e.until().plus(settling).isAfter(start(day)));
    }

    /** Whether a day that was logged closely, and counts, lies on each side. */
    boolean hasDays(Windows windows) {
        return hasDaysBefore(windows)
                && logged.stream().map(Trough::day).anyMatch(day -> windows.isAfter(day) && !leftOut(day));
    }

    private boolean hasDaysBefore(Windows windows) {
        return logged.stream().map(Trough::day).anyMatch(day -> windows.isBefore(day) && !leftOut(day));
    }

    /** When a step ends that has hours but no whole days to be compared by; null where it has days, or neither. */
    @Nullable
    Instant hoursEnd(Step step, Windows windows) {
        Instant next = windows.cutAfter() == null ? now : windows.cutAfter().at();
        Duration length = Duration.between(step.over(), next);
        boolean hours = length.compareTo(Trial.LEAST) >= 0 && length.compareTo(Trial.MOST) <= 0;
        return hours && hasDaysBefore(windows) && !hasDays(windows) ? next : null;
    }

    boolean calibratedBetween(Instant from, Instant until) {
        return calibrations.stream().anyMatch(c -> !c.at().isBefore(from) && !c.at().isAfter(until));
    }

    /**
     * For how many days the probe may have drifted unseen between two times: each calibration sets it right, so only up to
     * the nearest of them, and from there.
     */
    double daysOfDrift(Instant before, Instant after) {
        double between = days(before, after);
        return calibratedBetween(before, after)
                ? Math.min(between, Math.hypot(toNearest(before), toNearest(after)))
                : between;
    }

    private double toNearest(Instant t) {
        return calibrations.stream()
                .mapToDouble(c -> Math.abs(days(c.at(), t)))
                .min()
                .orElse(0);
    }

    static double days(Instant from, Instant until) {
        return Duration.between(from, until).toHours() / 24.0;
    }
}
