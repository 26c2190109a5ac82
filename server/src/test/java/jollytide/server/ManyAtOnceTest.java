package jollytide.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.IntStream;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** Many heavy requests at once cost their caller, and nobody else; and none of them holds the database. */
class ManyAtOnceTest extends ServerTest {
    private static final String FORECAST = """
            {"tanks":[{"skimmerFactor":1,"surfaceFactor":1,"alkalinityOffMeqPerL":0,"roomOffPpm":0,"roomExcessFactor":1,"airChangesFactor":1,"lampsLateH":0,"useFactor":1,"intakeOddsFactor":1,"respirationMmolPerLPerH":0.018,"photosynthesisMmolPerLPerH":%s}],
             "variants":[{"measures":[{"kind":"surface","numbers":{"times":1.%d}}]}]}""";

    @Autowired
    private DataSource source;

    @Autowired
    private JdbcTemplate jdbc;

    private Visitor keeper;
    private Visitor bystander;

    @BeforeEach
    void somebodyWithATankAndSomebodyElse() {
        keeper = visitor();
        keeper.post("/session/demo", "");
        keeper.get("/session");
        bystander = visitor().asNewKeeper();
    }

    private String tank(String name) {
        for (var tank : keeper.get("/tanks").body()) {
            if (tank.path("description").path("name").asString().equals(name)) {
                return tank.path("id").asString();
            }
        }
        throw new AssertionError(name);
    }

    private String home(String tank) {
        return "/homes/" + keeper.get("/tanks/" + tank).body().path("homeId").asString();
    }

    @Test
    void fortyForecastsAtOnceTroubleTheirCallerOnly() throws Exception {
        String path = "/tanks/" + tank("Lantern Reef") + "/bench/forecast";
        unharmed(40, i -> keeper.post(path, FORECAST.formatted("0.03" + (10 + i), i)));
    }

    @Test
    void plansThroughAHelpersLinkTroubleTheHelperOnly() throws Exception {
        String home = home(tank("Lantern Reef"));
        String code = keeper.post(home + "/helpers", "{\"name\":\"Jonas\"}")
                .body()
                .path("code")
                .asString();
        Visitor helper = visitor();
        assertThat(helper.post("/session/helper", "{\"code\":\"" + code + "\"}").status())
                .isEqualTo(200);
        helper.get("/session");
        unharmed(25, i -> helper.get(home + "/outages/plan"));
    }

    @Test
    void anonymousSignInsTroubleNobodyWhoIsIn() throws Exception {
        unharmed(150, i -> visitor().post("/session", "{\"name\":\"nobody" + i + "\",\"password\":\"a guess\"}"));
    }

    /** A dozen readers who take a long log and then take nothing of it, as over a bad line: the pool has ten connections. */
    @Test
    void slowDownloadsHoldNoConnection() throws Exception {
        String tank = Samples.tank(bystander);
        bystander.post(
                "/tanks/" + tank + "/readings", Samples.reading("2026-01-05T10:00", "PH_NBS", "TANK", "PROBE", 8.1));
        jdbc.update(
                "insert into reading (series_id, at, value) select s.id, date_sub('2026-01-01', interval n.seq minute),"
                        + " 8 from series s join seq_1_to_400000 n where s.subject_id = ?",
                tank);
        URI home = URI.create(bystander.base());
        String cookie = bystander.cookies();
        List<Socket> readers = new ArrayList<>();
        try {
            for (int i = 0; i < 12; i++) {
                Socket reader = new Socket();
                reader.setReceiveBufferSize(4096);
                reader.connect(new InetSocketAddress(home.getHost(), home.getPort()));
                reader.getOutputStream()
                        .write(("GET /api/v1/tanks/" + tank + "/log.csv HTTP/1.1\r\nHost: 127.0.0.1:" + home.getPort()
                                        + "\r\nCookie: " + cookie + "\r\n\r\n")
                                .getBytes(StandardCharsets.US_ASCII));
                assertThat(reader.getInputStream().read()).isEqualTo('H');
                readers.add(reader);
            }
            for (int i = 0; i < 5; i++) {
                assertThat(keeper.get("/homes").status()).isEqualTo(200);
            }
            HikariPoolMXBean pool = source.unwrap(HikariDataSource.class).getHikariPoolMXBean();
            Instant late = Instant.now().plusSeconds(20);
            while (pool.getActiveConnections() > 0 && Instant.now().isBefore(late)) {
                Thread.sleep(50);
            }
            assertThat(pool.getActiveConnections()).isZero();
        } finally {
            for (Socket reader : readers) {
                reader.close();
            }
        }
    }

    private interface Numbered {
        Visitor.Answer send(int i);
    }

    /** Meanwhile the bystander is answered, and connections stay free. */
    private void unharmed(int n, Numbered load) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(n + 1);
        AtomicBoolean going = new AtomicBoolean(true);
        try {
            Future<Integer> beside = pool.submit(() -> {
                int asked = 0;
                do {
                    Visitor.Answer answer = bystander.get("/homes");
                    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
                    asked++;
                } while (going.get());
                return asked;
            });
            List<Callable<Visitor.Answer>> calls = IntStream.range(0, n)
                    .<Callable<Visitor.Answer>>mapToObj(i -> () -> load.send(i))
                    .toList();
            List<Visitor.Answer> answers = new ArrayList<>();
            for (Future<Visitor.Answer> each : pool.invokeAll(calls)) {
                answers.add(each.get());
            }
            going.set(false);
            assertThat(beside.get()).isPositive();
            assertThat(answers).allSatisfy(answer -> {
                assertThat(answer.status()).as(answer.text()).isIn(200, 401, 429, 503);
                if (answer.status() >= 429) {
                    assertThat(Integer.parseInt(answer.header("Retry-After"))).isPositive();
                }
            });
        } finally {
            going.set(false);
            pool.shutdownNow();
        }
        assertThat(source.unwrap(HikariDataSource.class).getHikariPoolMXBean().getActiveConnections())
                .isZero();
    }

    private long statements(Numbered request) {
        long before = asked();
        Visitor.Answer answer = request.send(0);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return asked() - before;
    }

    private long asked() {
        return jdbc
                .query(
                        "show global status where Variable_name in ('Com_select', 'Com_insert', 'Com_update', 'Com_delete')",
                        (row, i) -> row.getLong(2))
                .stream()
                .mapToLong(Long::longValue)
                .sum();
    }

    @Test
    void aForecastAsksTheDatabaseLittle() {
        String path = "/tanks/" + tank("Lantern Reef") + "/bench/forecast";
        keeper.post(path, FORECAST.formatted("0.034", 1));
        assertThat(statements(i -> keeper.post(path, FORECAST.formatted("0.034", 2))))
                .isBetween(3L, 20L);
    }

    @Test
    void readinessAsksTheDatabaseLittleHoweverManyTanks() {
        String home = home(tank("Lantern Reef"));
        keeper.get(home + "/readiness");
        assertThat(statements(i -> keeper.get(home + "/readiness"))).isBetween(3L, 24L);
    }

    @Test
    void outagesThatBeginAtOnceAreOne() throws Exception {
        Samples.tank(bystander);
        String home =
                "/homes/" + bystander.get("/homes").body().path(0).path("id").asString();
        ExecutorService pool = Executors.newFixedThreadPool(8);
        try {
            List<Callable<Visitor.Answer>> calls = IntStream.range(0, 8)
                    .<Callable<Visitor.Answer>>mapToObj(i -> () -> bystander.post(home + "/outages", "{}"))
                    .toList();
            for (Future<Visitor.Answer> each : pool.invokeAll(calls)) {
                assertThat(each.get().status()).as(each.get().text()).isEqualTo(200);
            }
        } finally {
            pool.shutdownNow();
        }
        assertThat(bystander.get(home + "/outages").body()).hasSize(1);
    }
}
