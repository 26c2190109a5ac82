package jollytide.server.outage;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** When the mains of a home were away, for those who must know. */
@Component
public class OutageTimes {
    private final OutageBook book;

    OutageTimes(OutageBook book) {
        this.book = book;
    }

    /** @param until null while it lasts */
    public record Away(UUID id, Instant from, @Nullable Instant until) {}

    /** The newest ones. */
    public List<Away> of(UUID homeId) {
        return book.newest(homeId).stream()
                .map(o -> new Away(o.id, o.startedAt, o.endedAt))
                .toList();
    }
}
