package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import jollytide.core.air.Enclosure;
import jollytide.core.exchange.Conductance;
import jollytide.core.exchange.Gas;
import jollytide.core.media.Media;
import org.jspecify.annotations.Nullable;

/**
 * What does not change from hour to hour.
 *
 * @param netVolumeL litres of water
 * @param salinityPsu practical salinity; what evaporates is topped off
 * @param openings in the order of the ledger
 * @param canopy the air over what lies under a canopy; null when that is open to the room
 * @param cabinet the air around what stands in a cabinet; null when that is open to the room
 * @param skimmer null without one
 * @param media before the skimmer; null without
 */
public record TwinTank(
        double netVolumeL,
        double salinityPsu,
        double pressureHpa,
        List<Opening> openings,
        @Nullable Enclosure canopy,
        @Nullable Enclosure cabinet,
        @Nullable Stripper skimmer,
        @Nullable Media media,
        Life life) {

    static final List<Channel.Kind> BEHIND_OPENINGS =
            List.copyOf(EnumSet.range(Channel.Kind.SKIMMER, Channel.Kind.REACTOR));

    /**
     * A skimmer at its full draw.
     *
     * @param air what its air stream can carry, mol/(h·atm)
     * @param inCabinet whether its exhaust opens into the cabinet
     */
    public record Stripper(Conductance full, double air, boolean inCabinet) {
        public Stripper {
            within("skimmer.co2", full.co2(), 0, 1e6, "mol/(h·atm)");
            within("skimmer.oxygen", full.oxygen(), 0, 1e6, "mol/(h·atm)");
            within("skimmerAir", air, Math.max(full.co2(), full.oxygen()), 1e6, "mol/(h·atm)");
        }

        /** How far the air is brought towards the water: less air carries more of what it can. */
        double effectiveness(Gas gas) {
            return air == 0 ? 0 : full.of(gas) / air;
        }
    }

    public TwinTank {
        within("netVolumeL", netVolumeL, 1, 100_000, "L");
        within("salinityPsu", salinityPsu, 0, 45, "psu");
        openings = List.copyOf(openings);
        for (Opening opening : openings) {
            within("opening.co2", opening.conductance().co2(), 0, 1e6, "mol/(h·atm)");
            within("opening.oxygen", opening.conductance().oxygen(), 0, 1e6, "mol/(h·atm)");
        }
    }

    /** A tank with one surface over room air, and a skimmer of {@code full} at the most of {@code air}. */
    public static TwinTank plain(
            double netVolumeL,
            double salinityPsu,
            double pressureHpa,
            Conductance open,
            @Nullable Stripper skimmer,
            Life life) {
        Opening surface = new Opening(new Channel(Channel.Kind.SURFACE), Opening.Air.ROOM, open);
        return new TwinTank(netVolumeL, salinityPsu, pressureHpa, List.of(surface), null, null, skimmer, null, life);
    }

    /** The ledger's rows: the openings, then the skimmer, then what lives and what is poured in. */
    public List<Channel> channels() {
        List<Channel> all = new ArrayList<>();
        openings.forEach(opening -> all.add(opening.channel()));
        BEHIND_OPENINGS.forEach(kind -> all.add(new Channel(kind)));
        return all;
    }
}
