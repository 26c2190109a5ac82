package jollytide.core.measure;

import java.util.List;

/** One thing that is put on a tank, with its settings. */
public interface Measure {

    /** Whether the CO2 or the lack of oxygen goes at its root, is made up for, or is only hidden from the pH. */
    enum Way {
        REMOVES_THE_SOURCE,
        OFFSETS,
        MASKS,
        A_FAULT
    }

    Way way();

    /** What it changes. */
    void on(Rig rig);

    default Cost cost(CostBasis basis) {
        return Cost.NOTHING;
    }

    /** What its keeper must know before it is fitted, by what it is alone. */
    default List<Caution> cautions() {
        return List.of();
    }

    /** Whether it can be begun with by the hour or in part: people who leave or water that warms cannot. */
    default boolean inSteps() {
        return way() != Way.A_FAULT;
    }

    /** Whether another one that stands on the tank is gone once this one is put on: the same with other settings. */
    default boolean replaces(Measure other) {
        return getClass() == other.getClass();
    }

    /**
     * What of a measure that stands on a tank is not in its readings already. What a thermometer, a test or the room's
     * meter shows would count twice.
     */
    enum ShownBy {
        NOTHING,
        READINGS,
        THE_ROOM_METER
    }

    default ShownBy shownBy() {
        return ShownBy.NOTHING;
    }

    /** Whether it leads a skimmer's exhaust back to its intake. */
    default boolean recirculates() {
        return false;
    }
}
