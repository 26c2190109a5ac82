package jollytide.core.upkeep;

import java.util.List;
import java.util.Set;
import jollytide.core.unnoted.Cause;
import org.jspecify.annotations.Nullable;

/**
 * What keeps a tank's gear doing what the twin takes it to do. How often is common practice, no source; a tank's own
 * findings move it ({@link Interval}).
 */
public enum Chore {
    SOCK(
            "change the filter sock",
            4,
            Needs.NOTHING,
            Wear.TIME,
            null,
            "Lift the sock out slowly, so dirt stays inside.",
            "Put a clean one in at once: dirt goes to the pump meanwhile.",
            "Rinse the old one inside out. Wash it hot, without detergent or softener.",
            "Let it dry completely before you use it again."),
    SKIMMER_CUP(
            "empty and wipe the skimmer’s cup",
            7,
            Needs.SKIMMER,
            Wear.TIME,
            null,
            "Leave the skimmer on and lift the cup off level.",
            "Pour the skimmate away. Log its colour during a trial.",
            "Wipe the neck inside: grease suppresses foam.",
            "Put the cup back firmly. Check for 15 minutes that it does not overflow."),
    VENTURI(
            "rinse the skimmer’s venturi and air tube",
            28,
            Needs.SKIMMER,
            Wear.SKIMMING,
            "Unplug the skimmer’s pump before you open the inlet. Watch the cup for an hour afterwards.",
            "Measure the air draw before and after, if you can.",
            "Remove the air tube. Draw warm fresh water through the venturi with the pump on for a minute.",
            "Brush salt and crust out of the nozzle, never with metal.",
            "Blow the tube dry. Check for cracks, kinks and water inside.",
            "Put everything back and listen that it draws air."),
    SKIMMER_PUMP(
            "descale the skimmer’s pump",
            180,
            Needs.SKIMMER,
            Wear.SKIMMING,
            "Unplug the pump. Wear goggles and gloves for acid. Add acid to water, never near bleach. Rinse "
                    + "well before you put the pump back.",
            "Remove volute and impeller.",
            "Soak them for an hour in half vinegar and half water, or in citric acid.",
            "Brush and rinse. Check bearing and magnet for wear.",
            "Put the pump back and compare the air draw with before."),
    AIR_STONE(
            "renew the air stone",
            60,
            Needs.STONE,
            Wear.BUBBLING,
            null,
            "Compare the bubbles with the first day: coarser ones exchange less gas.",
            "Fit a new stone. Soak wood first.",
            "Test the check valve: blow through it, one way must hold.",
            "Place the stone so bubbles rise freely, not under plates."),
    STONE_CLEANING(
            "clean the air stone",
            30,
            Needs.STONE,
            Wear.BUBBLING,
            "Unplug the air pump first. Never mix bleach and vinegar: the gas is poisonous.",
            "Remove the stone and scrub off slime and lime.",
            "Soak a ceramic or glass stone for an hour, in half vinegar and half water.",
            "Rinse it well and let it dry for a day. Use a second stone meanwhile.",
            "Compare the bubbles. If they are still coarse, use a new stone."),
    AIR_PUMP_FELT(
            "change the air pump’s felt",
            90,
            Needs.STONE,
            Wear.BUBBLING,
            "Unplug the air pump, and keep its plug dry.",
            "Turn the pump over and lift the cover off its felt.",
            "If the felt is brown or matted, put in a new one. If it is only dusty, tap it out.",
            "Plug it in again. Check that every stone bubbles as before."),
    AIR_PUMP_DIAPHRAGM(
            "replace the air pump’s diaphragms and valves",
            365,
            Needs.STONE,
            Wear.BUBBLING,
            "Unplug the air pump before you open it. Keep it above the water, or behind a check valve.",
            "Note how much air it gives before you start.",
            "Replace diaphragms and flap valves together. Follow the leaflet of the spare parts kit.",
            "Plug it in. It should give more air and hum less.",
            "Keep the old set as a spare for an outage."),
    OUTLET(
            "clean the outlets and the overflow",
            30,
            Needs.NOTHING,
            Wear.TIME,
            "Unplug the return before your hands go in. Check that the sump can hold what flows back.",
            "Brush lime and algae out of the outlets and the overflow’s teeth.",
            "Check that the emergency overflow is clear.",
            "Start the return. The surface should move as it did when it was new."),
    LINE_FILTER(
            "check the outdoor hose: filter, screen, low loops",
            90,
            Needs.HOSE,
            Wear.TIME,
            "Never lean out of a window alone. Stand ladders on firm ground.",
            "Measure the air draw with and without the hose.",
            "Rinse or change the inlet filter. Clear insects from the screen.",
            "Drain condensate. Raise any loop that holds water or could freeze.",
            "Check whether a flue or dryer now blows at the inlet."),
    DOSING_PUMP(
            "measure the dosing pump in a cylinder",
            90,
            Needs.LINE,
            Wear.PUMPED,
            "Wear goggles and gloves: limewater and hydroxide burn. Keep the tube’s end inside the cylinder.",
            "Fill the tube. Hold its end in a measuring cylinder.",
            "Dose a tenth of the daily amount, at least 20 mL.",
            "Compare with the setting and adjust the pump.",
            "Add this as a change of the dosing line in Dosing."),
    DOSING_TUBE(
            "change the dosing pump’s tube",
            365,
            Needs.LINE,
            Wear.PUMPED,
            "Empty the tube into a vessel first. Wear goggles and gloves if the solution burns.",
            "Remove the head and check the tube: flat, milky or cracked tubes deliver less.",
            "Fit a new tube and fill it.",
            "Measure the output in a cylinder.",
            "Add this as a change of the dosing line in Dosing."),
    RETURN_PUMP(
            "clean the return pump and its intake",
            180,
            Needs.NOTHING,
            Wear.RETURNING,
            "Run an air stone and stop dosing while the return is off: oxygen falls.",
            "Check that the sump can hold what flows back.",
            "Clear the intake. Remove and descale the impeller.",
            "Put the pump back. Check that it draws no air.",
            "Continue dosing after half an hour of flow."),
    ROOM_METER(
            "check the room’s CO2 meter outdoors",
            180,
            Needs.ROOM_METER,
            Wear.TIME,
            null,
            "Leave the meter outdoors for 20 minutes, in the shade, away from people and flues.",
            "The meter should read 400–460 ppm.",
            "Calibrate the meter as its maker says. Otherwise log how far it is off."),
    TEST_KIT(
            "check the alkalinity kit with a known solution",
            180,
            Needs.NOTHING,
            Wear.TIME,
            null,
            "Check the date on the bottle. Replace an expired kit.",
            "Dissolve 84.0 mg of dry baking soda in a litre of distilled water: 1.00 meq/L, 2.8 dKH.",
            "Test twice, from fresh samples.",
            "If off by more than 0.3 dKH, buy a new kit and correct the readings since."),
    PRACTISE(
            "practise a power cut with everyone at home",
            180,
            Needs.NOTHING,
            Wear.TIME,
            "Practise by daylight and watch the animals. Stop if they gasp.",
            "Find the card and the kit without help.",
            "Pull the plug of pumps and lamps. Start the battery pump by the card.",
            "Pour water from a jug for five minutes, a litre every few seconds.",
            "Plug in again in the order on the card. Write down what was missing.",
            "Recharge or replace what you used."),
    QUARANTINE_GEAR(
            "wash and dry the quarantine gear",
            90,
            Needs.NOTHING,
            Wear.TIME,
            "Never mix bleach with acid or vinegar: the gas is poisonous. Wear goggles and gloves and work outdoors.",
            "Keep nets, buckets and hoses of a sick tank separate.",
            "Soak for 15 minutes in one part household bleach and nine parts water.",
            "Rinse well, then dry in the sun for a day.",
            "Keep the gear in a marked box."),
    /** Whatever its keeper calls it, as often as its keeper says. */
    OWN("your own task", 30, Needs.NOTHING, Wear.TIME, null);

    /** Whether what is found when it is done says how often it is due: some are due by the calendar alone. */
    public boolean showsWear() {
        return this != PRACTISE && this != QUARANTINE_GEAR && this != OWN;
    }

    /** What a tank's log shows to have become less when it is overdue; null where it shows nothing of that. */
    public @Nullable Cause shownBy() {
        return this == VENTURI ? Cause.SKIMMER : null;
    }

    /** What a tank must have, or it is of no use. */
    public enum Needs {
        NOTHING,
        SKIMMER,
        STONE,
        HOSE,
        LINE,
        ROOM_METER
    }

    /** What wears it, and how much of that a day brings where its days are common. */
    public enum Wear {
        TIME(1),
        /** Hours in which the skimmer runs; the return, and a stone. */
        SKIMMING(24),
        RETURNING(24),
        BUBBLING(24),
        /** Litres that went through a doser's tube. From memory. */
        PUMPED(0.25);

        private final double usualPerDay;

        Wear(double usualPerDay) {
            this.usualPerDay = usualPerDay;
        }
    }

    /** Gear that hardly runs ages, too: so many times its usual days at most. Assumed. */
    private static final double STANDING_STILL = 3;
    /** No use is so hard that it is due more often than so many times. Assumed. */
    private static final double HARDEST = 6;

    private final String what;
    private final int days;
    private final Needs needs;
    private final Wear wear;
    private final @Nullable String caution;
    private final String steps;

    Chore(String what, int days, Needs needs, Wear wear, @Nullable String caution, String... steps) {
        this.what = what;
        this.days = days;
        this.needs = needs;
        this.wear = wear;
        this.caution = caution;
        this.steps = String.join("\n", steps);
    }

    public String what() {
        return what;
    }

    /** Between two times in common use, assumed. */
    public int days() {
        return days;
    }

    public Wear wear() {
        return wear;
    }

    /**
     * Between two times, assumed.
     *
     * @param perDay of what wears it, in hours or litres
     */
    public double days(double perDay) {
        double times = perDay <= 0 ? STANDING_STILL : wear.usualPerDay / perDay;
        return days * Math.min(STANDING_STILL, Math.max(1 / HARDEST, times));
    }

    /** After how much of what wears it, in hours or litres. */
    public double worn() {
        return days * wear.usualPerDay;
    }

    public boolean fits(Set<Needs> has) {
        return needs == Needs.NOTHING || has.contains(needs);
    }

    /** Who could be hurt at it, and how not; null where nobody. */
    public @Nullable String caution() {
        return caution;
    }

    /** How it is done, in five lines at most. */
    public List<String> steps() {
        return steps.lines().toList();
    }
}
