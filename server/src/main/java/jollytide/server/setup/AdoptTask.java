package jollytide.server.setup;

import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** {@code ./run --restore}: by now the loaded data were migrated and their schema validated; says what they hold. */
@Component
@ConditionalOnProperty(name = "jollytide.task", havingValue = "adopt")
class AdoptTask implements ApplicationRunner {
    private final JdbcTemplate jdbc;
    private final ApplicationContext context;

    AdoptTask(JdbcTemplate jdbc, ApplicationContext context) {
        this.jdbc = jdbc;
        this.context = context;
    }

    @Override
    public void run(ApplicationArguments args) {
        System.out.println("Loaded: " + count("keeper") + " keepers, " + count("home") + " homes, " + count("tank")
                + " tanks, " + count("reading") + " readings.");
        System.exit(SpringApplication.exit(context, () -> 0));
    }

    private long count(String table) {
        Long n = jdbc.queryForObject("select count(*) from " + table, Long.class);
        return n == null ? 0 : n;
    }
}
