package jollytide.core.suspects;

/**
 * What speaks for a suspect or against it.
 *
 * @param words with what was measured of this tank
 * @param weight natural logarithm of how many times more probable that is where this is the cause than where nothing is
 */
public record Ground(String words, double weight) {
    /**
     * No log says more for anybody than this: what is laid out here is never all that can be, and checks must be able to
     * turn it. Beside it all others count in proportion. From memory.
     */
    static final double MOST = 6;
}
