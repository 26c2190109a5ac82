package jollytide.core.twin;

import jollytide.core.exchange.Conductance;

/**
 * Water that lies open to air: a surface, a fall, a stone.
 *
 * @param over the air that it breathes
 */
public record Opening(Channel channel, Air over, Conductance conductance) {
    /** Which air. */
    public enum Air {
        ROOM,
        CANOPY,
        CABINET,
        /** A stone whose pump draws outdoor air. */
        OUTDOORS
    }
}
