package jollytide.server.account;

import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;

/** Who is at work. Kept in the session, so it holds nothing that may change. */
public record SignedIn(UUID keeperId, String name) implements Principal, Serializable {
    @Override
    public String getName() {
        return name;
    }
}
