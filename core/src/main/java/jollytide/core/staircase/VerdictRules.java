package jollytide.core.staircase;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Observation;
import jollytide.core.reef.Stance;
import jollytide.core.reef.TargetBand;
import jollytide.core.staircase.DayAround.AlkalinityRise;
import jollytide.core.staircase.Staircase.Level;
import jollytide.core.staircase.Staircase.Riser;
import jollytide.core.staircase.Verdict.Kind;
import jollytide.core.staircase.Verdict.Step;
import jollytide.core.staircase.Verdict.Urgency;
import jollytide.core.units.AlkalinityUnit;
import org.jspecify.annotations.Nullable;

/**
 * The order in which a low pH is explained: is there a reading, can the probe be believed, is the room known, is
 * anything wrong at all, is it alkalinity, and only then which riser is the taller. The first rule that speaks decides.
 */
final class VerdictRules {
    /** From here on a room's air is a matter for its people first. Common practice, no source. */
    static final double PEOPLE_FIRST_PPM = 1500;

    /** Dark water below this share of the outdoor air cannot come about without a strong dose. From memory. */
    /** Where no CO2 fits a pH and an alkalinity, it is too much of it below this, and none above. */
    private static final double TOO_ACID = 7.5;

    private static final double IMPLAUSIBLE_SHARE_IN_THE_DARK = 0.7;

    /** Lit water below this would have starved its plants of CO2. From memory. */
    private static final double IMPLAUSIBLE_LOW_PPM = 80;

    /** Water above this would have its animals gasping. From memory. */
    private static final double IMPLAUSIBLE_HIGH_PPM = 6000;

    /** Above this a reef's animals are in danger. Common practice, no source. */
    static final double HIGHEST_PH = 8.5;

    /** A hose that brings less than this share of outdoor air is not what it was fitted for. From memory. */
    private static final double GOOD_SHARE = 0.8;

    private final Findings f;

    private VerdictRules(Findings findings) {
        this.f = findings;
    }

    static Verdict judge(Findings findings) {
        return new VerdictRules(findings).judge();
    }

    private Verdict judge() {
        Observation ph = f.in().phNbs();
        Verdict overdose = overdose(ph);
        if (overdose != null) {
            return overdose;
        }
        if (ph == null) {
            return verdict(
                    Kind.PH_MISSING,
                    "No pH reading for this moment.",
                    "Without a pH of the water there is nothing to explain.",
                    "Measure pH in the last hour before lights-on. In most tanks that is the daily low.",
                    Step.MEASURE_PH);
        }
        if (!f.chemistryKnown()) {
            return verdict(
                    Kind.ALKALINITY_MISSING,
                    "Alkalinity is missing.",
                    text(
                            "pH %.2f alone does not show CO2. With low alkalinity this pH can be harmless, "
                                    + "with high alkalinity it means much CO2.",
                            ph.value()),
                    "Test alkalinity. Then we can compute the CO2 in the water.",
                    Step.TEST_ALKALINITY);
        }
        Level water = f.water();
        if (water == null) {
            return verdict(
                    Kind.PROBE_IMPLAUSIBLE,
                    "The probe can’t be right.",
                    ph.value() < TOO_ACID
                            ? text(
                                    "With pH %.2f and %.1f dKH, the water would have more CO2 than animals survive.",
                                    ph.value(), alkalinityDkh())
                            : text(
                                    "At pH %.2f, boron and hydroxide alone make up more than the %.1f dKH you "
                                            + "tested.",
                                    ph.value(), alkalinityDkh()),
                    "Check the probe in two buffers, then repeat the alkalinity test.",
                    Step.CHECK_PROBE);
        }
        String implausible = implausible(water);
        if (implausible != null) {
            return verdict(
                    Kind.PROBE_IMPLAUSIBLE,
                    "Check the probe first.",
                    implausible,
                    "Use two buffers, five minutes. If the probe is right, test alkalinity again.",
                    Step.CHECK_PROBE);
        }
        Level room = f.room();
        if (room == null) {
            return verdict(
                    Kind.ROOM_MISSING,
                    "Room CO2 is missing.",
                    text(
                            "The water has %.0f ppm, %.0f above outdoors. We can’t tell yet how much of that "
                                    + "comes from the room.",
                            water.ppm().value(),
                            water.ppm().value() - f.outdoor().ppm().value()),
                    roomAdvice(),
                    Step.MEASURE_ROOM);
        }
        return compare(ph, water, room);
    }

    /** Before everything else: what may kill within hours, even if the probe turns out to be wrong. */
    private @Nullable Verdict overdose(@Nullable Observation ph) {
        Observation highest = f.in().day().highest();
        double top = Math.max(ph == null ? 0 : ph.value(), highest == null ? 0 : highest.value());
        AlkalinityRise rise = f.in().day().rise();
        if (top <= HIGHEST_PH && (rise == null || !rise.tooFast())) {
            return null;
        }
        String because = rise != null && rise.tooFast()
                ? text(
                        "Alkalinity rose by %.1f dKH within a day, from %.1f. That is more than 1 dKH and more "
                                + "than test error.",
                        rise.byDkh(), rise.fromDkh())
                : text("pH %.2f is above %.1f on this day.", top, HIGHEST_PH);
        return verdict(
                Kind.OVERDOSE,
                "Stop the doser now.",
                because,
                "Then check the probe in two buffers and test alkalinity again. If both are right, aerate with "
                        + "room air and check whether the doser siphons. Change a tenth of the water at a "
                        + "time, with matched water. Use no acid. White clouds mean precipitation.",
                Step.STOP_DOSING);
    }

    private Verdict compare(Observation ph, Level water, Level room) {
        Riser ventilation = Objects.requireNonNull(f.ventilation());
        Riser tank = Objects.requireNonNull(f.tank());
        double goal = f.in().band().troughAtLeast();
        double limit = f.in().band().peakAtMost();
        if (ph.value() > limit) {
            return verdict(
                    Kind.ABOVE_BAND,
                    "Above your limit for the peak.",
                    text(
                            "pH %.2f is above %.2f. The water has %.0f ppm of CO2.",
                            ph.value(), limit, water.ppm().value()),
                    "Stop raising pH: no alkaline doses while the lights are on. Check the probe in two buffers.",
                    Step.CHECK_PROBE);
        }
        Observation lowest = f.in().day().lowest();
        if (ph.value() >= goal && lowest != null && lowest.value() < goal) {
            return verdict(
                    Kind.IN_BAND_NOW,
                    "In your goal range now, but not all day.",
                    text(
                            "pH is %.2f at this hour. The daily low was %.2f, below your %s of %.2f.",
                            ph.value(),
                            lowest.value(),
                            lowest.value() < f.in().band().actBelow() ? "action level" : "goal",
                            lowest.value() < f.in().band().actBelow()
                                    ? f.in().band().actBelow()
                                    : goal),
                    "Check where the CO2 came from at that hour.",
                    Step.SEE_WORST_HOUR);
        }
        if (ph.value() >= goal) {
            return verdict(
                    Kind.IN_BAND,
                    "Nothing to fix.",
                    text(
                            "pH %.2f meets your goal of %.2f. Room air adds %.0f ppm of CO2 and the tank %.0f.",
                            ph.value(),
                            goal,
                            ventilation.ppm().value(),
                            tank.ppm().value()),
                    "Keep measuring, above all before lights-on.",
                    Step.KEEP_WATCHING);
        }
        if (alkalinityIsTheCause(ph, ventilation, tank)) {
            return verdict(
                    Kind.LOW_ALKALINITY,
                    "Low alkalinity is the cause.",
                    text(
                            "At %.1f dKH the water is at pH %.2f. With %.1f dKH and the same CO2 it would "
                                    + "be %.2f. Cleaner air or more gas exchange would give less.",
                            alkalinityDkh(),
                            ph.value(),
                            f.in().assumptions().normalAlkalinityDkh(),
                            Objects.requireNonNull(f.phAtNormalAlkalinity())),
                    "Confirm with a second test, then raise alkalinity by at most 1 dKH a day.",
                    Step.RAISE_ALKALINITY);
        }
        if (tank.ppm().high() < 0) {
            return verdict(
                    Kind.TANK_TAKES_UP,
                    "The tank is taking up CO2 now.",
                    text(
                            "The water has %.0f ppm and the room %.0f. CO2 moves from the room into the water, "
                                    + "so more agitation would lower pH.",
                            water.ppm().value(), room.ppm().value()),
                    ventilation.ppm().value() > 0
                            ? text(
                                    "Bring cleaner air to the room or the skimmer. The room is %.0f ppm above "
                                            + "outdoors.",
                                    ventilation.ppm().value())
                            : "Check again before lights-on, when the tank releases CO2.",
                    ventilation.ppm().value() > 0 ? Step.VENTILATE : Step.KEEP_WATCHING);
        }
        Estimate difference = Objects.requireNonNull(f.difference());
        if (difference.low() > 0) {
            return verdict(
                    Kind.TANK_DOMINATES,
                    "The tank makes more CO2 than it releases.",
                    text(
                            "The water is %.0f ppm above the room, the room only %.0f above outdoors%s.",
                            tank.ppm().value(),
                            ventilation.ppm().value(),
                            without(tank, "with full gas exchange at this room air, pH would be %.2f")),
                    "More gas exchange helps most: surface agitation first, then the skimmer's air.",
                    Step.MORE_GAS_EXCHANGE);
        }
        if (difference.high() < 0) {
            return verdict(
                    Kind.ROOM_DOMINATES,
                    "The room's air is the cause.",
                    text(
                            "The room is %.0f ppm above outdoors, the water only %.0f above the room%s.",
                            ventilation.ppm().value(),
                            tank.ppm().value(),
                            without(ventilation, "with outdoor air in the room, pH would be %.2f")),
                    "Open a window for two days and watch pH before lights-on. An outdoor air hose to the "
                            + "skimmer is the lasting solution.",
                    Step.VENTILATE);
        }
        return tooClose(ventilation, tank);
    }

    private Verdict tooClose(Riser ventilation, Riser tank) {
        Staircase.Doubt decisive = f.doubts().get(0);
        double roomAge = Objects.requireNonNull(
                Objects.requireNonNull(f.uses().get(InputName.ROOM_CO2)).ageHours());
        if (decisive.input() == InputName.ROOM_CO2
                && roomAge > f.in().settlingHours().high()) {
            return verdict(
                    Kind.ROOM_STALE,
                    "The room reading is too old.",
                    text(
                            "The room was measured %.0f hours earlier. Water follows the room within %.0f "
                                    + "hours, so the air may have changed.",
                            roomAge, f.in().settlingHours().high()),
                    "Measure the room’s CO2 again, in the hours before the pH reading.",
                    Step.MEASURE_ROOM);
        }
        String swap = switch (decisive.input()) {
            case PH -> text("a pH error of %.2f could reverse their order", decisive.error());
            case ALKALINITY ->
                text(
                        "an alkalinity error of %.1f dKH could reverse their order",
                        AlkalinityUnit.DKH.fromMeqPerL(decisive.error()));
            case ROOM_CO2, OUTDOOR_CO2 -> text("a CO2 error of %.0f ppm could reverse their order", decisive.error());
            case TEMPERATURE -> text("a temperature error of %.1f °C could reverse their order", decisive.error());
            case SALINITY -> text("a salinity error of %.1f could reverse their order", decisive.error());
        };
        Step step = switch (decisive.input()) {
            case PH -> Step.CHECK_PROBE;
            case ALKALINITY -> Step.TEST_ALKALINITY;
            case ROOM_CO2 -> Step.MEASURE_ROOM;
            case OUTDOOR_CO2 -> Step.MEASURE_OUTDOORS;
            case TEMPERATURE -> Step.MEASURE_TEMPERATURE;
            case SALINITY -> Step.MEASURE_SALINITY;
        };
        String next = switch (decisive.input()) {
            case PH -> "Check the probe first. Five minutes in two buffers.";
            case ALKALINITY -> "Test the alkalinity again, twice, from one sample.";
            case ROOM_CO2 -> "Read the CO2 meter outdoors for ten minutes, then measure the room again.";
            case OUTDOOR_CO2 -> "Measure outdoors where the inlet would be.";
            case TEMPERATURE -> "Measure the water's temperature.";
            case SALINITY -> "Measure the salinity.";
        };
        return verdict(
                Kind.TOO_CLOSE,
                "Room and tank add about the same.",
                text(
                        "The room adds %.0f ppm, the tank %.0f (%.0f–%.0f), and %s.",
                        ventilation.ppm().value(),
                        tank.ppm().value(),
                        tank.ppm().low(),
                        tank.ppm().high(),
                        swap),
                next,
                step);
    }

    private boolean alkalinityIsTheCause(Observation ph, Riser ventilation, Riser tank) {
        Double atNormal = f.phAtNormalAlkalinity();
        if (atNormal == null || alkalinityDkh() >= f.in().assumptions().lowAlkalinityDkh()) {
            return false;
        }
        double gain = atNormal - ph.value();
        return gain >= gain(ventilation) && gain >= gain(tank);
    }

    private @Nullable String implausible(Level water) {
        double floor = f.in().dark()
                ? IMPLAUSIBLE_SHARE_IN_THE_DARK * f.outdoor().ppm().low()
                : IMPLAUSIBLE_LOW_PPM;
        if (water.ppm().high() < floor) {
            return text(
                    "The water would have %.0f ppm of CO2%s. Only a strong alkaline dose just before would "
                            + "explain that.",
                    water.ppm().value(),
                    f.in().dark() ? " in the dark, far less than outdoor air" : ", almost nothing");
        }
        if (water.ppm().low() > IMPLAUSIBLE_HIGH_PPM) {
            return text(
                    "The water would have %.0f ppm of CO2. Animals would be gasping. If they are, aerate now.",
                    water.ppm().value());
        }
        return null;
    }

    private String roomAdvice() {
        Estimate expected = f.in().roomExpectedPpm();
        String meter = "Put a CO2 meter beside the tank for a night";
        return expected == null
                ? meter + "."
                : meter
                        + text(
                                ". For its size and people, we expect %.0f–%.0f ppm with windows shut.",
                                expected.low(), expected.high());
    }

    private Urgency urgency(Kind kind) {
        Observation ph = f.in().phNbs();
        if (kind == Kind.OVERDOSE) {
            return Urgency.DANGER;
        }
        if (ph == null || kind == Kind.IN_BAND) {
            return Urgency.NONE;
        }
        TargetBand band = f.in().band();
        Observation lowest = f.in().day().lowest();
        double worst = lowest == null ? ph.value() : Math.min(ph.value(), lowest.value());
        if (worst < band.actBelow()) {
            return Urgency.ACT_NOW;
        }
        if (ph.value() > band.peakAtMost()) {
            return Urgency.STOP_RAISING;
        }
        if (worst >= band.troughAtLeast()) {
            return Urgency.NONE;
        }
        return f.in().stance() == Stance.STEADY ? Urgency.CAN_WAIT : Urgency.WORTH_DOING;
    }

    /** CO2 at the intake is the diagnosis of a hose. */
    private @Nullable String remark() {
        Estimate share = f.outdoorShare();
        Observation intake = f.in().intakePpm();
        Level room = f.room();
        if (share == null || intake == null || room == null || !f.in().outdoorLine() || share.high() >= GOOD_SHARE) {
            return null;
        }
        return text(
                "The outdoor hose delivers little: %.0f %% of the intake air comes from outdoors (%.0f–%.0f "
                        + "%%; intake %.0f ppm, room %.0f, outdoors %.0f). Check for another open inlet, or a "
                        + "hose too thin or kinked.",
                100 * share.value(),
                100 * share.low(),
                100 * share.high(),
                intake.value(),
                room.ppm().value(),
                f.outdoor().ppm().value());
    }

    private double alkalinityDkh() {
        return AlkalinityUnit.DKH.fromMeqPerL(
                Objects.requireNonNull(f.in().alkalinityMeqPerL()).value());
    }

    private static double gain(Riser riser) {
        Double gain = riser.phGain();
        return gain == null ? Double.POSITIVE_INFINITY : gain;
    }

    private static String without(Riser riser, String sentence) {
        Double ph = riser.phNbsWithout();
        return ph == null ? "" : "; " + text(sentence, ph);
    }

    private Verdict verdict(Kind kind, String headline, String because, String next, Step step) {
        List<String> cautions = new ArrayList<>();
        Level room = f.room();
        if (room != null && room.ppm().value() >= PEOPLE_FIRST_PPM) {
            cautions.add(text(
                    "Ventilate for the people first: the room is at %.0f ppm. Above 1500 ppm, headaches and "
                            + "poor sleep are common.",
                    room.ppm().value()));
        }
        if (step == Step.RAISE_ALKALINITY) {
            cautions.add("Wear goggles and gloves: limewater, soda ash and hydroxides are caustic. Add powder to "
                    + "water, never water to powder. Keep them away from children and pets. Follow the "
                    + "maker’s safety sheet.");
        }
        Observation lowest = f.in().day().lowest();
        Instant lookAt = step == Step.SEE_WORST_HOUR && lowest != null ? lowest.at() : null;
        if (step == Step.STOP_DOSING) {
            cautions.add("Wear goggles and gloves: the doser’s solution is caustic. If it reaches an eye, "
                    + "rinse long with water and get medical help. Unplug the doser with dry hands.");
        }
        return new Verdict(kind, headline, because, next, step, urgency(kind), remark(), lookAt, List.copyOf(cautions));
    }

    private static String text(String format, Object... args) {
        return String.format(Locale.ROOT, format, args);
    }
}
