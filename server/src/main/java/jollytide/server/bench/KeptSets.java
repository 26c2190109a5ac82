package jollytide.server.bench;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.core.media.MediaAssumptions;
import jollytide.server.problem.Problem;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sets of remedies that a keeper kept. */
@Service
@Transactional
class KeptSets {
    private final BenchSets sets;
    private final TankService tanks;
    private final TwinBook book;
    private final Clock clock;

    KeptSets(BenchSets sets, TankService tanks, TwinBook book, Clock clock) {
        this.sets = sets;
        this.tanks = tanks;
        this.book = book;
        this.clock = clock;
    }

    record KeptSet(UUID id, String name, Variant variant, Instant keptAt) {}

    @Transactional(readOnly = true)
    List<KeptSet> list(UUID keeperId, UUID tankId) {
        return sets.findByTankIdOrderByName(tanks.tank(keeperId, tankId).id()).stream()
                .map(KeptSets::view)
                .toList();
    }

    KeptSet keep(UUID keeperId, UUID tankId, String name, Variant variant) {
        Tank tank = tanks.tank(keeperId, tankId);
        new VariantReader(book.setup(tank), tank.room().volumeM3(), MediaAssumptions.DEFAULT).read(variant);
        BenchSet set = sets.findByTankIdAndName(tank.id(), name.strip()).orElseGet(() -> {
            BenchSet fresh = new BenchSet();
            fresh.id = UUID.randomUUID();
            fresh.tankId = tank.id();
            fresh.name = name.strip();
            return fresh;
        });
        set.variant = variant;
        set.keptAt = clock.instant();
        return view(sets.save(set));
    }

    void drop(UUID keeperId, UUID tankId, UUID id) {
        Tank tank = tanks.tank(keeperId, tankId);
        sets.delete(sets.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("set")));
    }

    private static KeptSet view(BenchSet set) {
        return new KeptSet(set.id, set.name, set.variant, set.keptAt);
    }
}
