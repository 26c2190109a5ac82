package jollytide.server.setup;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import jollytide.server.problem.Problem;
import jollytide.server.problem.ProblemWriter;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses giant bodies before anything reads them into memory, whether or not they announce their length. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimit extends OncePerRequestFilter {
    private static final long MAX_BYTES = 1_000_000;
    /** Whole logs; they are stored piece by piece. */
    private static final long MAX_FILE_BYTES = 250_000_000;

    private static final Pattern FILES = Pattern.compile("/api/v1/tanks/[^/]+/imports");

    private final ProblemWriter problems;

    BodyLimit(ProblemWriter problems) {
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean file = FILES.matcher(request.getRequestURI()).matches();
        long allowed = file ? MAX_FILE_BYTES : MAX_BYTES;
        if (request.getContentLengthLong() > allowed) {
            problems.write(response, tooLarge(allowed));
            return;
        }
        chain.doFilter(new Counted(request, allowed), response);
    }

    private static Problem tooLarge(long allowed) {
        String most = allowed >= 1_000_000 ? allowed / 1_000_000 + " MB" : allowed / 1000 + " kB";
        return Problem.of(HttpStatus.CONTENT_TOO_LARGE, "Too large", "A request can have at most " + most + ".");
    }

    private static final class Counted extends HttpServletRequestWrapper {
        private final long allowed;

        Counted(HttpServletRequest request, long allowed) {
            super(request);
            this.allowed = allowed;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new CountedStream(super.getInputStream(), allowed);
        }

        @Override
        public BufferedReader getReader() throws IOException {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }
    }

    private static final class CountedStream extends ServletInputStream {
        private final ServletInputStream in;
        private final long allowed;
        private long seen;

        CountedStream(ServletInputStream in, long allowed) {
            this.in = in;
            this.allowed = allowed;
        }

        @Override
        public int read() throws IOException {
            int b = in.read();
            count(b < 0 ? 0 : 1);
            return b;
        }

        @Override
        public int read(byte[] buffer, int offset, int length) throws IOException {
            int n = in.read(buffer, offset, length);
            count(Math.max(0, n));
            return n;
        }

        private void count(int n) {
            seen += n;
            if (seen > allowed) {
                throw tooLarge(allowed);
            }
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
