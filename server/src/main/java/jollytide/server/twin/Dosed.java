package jollytide.server.twin;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import jollytide.core.dosingline.KnownUse;
import jollytide.server.tank.Tank;
import org.jspecify.annotations.Nullable;

/** What the twin must know of the lines that dose a tank: who keeps those stands above it. */
public interface Dosed {
    /**
     * Up to the last midnight before a moment.
     *
     * @return by tank; those are missing of which doses and tests tell nothing
     */
    Map<UUID, KnownUse> use(List<Tank> tanks, Instant then);

    /** As fresh water was put in for it, L a day; null where too little was noted. */
    @Nullable
    Double evaporationLPerDay(Tank tank);
}
