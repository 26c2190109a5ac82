package jollytide.server.dosing;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import jollytide.core.dosingline.Creep;
import jollytide.core.dosingline.Delivered;
import jollytide.core.dosingline.DosePlan;
import jollytide.core.dosingline.DoseTimes;
import jollytide.core.dosingline.Hold;
import jollytide.core.dosingline.LineHistory;
import jollytide.core.dosingline.LineRules;
import jollytide.core.dosingline.NextStep;
import jollytide.core.dosingline.Solution;
import jollytide.core.dosingline.Use;
import jollytide.core.dosingline.VesselGuard;
import jollytide.core.evidence.Estimate;
import org.jspecify.annotations.Nullable;

/** What is shown and asked for of lines that dose a tank. */
public final class DosingViews {
    private DosingViews() {}

    /**
     * A new line.
     *
     * @param share of what dissolves at most: 1 is saturated limewater
     * @param areaCm2 of the vessel where its level is read in centimetres; null when it is read in millilitres
     * @param emptyG what the vessel weighs when it is empty, where its level is read by a scale; null when it is not
     * @param times null for one that drips all day
     * @param place where its hose ends; null where nobody says
     * @param siphon what prevents a siphon, {@code stuck} what stops a pump that does not stop: asked where a vessel that
     *     empties at once would kill
     * @param at since when, with an offset, or without one in the home's zone
     */
    public record NewLine(
            @NotBlank @Size(max = 60) String name,
            @NotNull Solution.Solute solute,
            @NotNull Double share,
            @NotNull Double vesselMl,
            @Nullable Double areaCm2,
            @Nullable Double emptyG,
            @NotNull Double mlPerDay,
            @Valid @Nullable ClockedDoses times,
            @Size(max = 60) @Nullable String place,
            VesselGuard.@Nullable Siphon siphon,
            VesselGuard.@Nullable Stuck stuck,
            @NotNull @Size(max = 40) String at) {}

    /** What keeps a vessel from emptying at once. */
    public record NewGuard(VesselGuard.@NotNull Siphon siphon, VesselGuard.@NotNull Stuck stuck) {}

    /**
     * So many equal doses, evenly from a first one on.
     *
     * @param first by the home's clock
     * @param overH the hours that they are spread over
     */
    public record ClockedDoses(
            @NotNull Integer perDay,

            @NotNull @Pattern(regexp = "([01]\\d|2[0-3]):[0-5]\\d", message = "must be a time like 21:30")
            String first,

            @NotNull Double overH) {
        public static @Nullable ClockedDoses of(@Nullable DoseTimes times) {
            return times == null
                    ? null
                    : new ClockedDoses(times.perDay(), times.first().toString(), times.overH());
        }

        public DoseTimes toCore() {
            return new DoseTimes(perDay, LocalTime.parse(first), overH);
        }
    }

    /** @param times null for a line that drips all day */
    public record NewTimes(@Valid @Nullable ClockedDoses times) {}

    /** @param place where its hose ends; empty where nobody says */
    public record NewPlace(@NotNull @Size(max = 60) String place) {}

    /** @param mlPerDay from then on */
    public record NewPlan(
            @NotNull @Size(max = 40) String at, @NotNull Double mlPerDay) {}

    /** In what a level was read. */
    public enum ReadIn {
        ML,
        CM,
        /** By a scale, with the vessel. */
        G
    }

    /**
     * Something seen or done.
     *
     * @param value the level afterwards, or what a cylinder held; null for bubbles and changes, and for a vessel filled to its
     *     brim
     * @param asked what the pump was set to give into that cylinder, mL; null for everything else
     * @param readIn null where there is no value
     */
    public record NewLineNote(
            @NotNull @Size(max = 40) String at,
            @NotNull LineHistory.What kind,
            @Nullable Double value,
            @Nullable ReadIn readIn,
            @Nullable Double asked,
            @NotNull @Size(max = 200) String note) {}

    /**
     * @param ml what was held or given; null for bubbles and changes
     * @param askedMl what a pump was set to give into a cylinder; null for everything else
     */
    public record NoteOfLine(
            UUID id,
            Instant at,
            LineHistory.What kind,
            @Nullable Double ml,
            @Nullable Double askedMl,
            String note) {}

    /**
     * A line.
     *
     * @param share of what dissolves at most
     * @param times null for one that drips all day
     * @param place where its hose ends; empty where nobody said
     * @param siphon what prevents a siphon, {@code stuck} what stops a stuck pump; null where nobody answered
     * @param emptied what the whole vessel at once would do; null in lists that do not show it
     * @param stopped rules that its plan breaks today, in words
     * @param meqPerLPerDay that it brings as planned, {@code calciumMgPerLPerDay} likewise
     * @param runs between fillings and changes, in their order
     * @param daysLeft from now on, at what its levels say; null where that is unknown
     * @param next the plan that would keep up better with what is used; null where nothing shows that
     * @param lookFor likely causes, those first of which something was noted; empty where nothing is wrong
     * @param delivers share of the plan that is delivered, by all that was seen since the last change; null where nobody looked
     * @param cylinderShare of the plan, by the newest cylinder; null where none was run or levels were read since
     */
    public record LineView(
            UUID id,
            long version,
            String name,
            Solution.Solute solute,
            double molPerL,
            double share,
            double vesselMl,
            @Nullable Double areaCm2,
            @Nullable Double emptyG,
            List<DosePlan.DailyDose> plans,
            double mlPerDay,
            @Nullable ClockedDoses times,
            String place,
            VesselGuard.@Nullable Siphon siphon,
            VesselGuard.@Nullable Stuck stuck,
            LineRules.@Nullable Emptied emptied,
            List<String> stopped,
            double meqPerLPerDay,
            double calciumMgPerLPerDay,
            List<NoteOfLine> notes,
            List<Delivered> runs,
            LineHistory.State state,
            @Nullable Estimate delivers,
            @Nullable Estimate cylinderShare,
            @Nullable Estimate daysLeft,
            List<String> lookFor,
            @Nullable NextStep next,
            @Nullable Instant endedAt) {}

    /**
     * What the water loses a day, of the last four weeks.
     *
     * @param alkalinity null with too few tests, {@code calcium} likewise
     * @param calciumPerMeq mg/L for each meq/L that is used; null unless both are known and used
     */
    public record UseView(
            int days,
            @Nullable Use alkalinity,
            @Nullable Use calcium,
            @Nullable Estimate calciumPerMeq) {}

    /**
     * What stays behind of what is dosed.
     *
     * @param potassiumMgPerL a day, {@code saltMgPerL} likewise
     * @param daysToMostPotassium from the usual 400 to 500 mg/L; null where none is dosed
     * @param potassiumNow mg/L in the water, by what lines have left behind since each began
     * @param weeklyForPotassium share of the water to change each week that keeps it below that; above 1 none does
     * @param weeklyForSalt likewise, that keeps salt within a gram per litre of what it was
     */
    public record CreepView(
            double potassiumMgPerL,
            double potassiumNow,
            double saltMgPerL,
            @Nullable Double daysToMostPotassium,
            double weeklyForPotassium,
            double weeklyForSalt) {
        static CreepView of(Creep creep, double potassiumNow) {
            return new CreepView(
                    creep.potassiumMgPerL(),
                    potassiumNow,
                    creep.saltMgPerL(),
                    creep.daysToMostPotassium(potassiumNow),
                    creep.weeklyForPotassium(),
                    creep.weeklyForSalt());
        }
    }

    /**
     * Nothing may be dosed: the mains were away.
     *
     * @param earliest when somebody may let doses go on; null while the outage lasts
     */
    public record HoldView(Instant from, @Nullable Instant earliest) {
        static @Nullable HoldView of(@Nullable Hold hold) {
            return hold == null ? null : new HoldView(hold.from(), hold.earliest());
        }
    }

    /**
     * All lines, those in use first.
     *
     * @param evaporationMeasured by the fresh water that was put in for it; else assumed from surface and temperature
     * @param hold null where doses may be made
     */
    public record DosingView(
            List<LineView> lines,
            UseView use,
            double evaporationLPerDay,
            boolean evaporationMeasured,
            CreepView creep,
            @Nullable HoldView hold) {}
}
