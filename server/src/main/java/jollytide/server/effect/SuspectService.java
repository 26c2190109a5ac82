package jollytide.server.effect;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import jollytide.core.reef.Stance;
import jollytide.core.suspects.Check;
import jollytide.core.suspects.Evidence;
import jollytide.core.suspects.Family;
import jollytide.core.suspects.Given;
import jollytide.core.suspects.Inquiry;
import jollytide.core.suspects.Ranking;
import jollytide.core.suspects.Suspect;
import jollytide.core.suspects.Suspicion;
import jollytide.core.units.InputException;
import jollytide.server.effect.EffectStore.Checked;
import jollytide.server.effect.EffectViews.Trough;
import jollytide.server.effect.SuspectViews.CheckView;
import jollytide.server.effect.SuspectViews.DoneView;
import jollytide.server.effect.SuspectViews.FamilyView;
import jollytide.server.effect.SuspectViews.MeaningView;
import jollytide.server.effect.SuspectViews.Steady;
import jollytide.server.effect.SuspectViews.SuspectView;
import jollytide.server.effect.SuspectViews.SuspectsView;
import jollytide.server.event.EventKind;
import jollytide.server.event.EventView;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Why pH is low: the evidence of whole days is made once a day, what was checked counts at once. */
@Service
public class SuspectService {
    private static final int FORTNIGHT = 14;
    private static final int WEEK = 7;
    /** Whole days since it became low, before anything can be said. */
    private static final int LEAST_DAYS = 2;
    /** So long ago nobody remembers; what changed then is with the effects. */
    private static final int MOST_DAYS = 120;

    /** Of whom something of the kind was noted. */
    private static final Map<EventKind, Set<Suspect>> OF_THE_KIND = new EnumMap<>(Map.of(
            EventKind.PEOPLE, EnumSet.of(Suspect.ROOM),
            EventKind.SEASON, EnumSet.of(Suspect.ROOM),
            EventKind.SMOKE, EnumSet.of(Suspect.ROOM, Suspect.FOUL_INTAKE),
            EventKind.MAINTENANCE, EnumSet.of(Suspect.WATER_CHANGE)));

    private final TankService tanks;
    private final Histories histories;
    private final TwinBook book;
    private final EffectStore store;
    private final Clock clock;
    private final Resting resting = new Resting();

    SuspectService(TankService tanks, Histories histories, TwinBook book, EffectStore store, Clock clock) {
        this.tanks = tanks;
        this.histories = histories;
        this.book = book;
        this.store = store;
        this.clock = clock;
    }

    /**
     * @param since from when on it is low; null where that is to be looked for in the last fortnight
     * @throws InputException when that day is not one of which anything can be said
     */
    SuspectsView suspects(UUID keeperId, UUID tankId, @Nullable LocalDate since) {
        TankHistory history = histories.of(tanks.tank(keeperId, tankId));
        LocalDate earliest = history.today().minusDays(MOST_DAYS);
        LocalDate latest = history.today().minusDays(LEAST_DAYS);
        if (since != null && (since.isBefore(earliest) || since.isAfter(latest))) {
            throw new InputException(
                    "since",
                    ChronoUnit.DAYS.between(since, history.today()),
                    earliest + " to " + latest,
                    "Choose a day two or more whole days ago, but not more than " + MOST_DAYS + ".");
        }
        Days days = Days.of(history, since);
        Evidence evidence = evidence(history, days);
        List<Checked> checked = store.checked(tankId, history.start(days.first()));
        Ranking ranking =
                Ranking.of(evidence, checked.stream().map(Checked::given).toList());
        return new SuspectsView(
                since,
                earliest,
                latest,
                ranking.daysCompared(),
                steady(history),
                families(ranking),
                ranking.next().stream().map(SuspectService::view).toList(),
                checked.stream().map(SuspectService::view).toList());
    }

    /** Of one tank for which today's is not made yet, of whoever it is; false when all are. */
    public boolean makeOne() {
        Instant now = clock.instant();
        return tanks.allOfEverybody().stream().anyMatch(tank -> !resting.holds(tank.id(), now) && makeOne(tank, now));
    }

    boolean makeOne(Tank tank, Instant now) {
        resting.from(tank.id(), now);
        TankHistory history = histories.of(tank);
        Days days = Days.of(history, null);
        boolean missing = !store.evidence().of(tank.id()).containsKey(fingerprint(history, days));
        if (missing) {
            evidence(history, days);
        }
        return missing;
    }

    private Evidence evidence(TankHistory history, Days days) {
        UUID tank = history.tank().id();
        String fingerprint = fingerprint(history, days);
        Evidence kept = store.evidence().of(tank).get(fingerprint);
        if (kept != null) {
            return kept;
        }
        Evidence made = Evidence.of(inquiry(history, days));
        store.evidence().keep(tank, days.kept(history), fingerprint, made);
        return made;
    }

    void check(UUID keeperId, UUID tankId, Check check, int answer) {
        Tank tank = tanks.tank(keeperId, tankId);
        store.check(tank.id(), new Checked(new Given(check, answer), clock.instant()));
    }

    void uncheck(UUID keeperId, UUID tankId, Check check) {
        store.uncheck(tanks.tank(keeperId, tankId).id(), check);
    }

    /**
     * Which days are compared.
     *
     * @param until the first that no longer is
     * @param first on which it may have become low
     */
    private record Days(
            LocalDate from,
            LocalDate until,
            LocalDate first,
            @Nullable LocalDate since) {
        static Days of(TankHistory history, @Nullable LocalDate since) {
            LocalDate today = history.today();
            LocalDate first = since == null ? today.minusDays(Inquiry.LOOKED_BACK_DAYS) : since;
            LocalDate end =
                    since == null || since.plusDays(FORTNIGHT).isAfter(today) ? today : since.plusDays(FORTNIGHT);
            // The first day of a run tells nothing.
            return new Days(first.minusDays(FORTNIGHT + 1), end, first, since);
        }

        /** One row for each question that was asked. */
        Instant kept(TankHistory history) {
            return since == null ? Instant.EPOCH : history.start(since);
        }
    }

    /** Of whole days alone: what is read today changes nothing. */
    private String fingerprint(TankHistory history, Days days) {
        Instant from = history.start(days.from());
        Instant until = history.start(days.until());
        return histories.fingerprint(
                history,
                Arrays.asList("suspects", days, history.described(until)),
                from,
                until,
                Histories.within(histories.stamps(history.tank()), from.minus(TwinBook.LOOKED_BACK), until));
    }

    private Inquiry inquiry(TankHistory history, Days days) {
        Tank tank = history.tank();
        Instant until = history.start(days.until());
        TwinBook.Described as = book.describe(tank, until);
        // What is known of the tank before must be of before, and nobody knows the day better.
        Instant changed = history.start(days.first().minusDays(Inquiry.ABOUT_DAYS));
        return new Inquiry(
                book.loggedAsItWas(tank, history.start(days.from()), until),
                as.setup(),
                book.describe(tank, changed).fittedTank(),
                days.since() == null ? as.fittedTank() : null,
                history.zone(),
                days.until(),
                days.since(),
                day -> history.leftOut(day) || history.passing(day),
                noted(history, changed, until),
                calibratedDaysAgo(history, until));
    }

    private static Set<Suspect> noted(TankHistory history, Instant from, Instant until) {
        Set<Suspect> noted = EnumSet.noneOf(Suspect.class);
        history.between(from, until).stream()
                .map(EventView::kind)
                .forEach(kind -> noted.addAll(OF_THE_KIND.getOrDefault(kind, Set.of())));
        return noted;
    }

    private static @Nullable Long calibratedDaysAgo(TankHistory history, Instant until) {
        return history.calibrations().stream()
                .map(c -> c.at())
                .filter(at -> at.isBefore(until))
                .max(Comparator.naturalOrder())
                .map(at -> Duration.between(at, until).toDays())
                .orElse(null);
    }

    private static @Nullable Steady steady(TankHistory history) {
        List<Trough> week = history.logged().stream()
                .filter(t -> !t.day().isBefore(history.today().minusDays(WEEK))
                        && t.day().isBefore(history.today()))
                .toList();
        if (week.isEmpty()) {
            return null;
        }
        Stance stance = history.tank().stance();
        double line = stance == Stance.STEADY
                ? history.tank().band().actBelow()
                : history.tank().band().troughAtLeast();
        return new Steady(
                stance,
                week.size(),
                (int) week.stream().filter(t -> t.ph() >= line).count(),
                line);
    }

    private static List<FamilyView> families(Ranking ranking) {
        Map<Family, List<Suspicion>> byFamily = new LinkedHashMap<>();
        ranking.suspicions()
                .forEach(s -> byFamily.computeIfAbsent(s.suspect().family(), f -> new ArrayList<>())
                        .add(s));
        return byFamily.entrySet().stream()
                .map(e -> new FamilyView(
                        e.getKey(),
                        e.getKey().label(),
                        e.getValue().stream().mapToDouble(Suspicion::share).sum(),
                        e.getValue().stream().map(SuspectService::view).toList()))
                .toList();
    }

    private static SuspectView view(Suspicion s) {
        return new SuspectView(s.suspect(), s.suspect().title(), s.share(), s.needs(), s.since(), s.grounds());
    }

    private static CheckView view(Ranking.Next next) {
        Check check = next.check();
        return new CheckView(
                check,
                check.how(),
                check.effort(),
                next.answers().stream()
                        .map(a -> new MeaningView(
                                a.answer(), a.words(), a.probability(), a.then().title(), a.share()))
                        .toList());
    }

    private static DoneView view(Checked done) {
        Check check = done.given().check();
        return new DoneView(
                check,
                check.how(),
                done.given().answer(),
                check.answers().stream().map(Check.Answer::words).toList(),
                done.at());
    }
}
