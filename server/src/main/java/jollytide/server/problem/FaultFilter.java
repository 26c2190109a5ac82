package jollytide.server.problem;

import jakarta.servlet.FilterChain;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/** What goes wrong before or after a controller is said in the same words as what goes wrong in one. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class FaultFilter extends OncePerRequestFilter {
    private final HandlerExceptionResolver resolver;

    FaultFilter(@Qualifier("handlerExceptionResolver") HandlerExceptionResolver resolver) {
        this.resolver = resolver;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException e) {
            Exception fault =
                    e instanceof ServletException && e.getCause() instanceof RuntimeException cause ? cause : e;
            if (response.isCommitted()) {
                throw e;
            }
            response.reset();
            if (resolver.resolveException(request, response, null, fault) == null) {
                throw e;
            }
        }
    }

    /** What the container refuses by itself. */
    @RestController
    static class Refusals implements ErrorController {
        @RequestMapping("/error")
        ResponseEntity<ProblemDetail> refused(HttpServletRequest request) {
            Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
            HttpStatus status = code instanceof Integer number ? HttpStatus.resolve(number) : HttpStatus.NOT_FOUND;
            HttpStatus known = status == null ? HttpStatus.BAD_REQUEST : status;
            return ResponseEntity.status(known)
                    .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                    .body(Problem.of(known, known.getReasonPhrase(), "The server refused this request.")
                            .detail());
        }
    }
}
