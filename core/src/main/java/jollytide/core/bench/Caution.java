package jollytide.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import jollytide.core.bench.Forecast.SettledDay;
import jollytide.core.dosing.AlkalinitySource;

/** What a keeper must know before a remedy is fitted; each says what to do. */
public final class Caution {
    /** Below this a tank has little left for a stop of its pumps, mg/L. From memory. */
    public static final double OXYGEN_CAUTION_MG_PER_L = 5;
    /** How far a day's mean pH may be moved at once. From memory. */
    public static final double DAILY_CHANGE_PH = 0.2;
    /** Recirculation with less fresh air than this is a closed loop. Common practice: 2 to 5 %. */
    public static final double LEAST_FRESH_SHARE = 0.02;

    private Caution() {}

    /** Above this Ω of aragonite lime may fall out on heaters and pumps. From memory. */
    public static final double PRECIPITATION_OMEGA = 7;
    /** A stone deeper than this, or air drawn into a pump, can supersaturate the water. From memory. */
    public static final double DEEP_STONE_M = 1.0;

    /** The cautions of a variant, those for animals first. */
    public static List<String> of(Remedies remedies, SettledDay today, SettledDay settled, double lowestOxygen) {
        List<String> cautions = new ArrayList<>();
        Optional<Remedy.Scrubber> scrubber = remedies.find(Remedy.Scrubber.class);
        if (scrubber.isPresent() && scrubber.get().freshShare() < LEAST_FRESH_SHARE) {
            cautions.add("A closed loop does not renew oxygen. Leave 2 to 5 % fresh air in, so that it fails open.");
        }
        if (lowestOxygen < OXYGEN_CAUTION_MG_PER_L) {
            cautions.add(
                    "Oxygen may fall to %.1f mg/L before lights-on. Do not run this at night.".formatted(lowestOxygen));
        }
        double moved = (settled.troughPh() + settled.peakPh() - today.troughPh() - today.peakPh()) / 2;
        if (Math.abs(moved) > DAILY_CHANGE_PH) {
            cautions.add("The daily mean moves by %.2f. Go there in steps of %.1f a day: open it by the hour at first."
                    .formatted(moved, DAILY_CHANGE_PH));
        }
        if (settled.highestOmega() > PRECIPITATION_OMEGA) {
            cautions.add("Aragonite is oversaturated %.1f times at the peak: lime may fall out on heaters and pumps."
                            .formatted(settled.highestOmega())
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
                        "Before a wall is drilled: cables, pipes, gas, structure, the landlord and the local"
                                + " code. The mouth away from flues, dryers and vehicles; no low loop that"
                                + " holds condensate. Try a loose hose for a day first."));
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
