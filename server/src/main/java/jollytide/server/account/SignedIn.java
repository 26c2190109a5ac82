package jollytide.server.account;

import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Who is at work. Kept in the session, so it holds nothing that may change.
 *
 * @param keeperId whose data are meant
 * @param guest null for the keeper
 */
public record SignedIn(UUID keeperId, String name, @Nullable Guest guest) implements Principal, Serializable {
    /** In what part somebody acts who is not the keeper. */
    public enum Part {
        HELPER,
        SENSOR
    }

    /**
     * Not the keeper, but let in to one home.
     *
     * @param id of the invitation or the token
     */
    public record Guest(Part part, UUID homeId, UUID id) implements Serializable {}

    static SignedIn keeper(Keeper keeper) {
        return new SignedIn(keeper.id, keeper.name, null);
    }

    /** Whether a home is in sight; whose it is, is another question. */
    public boolean sees(UUID homeId) {
        return guest == null || guest.homeId().equals(homeId);
    }

    /** Not a name, which others may bear too: by this the session of a keeper, or of a guest, is found. */
    @Override
    public String getName() {
        return (guest == null ? keeperId : guest.id()).toString();
    }
}
