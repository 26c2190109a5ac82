package jollytide.core.twin;

/** The airs around a tank. */
public enum Air {
    /** The room that the tank stands in. */
    ROOM(0),
    /** Under a canopy, over the display. */
    CANOPY(1),
    /** In the cabinet, around the sump. */
    CABINET(2),
    OUTDOORS(3);

    private final int place;

    Air(int place) {
        this.place = place;
    }

    /** Where it stands in the run's arrays. */
    int place() {
        return place;
    }
}
