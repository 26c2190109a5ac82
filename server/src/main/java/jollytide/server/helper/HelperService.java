package jollytide.server.helper;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import jollytide.server.account.Secret;
import jollytide.server.account.ShownOnce;
import jollytide.server.account.SignedIn;
import jollytide.server.account.SignedIn.Guest;
import jollytide.server.account.SignedIn.Part;
import jollytide.server.home.HomeService;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The helpers of a home. A link holds until it is withdrawn. */
@Service
@Transactional
class HelperService {
    private static final int AT_MOST = 50;

    private final Helpers helpers;
    private final HomeService homes;
    private final Clock clock;

    HelperService(Helpers helpers, HomeService homes, Clock clock) {
        this.helpers = helpers;
        this.homes = homes;
        this.clock = clock;
    }

    /** One helper. */
    record HelperView(
            UUID id,
            String name,
            Instant createdAt,
            @Nullable Instant lastCameAt) {
        static HelperView of(Helper helper) {
            return new HelperView(helper.id, helper.name, helper.createdAt, helper.lastCameAt);
        }
    }

    /**
     * An invitation.
     *
     * @param code for the link, shown this once
     */
    record Invitation(HelperView helper, String code) implements ShownOnce {}

    @Transactional(readOnly = true)
    List<HelperView> list(UUID keeperId, UUID homeId) {
        homes.owned(keeperId, homeId);
        return helpers.findByHomeIdOrderByName(homeId).stream()
                .map(HelperView::of)
                .toList();
    }

    Invitation invite(UUID keeperId, UUID homeId, String name) {
        Helper helper = new Helper();
        helper.home = homes.owned(keeperId, homeId);
        if (helpers.findByHomeIdOrderByName(homeId).size() >= AT_MOST) {
            throw Problem.refused(new FieldError(
                    "name", name, "at most 50 helpers", "This home has 50 helpers. Revoke an old link first."));
        }
        Secret secret = Secret.make("help_");
        helper.id = UUID.randomUUID();
        helper.name = name.strip();
        helper.hash = secret.hash();
        helper.createdAt = now();
        return new Invitation(HelperView.of(helpers.save(helper)), secret.clear());
    }

    void withdraw(UUID keeperId, UUID homeId, UUID id) {
        homes.owned(keeperId, homeId);
        helpers.delete(helpers.findByIdAndHomeId(id, homeId).orElseThrow(() -> Problem.notFound("helper")));
    }

    Optional<SignedIn> come(String code) {
        return helpers.findByHash(new Secret(code).hash()).map(helper -> {
            helper.lastCameAt = now();
            return new SignedIn(
                    helper.home.keeperId(), helper.name, new Guest(Part.HELPER, helper.home.id(), helper.id));
        });
    }

    @Transactional(readOnly = true)
    boolean invited(Guest guest) {
        return helpers.findByIdAndHomeId(guest.id(), guest.homeId()).isPresent();
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
