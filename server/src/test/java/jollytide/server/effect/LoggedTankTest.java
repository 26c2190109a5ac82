package jollytide.server.effect;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.RawUnit;
import jollytide.core.logfile.Meaning;
import jollytide.core.measure.Agitation;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import jollytide.server.reading.ReadingService;
import jollytide.server.reading.TimedValue;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** A tank whose log is that of an ordinary one, changed or not some days ago. */
abstract class LoggedTankTest extends ServerTest {
    static final Duration HALF_HOUR = Duration.ofMinutes(30);
    static final int DAYS_BEFORE = 8;
    static final int DAYS_AFTER = 8;
    static final Instant CHANGED = PRESENT.minus(DAYS_AFTER, ChronoUnit.DAYS).truncatedTo(ChronoUnit.HOURS);
    static final double TIMES = 3;

    @Autowired
    TwinBook book;

    @Autowired
    TankService tanks;

    @Autowired
    ReadingService readings;

    @Autowired
    JdbcTemplate jdbc;

    Visitor keeper;
    String id;
    String tank;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        id = Samples.tank(keeper);
        tank = "/tanks/" + id;
    }

    /** As an ordinary tank of this description would have logged it, its surface livelier since the change. */
    double logged(double times) {
        return logged(times == 1 ? MeasureSet.NONE : MeasureSet.of(new Agitation(times)));
    }

    double logged(MeasureSet measures) {
        Setup setup = book.setup(tanks.tankOfAnyone(UUID.fromString(id)));
        OrdinaryDays days = new OrdinaryDays(setup, TankParameters.ORDINARY);
        Instant from = CHANGED.minus(DAYS_BEFORE, ChronoUnit.DAYS);
        TwinState today = days.today(from);
        List<TwinState> states =
                new ArrayList<>(days.run(today, MeasureSet.NONE, Duration.between(from, CHANGED), HALF_HOUR));
        states.addAll(days.run(states.get(states.size() - 1), measures, Duration.between(CHANGED, PRESENT), HALF_HOUR));
        keep(states.stream().map(s -> new TimedValue(s.at(), s.phNbs())).toList());
        return days.settled(today, measures).troughPh()
                - days.settled(today, MeasureSet.NONE).troughPh();
    }

    void keep(List<TimedValue> values) {
        UUID owner = UUID.fromString(jdbc.queryForObject(
                "select keeper_id from home where id = ?",
                String.class,
                tanks.tankOfAnyone(UUID.fromString(id)).home().id().toString()));
        readings.saveAll(owner, UUID.fromString(id), new Meaning(RawUnit.PH_NBS, Place.TANK, Method.PROBE), values);
    }

    void noted(String kind, Instant at, String title, boolean excludes) {
        Answer added = keeper.post(tank + "/events", """
                {"kind":"%s","at":"%s","until":null,"excludesDays":%s,"title":"%s","note":""}""".formatted(kind, at, excludes, title));
        assertThat(added.status()).as(added.text()).isEqualTo(201);
    }

    LocalDate day(Instant t) {
        return LocalDate.ofInstant(
                t, tanks.tankOfAnyone(UUID.fromString(id)).home().zone());
    }
}
