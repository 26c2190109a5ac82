package jollytide.server.setup;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Sends callers of the API that use the names from before December 2026 to today's, with 308: method and body stay. To be
 * removed when {@link #SUNSET} has passed. Screens have their own list, in {@code web/src/frame/places.ts}.
 */
@Component
@Order(HostCheck.ORDER + 1)
class FormerAddresses extends OncePerRequestFilter {
    /** Until then they are answered; RFC 8594. */
    static final String SUNSET = "Wed, 01 Dec 2027 00:00:00 GMT";

    private record Former(Pattern address, String today) {
        Former(String former, String today) {
            this(Pattern.compile(former), today);
        }
    }

    private static final String TANK = "(/api/v1/tanks/[^/]+)";
    private static final List<Former> FORMER = List.of(
            new Former("/api/v1/sums/haul", "/api/v1/calculators/transport"),
            new Former("/api/v1/sums/(.+)", "/api/v1/calculators/$1"),
            new Former(TANK + "/ledger", "$1/gas-balance"),
            new Former(TANK + "/programme(/.*)?", "$1/schedule$2"),
            new Former(TANK + "/doses(/.*)?", "$1/dosing$2"),
            new Former(TANK + "/margin", "$1/oxygen-margin"),
            new Former(TANK + "/by-hand/(additions|water-changes)/sum", "$1/by-hand/$2/preview"));

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/v1/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<String> today = today(request.getRequestURI());
        if (today.isEmpty()) {
            chain.doFilter(request, response);
            return;
        }
        String query = request.getQueryString();
        response.setStatus(HttpStatus.PERMANENT_REDIRECT.value());
        response.setHeader(HttpHeaders.LOCATION, query == null ? today.get() : today.get() + "?" + query);
        response.setHeader("Sunset", SUNSET);
    }

    /** Where an address from before leads today; empty when it is none. */
    static Optional<String> today(String address) {
        for (Former former : FORMER) {
            Matcher matcher = former.address().matcher(address);
            if (matcher.matches()) {
                return Optional.of(matcher.replaceFirst(former.today()));
            }
        }
        return Optional.empty();
    }
}
