package jollytide.core.upkeep;

import java.util.Map;
import jollytide.core.upkeep.Chore.Wear;
import org.jspecify.annotations.Nullable;

/**
 * How a tank's gear is used.
 *
 * @param perDay hours or litres; what is not in it is used as commonly
 * @param brought days between two times that come with its schedule
 */
public record TankUse(Map<Wear, Double> perDay, Map<Chore, Integer> brought) {
    public TankUse {
        perDay = Map.copyOf(perDay);
        brought = Map.copyOf(brought);
    }

    /** Of what wears it; null where it is taken as common. */
    public @Nullable Double of(Chore chore) {
        return perDay.get(chore.wear());
    }

    /** Between two times, by how it is used; what the schedule brings where that is sooner. */
    public double days(Chore chore) {
        Double used = of(chore);
        double days = used == null ? chore.days() : chore.days(used);
        Integer with = brought.get(chore);
        return with == null ? days : Math.min(days, with);
    }
}
