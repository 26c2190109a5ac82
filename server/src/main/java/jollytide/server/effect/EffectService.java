package jollytide.server.effect;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.UUID;
import java.util.stream.Stream;
import jollytide.core.effects.ManyCards;
import jollytide.core.effects.Windows;
import jollytide.core.units.InputException;
import jollytide.server.effect.EffectViews.Beside;
import jollytide.server.effect.EffectViews.EffectCard;
import jollytide.server.effect.EffectViews.EffectsView;
import jollytide.server.effect.EffectViews.Found;
import jollytide.server.effect.EffectViews.Made;
import jollytide.server.measure.SetRequest;
import jollytide.server.measure.SetRequest.PutMeasure;
import jollytide.server.media.MediaService;
import jollytide.server.problem.Problem;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TankCosts;
import jollytide.server.twin.TwinBook;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What each change of a tank did. Nothing is computed while a connection is held. */
@Service
public class EffectService {
    private final TankService tanks;
    private final Histories histories;
    private final ReadingService readings;
    private final EffectMaker maker;
    private final EffectStore store;
    private final UseAfterSteps uses;
    private final MediaService media;
    private final Clock clock;
    /** Tanks, and fingerprints of cards. Whoever looks has a card made at once. */
    private final Resting resting = new Resting();

    EffectService(
            TankService tanks,
            Histories histories,
            ReadingService readings,
            EffectMaker maker,
            EffectStore store,
            UseAfterSteps uses,
            MediaService media,
            Clock clock) {
        this.tanks = tanks;
        this.histories = histories;
        this.readings = readings;
        this.maker = maker;
        this.store = store;
        this.uses = uses;
        this.media = media;
        this.clock = clock;
    }

    EffectsView all(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        Optional<ReadingService.Span> logged = readings.span(tank);
        if (logged.isEmpty()) {
            return new EffectsView(null, 0, List.of(), List.of());
        }
        TankHistory history = histories.of(tank);
        Map<String, Made> made = store.cards().of(tank.id());
        UseAfterSteps.Known known = uses.known(history);
        List<EffectCard> cards = compared(history).stream()
                .map(one -> card(known, one, made.get(one.fingerprint())))
                .toList();
        return new EffectsView(
                LocalDate.ofInstant(logged.get().from(), history.zone()),
                history.settling().toHours(),
                together(cards),
                history.logged());
    }

    /** One card, made if it is not yet. */
    EffectCard one(UUID keeperId, UUID tankId, Instant at) {
        TankHistory history = histories.of(tanks.tank(keeperId, tankId));
        Compared one = compared(history).stream()
                .filter(c -> c.step().at().equals(at))
                .findFirst()
                .orElseThrow(() -> Problem.notFound("change"));
        Made made = store.cards().of(history.tank().id()).get(one.fingerprint());
        return card(uses.known(history), one, made == null && comparable(history, one) ? made(history, one) : made);
    }

    /**
     * Any days beside any later ones, with all that changed between them as one card; not kept.
     *
     * @param until the last day that counts, {@code end} likewise
     */
    EffectCard between(UUID keeperId, UUID tankId, LocalDate from, LocalDate until, LocalDate after, LocalDate end) {
        TankHistory history = histories.of(tanks.tank(keeperId, tankId));
        Windows windows = Windows.between(from, until.plusDays(1), after, end.plusDays(1));
        if (!windows.end().isBefore(history.today().plusDays(1))) {
            throw new InputException(
                    "end",
                    (double) ChronoUnit.DAYS.between(history.today(), end),
                    "less than 0 days from today",
                    "We compare whole days only. The last one is "
                            + history.today().minusDays(1) + ".");
        }
        Instant then = history.start(windows.change());
        Instant over = history.start(windows.after());
        List<Step.StepChange> changes = history.steps().stream()
                .flatMap(step -> step.changes().stream())
                .filter(change -> !change.at().isBefore(then) && change.at().isBefore(over))
                .toList();
        boolean said = !changes.isEmpty() && new Step(changes).said();
        Found found = history.hasDays(windows) ? maker.between(history, windows, said) : null;
        List<Beside> beside = Stream.of(
                        beside(history, changes, history.start(windows.before()), then),
                        beside(history, changes, over, history.start(windows.end())))
                .flatMap(List::stream)
                .distinct()
                .toList();
        return new EffectCard(over, changes, windows, beside, false, found, null, null, null, null);
    }

    /** Makes one card that is missing, of whichever tank; false when none is. */
    public boolean makeOne() {
        Instant now = clock.instant();
        return tanks.allOfEverybody().stream().anyMatch(tank -> !resting.holds(tank.id(), now) && makeOne(tank, now));
    }

    boolean makeOne(Tank tank, Instant now) {
        TankHistory history = histories.of(tank);
        Map<String, Made> made = store.cards().of(tank.id());
        Optional<Compared> missing = compared(history).stream()
                .filter(one -> comparable(history, one) && !made.containsKey(one.fingerprint()))
                .filter(one -> !resting.holds(one.fingerprint(), now))
                .findFirst();
        Object rests = missing.<Object>map(Compared::fingerprint).orElse(tank.id());
        resting.from(rests, now);
        missing.ifPresent(one -> made(history, one));
        return missing.isPresent();
    }

    private Made made(TankHistory history, Compared one) {
        Made made = maker.made(history, one.step(), one.windows());
        store.cards().keep(history.tank().id(), one.step().at(), one.fingerprint(), made);
        return made;
    }

    private static boolean comparable(TankHistory history, Compared one) {
        return history.hasDays(one.windows()) || history.hoursEnd(one.step(), one.windows()) != null;
    }

    /** A step, the days that are compared for it, and a fingerprint of all that this rests on. */
    private record Compared(Step step, Windows windows, String fingerprint) {}

    private List<Compared> compared(TankHistory history) {
        SortedMap<Long, String> stamps = histories.stamps(history.tank());
        List<Step> steps = history.steps();
        return steps.stream()
                .map(step -> {
                    List<Windows.Edge> others = steps.stream()
                            .filter(other -> !other.equals(step) && other.moves())
                            .flatMap(other -> other.edges().stream())
                            .toList();
                    Windows windows = Windows.of(
                            step.at(), step.over(), others, history.settling(), history.today(), history.zone());
                    return new Compared(step, windows, fingerprint(history, step, windows, stamps));
                })
                .toList();
    }

    private String fingerprint(TankHistory history, Step step, Windows windows, SortedMap<Long, String> stamps) {
        Instant from = history.start(windows.before());
        Instant until = history.start(windows.end());
        return histories.fingerprint(
                history,
                List.of(step, windows, history.described(step.at()), history.described(step.over())),
                from,
                until,
                // Tests of alkalinity after its days say how that moved in them.
                Histories.within(stamps, from.minus(TwinBook.LOOKED_BACK), until.plus(TwinBook.LOOKED_BACK)));
    }

    private EffectCard card(UseAfterSteps.Known known, Compared one, @Nullable Made made) {
        TankHistory history = known.history();
        Windows windows = one.windows();
        Found found = made == null ? null : made.days();
        List<Beside> beside =
                beside(history, one.step().changes(), history.start(windows.before()), history.start(windows.end()));
        return new EffectCard(
                one.step().at(),
                one.step().changes(),
                windows,
                beside,
                made == null && comparable(history, one),
                found,
                made == null ? null : made.hours(),
                found == null ? null : uses.of(known, one.step(), found),
                perMonth(known, one.step()),
                null);
    }

    private @Nullable Double perMonth(UseAfterSteps.Known known, Step step) {
        List<PutMeasure> began = step.changes().stream()
                .filter(change -> change.what() == Step.What.BEGAN && change.measures() != null)
                .flatMap(change -> change.measures().stream())
                .toList();
        Tank tank = known.history().tank();
        return began.isEmpty()
                ? null
                : TankCosts.perMonth(tank, known.setup(), new SetRequest(began), media.lasted(tank, step.at()));
    }

    private static List<Beside> beside(
            TankHistory history, List<Step.StepChange> changes, Instant from, Instant until) {
        return history.between(from, until).stream()
                .filter(e -> changes.stream().noneMatch(c -> e.id().equals(c.eventId())))
                .map(e -> new Beside(e.id(), e.title(), e.at(), e.until(), e.excludesDays()))
                .toList();
    }

    /** Which of the claimed ones stand when all are counted. */
    private static List<EffectCard> together(List<EffectCard> cards) {
        List<Found> found = cards.stream()
                .map(EffectCard::found)
                .filter(Objects::nonNull)
                .filter(f -> f.effect().trough().left().low() != null)
                .toList();
        List<Boolean> stand = ManyCards.stand(
                found.stream().map(f -> f.effect().trough().chance()).toList());
        return cards.stream()
                .map(c -> {
                    int i = found.indexOf(c.found());
                    boolean claimed =
                            i >= 0 && found.get(i).effect().trough().left().claimed();
                    return claimed ? c.standing(stand.get(i)) : c;
                })
                .toList();
    }
}
