package jollytide.server.twin;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.server.measure.SetRequest;
import jollytide.server.measure.SetRequest.PutMeasure;
import jollytide.server.problem.Problem;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Sets of measures that a keeper kept. */
@Service
@Transactional
class KeptSets {
    private static final int VERSION = 2;

    private final BenchSets sets;
    private final TankService tanks;
    private final TwinBook book;
    private final JsonMapper json;
    private final Clock clock;

    KeptSets(BenchSets sets, TankService tanks, TwinBook book, JsonMapper json, Clock clock) {
        this.json = json;
        this.sets = sets;
        this.tanks = tanks;
        this.book = book;
        this.clock = clock;
    }

    record KeptSet(UUID id, String name, List<PutMeasure> measures, Instant keptAt) {}

    @Transactional(readOnly = true)
    List<KeptSet> list(UUID keeperId, UUID tankId) {
        return sets.findByTankIdOrderByName(tanks.tank(keeperId, tankId).id()).stream()
                .map(this::view)
                .toList();
    }

    KeptSet keep(UUID keeperId, UUID tankId, String name, SetRequest asked) {
        Tank tank = tanks.tank(keeperId, tankId);
        asked.on(book.surroundings(tank));
        BenchSet set = sets.findByTankIdAndName(tank.id(), name.strip()).orElseGet(() -> {
            BenchSet fresh = new BenchSet();
            fresh.id = UUID.randomUUID();
            fresh.tankId = tank.id();
            fresh.name = name.strip();
            return fresh;
        });
        set.variant = json.convertValue(asked, new TypeReference<>() {});
        set.version = VERSION;
        set.keptAt = clock.instant();
        return view(sets.save(set));
    }

    void drop(UUID keeperId, UUID tankId, UUID id) {
        Tank tank = tanks.tank(keeperId, tankId);
        sets.delete(sets.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("set")));
    }

    private KeptSet view(BenchSet set) {
        JsonNode document = json.valueToTree(set.variant);
        SetRequest kept = set.version == 1 ? FirstSets.read(document) : json.treeToValue(document, SetRequest.class);
        return new KeptSet(set.id, set.name, kept.measures(), set.keptAt);
    }
}
