package jollytide.core.twin;

/**
 * A way into the water or out of it, as the gas balance names it.
 *
 * @param name as the keeper knows it, such as a surface's name
 */
public record Channel(Kind kind, String name) {
    /** What kind of way. */
    public enum Kind {
        SURFACE(true),
        FALL(true),
        STONE(true),
        SKIMMER(true),
        REEF(false),
        LIGHT(false),
        REFUGIUM(false),
        FISH(false),
        CALCIFICATION(false),
        DOSES(false),
        REACTOR(false);

        private final boolean air;

        Kind(boolean air) {
            this.air = air;
        }

        /** Whether it is an exchange with the air. */
        public boolean air() {
            return air;
        }
    }

    Channel(Kind kind) {
        this(kind, "");
    }
}
