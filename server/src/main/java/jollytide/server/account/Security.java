package jollytide.server.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import jollytide.server.problem.Problem;
import jollytide.server.problem.ProblemWriter;
import jollytide.server.setup.PagePolicy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.web.filter.OncePerRequestFilter;

/** Sessions for people, bearer tokens for scripts, and headers that keep the page to itself. */
@Configuration
class Security {
    /** Doors that change nothing yet, or compute without state, need no token against forged requests. */
    private static final String[] OPEN_POSTS = {
        "/api/v1/session", "/api/v1/session/demo", "/api/v1/session/helper", "/api/v1/keepers", "/api/v1/calculators/**"
    };

    @Bean
    PasswordEncoder passwordEncoder() {
        return new BCryptPasswordEncoder();
    }

    @Bean
    SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
    }

    /** Keeps the framework from inventing a default user. */
    @Bean
    UserDetailsService nobody() {
        return name -> {
            throw new UsernameNotFoundException(name);
        };
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http, Accounts accounts, Guests guests, ProblemWriter problems)
            throws Exception {
        http.authorizeHttpRequests(requests -> requests.requestMatchers(HttpMethod.POST, OPEN_POSTS)
                        .permitAll()
                        .requestMatchers(
                                HttpMethod.GET, "/api/v1/session", "/api/v1/openapi.json", "/api/v1/calendar/*")
                        .permitAll()
                        .requestMatchers("/api/**")
                        .access((who, context) ->
                                new AuthorizationDecision(who.get().getPrincipal() instanceof SignedIn person
                                        && mayEnter(person, guests, context.getRequest())))
                        .anyRequest()
                        .permitAll())
                .csrf(csrf -> csrf.spa().ignoringRequestMatchers(Security::standsOnItsOwn))
                .securityContext(context -> context.securityContextRepository(securityContextRepository()))
                .exceptionHandling(handling -> handling.authenticationEntryPoint(
                                (request, response, e) -> problems.write(response, signInFirst()))
                        .accessDeniedHandler(
                                (request, response, e) -> problems.write(response, denied(e, request, guests))))
                // A home's name or address serves other things too: it must not be pinned to TLS for a year.
                .headers(headers -> headers.addHeaderWriter(new PagePolicy())
                        .httpStrictTransportSecurity(hsts -> hsts.disable())
                        .referrerPolicy(referrer -> referrer.policy(
                                org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter
                                        .ReferrerPolicy.SAME_ORIGIN)))
                .requestCache(cache -> cache.disable())
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable())
                .addFilterBefore(new BearerFilter(accounts, problems), UsernamePasswordAuthenticationFilter.class);
        return http.build();
    }

    private static boolean standsOnItsOwn(HttpServletRequest request) {
        String path = request.getRequestURI();
        boolean open = path.equals("/api/v1/session")
                || path.equals("/api/v1/session/demo")
                || path.equals("/api/v1/session/helper")
                || path.equals("/api/v1/keepers")
                || path.startsWith("/api/v1/calculators/");
        return bearer(request).isPresent() || (open && "POST".equals(request.getMethod()));
    }

    private static Optional<String> bearer(HttpServletRequest request) {
        String header = request.getHeader(HttpHeaders.AUTHORIZATION);
        return header != null && header.startsWith("Bearer ")
                ? Optional.of(header.substring("Bearer ".length()).strip())
                : Optional.empty();
    }

    private static Problem signInFirst() {
        return Problem.of(HttpStatus.UNAUTHORIZED, "Not signed in", "Sign in first, or send a bearer token.");
    }

    private static boolean mayEnter(SignedIn who, Guests guests, HttpServletRequest request) {
        SignedIn.Guest guest = who.guest();
        return guest == null || (guests.known(guest) && guests.may(guest, request));
    }

    private static Problem denied(AccessDeniedException e, HttpServletRequest request, Guests guests) {
        if (e instanceof CsrfException) {
            return forged();
        }
        boolean withdrawn = request.getUserPrincipal() instanceof Authentication who
                && who.getPrincipal() instanceof SignedIn person
                && person.guest() != null
                && !guests.known(person.guest());
        return withdrawn ? signInFirst() : keepersOnly();
    }

    private static Problem keepersOnly() {
        return Problem.of(
                HttpStatus.FORBIDDEN,
                "Keeper only",
                "Only the keeper can do this. Helpers can see the tank and the outage and log readings and "
                        + "steps. A sensor’s token only reports mains power.");
    }

    private static Problem forged() {
        return Problem.of(
                HttpStatus.FORBIDDEN,
                "Refused",
                "The request lacks the X-XSRF-TOKEN header with the value of the XSRF-TOKEN cookie. Scripts "
                        + "use a bearer token.");
    }

    /** Signs in for one request; a wrong token is refused rather than taken for no token. */
    private static final class BearerFilter extends OncePerRequestFilter {
        private final Accounts accounts;
        private final ProblemWriter problems;

        BearerFilter(Accounts accounts, ProblemWriter problems) {
            this.accounts = accounts;
            this.problems = problems;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            Optional<String> token = bearer(request);
            if (token.isPresent()) {
                Optional<SignedIn> who = accounts.byToken(token.get());
                if (who.isEmpty()) {
                    problems.write(response, signInFirst());
                    return;
                }
                SecurityContext context = SecurityContextHolder.createEmptyContext();
                context.setAuthentication(
                        UsernamePasswordAuthenticationToken.authenticated(who.get(), null, List.of()));
                SecurityContextHolder.setContext(context);
            }
            chain.doFilter(request, response);
        }
    }
}
