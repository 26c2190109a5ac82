package jollytide.server.effect;

import java.util.List;
import jollytide.core.unnoted.Unnoted;
import org.jspecify.annotations.Nullable;

/** What is shown of changes that nobody noted. */
final class UnnotedViews {
    private UnnotedViews() {}

    /** What was found in one stretch; null where it could not be searched: no plausible tank is behind it. */
    record Searched(@Nullable List<Unnoted> found) {}

    /** A change that may be noted, or was said to be nothing. */
    record UnnotedChange(Unnoted found, boolean dismissed) {}

    /**
     * What was found so far.
     *
     * @param stretches between noted changes that are long enough to be searched, {@code searched} of them are
     * @param implausible of those, behind how many no plausible tank is, so that nothing can be found
     */
    record UnnotedView(int stretches, int searched, int implausible, List<UnnotedChange> changes) {}
}
