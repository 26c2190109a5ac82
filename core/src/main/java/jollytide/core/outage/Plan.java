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
            "Outdoors only, far from doors and windows, never in a garage. Stop it and refuel it cold."
                    + " Keep a carbon monoxide alarm indoors. Never back-feed the house."
                    + " Ask a licensed electrician to fit a transfer switch.";
    private static final String ELECTRICITY =
            "Dry hands, dry raised sockets, drip loops, residual-current protection; no chained cords.";
    private static final String BATTERIES =
            "Ventilated, the right charger, no swollen cells; tested once a year at the real load. A vehicle's socket is"
                    + " usually fused below an inverter's rating.";

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
                "Look at the animals",
                "Gasping at the surface beats every number here.",
                "A torch from the side. If they gasp: aerate this minute, with whatever is at hand.",
                null));
        air(s, steps);
        steps.add(new Step(
                "no-food",
                0,
                "Do not feed",
                "A meal doubles what they breathe and fouls the water.",
                "Tell the others in the house. Not before the day after power is back.",
                null));
        steps.add(new Step(
                "shed",
                0.1,
                "Unplug heater and lamps" + (s.skimmer() ? ", skimmer" : "") + (s.doser() ? ", doser" : ""),
                "They start all at once when the power returns, or burn dry.",
                s.doser() ? "The doser stays off until you have checked it." : "Leave air and circulation plugged in.",
                ELECTRICITY));
        if (s.sump()) {
            steps.add(new Step(
                    "overflow",
                    0.1,
                    "Look at the sump",
                    "Water drains down when pumps stop.",
                    "Below its rim? One-way valves fail: look again in ten minutes.",
                    null));
        }
        if (s.corals()) {
            steps.add(new Step(
                    "flow",
                    0.5,
                    "Give corals some flow",
                    "They need moving water as well as oxygen.",
                    "Stone or battery pump where the water turns over; else stir along the reef every ten minutes.",
                    "Gloves and eye protection for hands in a reef: some corals are poisonous. Never scrub, boil or heat"
                            + " living rock."));
        }
        if (s.canister()) {
            steps.add(new Step(
                    "media-out",
                    1,
                    "Take biological media out of the canister",
                    "Sealed and still they die within hours and poison what they should clean.",
                    "Into a bucket or net of moving, aerated tank water.",
                    ELECTRICITY));
            steps.add(new Step(
                    "canister",
                    CANISTER_H,
                    "Unplug the canister; do not restart it dirty",
                    "After four hours what is in it is foul.",
                    "Clean it before it runs again: its water must not reach the tank.",
                    "Gloves: what rots inside is unhealthy for you, too."));
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
                    "Be ready to move air in by hand",
                    "Nothing in the kit aerates without mains; by the sum this tank's still surface holds it.",
                    "If they gasp or breathe fast: scoop and pour from half a metre.",
                    null));
            return;
        }
        if (s.schedule().isEmpty()) {
            steps.add(new Step(
                    "air-by-hand",
                    0,
                    "Move air in by hand",
                    "Nothing in the kit aerates without mains.",
                    String.format(
                            Locale.ROOT,
                            "Scoop and pour from half a metre: %s an hour hold this tank. Nobody keeps it up overnight:"
                                    + " send for a battery air pump.",
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
                        (backup.startsItself() ? "See that it runs: " : "Start: ") + name,
                        i == 0 ? "Oxygen first; everything else can wait." : "The first alone does not hold this tank.",
                        s.bucketsPerH() > 0
                                ? "Until it bubbles, pour from half a metre: " + buckets(s) + " an hour."
                                : "Look that it bubbles.",
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
                    "Keep the warmth",
                    String.format(Locale.ROOT, "At this rate it falls below %s °C.", plain(COLD_C)),
                    "Blankets around the sides, never over the water: it must breathe. Heat packs outside the glass:"
                            + " they use oxygen. Warm slowly; never boiling water.",
                    "Never heat a closed room with an unvented flame: carbon monoxide."));
        }
        steps.add(new Step(
                "ammonia",
                ammoniaDueH(s),
                "Test ammonia and nitrite",
                "Filters that stood still let them rise, and on for days after.",
                "Daily, until both are zero after the power is back. Bind ammonia when a test shows it, with air"
                        + " running: binders can take oxygen and confuse some kits.",
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
                            "It started by itself. You need it only after " + HoursInWords.untilDanger(running.fromH())
                                    + ".",
                            "Only once the other one bubbles.",
                            null));
                }
                steps.add(new Step(
                        startId(backup),
                        Math.max(0.25, running.fromH() - 0.25),
                        "Start: " + backup.name(),
                        "What runs now may stop after " + HoursInWords.untilDanger(running.fromH()) + ".",
                        "Before it stops.",
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
                    "Bring in more air",
                    supplied(s) + " After " + HoursInWords.untilDanger(danger)
                            + " that may be too little, however long it runs.",
                    "Another pump, or pour: " + buckets(s) + " an hour. More batteries do not help here.",
                    null));
        } else if (last != null && lastEnd < LONGEST_H) {
            steps.add(new Step(
                    "fresh-energy",
                    Math.max(0.25, lastEnd - 0.5),
                    "Fresh energy for: " + last.name(),
                    "It may stop after " + HoursInWords.untilDanger(lastEnd)
                            + ". It needs fresh cells, a battery or another pump.",
                    "Spare cells, a car, a neighbour, an open shop; or move the animals.",
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
                "What runs brings %.2f of the %.2f mg/L that your tank uses an hour.",
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
                "Heater, once it is under water",
                "A dry heater bursts.",
                "Warm slowly: no more than a degree an hour.",
                ELECTRICITY));
        if (s.canister() && lastedH >= CANISTER_H) {
            steps.add(new Step(
                    "back-canister",
                    0.2,
                    "Canister: clean it before it runs",
                    "Whatever stood sealed for four hours is foul.",
                    "Media that were kept in aerated water go back in; the rest is rinsed in tank water.",
                    "Gloves."));
        }
        if (s.skimmer()) {
            steps.add(new Step(
                    "back-skimmer",
                    0.5,
                    "Skimmer last, cup empty",
                    "A skimmer overflows after an outage.",
                    "Lower its level; stay beside it.",
                    null));
        }
        if (s.doser()) {
            steps.add(new Step(
                    "back-doser",
                    1,
                    "Doser: off until you have checked it",
                    "It may have lost its clock or siphoned.",
                    "Level of the bottle, its clock, alkalinity; then on. Never make up for missed doses at once.",
                    "Caustics: goggles and gloves."));
        }
        steps.add(new Step("back-lamps", 2, "Lamps at half for a day", "Animals are weak.", "No feeding today.", null));
        steps.add(new Step(
                "back-ammonia",
                12,
                "Ammonia and nitrite, every day until both are zero twice",
                "Filters recover slowly.",
                Stream.concat(
                                put.stream().sorted().map(AgainstAmmonia::says),
                                Stream.of("Note the readings here; they stay in the log."))
                        .collect(Collectors.joining(" ")),
                null));
        return steps;
    }
}
