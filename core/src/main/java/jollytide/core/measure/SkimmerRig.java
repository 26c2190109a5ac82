package jollytide.core.measure;

import java.time.Duration;
import java.time.Instant;
import jollytide.core.air.AirLine;
import jollytide.core.air.IntakeAir;
import jollytide.core.description.DailyAir;
import jollytide.core.description.FixedLine;
import jollytide.core.description.LocalHours;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.Skimmer;
import jollytide.core.reef.LightCourse;
import jollytide.core.twin.Intake;
import jollytide.core.twin.Intake.Leg;
import jollytide.core.twin.MediaBed;
import jollytide.core.twin.SkimmerAir;
import org.jspecify.annotations.Nullable;

/** A skimmer while it is put together. */
public final class SkimmerRig {
    /** A controller looks at the pH so often. */
    private static final Duration CONTROLLER = Duration.ofMinutes(15);
    /** A switch further away than this is met later. */
    private static final Duration LONGEST = Duration.ofHours(12);

    private final String name;
    private final Skimmer skimmer;
    private final boolean inCabinet;
    private final @Nullable FixedLine fixed;
    /** Of what comes through a hose that is on, over what is expected. */
    private final double intakeOddsFactor;

    double drawTimes = 1;

    @Nullable
    Hose hose;

    @Nullable
    MediaUse media;

    /** Of a schedule; null where none says when it runs. */
    @Nullable
    Switches switches;

    /** Of what comes through its hose, what a second inlet lets in instead, 0 to 1. */
    double secondInlet;
    /** What the air at its hose's mouth holds more by night, ppm. */
    double foulByNightPpm;

    SkimmerRig(String name, Skimmer skimmer, boolean inCabinet, @Nullable FixedLine fixed, double intakeOddsFactor) {
        this.name = name;
        this.skimmer = skimmer;
        this.inCabinet = inCabinet;
        this.fixed = fixed;
        this.intakeOddsFactor = intakeOddsFactor;
    }

    /**
     * A hose that is tried, or that was put on.
     *
     * @param leakMm width of another inlet left open; 0 when all are plugged
     * @param mouth air at its mouth; null for ordinary outdoor air
     * @param isOn whether it is on the skimmer already, and may let in more than is known of
     */
    public record Hose(
            AirLine line, double leakMm, @Nullable DailyAir mouth, boolean isOn) {
        private AirLine.Drawn drawn(Skimmer by) {
            return line.withLeak(by.airDrawLPerH(), by.assumed().suctionPa(), leakMm);
        }

        /** What comes through it. */
        IntakeAir.Share expected(Skimmer by) {
            return IntakeAir.Share.atMost(drawn(by).lineShare());
        }

        /** Share of the draw that a skimmer keeps through it: a band where its suction is not known. */
        public Estimate kept(Skimmer by) {
            double free = by.airDrawLPerH();
            double own = line.kept(free, by.assumed().suctionPa());
            return by.assumed().suctionKnown() ? new Estimate(own, own, own) : line.keptAssumed(free);
        }

        /** The smallest bore that keeps so much of the draw, mm. */
        public double boreKeeping(double share, Skimmer by) {
            return line.boreKeeping(share, by.airDrawLPerH(), by.assumed().suctionPa());
        }
    }

    public Skimmer skimmer() {
        return skimmer;
    }

    public @Nullable Hose hose() {
        return hose;
    }

    public @Nullable MediaUse media() {
        return media;
    }

    private double free() {
        return skimmer.airDrawLPerH();
    }

    /** Share of its free draw that is left, by its state and through its hose. */
    public double share() {
        if (hose != null) {
            AirLine.Drawn drawn = hose.drawn(skimmer);
            return drawTimes * drawn.totalLPerH() / free();
        }
        return fixed == null ? drawTimes : drawTimes * fixed.kept(skimmer);
    }

    /** Share of what it breathes that comes through the hose. */
    public double outdoorShare() {
        if (hose != null) {
            IntakeAir.Share expected = hose.expected(skimmer);
            return (1 - secondInlet) * (hose.isOn ? asItIs(expected) : expected.outdoors());
        }
        return fixed == null ? 0 : (1 - secondInlet) * asItIs(fixed.fromOutdoors());
    }

    private double asItIs(IntakeAir.Share expected) {
        return IntakeAir.withOdds(expected.outdoors(), intakeOddsFactor);
    }

    SkimmerAir part(Setup setup, TankParameters metabolism, LightCourse lamps, LocalHours local) {
        return new SkimmerAir(
                name,
                skimmer,
                metabolism.skimmerFactor(),
                share(),
                inCabinet,
                media == null ? null : new MediaBed(media.media()),
                new IntakeCourse(this, setup.outdoorPpm(), lamps, local));
    }

    /** What it breathes, hour by hour. */
    private static final class IntakeCourse implements SkimmerAir.Breathing {
        private final double outdoorShare;
        private final double outdoorPpm;
        private final double inside;
        private final @Nullable DailyAir mouth;
        private final double foulByNightPpm;
        private final @Nullable MediaUse media;
        private final @Nullable Switches switches;
        private final LightCourse lamps;
        private final LocalHours local;

        IntakeCourse(SkimmerRig rig, double outdoorPpm, LightCourse lamps, LocalHours local) {
            this.outdoorShare = rig.outdoorShare();
            this.outdoorPpm = outdoorPpm;
            this.inside = rig.inCabinet ? 1 - outdoorShare : 0;
            this.mouth = rig.hose == null ? null : rig.hose.mouth();
            this.foulByNightPpm = rig.foulByNightPpm;
            this.media = rig.media;
            this.switches = rig.switches;
            this.lamps = lamps;
            this.local = local;
        }

        @Override
        public Intake at(Instant t, boolean gateOpen) {
            double hour = local.at(t);
            boolean night = hour >= Fault.NIGHT_FROM || hour < Fault.NIGHT_UNTIL;
            double ppm = (mouth == null ? outdoorPpm : mouth.at(hour)) + (night ? foulByNightPpm : 0);
            if (switches != null) {
                return programmed(switches.air(t, gateOpen), ppm);
            }
            if (media == null) {
                return new Intake(outdoorShare, ppm, inside, 1, null);
            }
            boolean inUse = inUse(media, t, gateOpen);
            Leg through = inUse ? media.leg() : media.driesBetween() ? Leg.ALL : null;
            double fresh = inUse ? media.media().assumed().fresh(media.freshShare()) : 1;
            return new Intake(outdoorShare, ppm, inside, fresh, through);
        }

        private Intake programmed(Switches.AirWay way, double ppm) {
            boolean through = media != null && (way.media() || media.driesBetween());
            double fresh =
                    media == null ? way.freshShare() : media.media().assumed().fresh(way.freshShare());
            return new Intake(outdoorShare, ppm, inside, fresh, through ? Leg.ALL : null);
        }

        @Override
        public double drawing(Instant t) {
            return switches == null ? 1 : switches.skimmer(t) * switches.returns(t);
        }

        private boolean inUse(MediaUse use, Instant t, boolean gateOpen) {
            return switch (use.hours()) {
                case ALWAYS -> true;
                case LAMPS_OFF -> !lamps.litAt(t);
                case LAMPS_ON -> lamps.litAt(t);
                case BELOW_PH -> gateOpen;
            };
        }

        private boolean gated() {
            return switches != null ? switches.gated() : media != null && media.hours() == MediaUse.Hours.BELOW_PH;
        }

        @Override
        public boolean opens(double phNbs, boolean open) {
            if (switches != null) {
                return switches.opens(phNbs, open);
            }
            return media != null
                    && gated()
                    && phNbs < (open ? media.gatePh() + MediaUse.HYSTERESIS_PH : media.gatePh());
        }

        /** Lamps, and a controller's quarter. All else is continuous. */
        @Override
        public Instant nextSwitch(Instant t, Instant until) {
            Instant near = t.plus(gated() ? CONTROLLER : LONGEST);
            Instant next = lamps.nextChange(t, near.isBefore(until) ? near : until);
            return switches == null ? next : switches.nextSwitch(t, next);
        }
    }
}
