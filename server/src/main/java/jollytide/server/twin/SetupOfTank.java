package jollytide.server.twin;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import jollytide.core.air.Enclosure;
import jollytide.core.air.Enclosure.Door;
import jollytide.core.air.IntakeAir;
import jollytide.core.air.RoomAir;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.dosingline.KnownUse;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.AlkalinityCourse;
import jollytide.core.fit.Priors;
import jollytide.core.measure.Setup;
import jollytide.core.measure.Surroundings;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.Evaporation;
import jollytide.core.reef.Fish;
import jollytide.core.reef.Life;
import jollytide.core.reef.LightClock;
import jollytide.core.reef.ReefWater;
import jollytide.core.seawater.Seawater;
import jollytide.core.staircase.Assumptions;
import jollytide.core.units.AlkalinityUnit;
import jollytide.server.event.EventView;
import jollytide.server.reading.HalfHour;
import jollytide.server.reading.LogSnapshot;
import jollytide.server.reading.ReadingRow;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankParts;
import org.jspecify.annotations.Nullable;

/** A keeper's tank as the twin takes it: what is measured, what is described, what is assumed. */
public final class SetupOfTank {
    /** The air over a tank, for evaporation. From memory. */
    private static final double AIR_C = 21;

    private static final double AIR_HUMIDITY = 0.5;
    private static final double ROOM_ASSUMED_PPM = 800;
    /** Readings of room and intake further apart are of different airs. From memory. */
    private static final Duration SAME_AIR = Duration.ofHours(1);

    private static final Duration USUAL_TEMPERATURE = Duration.ofDays(2);

    private SetupOfTank() {}

    /**
     * What the log knows for a setup.
     *
     * @param standing what was put on it; what stands now is in the setup, but for experiments
     * @param as the same water and air around the tank as it was described at another time, nothing standing on it
     */
    record Known(
            Setup setup,
            boolean alkalinityMeasured,
            boolean roomMeasured,
            Standing standing,
            @Nullable KnownUse use,
            Function<Tank, Setup> as) {}

    /**
     * @param putOn the events that put something on it
     * @param dosed what doses and tests say that is used; null where they say nothing
     */
    static Known known(Tank tank, LogSnapshot ofTank, List<EventView> putOn, @Nullable KnownUse dosed) {
        Assumptions assumed = tank.assumptions();
        double pressure = tank.home().pressureHpa();
        Seawater typical = new Seawater(assumed.salinityPsu(), assumed.temperatureC());
        // Water is warmer under its lamps: a day's mean, not what the last glance says.
        double temperature = untilMidnight(tank, ofTank, Quantity.TEMPERATURE, Place.TANK).stream()
                .filter(h -> h.start().isAfter(TwinBook.start(tank, ofTank.at()).minus(USUAL_TEMPERATURE)))
                .mapToDouble(h -> h.mean(typical, pressure))
                .average()
                .orElse(assumed.temperatureC());
        double salinity = ofTank.latest(Quantity.SALINITY, Place.TANK, LogToFit.TWO_MONTHS)
                .map(row -> row.standard(typical, pressure).value())
                .orElse(assumed.salinityPsu());
        Seawater water = ReefWater.nearest(salinity, temperature);
        AlkalinityCourse tests = LogToFit.alkalinity(ofTank, water, pressure);
        double alkalinity = tests.at(ofTank.at(), AlkalinityUnit.DKH.toMeqPerL(assumed.normalAlkalinityDkh()));
        Optional<DailyAir> room = room(tank, ofTank, water, pressure);
        double changesPerH =
                RoomAir.airChangesPerH(tank.room().airChangesPerH()).value();
        RoomDay day = room.map(air -> RoomDay.of(air, assumed.outdoorPpm(), changesPerH))
                .orElseGet(() -> estimatedRoom(tank, assumed.outdoorPpm(), changesPerH));
        IntakeAir.Share outdoorShare = outdoorShare(tank, ofTank, water, pressure);
        boolean described = tank.parts().alkalinityUseDkhPerDay() != null;
        KnownUse use = dosed != null && described && dosed.lnDeviation() > Priors.ASSUMED.use() ? null : dosed;
        Function<Tank, Setup> as = then -> dosed(
                of(
                        then,
                        water,
                        alkalinity,
                        pressure,
                        day,
                        outdoorShare,
                        tank.home().zone()),
                use);
        Setup bare = as.apply(tank);
        Standing standing = Standing.of(putOn, surroundings(tank, bare, MediaAssumptions.DEFAULT), room.isPresent());
        return new Known(bare.with(standing.usualAt(ofTank.at())), tests.tested(), room.isPresent(), standing, use, as);
    }

    /** What is dosed is not all: a reactor brings its own. */
    private static Setup dosed(Setup setup, @Nullable KnownUse use) {
        return use == null
                ? setup
                : setup.dosed(
                        use.meqPerLPerDay()
                                + Math.max(0, setup.reactorAsDescribed(r -> r).alkalinityMeq()),
                        use.source(),
                        use.hours());
    }

    /** What CO2 at the intake says of a hose, beside what the room's meter said then. Null where one of them is missing. */
    private static IntakeAir.@Nullable Share outdoorShare(
            Tank tank, LogSnapshot ofTank, Seawater water, double pressure) {
        ReadingRow intake =
                ofTank.latest(Quantity.CO2, Place.INTAKE, TwinBook.LOOKED_BACK).orElse(null);
        if (intake == null) {
            return null;
        }
        double outdoors = ofTank.latest(Quantity.CO2, Place.OUTDOORS, TwinBook.LOOKED_BACK)
                .map(row -> row.standard(water, pressure).value())
                .orElse(tank.assumptions().outdoorPpm());
        Function<HalfHour, Duration> apart = h ->
                Duration.between(h.start().plus(TwinBook.MIDDLE), intake.at()).abs();
        return ofTank.halfHours(Quantity.CO2, Place.ROOM).stream()
                .filter(h -> apart.apply(h).compareTo(SAME_AIR) <= 0)
                .min(Comparator.comparing(apart))
                .map(h -> IntakeAir.share(
                        h.mean(water, pressure),
                        intake.standard(water, pressure).value(),
                        outdoors))
                .orElse(null);
    }

    /** A room that nobody measured: from who lives in it, or an ordinary one where its volume is not known either. */
    private static RoomDay estimatedRoom(Tank tank, double outdoorPpm, double changesPerH) {
        Double volume = tank.room().volumeM3();
        return volume == null || tank.room().people().nobody()
                ? RoomDay.of(DailyAir.constant(ROOM_ASSUMED_PPM), outdoorPpm, changesPerH)
                : RoomDay.ofPeople(tank.room().people(), volume, changesPerH, outdoorPpm);
    }

    /**
     * A described tank in such water and air.
     *
     * @param outdoorShare of what is breathed at the skimmer's intake, as its CO2 says; null when not measured
     */
    public static Setup of(
            Tank tank,
            Seawater water,
            double alkalinity,
            double pressureHpa,
            RoomDay room,
            IntakeAir.@Nullable Share outdoorShare,
            ZoneId zone) {
        TankParts parts = tank.parts();
        return new Setup(
                tank.netVolumeL(),
                water,
                alkalinity,
                pressureHpa,
                tank.openings(),
                enclosure(parts.canopy()),
                enclosure(parts.cabinet()),
                tank.skimmer(),
                Boolean.TRUE.equals(parts.skimmerInCabinet()),
                parts.fixedLine(outdoorShare),
                tank.assumptions().outdoorPpm(),
                room,
                tank.light(),
                life(parts, tank.netVolumeL()),
                parts.source(),
                parts.calciumReactor(),
                refugium(parts, tank.light()),
                zone,
                tank.withoutMains());
    }

    private static @Nullable Enclosure enclosure(@Nullable Door door) {
        return door == null ? null : new Enclosure(door.exchangeLPerH());
    }

    private static @Nullable LightClock refugium(TankParts parts, LightClock lamps) {
        TankParts.RefugiumPart algae = parts.refugium();
        return algae == null
                ? null
                : new LightClock(
                        LocalTime.parse(algae.on()), LocalTime.parse(algae.off()), lamps.followsClockChanges(), 0);
    }

    private static Life life(TankParts parts, double litres) {
        Double use = parts.alkalinityUseDkhPerDay();
        TankParts.RefugiumPart algae = parts.refugium();
        return new Life(
                TankParameters.ORDINARY.respirationMmolPerLPerH(),
                TankParameters.ORDINARY.photosynthesisMmolPerLPerH(),
                Life.ASSUMED_SATURATION,
                algae == null ? 0 : algae.mmolPerH(),
                parts.fishes(litres),
                Fish.ACTIVE,
                use == null ? 0 : AlkalinityUnit.DKH.toMeqPerL(use),
                1);
    }

    /**
     * Until the last midnight: a twin that changed with every reading would be fitted anew with every reading. A log that
     * only begins today counts from its beginning.
     */
    private static List<HalfHour> untilMidnight(Tank tank, LogSnapshot ofTank, Quantity quantity, Place place) {
        Instant midnight = TwinBook.start(tank, ofTank.at());
        List<HalfHour> all = ofTank.halfHours(quantity, place);
        List<HalfHour> until =
                all.stream().filter(h -> h.start().isBefore(midnight)).toList();
        return until.isEmpty() ? all : until;
    }

    /** The room by hours, from the last fortnight; empty unless every hour was measured. */
    private static Optional<DailyAir> room(Tank tank, LogSnapshot ofTank, Seawater water, double pressure) {
        ZoneId zone = tank.home().zone();
        double[] sum = new double[24];
        int[] n = new int[24];
        for (HalfHour h : untilMidnight(tank, ofTank, Quantity.CO2, Place.ROOM)) {
            int hour = h.start().atZone(zone).getHour();
            sum[hour] += h.mean(water, pressure);
            n[hour]++;
        }
        if (IntStream.of(n).anyMatch(count -> count == 0)) {
            return Optional.empty();
        }
        return Optional.of(
                new DailyAir(IntStream.range(0, 24).mapToObj(h -> sum[h] / n[h]).toList()));
    }

    /** @param media assumed, or taught by this tank's own fills */
    static Surroundings surroundings(Tank tank, Setup setup, MediaAssumptions media) {
        return surroundings(tank, setup, tank.room().volumeM3(), media);
    }

    /** A tank that nobody keeps, in a room of such a volume; null when it is not known. */
    public static Surroundings surroundings(Tank tank, Setup setup, @Nullable Double roomM3) {
        return surroundings(tank, setup, roomM3, MediaAssumptions.DEFAULT);
    }

    private static Surroundings surroundings(Tank tank, Setup setup, @Nullable Double roomM3, MediaAssumptions media) {
        return new Surroundings(
                setup,
                roomM3,
                media,
                Evaporation.litresPerDay(tank.surfaceM2(), setup.water().temperatureC(), AIR_C, AIR_HUMIDITY, 0));
    }
}
