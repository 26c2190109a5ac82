package jollytide.server.supplies;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.upkeep.Chore;
import jollytide.server.dosing.DosingService;
import jollytide.server.media.MediaService;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.upkeep.UpkeepService;
import org.springframework.stereotype.Component;

/** How much of a supply a tank uses up a day, by what was planned and noted of it. */
@Component
class UsedUp {
    private static final Duration LATELY = Duration.ofDays(28);
    private static final Set<Method> KITS = EnumSet.of(Method.COLOUR_KIT, Method.TITRATION_KIT);

    private final DosingService doses;
    private final MediaService media;
    private final ReadingService readings;
    private final UpkeepService upkeep;
    private final Clock clock;

    UsedUp(DosingService doses, MediaService media, ReadingService readings, UpkeepService upkeep, Clock clock) {
        this.doses = doses;
        this.media = media;
        this.readings = readings;
        this.upkeep = upkeep;
        this.clock = clock;
    }

    /** Of one tank, for any supply: grams, millilitres or pieces a day. What its keeper says is the home's, and no tank's. */
    ToDoubleFunction<Supply> of(Tank tank) {
        Map<Chore, Double> perDay = upkeep.due(tank).stream()
                .collect(Collectors.groupingBy(
                        task -> task.kind().chore(), Collectors.summingDouble(task -> 1 / task.days())));
        return supply -> switch (supply.uses) {
            case POWDER -> doses.powderGPerDay(tank, supply.solute);
            case MEDIA -> media.gPerDay(tank);
            case TESTS -> supply.perUse * tests(supply, tank);
            case CHORE -> supply.perUse * perDay.getOrDefault(supply.chore, 0.0);
            case OWN -> 0;
        };
    }

    private double tests(Supply supply, Tank tank) {
        Instant now = clock.instant();
        long kits = readings.observed(tank, supply.quantity, Place.TANK, now.minus(LATELY), now, 1).stream()
                .filter(o -> KITS.contains(o.method()))
                .count();
        return kits / (double) LATELY.toDays();
    }
}
