package jollytide.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.List;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.setup.Settings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What a new account needs where others than this machine can reach the server: the code on the console. It is kept in
 * the database, so all instances ask for the same one; whoever uses it uses it up.
 */
@Component
class SetupCode {
    private static final Logger LOG = LoggerFactory.getLogger(SetupCode.class);
    private static final SecureRandom RANDOM = new SecureRandom();

    private final JdbcTemplate jdbc;
    private final Settings settings;

    SetupCode(JdbcTemplate jdbc, Settings settings) {
        this.jdbc = jdbc;
        this.settings = settings;
    }

    boolean needed() {
        return !settings.onLoopback();
    }

    @EventListener(ApplicationReadyEvent.class)
    void show() {
        if (needed()) {
            LOG.warn("Setup code for a new account: {}", current());
        }
    }

    /** @throws Problem when it is not the code */
    void check(String code) {
        if (!MessageDigest.isEqual(
                current().getBytes(StandardCharsets.UTF_8), code.strip().getBytes(StandardCharsets.UTF_8))) {
            throw wrong();
        }
    }

    /** @throws Problem when somebody else has used it up */
    void use(String code) {
        String next = make();
        if (jdbc.update("update setup_code set code = ? where id = 1 and code = ?", next, code.strip()) != 1) {
            throw wrong();
        }
        LOG.warn("An account was made. Setup code for the next: {}", next);
    }

    private static Problem wrong() {
        return Problem.refused(new FieldError(
                "setupCode",
                null,
                "the code on the console",
                "Enter the setup code from the server’s console. Each code creates one account."));
    }

    private String current() {
        List<String> known = jdbc.queryForList("select code from setup_code where id = 1", String.class);
        if (known.isEmpty()) {
            jdbc.update("insert ignore into setup_code (id, code) values (1, ?)", make());
            known = jdbc.queryForList("select code from setup_code where id = 1", String.class);
        }
        return known.get(0);
    }

    private static String make() {
        byte[] bytes = new byte[6];
        RANDOM.nextBytes(bytes);
        return HexFormat.of().formatHex(bytes);
    }
}
