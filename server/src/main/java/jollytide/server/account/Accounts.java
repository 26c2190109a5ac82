package jollytide.server.account;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import jollytide.server.account.SignInThrottle.Budget;
import jollytide.server.account.SignedIn.Guest;
import jollytide.server.account.SignedIn.Part;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.setup.Settings;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who may enter, by password, token, or the demo's door. Passwords are hashed while no transaction is open. */
@Service
public class Accounts {
    private static final int MIN_PASSWORD = 8;
    private static final Duration TOKEN_USE_NOTED_EVERY = Duration.ofMinutes(10);
    private static final int MOST_TOKENS = 100;

    private final Keepers keepers;
    private final AccessTokens tokens;
    private final PasswordCheck passwords;
    private final SignInThrottle throttle;
    private final KnownDevices devices;
    private final SetupCode setupCode;
    private final KeeperSessions sessions;
    private final Settings settings;
    private final Clock clock;
    /** Compared with when the name is unknown, so that the answer takes as long as for a known one. */
    private final String nobodysHash;

    Accounts(
            Keepers keepers,
            AccessTokens tokens,
            PasswordCheck passwords,
            SignInThrottle throttle,
            KnownDevices devices,
            SetupCode setupCode,
            KeeperSessions sessions,
            Settings settings,
            Clock clock) {
        this.keepers = keepers;
        this.tokens = tokens;
        this.passwords = passwords;
        this.throttle = throttle;
        this.devices = devices;
        this.setupCode = setupCode;
        this.sessions = sessions;
        this.settings = settings;
        this.clock = clock;
        this.nobodysHash = passwords.hash(Secret.make("").clear());
    }

    /** Where a try to enter comes from. */
    record From(String address, @Nullable String device) {}

    /** Somebody who has entered, and the secret by which their browser is known from now on; null when it is already. */
    record Entered(Keeper keeper, @Nullable String device) {}

    Entered create(String name, String password, String code, From from) {
        if (setupCode.needed()) {
            List<Budget> budgets = List.of(Budget.ofSetupCode(from.address()));
            throttle.count(budgets);
            setupCode.check(code);
            throttle.right(budgets);
        }
        checkPassword(password);
        if (keepers.findByName(name.strip()).isPresent()) {
            throw taken(name);
        }
        String hash = passwords.hash(password);
        if (setupCode.needed()) {
            setupCode.use(code);
        }
        try {
            Keeper keeper =
                    keepers.saveAndFlush(new Keeper(UUID.randomUUID(), name.strip(), hash, false, clock.instant()));
            return new Entered(keeper, devices.remember(keeper.id));
        } catch (DataIntegrityViolationException takenInBetween) {
            throw taken(name);
        }
    }

    private static Problem taken(String name) {
        return Problem.refused(
                new FieldError("name", name, "a name not taken yet", "This name is taken. Choose another."));
    }

    Entered signIn(String name, String password, From from) {
        Optional<Keeper> keeper = keepers.findByName(name.strip()).filter(k -> !k.demo);
        boolean known = keeper.isPresent() && devices.knows(keeper.get().id, from.device());
        List<Budget> budgets = known
                ? List.of(Budget.ofDevice(new Secret(Objects.requireNonNull(from.device())).hash()))
                : List.of(
                        // All spellings that find a keeper share one budget, whatever the collation makes of them.
                        Budget.ofName(
                                keeper.map(k -> k.id.toString()).orElseGet(() -> keepers.comparedAs(name.strip()))),
                        Budget.ofAddress(from.address()));
        throttle.count(budgets);
        if (!passwords.fits(password, keeper.map(k -> k.passwordHash).orElse(nobodysHash)) || keeper.isEmpty()) {
            throw Problem.of(HttpStatus.UNAUTHORIZED, "Not signed in", "Wrong name or password.");
        }
        throttle.right(budgets);
        return new Entered(keeper.get(), known ? null : devices.remember(keeper.get().id));
    }

    /**
     * Changes the password of somebody who is signed in, and puts out everybody else who is in by the old one.
     *
     * @param sessionId that stays; null for none
     */
    void changePassword(UUID keeperId, String current, String next, boolean revokeTokens, @Nullable String sessionId) {
        List<Budget> budgets = List.of(Budget.ofDevice(keeperId.toString()));
        throttle.count(budgets);
        if (!passwords.fits(current, keeper(keeperId).passwordHash)) {
            throw Problem.refused(
                    new FieldError("current", null, "your current password", "The current password is wrong."));
        }
        throttle.right(budgets);
        setPassword(keeperId, next, revokeTokens, sessionId);
    }

    /** {@code ./run --reset-password} */
    void resetPassword(String name, String password, boolean revokeTokens) {
        Keeper keeper =
                keepers.findByName(name.strip()).filter(k -> !k.demo).orElseThrow(() -> Problem.notFound("keeper"));
        setPassword(keeper.id, password, revokeTokens, null);
    }

    private void setPassword(UUID keeperId, String password, boolean revokeTokens, @Nullable String sessionId) {
        checkPassword(password);
        keepers.setPassword(keeperId, passwords.hash(password));
        devices.forgetAll(keeperId);
        sessions.end(keeperId, sessionId);
        if (revokeTokens) {
            tokens.deleteByKeeperId(keeperId);
        }
    }

    @Transactional(readOnly = true)
    public Keeper demoKeeper() {
        if (!settings.demoDoor()) {
            throw Problem.notFound("demo");
        }
        return keepers.findFirstByDemoTrue().orElseThrow(() -> Problem.notFound("demo"));
    }

    /** Whether anybody may walk in as the demo's keeper: it is offered here, and its home was made. */
    @Transactional(readOnly = true)
    public boolean demoDoor() {
        return settings.demoDoor() && keepers.findFirstByDemoTrue().isPresent();
    }

    /** The demo's keeper cannot sign in by password: its hash matches nothing. */
    public Optional<Keeper> createDemoKeeper(String name) {
        if (keepers.findFirstByDemoTrue().isPresent()) {
            return Optional.empty();
        }
        String unknown = passwords.hash(Secret.make("").clear());
        return Optional.of(keepers.save(new Keeper(UUID.randomUUID(), name, unknown, true, clock.instant())));
    }

    @Transactional(readOnly = true)
    public boolean nobodyYet() {
        return keepers.countByDemoFalse() == 0;
    }

    @Transactional(readOnly = true)
    public Keeper keeper(UUID id) {
        return keepers.findById(id)
                .orElseThrow(() ->
                        Problem.of(HttpStatus.UNAUTHORIZED, "Not signed in", "This account no " + "longer exists."));
    }

    @Transactional
    public Units saveUnits(UUID keeperId, Units units) {
        Keeper keeper = keeper(keeperId);
        keeper.alkalinityUnit = units.alkalinity();
        keeper.temperatureUnit = units.temperature();
        keeper.salinityUnit = units.salinity();
        keeper.volumeUnit = units.volume();
        keeper.clockFace = units.clock();
        return units;
    }

    static Units units(Keeper keeper) {
        return new Units(
                keeper.alkalinityUnit,
                keeper.temperatureUnit,
                keeper.salinityUnit,
                keeper.volumeUnit,
                keeper.clockFace);
    }

    /**
     * Makes a token and returns it in clear, for the only time.
     *
     * @param mainsHomeId the home about whose mains, and nothing else, it may tell; null for everything
     */
    @Transactional
    public String createToken(UUID keeperId, String label, @Nullable UUID mainsHomeId) {
        if (tokens.countByKeeperId(keeperId) >= MOST_TOKENS) {
            throw Problem.refused(new FieldError(
                    "label",
                    label,
                    "at most " + MOST_TOKENS + " tokens",
                    "You have " + MOST_TOKENS + " tokens already. Revoke one you don’t use."));
        }
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

    @Transactional
    public void revokeToken(UUID keeperId, UUID tokenId) {
        tokens.delete(tokens.findByIdAndKeeperId(tokenId, keeperId).orElseThrow(() -> Problem.notFound("token")));
    }

    @Transactional
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
                    new FieldError("password", null, "8 to 72 characters", "Use 8–72 characters for the password."));
        }
    }
}
