package jollytide.core.dosingline;

import org.jspecify.annotations.Nullable;

/**
 * What keeps a vessel from emptying at once, as its keeper answered.
 *
 * @param siphon null where nobody answered; {@code stuck} likewise
 */
public record VesselGuard(@Nullable Siphon siphon, @Nullable Stuck stuck) {
    public static final VesselGuard UNANSWERED = new VesselGuard(null, null);

    /** How a siphon through the hose is prevented. */
    public enum Siphon {
        /** The hose ends above the highest level in the vessel, in the air. */
        OUTLET_ABOVE,
        ANTI_SIPHON_VALVE,
        NOTHING
    }

    /** How a pump that does not stop is prevented from emptying it. */
    public enum Stuck {
        /** A metered head that gives no more than its own cap. */
        METERED_HEAD,
        /** A timer in series. */
        TIMER_IN_SERIES,
        NOTHING
    }

    /** Whether both ways are closed. */
    public boolean holds() {
        return siphon != null && siphon != Siphon.NOTHING && stuck != null && stuck != Stuck.NOTHING;
    }
}
