package jollytide.server.tank;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Shows and mends a tank's chapters. */
@Service
@Transactional
class ChapterService {
    private final TankService tanks;
    private final ChapterBook book;

    ChapterService(TankService tanks, ChapterBook book) {
        this.tanks = tanks;
        this.book = book;
    }

    /**
     * A time in which a tank was described in one way.
     *
     * @param id null for today's, which is mended where the tank is described
     * @param from null for the first
     * @param until null for today's
     * @param changed what became another with it; nothing for the first
     */
    record ChapterView(
            @Nullable UUID id,
            long version,
            @Nullable Instant from,
            @Nullable Instant until,
            List<TankPart> changed,
            TankDescription description) {}

    @Transactional(readOnly = true)
    public List<ChapterView> list(UUID keeperId, UUID tankId) {
        return views(tanks.tank(keeperId, tankId));
    }

    public List<ChapterView> mend(
            UUID keeperId,
            UUID tankId,
            UUID id,
            long version,
            @Nullable TankDescription description,
            @Nullable String until) {
        Tank tank = tanks.tank(keeperId, tankId);
        if (description != null) {
            TankService.unsaved(description);
        }
        book.mend(tank, id, version, description, until);
        return views(tank);
    }

    public List<ChapterView> join(UUID keeperId, UUID tankId, UUID id) {
        Tank tank = tanks.tank(keeperId, tankId);
        book.join(tank, id);
        return views(tank);
    }

    private List<ChapterView> views(Tank tank) {
        List<ChapterView> views = new ArrayList<>();
        TankDescription before = null;
        Instant from = null;
        for (EarlierDescription e : book.of(tank)) {
            views.add(new ChapterView(e.id, e.version, from, e.until, changed(before, e.description), e.description));
            before = e.description;
            from = e.until;
        }
        TankDescription now = TankService.described(tank);
        views.add(new ChapterView(null, tank.version, from, null, changed(before, now), now));
        return views;
    }

    private static List<TankPart> changed(@Nullable TankDescription before, TankDescription after) {
        return before == null ? List.of() : TankPart.changed(before, after);
    }
}
