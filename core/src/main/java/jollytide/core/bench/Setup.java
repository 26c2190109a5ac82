package jollytide.core.bench;

import static jollytide.core.units.Quantities.within;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.air.AirLine;
import jollytide.core.air.Enclosure;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.reef.CalciumReactor;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Life;
import jollytide.core.twin.Opening;
import org.jspecify.annotations.Nullable;

/**
 * A tank and its surroundings as they are.
 *
 * @param alkalinityMeqPerL of today
 * @param parts what lies open to air
 * @param canopy null when the display is open to the room
 * @param cabinet null when the sump is open to the room
 * @param skimmer null without one
 * @param inCabinet whether the skimmer stands in the cabinet, breathes its air and blows into it
 * @param line through which it breathes outdoor air; null without
 * @param outdoorPpm dry ppm
 * @param life as expected; the breath is corrected by a fit
 * @param source of today's alkalinity: it is dosed as fast as the animals use it, what a reactor brings left out
 * @param reactor null without one
 * @param refugiumLight null without a refugium
 */
public record Setup(
        double netVolumeL,
        Seawater water,
        double alkalinityMeqPerL,
        double pressureHpa,
        List<Part> parts,
        @Nullable Enclosure canopy,
        @Nullable Enclosure cabinet,
        @Nullable Skimmer skimmer,
        boolean inCabinet,
        @Nullable AirLine line,
        double outdoorPpm,
        RoomDay room,
        LightClock light,
        Life life,
        AlkalinitySource source,
        @Nullable CalciumReactor reactor,
        @Nullable LightClock refugiumLight,
        ZoneId zone) {

    public Setup {
        within("netVolumeL", netVolumeL, 1, 100_000, "L");
        within("alkalinityMeqPerL", alkalinityMeqPerL, 0.3, 15, "meq/L");
        within("outdoorPpm", outdoorPpm, 250, 5000, "ppm");
        parts = List.copyOf(parts);
    }

    /** Surfaces and a skimmer in one room; nothing else. */
    public static Setup plain(
            double netVolumeL,
            Seawater water,
            double alkalinityMeqPerL,
            double pressureHpa,
            List<Surface> surfaces,
            @Nullable Skimmer skimmer,
            double outdoorPpm,
            RoomDay room,
            LightClock light,
            ZoneId zone) {
        List<Part> parts = new ArrayList<>();
        surfaces.forEach(s -> parts.add(Part.surface("surface " + (parts.size() + 1), Opening.Air.ROOM, s)));
        return new Setup(
                netVolumeL,
                water,
                alkalinityMeqPerL,
                pressureHpa,
                parts,
                null,
                null,
                skimmer,
                false,
                null,
                outdoorPpm,
                room,
                light,
                Life.reef(Living.ORDINARY.respirationMmolPerLPerH(), Living.ORDINARY.photosynthesisMmolPerLPerH()),
                AlkalinitySource.SODA_ASH,
                null,
                null,
                zone);
    }
}
