package jollytide.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import jollytide.core.bench.Forecast.SettledDay;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.reef.OxygenLines;
import jollytide.core.twin.TwinState;

/** What a keeper must know before a remedy is fitted; each says what to do. */
public final class Caution {
    /** How far a day's mean pH may be moved at once. From memory. */
    public static final double DAILY_CHANGE_PH = 0.2;
    /** Recirculation with less fresh air than this is a closed loop. Common practice: 2 to 5 %. */
    public static final double LEAST_FRESH_SHARE = 0.02;

    private Caution() {}

    /** Above this Ω of aragonite lime may fall out on heaters and pumps. From memory. */
    public static final double PRECIPITATION_OMEGA = 7;
    /** Common practice: a reef's pH should not go above this. */
    public static final double HIGHEST_PH = 8.45;

    private static final int SAMPLES_PER_DAY = 96;
    /** A stone deeper than this, or air drawn into a pump, can supersaturate the water. From memory. */
    public static final double DEEP_STONE_M = 1.0;

    /** What its keeper can begin with for an hour a day or in part; people who leave or power that fails cannot. */
    private static boolean inSteps(Remedy remedy) {
        return !(remedy instanceof Remedy.Company
                || remedy instanceof Remedy.PowerOff
                || remedy instanceof Remedy.Warmth
                || remedy instanceof Remedy.Ventilation
                || remedy.way() == Remedy.Way.A_FAULT);
    }

    /** Oxygen that is low without the set is no reason against it; oxygen that falls by it is. */
    private static Optional<String> oxygen(Remedies remedies, SettledDay today, double lowest) {
        if (lowest >= OxygenLines.CAUTION) {
            return Optional.empty();
        }
        if (lowest > today.lowestOxygenMgPerL() - NOTICEABLE_MG_PER_L) {
            return Optional.of(
                    "Oxygen falls to about %.1f mg/L before lights-on, with or without this. See Guard, Margin."
                            .formatted(lowest));
        }
        boolean ledBack = remedies.find(Remedy.Scrubber.class)
                .filter(media -> media.freshShare() < 1)
                .isPresent();
        return Optional.of(("Oxygen may fall to %.1f mg/L before lights-on, from %.1f."
                        + (ledBack ? " Do not lead exhaust back at night." : " Add air before you do this."))
                .formatted(lowest, today.lowestOxygenMgPerL()));
    }

    /** A difference of oxygen that no sum can tell from none. */
    private static final double NOTICEABLE_MG_PER_L = 0.2;

    /** The cautions of a variant, those for animals first. */
    public static List<String> of(Remedies remedies, SettledDay today, List<TwinState> run, double lowestOxygen) {
        SettledDay settled = Forecast.settled(run);
        List<String> cautions = new ArrayList<>();
        Optional<Remedy.Scrubber> scrubber = remedies.find(Remedy.Scrubber.class);
        if (scrubber.isPresent() && scrubber.get().freshShare() < LEAST_FRESH_SHARE) {
            cautions.add("A closed loop does not renew oxygen. Leave 2 to 5 % fresh air in, so that it fails open.");
        }
        oxygen(remedies, today, lowestOxygen).ifPresent(cautions::add);
        SettledDay first = SettledDay.of(run.subList(0, Math.min(SAMPLES_PER_DAY, run.size())));
        double moved = (first.troughPh() + first.peakPh() - today.troughPh() - today.peakPh()) / 2;
        double atLast = (settled.troughPh() + settled.peakPh() - today.troughPh() - today.peakPh()) / 2;
        double farthest = Math.abs(moved) > Math.abs(atLast) ? moved : atLast;
        boolean canBeMetered = remedies.all().stream().anyMatch(Caution::inSteps);
        if (canBeMetered && Math.abs(farthest) > DAILY_CHANGE_PH) {
            cautions.add("The daily mean moves by %+.2f. Go there in steps of %.1f a day: by the hour at first."
                    .formatted(farthest, DAILY_CHANGE_PH));
        }
        double highestPh = run.stream().mapToDouble(TwinState::phNbs).max().orElseThrow();
        if (highestPh > HIGHEST_PH) {
            cautions.add("On the way pH reaches %.2f: above %.1f. Use less of it, or by the hour."
                    .formatted(highestPh, HIGHEST_PH));
        }
        double omega = run.stream().mapToDouble(TwinState::omegaAragonite).max().orElseThrow();
        if (omega > PRECIPITATION_OMEGA) {
            cautions.add("Aragonite is oversaturated %.1f times at the peak: lime may fall out on heaters and pumps."
                            .formatted(omega)
                    + " Let alkalinity or pH end lower.");
        }
        scrubber.ifPresent(media -> {
            if (media.freshShare() < 1) {
                cautions.add("Recirculated exhaust is wet: media can drown within days of full-time use. Weigh them.");
            }
            cautions.add("Wet media leach caustic. A drip trap belongs between media and skimmer; goggles, gloves and"
                    + " dust mask on; rinse long with water and get medical help if it reaches an eye.");
        });
        remedies.find(Remedy.OutdoorLine.class)
                .ifPresent(line -> cautions.add(
                        "Before a wall is drilled: cables, pipes, gas, structure, fire stops, old coatings that may"
                                + " hold lead or asbestos, the landlord and the local code. The mouth away from flues,"
                                + " dryers, vehicles and sprays, never in a cellar or attic: radon and mould; a screen"
                                + " against insects; no low loop that holds condensate or frost. Try a loose hose for a"
                                + " day first."));
        remedies.find(Remedy.ReactorAfterCare.class)
                .ifPresent(
                        care -> cautions.add("The CO2 cylinder stands upright and secured, in a room that is aired: the"
                                + " gas is heavier than air and gives no warning."));
        remedies.find(Remedy.Stone.class)
                .filter(stone -> stone.depthM() > DEEP_STONE_M)
                .ifPresent(stone -> cautions.add(
                        "Air pressed deep under water can supersaturate it with gas. Keep the stone above a metre."));
        remedies.find(Remedy.Ventilation.class)
                .filter(air -> air.extraPerH() > 0)
                .ifPresent(air -> cautions.add("A fan that only draws air out can pull a flue's gases into the house:"
                        + " have supply and exhaust balanced by someone licensed where a fire or boiler stands."));
        remedies.find(Remedy.OtherSource.class).map(Remedy.OtherSource::source).ifPresent(source -> {
            if (source.caustic()) {
                cautions.add("Caustic: goggles and gloves, powder into water and never water onto powder, out of the"
                        + " reach of children and pets. Dose slowly into strong flow, capped by the hour and day.");
            }
            if (source == AlkalinitySource.POTASSIUM_HYDROXIDE) {
                cautions.add(
                        "Potassium builds up, 14 mg/L for each dKH: in a month or two to a dangerous level. Test it.");
            }
        });
        remedies.find(Remedy.AlkalinityChange.class)
                .ifPresent(change -> cautions.add(
                        "Change alkalinity by no more than 1 dKH a day; read it again 24 h after each dose."));
        return cautions;
    }
}
