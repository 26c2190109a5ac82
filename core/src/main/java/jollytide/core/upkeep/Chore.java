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
            "Lift it out slowly, so that what it holds stays in it.",
            "Put a clean one in at once: what comes down meanwhile goes to the pump.",
            "Rinse the old one inside out; wash it hot, without detergent or softener.",
            "Let it dry wholly before it is used again."),
    SKIMMER_CUP(
            "empty and wipe the skimmer’s cup",
            7,
            Needs.SKIMMER,
            Wear.TIME,
            null,
            "Let the skimmer run; lift the cup off level.",
            "Pour it away; note its colour if a trial goes on.",
            "Wipe the neck inside: grease there keeps foam down.",
            "Put it back until it sits; look that it does not overflow within a quarter of an hour."),
    VENTURI(
            "rinse the skimmer’s venturi and its air line",
            28,
            Needs.SKIMMER,
            Wear.SKIMMING,
            "Unplug the skimmer’s pump before its inlet is opened, and watch the cup for an hour afterwards.",
            "Read the air draw, if there is a meter, before and after.",
            "Take the air tube off; draw warm fresh water through the venturi with the pump running for a minute.",
            "Lift salt and crust out of the nozzle with a soft brush, never with metal.",
            "Blow the tube dry; look for cracks, kinks and water standing in it.",
            "Put all back; listen that it draws."),
    SKIMMER_PUMP(
            "take the skimmer’s pump apart and free it of lime",
            180,
            Needs.SKIMMER,
            Wear.SKIMMING,
            "Unplug it. Acid: goggles and gloves, acid into water, never near bleach; rinse well before it goes back.",
            "Take volute and impeller out.",
            "Lay them into one part of household vinegar to one of water for an hour, or into citric acid.",
            "Brush, rinse, look at the bearing and the magnet for wear.",
            "Put it back; compare the air draw with what it was."),
    AIR_STONE(
            "renew the air stone",
            60,
            Needs.STONE,
            Wear.BUBBLING,
            null,
            "Compare the bubbles with those of its first day: coarser ones exchange less.",
            "Put a new one on; soak it first if it is of wood.",
            "Look at the check valve: blow, it must hold one way.",
            "Place it where the water falls away from it, not beneath plates."),
    STONE_CLEANING(
            "clean the air stone",
            30,
            Needs.STONE,
            Wear.BUBBLING,
            "Unplug the air pump first. Never mix bleach and vinegar: the gas is poisonous.",
            "Take it out; scrub off slime and lime.",
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
            "look at the outdoor line: filter, screen, low loops",
            90,
            Needs.HOSE,
            Wear.TIME,
            "Nobody leans out of a window alone; a ladder stands on firm ground.",
            "Read the air draw with the line on and off.",
            "Rinse or change the filter at its mouth; clear the screen of insects.",
            "Drain condensate; raise any loop that holds water or could freeze.",
            "Look whether a flue, a dryer or a new neighbour blows at the mouth."),
    DOSING_PUMP(
            "run the dosing pump into a cylinder",
            90,
            Needs.LINE,
            Wear.PUMPED,
            "Limewater and hydroxide burn: goggles, gloves, the tube’s end into the cylinder and not past it.",
            "Fill the line; hold its end into a measuring cylinder.",
            "Let it give a tenth of a day’s dose, at least 20 mL.",
            "Compare with what it should have given; set the pump by it.",
            "Note it as a change of the line under Do → Doses."),
    DOSING_TUBE(
            "change the dosing pump’s tube",
            365,
            Needs.LINE,
            Wear.PUMPED,
            "Empty the tube into a vessel first; goggles and gloves where the solution burns.",
            "Take the head off; look at the tube: flat, milky or cracked ones give less.",
            "Put a new one in; fill the line.",
            "Run it into a cylinder, as after every change.",
            "Note it as a change of the line under Do → Doses."),
    RETURN_PUMP(
            "clean the return pump and its intake",
            180,
            Needs.NOTHING,
            Wear.RETURNING,
            "Unplug it; while it stands doses wait, and oxygen falls: an air stone runs meanwhile.",
            "Look that the sump holds what flows back.",
            "Clear the intake; take the impeller out, free it of lime.",
            "Put it back; look that no air is drawn in.",
            "Let doses go on once it has run for half an hour."),
    ROOM_METER(
            "hold the room’s CO2 meter out of the window",
            180,
            Needs.ROOM_METER,
            Wear.TIME,
            null,
            "Lay it outdoors for 20 minutes, in the shade, away from people and flues.",
            "It should read 400 to 460 ppm.",
            "Set it as its maker says, if it can be set; else note by how much it is off."),
    TEST_KIT(
            "hold the alkalinity kit against a known solution",
            180,
            Needs.NOTHING,
            Wear.TIME,
            null,
            "Look at the date on the bottle: past it, buy another.",
            "Dissolve 84.0 mg of dry baking soda in a litre of distilled water: 1.00 meq/L, 2.8 dKH.",
            "Test it twice, from fresh samples.",
            "Off by more than 0.3 dKH: buy another, and mend what was noted since."),
    PRACTISE(
            "practise a power cut, each person of the house",
            180,
            Needs.NOTHING,
            Wear.TIME,
            "By daylight, with the animals watched; end it when they gasp.",
            "Whoever is at home finds the card and the kit without help.",
            "Pull the plug of pumps and lamps; start the battery pump by its card.",
            "Pour water by hand from a jug for five minutes, a litre each few seconds.",
            "Plug in again in the order of the card; note what was missing.",
            "Charge or change what was used."),
    QUARANTINE_GEAR(
            "wash and dry the quarantine gear",
            90,
            Needs.NOTHING,
            Wear.TIME,
            "Bleach never meets acid or vinegar: the gas is poisonous. Goggles, gloves, open air.",
            "Nets, buckets and hoses that were in a sick tank stay with it.",
            "Soak in one part of household bleach to nine of water for a quarter of an hour.",
            "Rinse well, then dry for a day in the sun: dry gear carries little.",
            "Keep it in a marked box, so that nobody takes it for the reef’s."),
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
