package jollytide.server.calculators;

import static jollytide.core.units.Quantities.within;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.description.TankParameters;
import jollytide.core.exchange.Bubbles;
import jollytide.core.outage.Backup;
import jollytide.core.outage.Energy;
import jollytide.core.outage.NightWithoutMains;
import jollytide.core.outage.TankAtFailure;
import jollytide.core.reef.Fish;
import jollytide.core.seawater.Gases;
import jollytide.core.transport.Transport;
import jollytide.core.units.AlkalinityUnit;
import jollytide.server.setup.Computes;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The sums of outages and of the road. They keep no state and need no account. */
@RestController
@RequestMapping("/api/v1/calculators")
class OutageCalculatorsController {

    /** Fish of about one size. */
    record FishOfSum(@NotNull Integer count, @NotNull Double massG) {}

    /**
     * A UPS on a load.
     *
     * @param upsW what its maker says it carries
     * @param upsMinutes for how long
     * @param yearsOld of its cells; at the end of their usual life when null, as everywhere else
     */
    record BackupRequest(
            @NotNull Double upsW,
            @NotNull Double upsMinutes,
            @NotNull Double loadW,
            @Nullable Double yearsOld) {}

    /**
     * Hours.
     *
     * @param naiveH what the label lets one hope
     * @param overloaded whether the load is more than it is known to carry: then it switches off at once
     * @param yearsOld of its cells, as counted
     */
    record BackupAnswer(
            double naiveH, double earlyH, double likelyH, double lateH, boolean overloaded, double yearsOld) {}

    @PostMapping("/backup")
    BackupAnswer backup(@Valid @RequestBody BackupRequest body) {
        double years = body.yearsOld() == null ? Energy.Ups.YEARS_ASSUMED : body.yearsOld();
        Energy.Ups ups = new Energy.Ups(body.upsW(), body.upsMinutes(), years);
        double load = within("loadW", body.loadW(), 0.1, 5000, "W");
        Energy.RunTime hours = ups.hours(load);
        return new BackupAnswer(
                ups.naiveHours(load), hours.early(), hours.likely(), hours.late(), ups.overloaded(load), years);
    }

    /**
     * A tank without mains.
     *
     * @param reefMmolPerLPerH respiration without fish; an ordinary reef's when null
     * @param airLPerH of a stone that runs all the time; none when null
     */
    record OutageRequest(
            @NotNull Double litres,
            @NotNull Double surfaceM2,
            @NotNull Double temperatureC,
            @NotNull Double startMgPerL,
            @Nullable Double roomC,
            @Nullable Double reefMmolPerLPerH,
            @Nullable @Size(max = 40) List<@NotNull @Valid FishOfSum> fish,
            @Nullable Double airLPerH,
            @Nullable Double bubbleMm,
            @Nullable Double depthM) {}

    record OutageAnswer(NightWithoutMains.OxygenCourse course, double bucketsPerH) {}

    private static final double SALINITY = 35;
    private static final double HOURS = 24;
    private static final double BUCKET_L = 10;

    @Computes
    @PostMapping("/outage")
    OutageAnswer outage(@Valid @RequestBody OutageRequest body) {
        TankAtFailure tank = stricken(body);
        Double air = body.airLPerH();
        List<NightWithoutMains.Running> running = air == null
                ? List.of()
                : List.of(new NightWithoutMains.Running(
                        new Backup(
                                "stone",
                                new Backup.Stone(
                                        air,
                                        body.bubbleMm() == null ? 2 : body.bubbleMm(),
                                        body.depthM() == null ? 0.4 : body.depthM()),
                                0,
                                null),
                        0,
                        null));
        return new OutageAnswer(
                new NightWithoutMains(tank, running, List.of()).run(HOURS), Backup.Pouring.bucketsPerH(tank));
    }

    private static TankAtFailure stricken(OutageRequest body) {
        double room = body.roomC() == null ? body.temperatureC() : body.roomC();
        double litres = within("litres", body.litres(), 1, 100_000, "L");
        return new TankAtFailure(
                litres,
                SALINITY,
                Gases.STANDARD_HPA,
                body.surfaceM2(),
                or(body.reefMmolPerLPerH(), TankParameters.ORDINARY.respirationMmolPerLPerH()),
                fish(body.fish()),
                body.startMgPerL(),
                true,
                body.temperatureC(),
                room,
                TankAtFailure.ordinaryCoolingPerH(litres),
                24);
    }

    private static Fish fish(@Nullable List<FishOfSum> fish) {
        return fish == null
                ? Fish.NONE
                : new Fish(fish.stream()
                        .map(f -> new Fish.Group(f.count(), f.massG()))
                        .toList());
    }

    /**
     * Water scooped out and poured back.
     *
     * @param bucketL 10 when null
     */
    record PouringRequest(
            @NotNull Double litres,
            @NotNull Double surfaceM2,
            @NotNull Double temperatureC,
            @NotNull Double holdMgPerL,
            @Nullable Double reefMmolPerLPerH,
            @Nullable @Size(max = 40) List<@NotNull @Valid FishOfSum> fish,
            @Nullable Double bucketL) {}

    record PouringAnswer(double bucketsPerH, double minutesEach) {}

    @PostMapping("/pouring")
    PouringAnswer pouring(@Valid @RequestBody PouringRequest body) {
        TankAtFailure tank = stricken(new OutageRequest(
                body.litres(),
                body.surfaceM2(),
                body.temperatureC(),
                6.0,
                null,
                body.reefMmolPerLPerH(),
                body.fish(),
                null,
                null,
                null));
        double hold = within("holdMgPerL", body.holdMgPerL(), 2, 5.5, "mg/L");
        double each = Backup.Pouring.bucketsPerH(tank, hold, body.bucketL() == null ? BUCKET_L : body.bucketL());
        return new PouringAnswer(each, each == 0 ? 0 : 60 / each);
    }

    /**
     * Animals on the road.
     *
     * @param delayHours on top of the trip
     * @param coolingPerH 0.25 a bare bucket, 0.05 a closed cool box
     * @param heaterW 0 when null; it works only where the socket carries heater and pump together
     * @param volts of the vehicle's socket, with its fuse; null without
     * @param batteryAh of the vehicle, for the time its engine stands; null without
     * @param inverterW rating of the inverter on the socket; null where pump and heater run on the socket itself
     * @param leastC that the animals bear; with {@code mostC} and {@code kelvinPerH} a reef's when null
     */
    record TransportRequest(
            @NotNull @Size(max = 40) List<@NotNull @Valid FishOfSum> fish,
            @NotNull Double waterL,
            @NotNull Double headspaceL,
            @NotNull Boolean oxygenFilled,
            @NotNull Boolean aerated,
            @Nullable Double airLPerH,
            @Nullable Double bubbleMm,
            @Nullable Double depthM,
            @Nullable Boolean binder,
            @Nullable Double salinityPsu,
            @Nullable Double heaterW,
            @Nullable Double pumpW,
            @Nullable Double weightLimitKg,
            @NotNull Double startC,
            @NotNull Double outsideC,
            @NotNull Double coolingPerH,
            @NotNull Double alkalinityDkh,
            @NotNull Double ph,
            @NotNull Double fastedHours,
            @NotNull Double tripHours,
            @NotNull Double delayHours,
            @Nullable Double volts,
            @Nullable Double fuseA,
            @Nullable Double batteryAh,
            @Nullable Double inverterW,
            @Nullable Double leastC,
            @Nullable Double mostC,
            @Nullable Double kelvinPerH) {}

    /** A small battery pump with an ordinary stone a hand deep, where nothing is said. From memory. */
    private static final double ASSUMED_AIR_L_PER_H = 60;

    private static final double ASSUMED_BUBBLE_MM = 2;
    private static final double ASSUMED_DEPTH_M = 0.15;

    /** More or less water. */
    record WaterAgainstWeight(
            double waterL, double weightKg, @Nullable Double hoursToCaution, double ammoniaMgPerL) {}

    /**
     * The trip.
     *
     * @param early the same with animals that use more than is likely, in water that nothing moves
     * @param other the same with the other way of giving air: closed against aerated
     * @param socketW what the vehicle's socket gives; null without
     * @param askedW of heater and pump together, with what an inverter takes for itself
     * @param overloaded whether that is more than socket or inverter carries: then neither heater nor pump counts
     * @param engineOffH hours that the vehicle's battery drives them with the engine off; null where nothing is asked of it
     * @param mostWaterL that the weight limit leaves room for; null without a limit
     */
    record TransportAnswer(
            Transport.Trip trip,
            Transport.Trip early,
            Transport.Trip other,
            List<WaterAgainstWeight> water,
            @Nullable Double socketW,
            double askedW,
            boolean overloaded,
            @Nullable Double engineOffH,
            @Nullable Double mostWaterL) {}

    @Computes
    @PostMapping("/transport")
    TransportAnswer transport(@Valid @RequestBody TransportRequest body) {
        double hours = within("tripHours", body.tripHours(), 0.1, 72, "h")
                + within("delayHours", body.delayHours(), 0, 24, "h");
        Double volts = body.volts();
        Double fuse = body.fuseA();
        if (body.depthM() != null) {
            within("depthM", body.depthM(), 0.01, Transport.deepestM(body.waterL()), "m, for there is no more water");
        }
        Transport.Limits limits = new Transport.Limits(
                or(body.leastC(), Transport.Limits.REEF.leastC()),
                or(body.mostC(), Transport.Limits.REEF.mostC()),
                or(body.kelvinPerH(), Transport.Limits.REEF.kelvinPerH()));
        double loadW = watts("heaterW", body.heaterW()) + watts("pumpW", body.pumpW());
        Double rating = body.inverterW();
        double askedW = rating == null || loadW == 0 ? loadW : Transport.inverterW(loadW);
        Double socketW = volts == null || fuse == null ? null : Transport.socketW(volts, fuse);
        boolean overloaded = (socketW != null && askedW > socketW) || (rating != null && loadW > rating);
        double heaterW = overloaded ? 0 : watts("heaterW", body.heaterW());
        boolean aerated = body.aerated();
        Transport asked = transport(body, body.waterL(), aerated, heaterW);
        Transport.Trip trip = asked.trip(hours, Transport.Side.LIKELY, limits);
        Double limit = body.weightLimitKg();
        return new TransportAnswer(
                trip,
                asked.trip(hours, Transport.Side.EARLY, limits),
                transport(body, body.waterL(), !aerated, heaterW).trip(hours, Transport.Side.LIKELY, limits),
                IntStream.of(50, 100, 150, 200, 300)
                        .mapToObj(percent -> {
                            double litres = body.waterL() * percent / 100;
                            Transport.Trip tried =
                                    transport(body, litres, aerated, heaterW).trip(hours, Transport.Side.EARLY, limits);
                            return new WaterAgainstWeight(
                                    litres,
                                    tried.weightKg(),
                                    tried.hoursToCaution(),
                                    tried.moments()
                                            .get(tried.moments().size() - 1)
                                            .ammoniaMgPerL());
                        })
                        .toList(),
                socketW,
                askedW,
                overloaded,
                body.batteryAh() == null || volts == null || loadW == 0
                        ? null
                        : Transport.engineOffH(volts, body.batteryAh(), loadW),
                limit == null ? null : asked.mostWaterL(limit));
    }

    private static double watts(String field, @Nullable Double given) {
        return given == null ? 0 : within(field, given, 0, 3000, "W");
    }

    private static double or(@Nullable Double given, double otherwise) {
        return given == null ? otherwise : given;
    }

    private static Transport transport(TransportRequest body, double waterL, boolean aerated, double heaterW) {
        Bubbles air = new Bubbles(
                or(body.airLPerH(), ASSUMED_AIR_L_PER_H),
                or(body.bubbleMm(), ASSUMED_BUBBLE_MM),
                Math.min(or(body.depthM(), ASSUMED_DEPTH_M), Transport.deepestM(waterL)),
                Bubbles.Skin.RIGID);
        return new Transport(
                fish(body.fish()),
                waterL,
                body.headspaceL(),
                body.oxygenFilled() && !aerated,
                aerated ? air : null,
                Boolean.TRUE.equals(body.binder()),
                body.startC(),
                body.outsideC(),
                body.coolingPerH(),
                or(body.salinityPsu(), SALINITY),
                AlkalinityUnit.DKH.toMeqPerL(body.alkalinityDkh()),
                body.ph(),
                body.fastedHours(),
                heaterW);
    }
}
