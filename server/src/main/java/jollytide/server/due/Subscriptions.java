package jollytide.server.due;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.server.account.Secret;
import jollytide.server.home.HomeService;
import jollytide.server.problem.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Addresses that calendars read by themselves: one for a home, known to whoever has it, replaced by the next one. */
@Service
class Subscriptions {
    private final CalendarLinks links;
    private final HomeService homes;
    private final DueService dues;
    private final Clock clock;

    Subscriptions(CalendarLinks links, HomeService homes, DueService dues, Clock clock) {
        this.links = links;
        this.homes = homes;
        this.dues = dues;
        this.clock = clock;
    }

    /** When it was made; null without one. */
    @Nullable
    Instant since(UUID keeperId, UUID homeId) {
        homes.owned(keeperId, homeId);
        return links.findById(homeId).map(link -> link.createdAt).orElse(null);
    }

    /** What stands in the address, shown this once; the one before it opens nothing any more. */
    @Transactional
    String make(UUID keeperId, UUID homeId) {
        homes.owned(keeperId, homeId);
        Secret secret = Secret.make("cal-");
        CalendarLink link = links.findById(homeId).orElseGet(CalendarLink::new);
        link.homeId = homeId;
        link.hash = secret.hash();
        link.createdAt = clock.instant();
        links.save(link);
        return secret.clear();
    }

    @Transactional
    void withdraw(UUID keeperId, UUID homeId) {
        homes.owned(keeperId, homeId);
        links.deleteById(homeId);
    }

    /** What is due at the home whose address this is. */
    List<Due> read(String code) {
        UUID homeId = links.findByHash(new Secret(code).hash())
                .map(link -> link.homeId)
                .orElseThrow(() -> Problem.notFound("calendar"));
        return dues.list(homes.keeperOf(homeId), homeId);
    }
}
