package jollytide.server.calculators;

import static jollytide.core.units.Quantities.within;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.air.AirLine;
import jollytide.core.air.AirPump;
import jollytide.core.air.People;
import jollytide.core.air.RoomAir;
import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.Bubbles;
import jollytide.core.exchange.Bubbles.Skin;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.seawater.Seawater;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The sums of air: hoses, pumps, bubbles, rooms. They keep no state and need no account. */
@RestController
@RequestMapping("/api/v1/calculators")
class AirCalculatorsController {
    private static final double KEEPING = 0.95;
    private static final int CURVE_POINTS = 21;
    private static final double LONGEST_M = 20;

    /**
     * A hose to a skimmer.
     *
     * @param suctionPa what the skimmer sucks at no flow; assumed when null, and the answer is a band
     * @param bends of 90°; two when null
     * @param filter whether one sits at its mouth
     * @param leakMm width of another inlet left open; plugged when null
     * @param measuredLPerH drawn with the hose on; not compared when null
     */
    record AirlineRequest(
            @NotNull Double freeDrawLPerH,
            @NotNull Double lengthM,
            @NotNull Double boreMm,
            @Nullable Integer bends,
            @Nullable Boolean filter,
            @Nullable Double suctionPa,
            @Nullable Double leakMm,
            @Nullable Double measuredLPerH) {}

    /**
     * What is kept of the draw.
     *
     * @param keptShare of the free draw, through the hose and any leak together
     * @param fromLineShare of what is drawn
     * @param likeMetresMore how much longer a clear hose would draw what was measured; null without a measurement, 0 when
     *     it draws as expected
     * @param boreKeeping95Mm the smallest bore sold that keeps 95 %
     * @param curve share kept over hose lengths from 0 to 20 m, with this bore
     */
    record AirlineAnswer(
            Estimate keptShare,
            double drawnLPerH,
            double fromLineShare,
            double dropPa,
            @Nullable Double likeMetresMore,
            double boreKeeping95Mm,
            List<CurveOfHose> curve) {}

    record CurveOfHose(double lengthM, double keptShare) {}

    @PostMapping("/airline")
    AirlineAnswer airline(@Valid @RequestBody AirlineRequest body) {
        double loss = AirLine.loss(
                body.bends() == null ? AirLine.ASSUMED_BENDS : body.bends(), Boolean.TRUE.equals(body.filter()));
        AirLine line = new AirLine(body.lengthM(), body.boreMm(), loss);
        double free = within("freeDrawLPerH", body.freeDrawLPerH(), 1, 20_000, "L/h");
        double suction = body.suctionPa() == null
                ? AirLine.ASSUMED_SUCTION_PA
                : within("suctionPa", body.suctionPa(), 50, 20_000, "Pa");
        double leak = body.leakMm() == null ? 0 : body.leakMm();
        AirLine.Drawn drawn = line.withLeak(free, suction, leak);
        return new AirlineAnswer(
                line.keptWithLeak(free, body.suctionPa(), leak),
                drawn.totalLPerH(),
                drawn.lineShare(),
                line.pressureDropPa(drawn.lineLPerH()),
                body.measuredLPerH() == null ? null : line.likeMetresMore(free, body.measuredLPerH(), suction),
                line.boreKeeping(KEEPING, free, suction),
                IntStream.range(0, CURVE_POINTS)
                        .mapToObj(i -> {
                            double length = LONGEST_M * i / (CURVE_POINTS - 1);
                            return new CurveOfHose(
                                    length, new AirLine(length, body.boreMm(), loss).kept(free, suction));
                        })
                        .toList());
    }

    /**
     * An air pump on a stone.
     *
     * @param stallKPa pressure at which it stands; assumed when null
     * @param oneWayValve whether one sits in the tube
     * @param claimedLPerH a flow that its maker claims at that depth; not judged when null
     * @param tariffPerKWh 0.35 when null
     * @param tankL for the first size of one tank volume an hour; null to leave that out
     */
    record AirPumpRequest(
            @NotNull Double freeLPerH,
            @Nullable Double stallKPa,
            @NotNull Double watts,
            @NotNull Double depthM,
            @NotNull Double tubeLengthM,
            @NotNull Double tubeBoreMm,
            @NotNull Boolean oneWayValve,
            @Nullable Double claimedLPerH,
            @Nullable Double tariffPerKWh,
            @Nullable Double tankL) {}

    /**
     * What arrives at the stone.
     *
     * @param idealW the least power for that flow at that depth
     * @param claimPossible null without a claim
     * @param claimIdealW the least power that the claim would take
     * @param firstSizeLPerH one tank volume an hour (common practice)
     */
    record AirPumpAnswer(
            double deliveredLPerH,
            double loadKPa,
            double idealW,
            @Nullable Boolean claimPossible,
            @Nullable Double claimIdealW,
            double kWhPerYear,
            double costPerYear,
            @Nullable Double firstSizeLPerH,
            List<CurveOfPump> curve) {}

    record CurveOfPump(double depthM, double deliveredLPerH) {}

    private static final double TARIFF = 0.35;
    private static final double DEEPEST_M = 2;

    @PostMapping("/airpump")
    AirPumpAnswer airpump(@Valid @RequestBody AirPumpRequest body) {
        AirPump pump = new AirPump(
                body.freeLPerH(), body.stallKPa() == null ? AirPump.ASSUMED_STALL_KPA : body.stallKPa(), body.watts());
        AirLine tube = new AirLine(body.tubeLengthM(), body.tubeBoreMm(), 1);
        double depth = within("depthM", body.depthM(), 0, 20, "m");
        double delivered = pump.deliveredLPerH(depth, body.oneWayValve(), tube);
        double tariff =
                body.tariffPerKWh() == null ? TARIFF : within("tariffPerKWh", body.tariffPerKWh(), 0, 1e6, "per kWh");
        Double claimed = body.claimedLPerH();
        return new AirPumpAnswer(
                delivered,
                AirPump.loadKPa(depth, body.oneWayValve(), tube, delivered),
                AirPump.idealAtDepthW(delivered, depth),
                claimed == null ? null : !pump.impossible(within("claimedLPerH", claimed, 0, 1e6, "L/h"), depth),
                claimed == null ? null : AirPump.idealAtDepthW(claimed, depth),
                pump.kWhPerYear(),
                pump.yearly(tariff),
                body.tankL() == null ? null : AirPump.firstSizeLPerH(body.tankL()),
                IntStream.range(0, CURVE_POINTS)
                        .mapToObj(i -> DEEPEST_M * i / (CURVE_POINTS - 1))
                        .map(d -> new CurveOfPump(d, pump.deliveredLPerH(d, body.oneWayValve(), tube)))
                        .toList());
    }

    /** Bubbles from a stone. */
    record BubblesRequest(
            @NotNull Double airLPerH,
            @NotNull Double diameterMm,
            @NotNull Double depthM,
            @NotNull Double temperatureC,
            @NotNull Double salinity) {}

    /**
     * What one skin does.
     *
     * @param oxygen conductance, mol/(h·atm)
     * @param oxygenOfAirLimit share of what the air stream could carry at all: near 1 the air is the limit, near 0 the
     *     contact
     * @param asRollingM2 a rolling surface that gives as much oxygen
     * @param asRippledM2 a rippled surface that gives as much oxygen
     */
    record SkinAnswer(
            Skin skin,
            double riseCmPerS,
            double areaM2,
            double oxygen,
            double co2,
            double oxygenOfAirLimit,
            double co2OfAirLimit,
            double asRollingM2,
            double asRippledM2) {}

    record BubblesAnswer(SkinAnswer rigid, SkinAnswer mobile) {}

    @PostMapping("/bubbles")
    BubblesAnswer bubbles(@Valid @RequestBody BubblesRequest body) {
        Seawater water = new Seawater(body.salinity(), body.temperatureC());
        return new BubblesAnswer(skin(body, Skin.RIGID, water), skin(body, Skin.MOBILE, water));
    }

    private static SkinAnswer skin(BubblesRequest body, Skin skin, Seawater water) {
        Bubbles bubbles = new Bubbles(body.airLPerH(), body.diameterMm(), body.depthM(), skin);
        return new SkinAnswer(
                skin,
                bubbles.riseMPerS(water) * 100,
                bubbles.areaM2(water),
                bubbles.conductance(Gas.OXYGEN, water),
                bubbles.conductance(Gas.CO2, water),
                bubbles.shareOfAirLimit(Gas.OXYGEN, water),
                bubbles.shareOfAirLimit(Gas.CO2, water),
                bubbles.asSurfaceM2(SurfaceClass.ROLLING, water),
                bubbles.asSurfaceM2(SurfaceClass.RIPPLED, water));
    }

    /**
     * A room.
     *
     * @param firstPpm of an empty room; with {@code laterPpm} and {@code hours} its air changes follow. All or none
     */
    record RoomRequest(
            @NotNull Double volumeM3,
            @NotNull Integer adults,
            @NotNull Integer children,
            @NotNull Integer pets,
            @Nullable Double airChangesPerH,
            @Nullable Double outdoorPpm,
            @Nullable Double firstPpm,
            @Nullable Double laterPpm,
            @Nullable Double hours) {}

    /**
     * Where it settles.
     *
     * @param airChangesPerH given, or found from the decay, or assumed for an ordinary room
     * @param shutPpm everybody at home: the mean of a day, from all asleep to all awake, the doubt of the air changes in it
     * @param asleepPpm at the air changes' value, as all that follow
     * @param hoursTo1500Ppm from outdoor air, asleep; null when it never gets there
     * @param ventilationM3PerHFor1000Ppm with everybody awake; null when the air outdoors is no better
     */
    record RoomAnswer(
            Estimate airChangesPerH,
            boolean fromDecay,
            Estimate shutPpm,
            double asleepPpm,
            double awakePpm,
            double timeConstantH,
            @Nullable Double hoursTo1500Ppm,
            @Nullable Double ventilationM3PerHFor1000Ppm) {}

    private static final double OUTDOORS = 420;

    @PostMapping("/room")
    RoomAnswer room(@Valid @RequestBody RoomRequest body) {
        double outdoors =
                body.outdoorPpm() == null ? OUTDOORS : within("outdoorPpm", body.outdoorPpm(), 250, 5000, "ppm");
        People people = new People(body.adults(), body.children(), body.pets());
        Double first = body.firstPpm();
        Double later = body.laterPpm();
        Double hours = body.hours();
        boolean decay = first != null && later != null && hours != null;
        if (!decay && (first != null || later != null || hours != null)) {
            throw Problem.refused(new FieldError(
                    first == null ? "firstPpm" : later == null ? "laterPpm" : "hours",
                    null,
                    "all three values of a decay, or none",
                    "Enter the first reading, the later reading and the hours between them."));
        }
        Estimate changes = decay
                ? RoomAir.airChangesPerH(RoomAir.airChangesFromDecay(outdoors, first, later, hours))
                : RoomAir.airChangesPerH(body.airChangesPerH());
        double n = changes.value();
        double asleep = RoomAir.steadyStatePpm(outdoors, people.asleepLPerS(), body.volumeM3(), n);
        double awake = RoomAir.steadyStatePpm(outdoors, people.awakeLPerS(), body.volumeM3(), n);
        return new RoomAnswer(
                changes,
                decay,
                RoomAir.expectedShutPpm(outdoors, people, body.volumeM3(), changes),
                asleep,
                awake,
                RoomAir.timeConstantH(n),
                RoomAir.hoursUntil(RoomAir.ACT_PPM, outdoors, asleep, n),
                RoomAir.ventilationM3PerH(RoomAir.TOLERABLE_PPM, outdoors, people.awakeLPerS()));
    }
}
