package jollytide.server.setup;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.URI;
import java.net.UnknownHostException;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import jollytide.server.problem.Problem;
import jollytide.server.problem.ProblemWriter;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only under names that are this server's, so that no foreign name can be made to point at it, and takes changes
 * only from its own pages: a browser says in {@code Origin} whose page sends a form.
 */
@Component
@Order(HostCheck.ORDER)
class HostCheck extends OncePerRequestFilter {
    static final int ORDER = Ordered.HIGHEST_PRECEDENCE + 1;

    private static final Set<String> CHANGES_NOTHING =
            Set.of(HttpMethod.GET.name(), HttpMethod.HEAD.name(), HttpMethod.OPTIONS.name());

    private final ProblemWriter problems;
    private final Set<String> names;

    HostCheck(Settings settings, ProblemWriter problems) {
        this.problems = problems;
        this.names = names(settings);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!names.contains(plain(request.getServerName()))) {
            problems.write(
                    response,
                    Problem.of(
                            HttpStatus.MISDIRECTED_REQUEST,
                            "Another name",
                            "This server does not answer as " + shortened(request.getServerName())
                                    + ". Set its names in JOLLY_TIDE_HOSTS."));
            return;
        }
        if (!CHANGES_NOTHING.contains(request.getMethod()) && foreign(request.getHeader(HttpHeaders.ORIGIN), request)) {
            problems.write(
                    response,
                    Problem.of(HttpStatus.FORBIDDEN, "Refused", "The request comes from another site's page."));
            return;
        }
        chain.doFilter(request, response);
    }

    private static boolean foreign(@Nullable String origin, HttpServletRequest request) {
        if (origin == null) {
            return false;
        }
        try {
            String authority = URI.create(origin).getAuthority();
            return authority == null || !authority.equalsIgnoreCase(request.getHeader(HttpHeaders.HOST));
        } catch (IllegalArgumentException notAnAddress) {
            return true;
        }
    }

    private static Set<String> names(Settings settings) {
        Set<String> names = new HashSet<>(Set.of("localhost", "127.0.0.1", "::1", "0:0:0:0:0:0:0:1"));
        names.add(plain(settings.bind()));
        settings.hosts().forEach(name -> names.add(plain(name.strip())));
        if (!settings.onLoopback()) {
            try {
                String own = plain(InetAddress.getLocalHost().getHostName());
                names.add(own);
                names.add(own + ".local");
                NetworkInterface.networkInterfaces()
                        .flatMap(NetworkInterface::inetAddresses)
                        .forEach(address -> names.add(plain(address.getHostAddress())));
            } catch (UnknownHostException | SocketException e) {
                // The bound address and the names that are set still hold.
            }
        }
        return names;
    }

    /** In lower case, without the brackets and the zone of an IPv6 address. */
    private static String plain(String name) {
        String bare = name.startsWith("[") && name.endsWith("]") ? name.substring(1, name.length() - 1) : name;
        return bare.replaceFirst("%.*", "").toLowerCase(Locale.ROOT);
    }

    private static String shortened(String name) {
        return name.length() > 80 ? name.substring(0, 80) + "…" : name;
    }
}
