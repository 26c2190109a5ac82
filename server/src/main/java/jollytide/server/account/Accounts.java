package jollytide.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import jollytide.server.account.SignedIn.Guest;
import jollytide.server.account.SignedIn.Part;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.setup.Settings;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who may enter, by password, token, or the demo's door. */
@Service
@Transactional
public class Accounts {
    private static final Logger LOG = LoggerFactory.getLogger(Accounts.class);
    private static final int MIN_PASSWORD = 8;
    private static final Duration TOKEN_USE_NOTED_EVERY = Duration.ofMinutes(10);

    private final Keepers keepers;
    private final AccessTokens tokens;
    private final PasswordEncoder passwords;
    private final SignInThrottle throttle;
    private final Settings settings;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();
    private final String setupCode = code();
    /** Compared with when the name is unknown, so that the answer takes as long as for a known one. */
    private final String nobodysHash;

    Accounts(
            Keepers keepers,
            AccessTokens tokens,
            PasswordEncoder passwords,
            SignInThrottle throttle,
            Settings settings,
            Clock clock) {
        this.keepers = keepers;
        this.tokens = tokens;
        this.passwords = passwords;
        this.throttle = throttle;
        this.settings = settings;
        this.clock = clock;
        this.nobodysHash = passwords.encode(setupCode);
        if (!settings.onLoopback()) {
            LOG.warn("Setup code for new accounts: {}", setupCode);
        }
    }

    public Keeper create(String name, String password, String code) {
        if (!settings.onLoopback()
                && !MessageDigest.isEqual(
                        setupCode.getBytes(StandardCharsets.UTF_8), code.getBytes(StandardCharsets.UTF_8))) {
            throw Problem.refused(new FieldError(
                    "setupCode",
                    null,
                    "the code on the console",
                    "The setup code is printed on the server's console."));
        }
        checkPassword(password);
        if (keepers.findByName(name.strip()).isPresent()) {
            throw Problem.refused(
                    new FieldError("name", name, "a name not taken yet", "This name is taken; choose another."));
        }
        Keeper keeper = new Keeper(UUID.randomUUID(), name.strip(), passwords.encode(password), false, clock.instant());
        return keepers.save(keeper);
    }

    @Transactional(readOnly = true)
    public Keeper signIn(String name, String password) {
        throttle.check(name);
        Optional<Keeper> keeper = keepers.findByName(name.strip()).filter(k -> !k.demo);
        if (!passwords.matches(password, keeper.map(k -> k.passwordHash).orElse(nobodysHash)) || keeper.isEmpty()) {
            throttle.failed(name);
            throw Problem.of(HttpStatus.UNAUTHORIZED, "Not signed in", "Name and password do not go together.");
        }
        throttle.succeeded(name);
        return keeper.get();
    }

    @Transactional(readOnly = true)
    public Keeper demoKeeper() {
        if (!settings.demoDoor()) {
            throw Problem.notFound("demo");
        }
        return keepers.findFirstByDemoTrue().orElseThrow(() -> Problem.notFound("demo"));
    }

    /** The demo's keeper cannot sign in by password: its hash matches nothing. */
    public Optional<Keeper> createDemoKeeper(String name) {
        if (keepers.findFirstByDemoTrue().isPresent()) {
            return Optional.empty();
        }
        return Optional.of(keepers.save(
                new Keeper(UUID.randomUUID(), name, passwords.encode(code() + code()), true, clock.instant())));
    }

    @Transactional(readOnly = true)
    public boolean nobodyYet() {
        return keepers.countByDemoFalse() == 0;
    }

    @Transactional(readOnly = true)
    public Keeper keeper(UUID id) {
        return keepers.findById(id)
                .orElseThrow(() -> Problem.of(HttpStatus.UNAUTHORIZED, "Not signed in", "This account is gone."));
    }

    public Units saveUnits(UUID keeperId, Units units) {
        Keeper keeper = keeper(keeperId);
        keeper.alkalinityUnit = units.alkalinity();
        keeper.temperatureUnit = units.temperature();
        keeper.salinityUnit = units.salinity();
        keeper.volumeUnit = units.volume();
        return units;
    }

    static Units units(Keeper keeper) {
        return new Units(keeper.alkalinityUnit, keeper.temperatureUnit, keeper.salinityUnit, keeper.volumeUnit);
    }

    public void resetPassword(String name, String password) {
        checkPassword(password);
        Keeper keeper =
                keepers.findByName(name.strip()).filter(k -> !k.demo).orElseThrow(() -> Problem.notFound("keeper"));
        keeper.passwordHash = passwords.encode(password);
    }

    /**
     * Makes a token and returns it in clear, for the only time.
     *
     * @param mainsHomeId the home about whose mains, and nothing else, it may tell; null for everything
     */
    public String createToken(UUID keeperId, String label, @Nullable UUID mainsHomeId) {
        Secret secret = Secret.make("tide_");
        AccessToken token = new AccessToken();
        token.id = UUID.randomUUID();
        token.keeper = keeper(keeperId);
        token.label = label.strip();
        token.hash = secret.hash();
        token.mainsHomeId = mainsHomeId;
        token.createdAt = clock.instant().truncatedTo(ChronoUnit.MICROS);
        tokens.save(token);
        return secret.clear();
    }

    @Transactional(readOnly = true)
    public List<TokenView> tokens(UUID keeperId) {
        return tokens.findByKeeperIdOrderByCreatedAt(keeperId).stream()
                .map(t -> new TokenView(t.id, t.label, t.createdAt, t.lastUsedAt, t.mainsHomeId))
                .toList();
    }

    public void revokeToken(UUID keeperId, UUID tokenId) {
        tokens.delete(tokens.findByIdAndKeeperId(tokenId, keeperId).orElseThrow(() -> Problem.notFound("token")));
    }

    public Optional<SignedIn> byToken(String clear) {
        return tokens.findByHash(new Secret(clear).hash()).map(token -> {
            var now = clock.instant().truncatedTo(ChronoUnit.MICROS);
            if (token.lastUsedAt == null
                    || token.lastUsedAt.plus(TOKEN_USE_NOTED_EVERY).isBefore(now)) {
                token.lastUsedAt = now;
            }
            UUID home = token.mainsHomeId;
            return home == null
                    ? SignedIn.keeper(token.keeper)
                    : new SignedIn(token.keeper.id, token.label, new Guest(Part.SENSOR, home, token.id));
        });
    }

    private static void checkPassword(String password) {
        // bcrypt reads 72 bytes; a longer one would be cut in silence.
        int bytes = password.getBytes(StandardCharsets.UTF_8).length;
        if (password.length() < MIN_PASSWORD || bytes > 72) {
            throw Problem.refused(
                    new FieldError("password", null, "8 to 72 characters", "A password needs 8 to 72 characters."));
        }
    }

    private String code() {
        byte[] bytes = new byte[6];
        random.nextBytes(bytes);
        return HexFormat.of().formatHex(bytes);
    }
}
