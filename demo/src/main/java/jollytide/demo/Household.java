package jollytide.demo;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.dosing.Inflow;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.Life;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Gases;
import jollytide.core.twin.Air;
import jollytide.core.twin.Channel;
import jollytide.core.twin.Intake;
import jollytide.core.twin.Lamp;
import jollytide.core.twin.MediaBed;
import jollytide.core.twin.Moment;
import jollytide.core.twin.OpenPath;
import jollytide.core.twin.Part;
import jollytide.core.twin.Reef;
import jollytide.core.twin.RoomSpace;
import jollytide.core.twin.SkimmerAir;
import jollytide.core.twin.TwinTank;
import jollytide.core.twin.Water;
import org.jspecify.annotations.Nullable;

/**
 * A made-up tank in its home: what acts follows the wall clock and by the days left until the history ends, and may
 * switch at every full hour.
 */
final class Household {
    private static final double DAY_H = 24;
    /** A heater brings the water to where it is set within the hour. */
    private static final double HEATER_PER_H = 3;

    private static final double ROOM_STARTS_AT_PPM = 700;
    static final double OUTDOORS_PPM = 420;

    private final Instant end;
    private final ZoneId zone;
    private final LightClock light;
    private final Days days;
    private Instant known = Instant.MIN;
    private Hour hour = new Hour(0, 0, 1, Intake.ROOM_AIR, 25, Inflow.NONE);

    /** What acts at a local time, so many days before the end, under so much light. */
    @FunctionalInterface
    interface Days {
        Hour at(ZonedDateTime local, double daysBefore, double light);
    }

    /**
     * What acts at one moment.
     *
     * @param sourcePpmPerH what people add to the room
     * @param airings changes of its air an hour
     * @param draw share of the skimmer's draw that is left
     */
    record Hour(double sourcePpmPerH, double airings, double draw, Intake intake, double celsius, Inflow doses) {}

    Household(Instant end, ZoneId zone, LightClock light, Days days) {
        this.end = end;
        this.zone = zone;
        this.light = light;
        this.days = days;
    }

    Instant end() {
        return end;
    }

    ZoneId zone() {
        return zone;
    }

    private Hour at(Instant t) {
        if (!t.equals(known)) {
            double before = Duration.between(t, end).toMillis() / 3.6e6 / DAY_H;
            hour = days.at(t.atZone(zone), before, light.levelAt(t, zone));
            known = t;
        }
        return hour;
    }

    /** @param fillKg of media that stand ready for the days on which the intake leads through them */
    TwinTank tank(
            double litres,
            double salinity,
            List<Surface> surfaces,
            @Nullable Skimmer skimmer,
            double fillKg,
            Life life) {
        List<Part> parts = new ArrayList<>();
        parts.add(new RoomSpace(ROOM_STARTS_AT_PPM, new Home()));
        for (Surface surface : surfaces) {
            parts.add(OpenPath.surface("surface " + parts.size(), Air.ROOM, surface));
        }
        if (skimmer != null) {
            MediaBed bed = fillKg == 0 ? null : new MediaBed(new Media(fillKg, MediaAssumptions.DEFAULT));
            parts.add(new SkimmerAir("", skimmer, 1, 1, false, bed, new SkimmerIntake()));
        }
        parts.add(new Reef(life, 1, (Lamp) t -> light.levelAt(t, zone)));
        parts.add(new Keeping());
        return new TwinTank(new Water(litres, salinity, Gases.STANDARD_HPA, 25.5, true), parts);
    }

    private final class Home implements RoomSpace.Hours {
        @Override
        public double sourcePpmPerH(Instant t) {
            return at(t).sourcePpmPerH();
        }

        @Override
        public double airChangesPerH(Instant t) {
            return at(t).airings();
        }

        @Override
        public double outdoorPpm(Instant t) {
            return OUTDOORS_PPM;
        }
    }

    private final class SkimmerIntake implements SkimmerAir.Breathing {
        @Override
        public Intake at(Instant t, boolean gateOpen) {
            return Household.this.at(t).intake();
        }

        @Override
        public double drawing(Instant t) {
            return Household.this.at(t).draw();
        }
    }

    /** Heater, doses, and the hour at which anything may switch. */
    private final class Keeping implements Part {
        @Override
        public List<Channel> channels() {
            return List.of(new Channel(Channel.Kind.DOSES, ""));
        }

        @Override
        public void acts(Moment now) {
            Hour acting = at(now.at());
            now.warmBy(HEATER_PER_H * (acting.celsius() - now.celsius()));
            double molPerH = now.litres() / 1000 / DAY_H;
            Inflow doses = acting.doses();
            now.gain(0, doses.carbonMmol() * molPerH, 0);
            now.dissolve(
                    doses.alkalinityMeq() * molPerH, doses.calciumMmol() * molPerH, doses.potassiumMmol() * molPerH);
        }

        @Override
        public Instant nextSwitch(Moment now, Instant until) {
            Instant next = now.at().truncatedTo(ChronoUnit.HOURS).plus(1, ChronoUnit.HOURS);
            return next.isBefore(until) ? next : until;
        }
    }
}
