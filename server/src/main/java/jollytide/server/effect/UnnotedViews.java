package jollytide.server.effect;

import java.util.List;
import jollytide.core.unnoted.Unnoted;

/** What is shown of changes that nobody noted. */
final class UnnotedViews {
    private UnnotedViews() {}

    /** What was found in one stretch. */
    record Searched(List<Unnoted> found) {}

    /** A change that may be noted, or was said to be nothing. */
    record UnnotedChange(Unnoted found, boolean dismissed) {}

    /**
     * What was found so far.
     *
     * @param stretches between noted changes that are long enough to be searched, {@code searched} of them are
     */
    record UnnotedView(int stretches, int searched, List<UnnotedChange> changes) {}
}
