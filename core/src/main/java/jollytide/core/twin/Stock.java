package jollytide.core.twin;

/**
 * Something that a part holds and that changes by rates.
 *
 * @param name one of its kind in a tank; the same stock of another tank is found by it
 * @param start at the beginning of a run
 * @param absolute how exactly it is followed
 * @param relative likewise, over its size
 */
public record Stock(String name, double start, double absolute, double relative) {
    private static final double UNWATCHED = 1e9;

    /** A switch or a figure that is carried along: it changes by decision, never by rates. */
    public static Stock carried(String name, double start) {
        return new Stock(name, start, UNWATCHED, 1);
    }

    public Stock startingAt(double value) {
        return new Stock(name, value, absolute, relative);
    }
}
