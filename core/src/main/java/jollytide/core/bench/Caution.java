package jollytide.core.bench;

import java.util.ArrayList;
import java.util.List;
import jollytide.core.bench.Forecast.SettledDay;

/** What a keeper must know before a remedy is fitted; each says what to do. */
public final class Caution {
    /** Below this a tank has little left for a stop of its pumps, mg/L. From memory. */
    public static final double OXYGEN_CAUTION_MG_PER_L = 5;
    /** How far a day's mean pH may be moved at once. From memory. */
    public static final double DAILY_CHANGE_PH = 0.2;
    /** Recirculation with less fresh air than this is a closed loop. Common practice: 2 to 5 %. */
    public static final double LEAST_FRESH_SHARE = 0.02;

    private Caution() {}

    /** The cautions of a variant, those for animals first. */
    public static List<String> of(Remedies remedies, SettledDay today, SettledDay settled, double lowestOxygen) {
        List<String> cautions = new ArrayList<>();
        if (remedies.freshShare() < LEAST_FRESH_SHARE) {
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
        if (remedies.freshShare() < 1 && remedies.mediaPass() < 1) {
            cautions.add(
                    "Recirculated exhaust is wet: media can drown within days of full-time use. Watch their weight.");
        }
        if (remedies.mediaPass() < 1) {
            cautions.add(
                    "Wet media leach caustic. A drip trap belongs between media and skimmer; goggles and gloves on.");
        }
        if (remedies.line() != null) {
            cautions.add("Before a wall is drilled: cables, pipes, gas, structure, the landlord and the local code. The"
                    + " mouth away from flues, dryers and vehicles. Try a loose hose for a day first.");
        }
        if (remedies.hydroxideMeqPerLPerDay() > 0) {
            cautions.add("Limewater is caustic: goggles and gloves, powder into water, out of children's reach.");
        }
        return cautions;
    }
}
