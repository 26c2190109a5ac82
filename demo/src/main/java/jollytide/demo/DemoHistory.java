package jollytide.demo;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import jollytide.core.air.People;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.dosing.Limewater;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.measure.Measures;
import jollytide.core.reef.Life;
import jollytide.core.reef.LightClock;
import jollytide.core.twin.Intake;
import jollytide.core.twin.RoomSpace;
import jollytide.core.twin.TwinTank;
import jollytide.demo.Household.Hour;
import jollytide.demo.TankHistory.Happening;
import jollytide.demo.TankHistory.Kind;

/**
 * The last 120 days of the demo's three tanks, made by the twin: a pure function of seed, end and zone. What happened in
 * truth is described in docs/demo-history.md.
 */
public final class DemoHistory {
    private static final List<Integer> CALIBRATED_DAYS_BEFORE_END = List.of(90, 58, 24);
    private static final double OUTDOORS = Household.OUTDOORS_PPM;

    /** What 800 mL of saturated limewater a day bring to 420 L, as much as its corals use. */
    /** At which Heron begins, and is kept. */
    public static final double HERON_DKH = 8.1;

    public static final double CALCIUM_MG_PER_L = 420;

    private static final double LIMEWATER_MEQ_PER_L = new Limewater(1).meqPerLPerDay(LimewaterCan.ML_PER_DAY, 420);

    /** Of Room 6's soda ash. */
    public static final LocalTime FIRST_DOSE = LocalTime.of(20, 0);

    public static final int DOSES_OVER_H = 10;

    private DemoHistory() {}

    /** Lantern Reef: 420 L above a bakery; two adults, a child, a dog. */
    public static TankHistory lanternReef(long seed, Instant end, ZoneId zone) {
        People family = new People(2, 1, 1);
        People dog = new People(0, 0, 1);
        LightClock light = new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 30);
        Stretch away = new Stretch(moment(end, zone, 50, "07:30"), moment(end, zone, 41, "19:00"));
        Stretch onRearHose = new Stretch(moment(end, zone, 64, "18:20"), moment(end, zone, 62, "18:40"));
        Stretch onFrontHose = new Stretch(moment(end, zone, 20, "13:20"), moment(end, zone, 16, "12:50"));
        Stretch onMedia = new Stretch(moment(end, zone, 10, "15:10"), moment(end, zone, 6, "16:00"));
        Instant cleaned = moment(end, zone, 71, "11:30");
        LimewaterCan can = new LimewaterCan(end, zone);
        Household.Days days = (local, before, lit) -> {
            Instant now = local.toInstant();
            boolean rearHose = onRearHose.holds(now);
            boolean frontHose = onFrontHose.holds(now);
            boolean media = onMedia.holds(now);
            double respiration = away.holds(now) ? 0 : respiration(local, family, dog);
            double clogged = before < 78 && now.isBefore(cleaned) ? Math.max(0.2, 1 - (78 - before) / 4) : 1;
            int hour = local.getHour();
            double rearAir = hour >= 3 && hour < 7 ? 780 : 430;
            double windows = before > 100 ? 1.3 : Math.max(0.46, 0.46 + (before - 60) / 40 * 0.84);
            return new Hour(
                    RoomSpace.ppmPerH(respiration, 180),
                    windows,
                    clogged * (rearHose ? 0.25 : frontHose ? 0.97 : 1),
                    new Intake(
                            rearHose ? 1 : frontHose ? 0.95 : 0,
                            rearHose ? rearAir : OUTDOORS,
                            0,
                            1,
                            media ? Intake.Leg.ALL : null),
                    25.3 + 0.4 * lit,
                    AlkalinitySource.LIMEWATER.perDay(can.share(now) * LIMEWATER_MEQ_PER_L));
        };
        List<Happening> happenings = List.of(
                new Happening(
                        Kind.SEASON, moment(end, zone, 100, "09:00"), "windows stay shut", "The first cold nights."),
                new Happening(
                        Kind.MAINTENANCE,
                        cleaned,
                        "skimmer's venturi cleaned",
                        "It was crusted nearly shut; the air draw is back."),
                new Happening(
                        Kind.REMEDY,
                        onRearHose.from(),
                        onRearHose.until(),
                        "trial hose to the rear window",
                        "Thin hose, taped to the frame. Jonas helped. No better, rather worse.",
                        List.of(hose(6, 6))),
                new Happening(
                        Kind.PEOPLE,
                        away.from(),
                        away.until(),
                        "away for nine days",
                        "The dog came along.",
                        List.of(new Measures.Put("nobody", Map.of(), Map.of()))),
                new Happening(Kind.ADDITIVE, can.newPump(), "new limewater pump", "0.8 L a day, as before."),
                new Happening(
                        Kind.MAINTENANCE,
                        can.bled(),
                        null,
                        "air bled from the limewater line",
                        "The cans had lasted far too long.",
                        List.of()),
                new Happening(
                        Kind.REMEDY,
                        onFrontHose.from(),
                        onFrontHose.until(),
                        "half-inch hose to the front window",
                        "It lifted the night. Taken down until the landlord has said yes to a hole.",
                        List.of(hose(4, 12.7))),
                new Happening(
                        Kind.REMEDY,
                        onMedia.from(),
                        onMedia.until(),
                        "scrubber media before the skimmer",
                        "400 g on room air, to see. All of it had changed colour.",
                        List.of(new Measures.Put("scrubber", Map.of("massKg", 0.4), Map.of()))));
        Household household = new Household(end, zone, light, days);
        TwinTank tank = household.tank(
                420,
                35,
                List.of(new Surface(0.72, SurfaceClass.ROLLING), new Surface(0.18, SurfaceClass.BROKEN)),
                new Skimmer(550),
                0.4,
                Life.reef(0.0206, 0.035).withUse(LIMEWATER_MEQ_PER_L));
        return recorded(tank, household, seed, 8.6, happenings).with(can.notes(seed));
    }

    /** Room 6: a school's tank; 26 pupils on weekdays, half-term four to three weeks before the end. */
    public static TankHistory room6(long seed, Instant end, ZoneId zone) {
        People pupils = new People(1, 26, 0);
        LightClock light = new LightClock(LocalTime.of(7, 30), LocalTime.of(16, 30), true, 30);
        Bottle bottle = Bottle.SODA_ASH;
        Stretch halfTerm = new Stretch(moment(end, zone, 28, "15:30"), moment(end, zone, 19, "08:00"));
        Household.Days days = (local, before, lit) -> {
            int minute = local.getHour() * 60 + local.getMinute();
            boolean lessons =
                    !halfTerm.holds(local.toInstant()) && !weekend(local) && minute >= 8 * 60 && minute < 15 * 60 + 30;
            return new Hour(
                    RoomSpace.ppmPerH(lessons ? pupils.awakeLPerS() : 0, 200),
                    0.9,
                    1,
                    Intake.ROOM_AIR,
                    24.8 + 0.3 * lit,
                    bottle.perDay(180).times(dosesAt(local.getHour())));
        };
        List<Happening> happenings = List.of(new Happening(
                Kind.PEOPLE,
                halfTerm.from(),
                halfTerm.until(),
                "half-term",
                "Nobody in the room.",
                List.of(new Measures.Put("nobody", Map.of(), Map.of()))));
        Household household = new Household(end, zone, light, days);
        TwinTank tank = household.tank(
                180,
                34,
                List.of(new Surface(0.45, SurfaceClass.ROLLING)),
                new Skimmer(350),
                0,
                Life.reef(0.016, 0.030).withUse(bottle.meqPerLPerDay(180)));
        return recorded(tank, household, seed, 7.9, happenings).with(bottle.notes(seed, end, zone));
    }

    /** Room 6's doses are made at night, from {@link #FIRST_DOSE} on; what a day's mean is then times. */
    private static double dosesAt(int hour) {
        return hour >= FIRST_DOSE.getHour() || hour < FIRST_DOSE.getHour() + DOSES_OVER_H - 24
                ? 24.0 / DOSES_OVER_H
                : 0;
    }

    /** Heron: 75 L on a narrowboat, no skimmer; one person aboard. */
    public static TankHistory heron(long seed, Instant end, ZoneId zone) {
        People skipper = new People(1, 0, 0);
        LightClock light = new LightClock(LocalTime.of(11, 0), LocalTime.of(20, 0), true, 30);
        Household.Days days = (local, before, lit) -> new Hour(
                RoomSpace.ppmPerH(respiration(local, skipper, new People(0, 0, 0)), 28),
                2.2,
                1,
                Intake.ROOM_AIR,
                24.3 + 0.5 * lit,
                Bottle.BICARBONATE.perDay(75));
        List<Happening> happenings = List.of(new Happening(
                Kind.FAULT, moment(end, zone, 33, "22:10"), "mooring power dropped out", "Back after forty minutes."));
        Household household = new Household(end, zone, light, days);
        TwinTank tank = household.tank(
                75,
                35,
                List.of(new Surface(0.24, SurfaceClass.RIPPLED)),
                null,
                0,
                Life.reef(0.0075, 0.0120).withUse(Bottle.BICARBONATE.meqPerLPerDay(75)));
        return recorded(tank, household, seed, HERON_DKH, happenings).with(Bottle.BICARBONATE.notes(seed, end, zone));
    }

    /** What sensors and keeper made of it; every tank's probe is calibrated on the same days. */
    private static TankHistory recorded(
            TwinTank tank, Household household, long seed, double startDkh, List<Happening> happenings) {
        List<Instant> calibrations = CALIBRATED_DAYS_BEFORE_END.stream()
                .map(days -> moment(household.end(), household.zone(), days, "17:10"))
                .toList();
        List<Happening> all = new ArrayList<>(happenings);
        calibrations.forEach(at -> all.add(
                new Happening(Kind.MAINTENANCE, at, null, "pH probe calibrated", "Buffers 7 and 10.", List.of())));
        all.sort(Comparator.comparing(Happening::at));
        Recorder recorder = new Recorder(tank, household, seed, calibrations);
        return new TankHistory(recorder.record(startDkh), all, recorder.found(), List.of());
    }

    private static Measures.Put hose(double lengthM, double boreMm) {
        return new Measures.Put("outdoor-line", Map.of("lengthM", lengthM, "boreMm", boreMm), Map.of());
    }

    /** Asleep from 23 to 7; on weekdays out from 8 to 17, who stays behind breathing alone. */
    private static double respiration(ZonedDateTime local, People everybody, People staying) {
        int hour = local.getHour();
        if (hour >= 23 || hour < 7) {
            return everybody.asleepLPerS();
        }
        boolean out = weekend(local) ? hour >= 12 && hour < 15 : hour >= 8 && hour < 17;
        return (out ? staying : everybody).awakeLPerS();
    }

    private static boolean weekend(ZonedDateTime local) {
        return local.getDayOfWeek() == DayOfWeek.SATURDAY || local.getDayOfWeek() == DayOfWeek.SUNDAY;
    }

    /** In truth as it is noted: from one moment to another. */
    private record Stretch(Instant from, Instant until) {
        boolean holds(Instant t) {
            return !t.isBefore(from) && t.isBefore(until);
        }
    }

    static Instant moment(Instant end, ZoneId zone, int daysBefore, String time) {
        return end.minus(daysBefore, ChronoUnit.DAYS)
                .atZone(zone)
                .toLocalDate()
                .atTime(LocalTime.parse(time))
                .atZone(zone)
                .toInstant();
    }
}
