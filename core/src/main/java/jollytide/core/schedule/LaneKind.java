package jollytide.core.schedule;

/** What hangs on a lane. */
public enum LaneKind {
    LAMPS,
    REFUGIUM,
    RETURN_PUMP,
    FLOW_PUMP,
    SKIMMER,
    AIR_PUMP,
    /** The way that the skimmer's air takes: fresh, through media, or its own recirculated exhaust. */
    AIR_PATH,
    DOSER,
    FAN;

    /** Whether it brings air to the water while it runs. */
    public boolean aerates() {
        return this == SKIMMER || this == AIR_PUMP;
    }

    /** What it does that keeps animals in air when nobody watches: doses off, air fresh, everything that brings air on. */
    public boolean safe(LaneState state) {
        return switch (this) {
            case DOSER -> state.does() == LaneState.Does.OFF;
            case AIR_PATH -> state.does() == LaneState.Does.FRESH;
            case LAMPS, REFUGIUM, RETURN_PUMP, FLOW_PUMP, SKIMMER, AIR_PUMP, FAN -> true;
        };
    }

    /** Whether it moves the water while it runs. */
    public boolean movesWater() {
        return this == RETURN_PUMP || this == FLOW_PUMP;
    }
}
