package jollytide.core.outage;

import static jollytide.core.units.Quantities.plain;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
import org.jspecify.annotations.Nullable;

/**
 * What to do in an outage and after it, in the order in which it is due. The order is common practice: air first; filter
 * and heat can wait a few hours. It defers to local codes, makers' instructions and licensed trades.
 */
public final class Plan {
    /** A sealed canister rots after this; common practice, on the careful side. */
    public static final double CANISTER_H = 4;
    /** Cooler than this a reef needs its heat kept. From memory. */
    public static final double COLD_C = 23;

    static final String GENERATOR =
            "Run generators outdoors only, never in a garage. Keep away from doors and windows. Let it cool before you refuel. Keep a "
                    + "carbon monoxide alarm indoors. Never back-feed the house. Let a licensed electrician "
                    + "fit a transfer switch.";
    private static final String ELECTRICITY =
            "Keep hands dry and sockets dry and raised. Use drip loops and residual-current protection. Never chain cords.";
    private static final String BATTERIES =
            "Ventilate batteries and use the right charger. Never use swollen cells. Test once a year at the "
                    + "real load. Check the fuse of a vehicle’s socket.";

    private static final double DAY_H = 24;
    private static final double SALINITY = 35;
    /** Beyond this nobody plans by a step, h. */
    private static final double LONGEST_H = 240;

    private Plan() {}

    /**
     * What a tank has that the plan must know.
     *
     * @param canister whether biological media sit in a sealed filter
     * @param doser whether anything is dosed by a pump
     * @param sump whether water drains into a sump when the power goes
     * @param skimmer whether there is one, which can overflow when the power returns
     * @param corals whether anything lives in it that cannot swim to moving water
     * @param bucketsPerH of ten litres that would hold it by hand
     * @param tank as the mains failed
     * @param schedule what of the kit is started when
     */
    public record Situation(
            boolean canister,
            boolean doser,
            boolean sump,
            boolean skimmer,
            boolean corals,
            double bucketsPerH,
            TankAtFailure tank,
            List<NightWithoutMains.Running> schedule,
            NightWithoutMains.OxygenCourse course) {}

    /** While the power is out. */
    public static List<Step> during(Situation s) {
        List<Step> steps = new ArrayList<>();
        steps.add(new Step(
                "look",
                0,
                "Watch the animals",
                "Gasping at the surface overrides every number.",
                "Use a torch from the side. If animals gasp, aerate at once.",
                null));
        air(s, steps);
        steps.add(new Step(
                "no-food",
                0,
                "Do not feed",
                "A meal doubles oxygen use and fouls the water.",
                "Tell everyone at home. Feed one day after power is back.",
                null));
        steps.add(new Step(
                "shed",
                0.1,
                "Unplug heater and lamps" + (s.skimmer() ? ", skimmer" : "") + (s.doser() ? ", doser" : ""),
                "They can overload the restart or run dry.",
                s.doser()
                        ? "The doser stays off until you have checked it."
                        : "Leave air and circulation " + "plugged in.",
                ELECTRICITY));
        if (s.sump()) {
            steps.add(new Step(
                    "overflow",
                    0.1,
                    "Check the sump",
                    "Water drains down when pumps stop.",
                    "Check again in ten minutes: one-way valves fail.",
                    null));
        }
        if (s.corals()) {
            steps.add(new Step(
                    "flow",
                    0.5,
                    "Give corals some flow",
                    "Corals need moving water as well as oxygen.",
                    "Place a stone or battery pump for flow. Otherwise stir every ten minutes.",
                    "Wear gloves and eye protection: some corals are poisonous. Never scrub, boil or heat "
                            + "living rock."));
        }
        if (s.canister()) {
            steps.add(new Step(
                    "media-out",
                    1,
                    "Remove biological media from the canister",
                    "Sealed media die within hours and poison the water.",
                    "Keep media in moving, aerated tank water.",
                    ELECTRICITY));
            steps.add(new Step(
                    "canister",
                    CANISTER_H,
                    "Unplug the canister. Never restart it dirty",
                    "After four hours the water inside is foul.",
                    "Clean the canister first. Keep its water out of the tank.",
                    "Wear gloves: rot inside is unhealthy for you, too."));
        }
        coldAndFoul(s, steps);
        energy(s, steps);
        steps.sort(Comparator.comparingDouble(Step::atH));
        return steps;
    }

    private static void air(Situation s, List<Step> steps) {
        if (s.schedule().isEmpty() && s.bucketsPerH() <= 0) {
            steps.add(new Step(
                    "air-by-hand",
                    0,
                    "Be ready to aerate by hand",
                    "No kit aerates. This tank’s still surface should be enough.",
                    "Pour from half a metre if animals gasp or gills beat fast.",
                    null));
            return;
        }
        if (s.schedule().isEmpty()) {
            steps.add(new Step(
                    "air-by-hand",
                    0,
                    "Aerate by hand",
                    "Nothing in your kit aerates without power.",
                    String.format(
                            Locale.ROOT,
                            "Pour from half a metre: %s an hour. Get a battery air pump before night.",
                            buckets(s)),
                    null));
            return;
        }
        int i = 0;
        for (NightWithoutMains.Running running : s.schedule()) {
            if (running.fromH() == 0) {
                Backup backup = running.backup();
                String name = backup.name();
                steps.add(new Step(
                        startId(backup),
                        0,
                        (backup.startsItself() ? "Check that it runs: " : "Start: ") + name,
                        i == 0
                                ? "Oxygen first. Everything else can wait."
                                : "The first alone is not enough " + "for this tank.",
                        s.bucketsPerH() > 0
                                ? "Pour from half a metre until it bubbles: " + buckets(s) + " an hour."
                                : "Check that it bubbles.",
                        name,
                        caution(backup)));
                i++;
            }
        }
    }

    /** Starting a thing is one step, however the others before it change. */
    private static String startId(Backup backup) {
        return "start-" + Integer.toHexString(backup.name().hashCode());
    }

    private static String buckets(Situation s) {
        int n = (int) Math.ceil(s.bucketsPerH());
        return n == 1 ? "a ten-litre bucket" : n + " ten-litre buckets";
    }

    private static @Nullable String caution(Backup backup) {
        Energy energy = backup.energy();
        if (energy instanceof Energy.Generator) {
            return GENERATOR;
        }
        return energy == null ? null : BATTERIES;
    }

    private static void coldAndFoul(Situation s, List<Step> steps) {
        Double coldAt = s.course().points().stream()
                .filter(p -> p.coldestC() < COLD_C)
                .map(NightWithoutMains.OxygenPoint::hours)
                .findFirst()
                .orElse(null);
        if (coldAt != null) {
            steps.add(new Step(
                    "warmth",
                    Math.max(0.5, coldAt - 1),
                    "Keep the tank warm",
                    String.format(Locale.ROOT, "At this rate water falls below %s °C.", plain(COLD_C)),
                    "Wrap the sides in blankets, never over the water. Keep heat packs outside the glass. Warm "
                            + "slowly. Never add boiling water.",
                    "Never heat a closed room with an unvented flame: carbon monoxide."));
        }
        steps.add(new Step(
                "ammonia",
                ammoniaDueH(s),
                "Test ammonia and nitrite",
                "Stopped filters let both rise, even days later.",
                "Test daily until both stay zero after power is back. Bind ammonia if a test shows it. Keep "
                        + "air running: binders use oxygen.",
                null));
    }

    /** A day in, or as soon as it could harm: by the highest ordinary pH, with nothing taken up. */
    private static double ammoniaDueH(Situation s) {
        OptionalDouble harmful = s.course().points().stream()
                .filter(p -> p.ammoniaMgPerL() * poisonousShare(warmest(s, p)) > Ammonia.HARMFUL_MG_PER_L)
                .mapToDouble(NightWithoutMains.OxygenPoint::hours)
                .findFirst();
        return Math.max(1, Math.min(DAY_H, harmful.orElse(DAY_H)));
    }

    /** Warm water makes more of it poison: cooling is not counted on. */
    private static double warmest(Situation s, NightWithoutMains.OxygenPoint p) {
        return Math.max(s.tank().startC(), p.celsius());
    }

    private static double poisonousShare(double celsius) {
        Seawater water = new Seawater(SALINITY, Math.max(0, Math.min(Seawater.MAX_TEMPERATURE_C, celsius)));
        return Ammonia.unionisedShare(water, Ammonia.HIGHEST_PH_NBS, PhScale.NBS);
    }

    /** Each that is started later, what to do where one ends, and where what runs is not enough however long it runs. */
    private static void energy(Situation s, List<Step> steps) {
        double lastEnd = 0;
        Backup last = null;
        for (NightWithoutMains.Running running : s.schedule()) {
            Backup backup = running.backup();
            if (running.fromH() > 0) {
                if (backup.startsItself()) {
                    steps.add(new Step(
                            "hold-" + Integer.toHexString(backup.name().hashCode()),
                            0,
                            "Switch off for now: " + backup.name(),
                            "It started by itself. You need it after " + HoursInWords.untilDanger(running.fromH())
                                    + ".",
                            "Wait until the other one bubbles.",
                            null));
                }
                steps.add(new Step(
                        startId(backup),
                        Math.max(0.25, running.fromH() - 0.25),
                        "Start: " + backup.name(),
                        "Current equipment may stop after " + HoursInWords.untilDanger(running.fromH()) + ".",
                        "Start it before the other stops.",
                        backup.name(),
                        caution(backup)));
            }
            double ends = running.fromH() + backup.runTime().early();
            if (ends > lastEnd) {
                lastEnd = ends;
                last = backup;
            }
        }
        Double danger = s.course().danger().early();
        if (!s.schedule().isEmpty() && danger != null && danger < lastEnd) {
            steps.add(new Step(
                    "not-enough",
                    Math.max(0.25, danger - 0.5),
                    "Add more air",
                    supplied(s) + " After " + HoursInWords.untilDanger(danger) + " that may be too little.",
                    "Add a pump or pour " + buckets(s) + " an hour. More batteries do not help.",
                    null));
        } else if (last != null && lastEnd < LONGEST_H) {
            steps.add(new Step(
                    "fresh-energy",
                    Math.max(0.25, lastEnd - 0.5),
                    "Recharge: " + last.name(),
                    "It may stop after " + HoursInWords.untilDanger(lastEnd)
                            + ". Get cells, a battery or another pump.",
                    "Try spare cells, a car, a neighbour, a shop. Or move the animals.",
                    BATTERIES));
        }
    }

    /** What runs from the first minute, against what the tank breathes; on the careful side. */
    private static String supplied(Situation s) {
        List<Backup> first = s.schedule().stream()
                .filter(running -> running.fromH() == 0)
                .map(NightWithoutMains.Running::backup)
                .toList();
        return String.format(
                Locale.ROOT,
                "Equipment adds %.2f of the %.2f mg/L used each hour.",
                s.tank().broughtMgPerLPerH(first),
                s.tank().demandMgPerLPerH(s.tank().startC(), 0, s.tank().early(first)));
    }

    /**
     * Once the power is back.
     *
     * @param lastedH how long it was away: a canister that stood for less than {@link #CANISTER_H} runs on
     * @param put in against ammonia, by what was said
     */
    public static List<Step> after(Situation s, double lastedH, Set<AgainstAmmonia> put) {
        List<Step> steps = new ArrayList<>();
        steps.add(new Step(
                "back-circulation",
                0,
                "Return pump and circulation first",
                "Moving water before anything else.",
                s.sump() ? "Watch the sump and every joint for five minutes." : "Watch every joint for five minutes.",
                ELECTRICITY));
        steps.add(new Step(
                "back-heater",
                0.1,
                "Heater, once under water",
                "A dry heater bursts.",
                "Warm slowly, at most one degree an hour.",
                ELECTRICITY));
        if (s.canister() && lastedH >= CANISTER_H) {
            steps.add(new Step(
                    "back-canister",
                    0.2,
                    "Clean the canister before it runs",
                    "Anything sealed for four hours is foul.",
                    "Return aerated media. Rinse the rest in tank water.",
                    "Wear gloves."));
        }
        if (s.skimmer()) {
            steps.add(new Step(
                    "back-skimmer",
                    0.5,
                    "Skimmer last, cup empty",
                    "A skimmer overflows after an outage.",
                    "Lower its level. Stay beside it.",
                    null));
        }
        if (s.doser()) {
            steps.add(new Step(
                    "back-doser",
                    1,
                    "Keep the doser off until you have checked it",
                    "The doser may have lost its clock or siphoned.",
                    "Check bottle level, clock and alkalinity, then switch on. Never dose missed amounts at once.",
                    "Wear goggles and gloves with caustics."));
        }
        steps.add(new Step(
                "back-lamps", 2, "Run lamps at half for a day", "Animals are weak.", "No feeding today.", null));
        steps.add(new Step(
                "back-ammonia",
                12,
                "Test ammonia and nitrite daily until both are zero twice",
                "Filters recover slowly.",
                Stream.concat(put.stream().sorted().map(AgainstAmmonia::says), Stream.of("Enter the readings here."))
                        .collect(Collectors.joining(" ")),
                null));
        return steps;
    }
}
