package jollytide.server.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import jollytide.server.account.SignedIn.Guest;

/** What somebody who is not the keeper may do in a home. */
public interface Guests {
    /** Who comes with this link. */
    Optional<SignedIn> byLink(String code);

    /** Whether they are still welcome. */
    boolean known(Guest guest);

    /** Whether a request is within what they were let in for. */
    boolean may(Guest guest, HttpServletRequest request);
}
