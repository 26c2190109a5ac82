package jollytide.server.account;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.List;
import jollytide.server.account.Accounts.Entered;
import jollytide.server.account.Accounts.From;
import jollytide.server.problem.Problem;
import jollytide.server.setup.Settings;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Entering and leaving. */
@RestController
@RequestMapping("/api/v1")
class SessionController {
    private static final String DEVICE = "tide-device";
    private static final Duration DEVICE_KNOWN_FOR = Duration.ofDays(365);

    private final Accounts accounts;
    private final Guests guests;
    private final Settings settings;
    private final SecurityContextRepository contexts;

    SessionController(Accounts accounts, Guests guests, Settings settings, SecurityContextRepository contexts) {
        this.accounts = accounts;
        this.guests = guests;
        this.settings = settings;
        this.contexts = contexts;
    }

    /**
     * Who is signed in, and which doors are open.
     *
     * @param helper whether they help at a home, and may only see it and log
     * @param demo whether it is the demo's keeper, whom everybody may be
     * @param firstKeeper whether nobody has an account yet
     * @param setupCodeNeeded whether a new account needs the code from the console
     */
    record SessionView(
            @Nullable String keeper,
            @Nullable Units units,
            boolean helper,
            boolean demo,
            boolean demoDoor,
            boolean firstKeeper,
            boolean setupCodeNeeded) {}

    record SignInRequest(
            @NotNull @Size(max = 80) String name,
            @NotNull @Size(max = 200) String password) {}

    record HelperRequest(@NotNull @Size(max = 200) String code) {}

    record KeeperRequest(
            @NotBlank @Size(max = 80) String name,
            @NotNull @Size(max = 200) String password,
            @Nullable String setupCode) {}

    @GetMapping("/session")
    SessionView session(@AuthenticationPrincipal @Nullable SignedIn who) {
        boolean welcome = who != null && (who.guest() == null || guests.known(who.guest()));
        return view(welcome ? who : null);
    }

    @PostMapping("/session")
    SessionView signIn(
            @Valid @RequestBody SignInRequest body,
            @CookieValue(name = DEVICE, required = false) @Parameter(hidden = true) String device,
            HttpServletRequest request,
            HttpServletResponse response) {
        From from = new From(request.getRemoteAddr(), device);
        return enter(accounts.signIn(body.name(), body.password(), from), request, response);
    }

    @PostMapping("/session/demo")
    SessionView enterDemo(HttpServletRequest request, HttpServletResponse response) {
        return enter(SignedIn.keeper(accounts.demoKeeper()), request, response);
    }

    /** By a helper's link. */
    @PostMapping("/session/helper")
    SessionView enterToHelp(
            @Valid @RequestBody HelperRequest body, HttpServletRequest request, HttpServletResponse response) {
        SignedIn who = guests.byLink(body.code())
                .orElseThrow(() -> Problem.of(
                        HttpStatus.UNAUTHORIZED,
                        "Not signed in",
                        "This link no longer works, or part of it is missing. Ask for a new one."));
        return enter(who, request, response);
    }

    @PostMapping("/keepers")
    @ResponseStatus(HttpStatus.CREATED)
    SessionView create(
            @Valid @RequestBody KeeperRequest body, HttpServletRequest request, HttpServletResponse response) {
        String code = body.setupCode() == null ? "" : body.setupCode();
        From from = new From(request.getRemoteAddr(), null);
        return enter(accounts.create(body.name(), body.password(), code, from), request, response);
    }

    /**
     * A new password; whoever else is in by the old one is out.
     *
     * @param revokeTokens whether scripts are out, too
     */
    record PasswordChange(
            @NotNull @Size(max = 200) String current,
            @NotNull @Size(max = 200) String next,
            boolean revokeTokens) {}

    @PutMapping("/me/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void password(
            @AuthenticationPrincipal SignedIn who,
            @Valid @RequestBody PasswordChange body,
            HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        accounts.changePassword(
                who.keeperId(),
                body.current(),
                body.next(),
                body.revokeTokens(),
                session == null ? null : session.getId());
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    @PutMapping("/me/units")
    Units units(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody Units units) {
        return accounts.saveUnits(who.keeperId(), units);
    }

    /** The browser is known from now on, and has a budget of wrong passwords of its own. */
    private SessionView enter(Entered entered, HttpServletRequest request, HttpServletResponse response) {
        if (entered.device() != null) {
            response.addHeader(
                    HttpHeaders.SET_COOKIE,
                    ResponseCookie.from(DEVICE, entered.device())
                            .path("/api/v1/session")
                            .httpOnly(true)
                            .secure(request.isSecure())
                            .sameSite("Strict")
                            .maxAge(DEVICE_KNOWN_FOR)
                            .build()
                            .toString());
        }
        return enter(SignedIn.keeper(entered.keeper()), request, response);
    }

    /** A new session id at each entry, so that one planted before is worthless. */
    private SessionView enter(SignedIn who, HttpServletRequest request, HttpServletResponse response) {
        HttpSession old = request.getSession(false);
        if (old != null) {
            old.invalidate();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(who, null, List.of()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return view(who);
    }

    private SessionView view(@Nullable SignedIn who) {
        Keeper keeper = who == null ? null : accounts.keeper(who.keeperId());
        return new SessionView(
                who == null ? null : who.name(),
                keeper == null ? null : Accounts.units(keeper),
                who != null && who.guest() != null,
                keeper != null && keeper.demo,
                accounts.demoDoor(),
                accounts.nobodyYet(),
                !settings.onLoopback());
    }
}
