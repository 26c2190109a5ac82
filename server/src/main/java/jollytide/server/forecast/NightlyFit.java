package jollytide.server.forecast;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.DayAhead;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.scenario.OrdinaryDays.SettledDay;
import jollytide.server.effect.EffectService;
import jollytide.server.effect.SuspectService;
import jollytide.server.effect.UnnotedService;
import jollytide.server.experiment.ExperimentService;
import jollytide.server.reading.ReadingService;
import jollytide.server.setup.Settings;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Fits each tank after its midnight and keeps what that forecasts of the day. Days of the last fortnight that have none
 * are made up for, one at a time, so that the machine stays free for people: from readings before the day, with the
 * calibrations, chapters and events that are known now. Experiments whose way back is over come first, cards of what
 * changes did and changes that nobody noted come last.
 */
@Component
class NightlyFit {
    private static final Logger LOG = LoggerFactory.getLogger(NightlyFit.class);
    private static final int DAYS_BACK = 14;
    private static final int FIRST_AFTER_S = 90;
    private static final int THEN_EVERY_S = 60;

    private final TankService tanks;
    private final ReadingService readings;
    private final TwinBook book;
    private final DayForecasts kept;
    private final ExperimentService experiments;
    private final EffectService effects;
    private final UnnotedService unnoted;
    private final SuspectService suspects;
    private final Settings settings;
    private final Clock clock;
    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread t = new Thread(task, "nightly-fit");
        t.setDaemon(true);
        return t;
    });

    NightlyFit(
            TankService tanks,
            ReadingService readings,
            TwinBook book,
            DayForecasts kept,
            ExperimentService experiments,
            EffectService effects,
            UnnotedService unnoted,
            SuspectService suspects,
            Settings settings,
            Clock clock) {
        this.tanks = tanks;
        this.readings = readings;
        this.book = book;
        this.kept = kept;
        this.experiments = experiments;
        this.effects = effects;
        this.unnoted = unnoted;
        this.suspects = suspects;
        this.settings = settings;
        this.clock = clock;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (settings.nightly()) {
            var unused = thread.scheduleWithFixedDelay(this::quietly, FIRST_AFTER_S, THEN_EVERY_S, TimeUnit.SECONDS);
        }
    }

    @PreDestroy
    void end() {
        thread.shutdownNow();
    }

    /** What fails in one kind of work holds up no other. */
    private void quietly() {
        for (BooleanSupplier work : List.<BooleanSupplier>of(
                experiments::settleOne, this::next, suspects::makeOne, effects::makeOne, unnoted::searchOne)) {
            if (quietly(work)) {
                return;
            }
        }
    }

    private static boolean quietly(BooleanSupplier work) {
        try {
            return work.getAsBoolean();
        } catch (DataAccessException | TransactionException away) {
            LOG.warn("a fit waits for the database: {}", away.getMessage());
        } catch (RuntimeException failed) {
            LOG.warn("a fit could not be made", failed);
        }
        return false;
    }

    private record Task(Tank tank, LocalDate day) {}

    /** The next day that has no forecast, today before the days that were; false when there is none. */
    boolean next() {
        Optional<Task> task = task();
        task.ifPresent(this::make);
        return task.isPresent();
    }

    private Optional<Task> task() {
        return tanks.allOfEverybody().stream()
                .flatMap(this::missing)
                .sorted(Comparator.comparing(Task::day).reversed())
                .filter(task -> kept.claim(task.tank().id(), task.day()))
                .findFirst();
    }

    /** Days of a tank that have no forecast and before which something was logged. */
    private Stream<Task> missing(Tank tank) {
        ZoneId zone = tank.home().zone();
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        Optional<ReadingService.Span> logged = readings.span(tank);
        if (logged.isEmpty()) {
            return Stream.of();
        }
        LocalDate first = LocalDate.ofInstant(logged.get().from(), zone);
        Set<LocalDate> done = kept.days(tank.id(), today.minusDays(DAYS_BACK));
        return IntStream.rangeClosed(0, DAYS_BACK)
                .mapToObj(today::minusDays)
                .filter(day -> day.isAfter(first) && !done.contains(day))
                .map(day -> new Task(tank, day));
    }

    private void make(Task task) {
        Tank tank = task.tank();
        ZoneId zone = tank.home().zone();
        Instant midnight = task.day().atStartOfDay(zone).toInstant();
        boolean today = task.day().equals(LocalDate.ofInstant(clock.instant(), zone));
        // Today's is the fit that every screen shows: it is kept for them, too.
        TwinBook.Described then = today ? book.describe(tank) : book.describe(tank, midnight);
        if (!then.fitted()) {
            kept.keep(tank.id(), task.day(), null, null);
            return;
        }
        List<SettledDay> ordinary = then.tanks().stream()
                .map(living -> OrdinaryDays.settled(book.ordinary(then.setup(), living, then.start())))
                .toList();
        Estimate trough =
                OrdinaryDays.band(ordinary.stream().map(SettledDay::troughPh).toList());
        Estimate peak =
                OrdinaryDays.band(ordinary.stream().map(SettledDay::peakPh).toList());
        kept.keep(tank.id(), task.day(), DayAhead.of(trough, then.troughs()), DayAhead.of(peak, then.peaks()));
    }
}
