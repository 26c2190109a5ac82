package jollytide.server.effect;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.UUID;
import java.util.stream.Stream;
import jollytide.core.fit.TankLog;
import jollytide.core.unnoted.Cause;
import jollytide.core.unnoted.ChangeSearch;
import jollytide.core.unnoted.Unnoted;
import jollytide.server.effect.EffectStore.Dismissed;
import jollytide.server.effect.UnnotedViews.Searched;
import jollytide.server.effect.UnnotedViews.UnnotedChange;
import jollytide.server.effect.UnnotedViews.UnnotedView;
import jollytide.server.problem.Problem;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook;
import org.springframework.stereotype.Service;

/** Changes that a log shows and nobody noted. Nothing is computed while a connection is held. */
@Service
public class UnnotedService {
    /** A search anew may find the same change a day or two earlier or later. */
    private static final int SAME_DAYS = 4;

    private final TankService tanks;
    private final Histories histories;
    private final TwinBook book;
    private final EffectStore store;
    private final Clock clock;
    /** Tanks, and fingerprints of searches. Whoever looks has a stretch searched at once. */
    private final Resting resting = new Resting();

    UnnotedService(TankService tanks, Histories histories, TwinBook book, EffectStore store, Clock clock) {
        this.tanks = tanks;
        this.histories = histories;
        this.book = book;
        this.store = store;
        this.clock = clock;
    }

    /** A stretch and a fingerprint of all that its search rests on. */
    private record Search(QuietStretch stretch, String fingerprint) {}

    /** What is found of a tank by now, after one more stretch was searched where one was not yet. */
    UnnotedView searched(UUID keeperId, UUID tankId) {
        TankHistory history = histories.of(tanks.tank(keeperId, tankId));
        List<Search> all = searches(history);
        missing(history, all).stream().findFirst().ifPresent(one -> search(history, one));
        Map<String, Searched> done = store.searches().of(tankId);
        List<Dismissed> dismissed = store.dismissed(tankId);
        List<Searched> made = made(all, done);
        return new UnnotedView(
                all.size(),
                made.size(),
                (int) made.stream().filter(one -> one.found() == null).count(),
                once(made).stream()
                        .map(one -> new UnnotedChange(one, dismissed.stream().anyMatch(d -> same(one, d))))
                        .toList());
    }

    private static List<Searched> made(List<Search> all, Map<String, Searched> done) {
        return all.stream()
                .flatMap(one -> Optional.ofNullable(done.get(one.fingerprint())).stream())
                .toList();
    }

    /** Searches one stretch that is not yet, of whichever tank; false when all are. */
    public boolean searchOne() {
        Instant now = clock.instant();
        return tanks.allOfEverybody().stream().anyMatch(tank -> !resting.holds(tank.id(), now) && searchOne(tank, now));
    }

    private boolean searchOne(Tank tank, Instant now) {
        TankHistory history = histories.of(tank);
        Optional<Search> missing = missing(history, searches(history)).stream()
                .filter(one -> !resting.holds(one.fingerprint(), now))
                .findFirst();
        resting.from(missing.<Object>map(Search::fingerprint).orElse(tank.id()), now);
        missing.ifPresent(one -> search(history, one));
        return missing.isPresent();
    }

    /** Only of what was found: nobody fills the table with days of their own. */
    void dismiss(UUID keeperId, UUID tankId, LocalDate from, Cause cause) {
        Dismissed one = new Dismissed(from, cause);
        TankHistory history = histories.of(tanks.tank(keeperId, tankId));
        List<Searched> made = made(searches(history), store.searches().of(tankId));
        if (once(made).stream().noneMatch(found -> same(found, one))) {
            throw Problem.notFound("change");
        }
        store.dismiss(tankId, one);
    }

    void takeBack(UUID keeperId, UUID tankId, LocalDate from, Cause cause) {
        Tank tank = tanks.tank(keeperId, tankId);
        store.dismissed(tank.id()).stream()
                .filter(d -> d.cause() == cause && near(d.from(), from))
                .forEach(d -> store.takeBack(tank.id(), d));
    }

    /** The days from which the log shows something to be less, whether it was noted since or not; not what is nothing. */
    public List<LocalDate> shown(Tank tank, Cause cause) {
        List<Dismissed> nothing = store.dismissed(tank.id());
        return store.shown(tank.id(), cause).stream()
                .filter(day -> nothing.stream().noneMatch(d -> d.cause() == cause && near(d.from(), day)))
                .toList();
    }

    private List<Search> searches(TankHistory history) {
        SortedMap<Long, String> stamps = histories.stamps(history.tank());
        return QuietStretch.of(history).stream()
                .map(stretch -> new Search(
                        stretch,
                        histories.fingerprint(
                                history,
                                List.of(stretch, history.described(stretch.end(history))),
                                stretch.start(history),
                                stretch.end(history),
                                Histories.within(
                                        stamps,
                                        stretch.start(history).minus(TwinBook.LOOKED_BACK),
                                        stretch.end(history)))))
                .toList();
    }

    /** The newest first. */
    private List<Search> missing(TankHistory history, List<Search> all) {
        Map<String, Searched> done = store.searches().of(history.tank().id());
        return all.stream()
                .sorted(Comparator.comparing((Search s) -> s.stretch().until()).reversed())
                .filter(one -> !done.containsKey(one.fingerprint()))
                .toList();
    }

    private void search(TankHistory history, Search one) {
        Tank tank = history.tank();
        QuietStretch stretch = one.stretch();
        TwinBook.Described as = book.describe(tank, stretch.end(history));
        TankLog log = book.logged(tank, as, stretch.start(history), stretch.end(history));
        List<Unnoted> found = ChangeSearch.of(
                log, as.setup(), then -> book.describe(tank, then).fittedTank(), history::leftOut, history.zone());
        // Where no plausible tank is behind it nothing is known: what was shown before stays.
        if (found != null) {
            QuietStretch middle = stretch.middle(history.today());
            store.show(
                    tank.id(),
                    middle.from(),
                    middle.until(),
                    found.stream().filter(Unnoted::less).toList());
        }
        store.searches().keep(tank.id(), stretch.start(history), one.fingerprint(), new Searched(found));
    }

    /** What two pieces of a stretch both show is one change. */
    private static List<Unnoted> once(List<Searched> all) {
        List<Unnoted> kept = new ArrayList<>();
        all.stream()
                .flatMap(searched -> Stream.ofNullable(searched.found()).flatMap(List::stream))
                .sorted(Comparator.comparingDouble(Unnoted::evidence).reversed())
                .filter(one -> kept.stream().noneMatch(other -> near(one.from(), other.from())))
                .forEach(kept::add);
        return kept.stream().sorted(Comparator.comparing(Unnoted::from)).toList();
    }

    private static boolean same(Unnoted one, Dismissed other) {
        return one.cause() == other.cause() && near(one.from(), other.from());
    }

    private static boolean near(LocalDate one, LocalDate other) {
        return Math.abs(ChronoUnit.DAYS.between(one, other)) <= SAME_DAYS;
    }
}
