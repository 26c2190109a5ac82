package jollytide.server;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import tools.jackson.databind.json.JsonMapper;

/** The whole server on a free port with a real database, as a keeper's browser or script meets it. */
@Import(ServerTest.Present.class)
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
public abstract class ServerTest {
    protected static final TestDatabase DATABASE = new TestDatabase();

    @LocalServerPort
    private int port;

    @Autowired
    protected JsonMapper json;

    /** The tests' present: a Thursday afternoon, eighteen days after a clock change. It ticks on from there. */
    public static final Instant PRESENT = Instant.parse("2026-11-12T15:24:00Z");

    @TestConfiguration
    static class Present {
        @Bean
        @Primary
        Clock present() {
            return Clock.offset(Clock.systemUTC(), Duration.between(Instant.now(), PRESENT));
        }
    }

    @DynamicPropertySource
    static void properties(DynamicPropertyRegistry registry) {
        registry.add("JOLLY_TIDE_DB_PORT", DATABASE::port);
        registry.add("JOLLY_TIDE_DB_NAME", DATABASE::name);
        registry.add("JOLLY_TIDE_DB_PASSWORD", DATABASE::password);
        registry.add("jollytide.demo", () -> true);
        registry.add("jollytide.nightly", () -> false);
    }

    /** A visitor with an empty cookie jar. */
    protected Visitor visitor() {
        return new Visitor("http://127.0.0.1:" + port, json);
    }
}
