package jollytide.server.tank;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import jollytide.server.home.LocalTimes;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Tanks as they were described in earlier times. */
@Component
@Transactional
public class ChapterBook {
    /** More changes than anybody describes in years; each is read with every forecast. */
    private static final int MOST = 200;

    private final EarlierDescriptions earlier;
    private final JsonMapper json;
    private final Clock clock;

    ChapterBook(EarlierDescriptions earlier, JsonMapper json, Clock clock) {
        this.earlier = earlier;
        this.json = json;
        this.clock = clock;
    }

    /** From which tank is described, up to when; the last one's end is null. */
    public record Stretch(
            Tank tank, @Nullable Instant from, @Nullable Instant until) {}

    /** The tank through its log, from the first description to today's. */
    @Transactional(readOnly = true)
    public List<Stretch> stretches(Tank tank) {
        return Objects.requireNonNull(stretches(List.of(tank)).get(tank.id()));
    }

    /** Of several tanks, by tank. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Stretch>> stretches(List<Tank> tanks) {
        Map<UUID, List<EarlierDescription>> all =
                earlier.findByTankIdInOrderByUntil(tanks.stream().map(Tank::id).toList()).stream()
                        .collect(Collectors.groupingBy(e -> e.tankId));
        return tanks.stream()
                .collect(Collectors.toMap(Tank::id, tank -> stretches(tank, all.getOrDefault(tank.id(), List.of()))));
    }

    private static List<Stretch> stretches(Tank tank, List<EarlierDescription> before) {
        List<Stretch> all = new ArrayList<>();
        Instant from = null;
        for (EarlierDescription e : before) {
            all.add(new Stretch(TankService.as(tank, e.description), from, e.until));
            from = e.until;
        }
        all.add(new Stretch(tank, from, null));
        return all;
    }

    /** The tank as it was described at a moment, and since when; null since the beginning. */
    @Transactional(readOnly = true)
    public Stretch at(Tank tank, Instant t) {
        return stretches(tank).stream()
                .filter(s -> s.until() == null || s.until().isAfter(t))
                .findFirst()
                .orElseThrow();
    }

    /** When a tank became another, in what, and what it was until then. */
    public record Change(Instant at, List<TankPart> parts, TankDescription was) {}

    /** Each beginning of a chapter but the first, in their order. */
    @Transactional(readOnly = true)
    public List<Change> changes(Tank tank) {
        List<Change> changes = new ArrayList<>();
        List<EarlierDescription> before = of(tank);
        for (int i = 0; i < before.size(); i++) {
            TankDescription next = i + 1 < before.size() ? before.get(i + 1).description : TankService.described(tank);
            TankDescription was = before.get(i).description;
            changes.add(new Change(before.get(i).until, TankPart.changed(was, next), was));
        }
        return changes;
    }

    List<EarlierDescription> of(Tank tank) {
        return earlier.findByTankIdInOrderByUntil(List.of(tank.id()));
    }

    /**
     * Notes that a tank is described otherwise from now on: as a change at a time, or as a mistake that was always one.
     *
     * @param since when it changed; null when it never was as it was described
     */
    void edited(Tank tank, TankDescription before, TankDescription after, @Nullable String since) {
        List<EarlierDescription> all = of(tank);
        if (since == null) {
            correct(all, before, after);
            joinAlike(all, after);
            return;
        }
        if (TankPart.changed(before, after).isEmpty()) {
            return;
        }
        Instant at = LocalTimes.resolve("since", since, tank.home().zone(), clock.instant());
        EarlierDescription last = all.isEmpty() ? null : all.get(all.size() - 1);
        if (last != null && !at.isAfter(last.until)) {
            throw Problem.refused(new FieldError(
                    "since",
                    since,
                    "later than " + last.until,
                    "The tank changed again after that. Correct that chapter in History, or enter when this "
                            + "one started."));
        }
        if (all.size() >= MOST) {
            throw Problem.refused(new FieldError(
                    "since", since, "at most " + MOST + " chapters", "A tank can have at most " + MOST + " chapters."));
        }
        EarlierDescription old = new EarlierDescription();
        old.id = UUID.randomUUID();
        old.tankId = tank.id();
        old.until = at;
        old.description = before;
        earlier.save(old);
    }

    /** From the newest back, as far as they said the same. */
    private void correct(List<EarlierDescription> all, TankDescription before, TankDescription after) {
        JsonNode wrong = json.valueToTree(before);
        JsonNode right = json.valueToTree(after);
        List<EarlierDescription> back = new ArrayList<>(all);
        Collections.reverse(back);
        for (EarlierDescription e : back) {
            JsonNode was = json.valueToTree(e.description);
            JsonNode mended = Correction.carried(was, wrong, right);
            e.description = json.treeToValue(mended, TankDescription.class);
            wrong = was;
            right = mended;
        }
    }

    /** A chapter that is described like the next one is none: a change was taken back. */
    private void joinAlike(List<EarlierDescription> all, TankDescription now) {
        TankDescription next = now;
        for (int i = all.size() - 1; i >= 0; i--) {
            EarlierDescription one = all.get(i);
            if (TankPart.changed(one.description, next).isEmpty()) {
                earlier.delete(one);
            }
            next = one.description;
        }
    }

    /** A chapter's end is moved, or what was described of it is mended. */
    void mend(Tank tank, UUID id, long version, @Nullable TankDescription description, @Nullable String until) {
        List<EarlierDescription> all = of(tank);
        EarlierDescription one =
                all.stream().filter(e -> e.id.equals(id)).findFirst().orElseThrow(() -> Problem.notFound("chapter"));
        if (one.version != version) {
            throw Problem.savedElsewhere(one.description);
        }
        if (description != null) {
            one.description = description.over(one.description);
        }
        if (until != null) {
            move(tank, all, all.indexOf(one), until);
        }
        joinAlike(all, TankService.described(tank));
        earlier.flush();
    }

    private void move(Tank tank, List<EarlierDescription> all, int i, String until) {
        Instant at = LocalTimes.resolve("until", until, tank.home().zone(), clock.instant());
        if (i > 0 && !at.isAfter(all.get(i - 1).until)) {
            throw Problem.refused(new FieldError(
                    "until",
                    until,
                    "later than " + all.get(i - 1).until,
                    "This chapter would end before it starts. A chapter starts where the one before ends."));
        }
        if (i + 1 < all.size() && !at.isBefore(all.get(i + 1).until)) {
            throw Problem.refused(new FieldError(
                    "until",
                    until,
                    "earlier than " + all.get(i + 1).until,
                    "The next chapter would end before it starts."));
        }
        all.get(i).until = at;
    }

    /** It was no change: its time goes to the chapter that follows it. */
    void join(Tank tank, UUID id) {
        earlier.delete(earlier.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("chapter")));
    }
}
