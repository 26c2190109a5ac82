package jollytide.server.problem;

import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/** A refusal that is told to the caller as a problem document. */
public final class Problem extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient ProblemDetail detail;
    private long retryAfterSeconds;

    private Problem(ProblemDetail detail) {
        super(detail.getDetail());
        this.detail = detail;
    }

    public static Problem of(HttpStatus status, String title, String sentence) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, sentence);
        detail.setTitle(title);
        return new Problem(detail);
    }

    /** What is not the caller's is not there. */
    public static Problem notFound(String what) {
        return of(HttpStatus.NOT_FOUND, "Not found", "There is no such " + what + ".");
    }

    /** An input that is refused. */
    public static Problem refused(FieldError... errors) {
        return refused(List.of(errors));
    }

    public static Problem refused(List<FieldError> errors) {
        String sentence = errors.size() == 1
                ? errors.get(0).message()
                : errors.size() + " entries need a correction: " + errors.get(0).message();
        return of(HttpStatus.UNPROCESSABLE_CONTENT, "Input refused", sentence).with("errors", errors);
    }

    /** Somebody else, or another tab, saved first: the saved version goes along so that both can be shown. */
    public static Problem savedElsewhere(Object current) {
        return of(
                        HttpStatus.CONFLICT,
                        "Changed elsewhere",
                        "This was changed elsewhere after you opened it. Your changes are not saved yet.")
                .with("current", current);
    }

    public Problem with(String name, Object value) {
        detail.setProperty(name, value);
        return this;
    }

    /** When it is worth trying again; the answer says so in its head. */
    public Problem retryAfter(long seconds) {
        retryAfterSeconds = seconds;
        return this;
    }

    /** The headers of the answer. */
    public HttpHeaders headers() {
        HttpHeaders headers = new HttpHeaders();
        if (retryAfterSeconds > 0) {
            headers.set(HttpHeaders.RETRY_AFTER, Long.toString(retryAfterSeconds));
        }
        return headers;
    }

    public ProblemDetail detail() {
        return detail;
    }
}
