package jollytide.server.setup;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.SecureRandom;
import java.util.Base64;
import org.springframework.security.web.header.HeaderWriter;

/**
 * The page's content security policy: everything from this server, nothing inline, but for styles that carry the mark
 * made anew for each request.
 */
public class PagePolicy implements HeaderWriter {
    private static final String ATTRIBUTE = PagePolicy.class.getName();
    private static final SecureRandom RANDOM = new SecureRandom();

    @Override
    public void writeHeaders(HttpServletRequest request, HttpServletResponse response) {
        response.setHeader(
                "Content-Security-Policy",
                "default-src 'self'; img-src 'self' data:; style-src 'self' 'nonce-" + nonce(request)
                        + "'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'");
    }

    static String nonce(HttpServletRequest request) {
        String made = (String) request.getAttribute(ATTRIBUTE);
        if (made != null) {
            return made;
        }
        byte[] bytes = new byte[18];
        RANDOM.nextBytes(bytes);
        String nonce = Base64.getEncoder().encodeToString(bytes);
        request.setAttribute(ATTRIBUTE, nonce);
        return nonce;
    }
}
