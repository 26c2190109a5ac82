package jollytide.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import org.springframework.http.HttpStatus;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.orm.jpa.JpaSystemException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.servlet.HandlerMapping;

@ExtendWith(OutputCaptureExtension.class)
class ProblemAdviceTest {
    private static final ProblemAdvice ADVICE = new ProblemAdvice();
    private static final String SECRET = "c0ffee-secret-address";

    private static MockHttpServletRequest request() {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", "/api/v1/calendar/" + SECRET);
        request.setAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE, "/api/v1/calendar/{code}");
        return request;
    }

    /** As a commit, a flush and a rollback fail when the database dies under them. */
    @Test
    void aDatabaseThatDiesOnTheWayAnswers503() {
        SQLException gone = new SQLException("gone", "08S01");
        assertThat(ADVICE.unexpected(new JpaSystemException(new IllegalStateException(gone)), request())
                        .getStatusCode())
                .isEqualTo(HttpStatus.SERVICE_UNAVAILABLE);
        var rollback = ADVICE.unexpected(new TransactionSystemException("could not roll back", gone), request());
        assertThat(rollback.getStatusCode()).isEqualTo(HttpStatus.SERVICE_UNAVAILABLE);
        assertThat(rollback.getHeaders().getFirst("Retry-After")).isEqualTo("3");
        assertThat(ADVICE.unexpected(new JpaSystemException(new IllegalStateException("ours")), request())
                        .getStatusCode())
                .isEqualTo(HttpStatus.INTERNAL_SERVER_ERROR);
    }

    @Test
    void theLogHoldsNoSecretAddress(CapturedOutput output) {
        ADVICE.unexpected(new IllegalStateException("broke"), request());
        assertThat(output.getAll()).contains("/api/v1/calendar/{code} failed").doesNotContain(SECRET);
    }
}
