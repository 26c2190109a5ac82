package jollytide.server.schedule;

import com.fasterxml.jackson.annotation.JsonAlias;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import jollytide.core.reef.LightClock;
import jollytide.core.schedule.Conflict;
import jollytide.core.schedule.DayCourse;
import jollytide.core.schedule.Known;
import jollytide.core.schedule.LaneKind;
import jollytide.core.schedule.Limit;
import jollytide.core.schedule.Rule.Strength;
import jollytide.core.schedule.Template;
import jollytide.core.schedule.Verdict.Claim;
import jollytide.core.schedule.Window.Span;
import jollytide.core.upkeep.Chore;
import jollytide.server.schedule.ScheduleDocument.StateEntry;
import org.jspecify.annotations.Nullable;

/** What is asked and said of a schedule. */
public final class ScheduleViews {
    private ScheduleViews() {}

    /**
     * A tank's schedule.
     *
     * @param version null while none was saved: then it is one as the tank is described
     * @param caution of the air it leaves the animals, said as it is saved; null where there is none
     */
    public record ScheduleView(
            @Nullable Long version,
            ScheduleDocument schedule,
            @Nullable Instant savedAt,
            @Nullable String caution) {
        ScheduleView(@Nullable Long version, ScheduleDocument schedule, @Nullable Instant savedAt) {
            this(version, schedule, savedAt, null);
        }

        ScheduleView saying(@Nullable String said) {
            return new ScheduleView(version, schedule, savedAt, said);
        }
    }

    /** @param version that it was changed from; null for the first */
    public record ScheduleEdit(
            @Nullable Long version,
            @JsonAlias("programme") @Valid @NotNull ScheduleDocument schedule) {}

    /**
     * @param day today when null
     * @param what is only thought of; null for an ordinary day
     */
    public record ScheduleDayAsked(
            @JsonAlias("programme") @Valid @NotNull ScheduleDocument schedule,
            @Nullable LocalDate day,
            @Valid @Nullable WhatIf what) {}

    /**
     * What could happen.
     *
     * @param cut a power cut
     * @param stuck a device that does not obey
     * @param readings what those of all gates say, NOT_KNOWN as if there were none; null as the log has them
     */
    public record WhatIf(
            @Valid @Nullable CutAsked cut, @Valid @Nullable StuckAsked stuck, Limit.@Nullable Said readings) {}

    /** @param from on it stays so */
    public record StuckAsked(
            @NotNull @Size(max = 40) String lane,
            @Valid @NotNull StateEntry state,
            @NotNull Instant from) {
        Known.Stuck toCore() {
            return new Known.Stuck(lane, state.toCore(), from);
        }
    }

    private static final int HALF_A_DAY_MIN = 720;

    /** Lanes that are held by hand from now on. */
    public record HoldAsked(
            @NotNull @Size(min = 1, max = 20) List<@NotNull @Size(max = 40) String> lanes,
            @Valid @NotNull StateEntry state,
            @NotNull @Min(1) @Max(HALF_A_DAY_MIN) Integer minutes) {}

    /**
     * A lane that is held, or was until lately and nobody has said that it does again what it should.
     *
     * @param name of the lane
     */
    public record HeldLane(UUID id, String lane, String name, StateEntry state, Instant from, Instant until) {}

    /**
     * What became of a hold.
     *
     * @param until when it ends
     * @param shortened whether that is earlier than was asked, before oxygen is in danger
     * @param lowestOxygenMgPerL until then, on the early side; null where the twin is no ground to say
     */
    public record HeldUntil(
            List<HeldLane> holds,
            Instant until,
            boolean shortened,
            @Nullable Double lowestOxygenMgPerL) {}

    /**
     * @param days 2 for the next night but one, 14 for what has settled
     * @param what is only thought of; gates go by the twin's own water
     */
    public record RunAsked(
            @JsonAlias("programme") @Valid @NotNull ScheduleDocument schedule,
            @NotNull @Min(1) @Max(14) Integer days,
            @Valid @Nullable WhatIf what) {}

    /**
     * @param from with an offset, like the others
     * @param until null while it lasts
     * @param released when somebody saw that the return runs
     */
    public record CutAsked(
            @NotNull Instant from,
            @Nullable Instant until,
            @Nullable Instant released) {}

    /**
     * @param holidayFrom month and day, such as 12-20; a holiday's alone, like {@code holidayUntil}
     */
    public record TemplateAsked(
            @JsonAlias("programme") @Valid @NotNull ScheduleDocument schedule,

            @Nullable @Pattern(regexp = ScheduleDocument.SEASON, message = ScheduleDocument.SEASON_WORDS)
            String holidayFrom,

            @Nullable @Pattern(regexp = ScheduleDocument.SEASON, message = ScheduleDocument.SEASON_WORDS)
            String holidayUntil) {}

    /** @param cautions where it can hurt, to be read before it is done */
    public record TemplateView(ScheduleDocument schedule, List<String> cautions) {
        static TemplateView of(Template.Fitted fitted) {
            return new TemplateView(ScheduleDocument.of(fitted.schedule()), fitted.cautions());
        }
    }

    /** Upkeep that comes with a schedule. */
    public record BroughtChore(Chore chore, String what, int everyDays) {
        static BroughtChore of(Template.Brings brings) {
            return new BroughtChore(brings.chore(), brings.chore().what(), brings.everyDays());
        }
    }

    /**
     * A day of it.
     *
     * @param more conflicts that are not listed
     */
    public record ScheduleDay(
            LocalDate day,
            Instant from,
            Instant until,
            List<LaneTime> lit,
            List<WindowTimes> windows,
            List<LaneDay> lanes,
            List<ScheduleConflict> conflicts,
            int more) {}

    public record LaneTime(Instant from, Instant until) {
        static LaneTime of(Span span) {
            return new LaneTime(span.from(), span.until());
        }

        static LaneTime of(LightClock.Lit lit) {
            return new LaneTime(lit.from(), lit.to());
        }
    }

    public record WindowTimes(String id, List<LaneTime> times) {}

    /**
     * @param doses when each is due; empty for one that doses while it may, and for what is no doser
     */
    public record LaneDay(String id, String name, LaneKind kind, List<LanePiece> pieces, List<Instant> doses) {
        static LaneDay of(DayCourse.LaneCourse course) {
            return new LaneDay(
                    course.lane().id(),
                    course.lane().name(),
                    course.lane().kind(),
                    course.pieces().stream().map(LanePiece::of).toList(),
                    course.doses());
        }
    }

    /** More than so many that lose are read by nobody. */
    private static final int MOST_LOSERS = 8;

    /** A time in which neither what a lane does nor why changes. */
    public record LanePiece(Instant from, Instant until, ClaimView winner, List<ClaimView> losers) {
        static LanePiece of(DayCourse.Piece piece) {
            return new LanePiece(
                    piece.from(),
                    piece.until(),
                    ClaimView.of(piece.verdict().winner()),
                    piece.verdict().losers().stream()
                            .limit(MOST_LOSERS)
                            .map(ClaimView::of)
                            .toList());
        }
    }

    /**
     * What a rule says; of those that lose the strongest alone.
     *
     * @param since when it says that: a wave counts from there
     */
    public record ClaimView(Strength strength, String by, StateEntry state, Instant since) {
        static ClaimView of(Claim claim) {
            return new ClaimView(claim.strength(), claim.by(), StateEntry.of(claim.state()), claim.since());
        }
    }

    /**
     * Something that harms, or that cannot be meant.
     *
     * @param from null for what is always so, like {@code until}
     * @param forbids whether such a schedule is not saved
     */
    public record ScheduleConflict(
            Conflict.Kind kind,
            @Nullable Instant from,
            @Nullable Instant until,
            List<String> lanes,
            String because,
            boolean forbids,
            List<WayOutView> waysOut) {
        static ScheduleConflict of(Conflict c, ScheduleDocument of) {
            return new ScheduleConflict(
                    c.kind(),
                    c.from(),
                    c.until(),
                    c.lanes(),
                    c.because(),
                    c.kind().forbids(),
                    c.waysOut().stream().map(out -> WayOutView.of(out, of)).toList());
        }
    }

    /**
     * @param mended the whole schedule; null where it is mended in the tank's setup
     */
    public record WayOutView(String what, @Nullable ScheduleDocument mended) {
        static WayOutView of(Conflict.WayOut out, ScheduleDocument of) {
            ScheduleDocument mended = ScheduleDocument.of(out.mended());
            return new WayOutView(out.what(), mended.equals(of) ? null : mended);
        }
    }
}
