package jollytide.core.bench;

import static jollytide.core.units.Quantities.within;

import java.time.ZoneId;
import java.util.List;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Seawater;
import org.jspecify.annotations.Nullable;

/**
 * A tank and its surroundings as they are.
 *
 * @param alkalinityMeqPerL kept level by the doses of today, which bring as much carbon as calcification takes
 * @param skimmer null without one
 * @param outdoorPpm dry ppm
 */
public record Setup(
        double netVolumeL,
        Seawater water,
        double alkalinityMeqPerL,
        double pressureHpa,
        List<Surface> surfaces,
        @Nullable Skimmer skimmer,
        double outdoorPpm,
        DailyAir room,
        LightClock light,
        ZoneId zone) {

    public Setup {
        within("netVolumeL", netVolumeL, 1, 100_000, "L");
        within("alkalinityMeqPerL", alkalinityMeqPerL, 0.3, 15, "meq/L");
        within("outdoorPpm", outdoorPpm, 250, 5000, "ppm");
        surfaces = List.copyOf(surfaces);
    }
}
