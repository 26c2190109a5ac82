package jollytide.server.twin;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.event.EventService;
import jollytide.server.reading.LogSnapshots;
import jollytide.server.tank.ChapterBook;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** What was found of a tank outlives the process that found it, and not what it was found from. */
class FitStoreTest extends ServerTest {
    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private TankService tanks;

    @Autowired
    private LogSnapshots log;

    @Autowired
    private EventService events;

    @Autowired
    private ChapterBook chapters;

    @Autowired
    private Dosed dosed;

    @Autowired
    private FitStore store;

    @Autowired
    private Clock clock;

    /** A keeper's tank as another start would describe it: with nothing in memory. */
    private TwinBook.Described anotherStart(Tank tank) {
        return new TwinBook(log, events, chapters, dosed, store, clock).describe(tank);
    }

    private Map<String, Object> row(UUID tank) {
        return jdbc.queryForMap("select fingerprint, made_at from twin_fit where tank_id = ?", tank.toString());
    }

    private Tank tank(UUID id) {
        UUID keeper = UUID.fromString(jdbc.queryForObject(
                "select h.keeper_id from home h join room r on r.home_id = h.id join tank t on t.room_id = r.id"
                        + " where t.id = ?",
                String.class,
                id.toString()));
        return tanks.tank(keeper, id);
    }

    private Tank lanternReef(Visitor visitor) {
        visitor.post("/session/demo", "");
        return tank(UUID.fromString(BenchTest.tank(visitor, "Lantern Reef").substring("/tanks/".length())));
    }

    @Test
    void anotherStartFindsWhatWasFound() {
        Tank tank = lanternReef(visitor());
        TwinBook.Described first = anotherStart(tank);
        Map<String, Object> kept = row(tank.id());
        TwinBook.Described second = anotherStart(tank);
        assertThat(row(tank.id())).isEqualTo(kept);
        assertThat(second.tanks()).isEqualTo(first.tanks()).hasSize(7);
        assertThat(second.fit().tank().learned()).isEqualTo(first.fit().tank().learned());
        assertThat(second.fit().tank().left()).isEqualTo(first.fit().tank().left());
        assertThat(second.fitted()).isTrue();
    }

    @Test
    void whatCannotBeReadIsMadeAnew() {
        Tank tank = lanternReef(visitor());
        List<?> before = anotherStart(tank).tanks();
        jdbc.update(
                "update twin_fit set document = '{\"tanks\":7}' where tank_id = ?",
                tank.id().toString());
        assertThat(anotherStart(tank).tanks()).isEqualTo(before);
        assertThat(jdbc.queryForObject(
                        "select document from twin_fit where tank_id = ?",
                        String.class,
                        tank.id().toString()))
                .contains("skimmerFactor");
    }

    /** Another alkalinity test is another log. */
    @Test
    void whatItWasFoundFromHasChanged() {
        Visitor keeper = visitor().asNewKeeper();
        UUID tank = UUID.fromString(Samples.tank(keeper));
        anotherStart(tank(tank));
        Map<String, Object> kept = row(tank);
        Visitor.Answer entered = keeper.post("/tanks/" + tank + "/readings", Samples.workedCase(PRESENT));
        assertThat(entered.status()).as(entered.text()).isBetween(200, 299);
        anotherStart(tank(tank));
        assertThat(row(tank).get("fingerprint")).isNotEqualTo(kept.get("fingerprint"));
    }
}
