package jollytide.server.calculators;

import static jollytide.core.units.Quantities.within;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.air.RoomAir;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.AlkalinityDose;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.SettlingTime;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.scenario.DoseLimit;
import jollytide.core.scenario.MediaLife;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.scenario.OrdinaryDays.SettledDay;
import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.MediaBed;
import jollytide.core.twin.TwinState;
import jollytide.core.units.AlkalinityUnit;
import jollytide.server.measure.SetRequest;
import jollytide.server.measure.SetRequest.PutMeasure;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.setup.Computes;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankDescription;
import jollytide.server.tank.TankService;
import jollytide.server.twin.SetupOfTank;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The sums of doses, media and whole tanks. They keep no state and need no account. */
@RestController
@RequestMapping("/api/v1/calculators")
class WaterCalculatorsController {

    /**
     * A fill of scrubber media in some use.
     *
     * @param freshShare of the air; the rest is the skimmer's exhaust
     * @param exhaustPpm CO2 of that exhaust; 650 when null
     * @param capacityLPerKg 150 when null, and the answer is a band
     * @param coolingK how much colder than the tank the media are; 3 when null
     */
    record MediaRequest(
            @NotNull Double massKg,
            @NotNull Double airLPerH,
            @NotNull Double intakePpm,
            @NotNull Double freshShare,
            @NotNull Double hoursPerDay,
            @NotNull Boolean driesBetween,
            @NotNull Double temperatureC,
            @Nullable Double exhaustPpm,
            @Nullable Double capacityLPerKg,
            @Nullable Double coolingK) {}

    /** How long it lasts, and what ends it. */
    record MediaAnswer(MediaLife.Life life, Estimate days) {}

    @Computes
    @PostMapping("/media")
    MediaAnswer media(@Valid @RequestBody MediaRequest body) {
        MediaAssumptions assumed = MediaAssumptions.DEFAULT;
        if (body.capacityLPerKg() != null) {
            assumed = assumed.withCapacity(body.capacityLPerKg());
        }
        if (body.coolingK() != null) {
            assumed = assumed.withCooling(body.coolingK());
        }
        MediaLife life = new MediaLife(
                new Media(body.massKg(), assumed),
                new Seawater(35, body.temperatureC()),
                body.airLPerH(),
                body.intakePpm(),
                MediaBed.ROOM_VAPOUR_G_PER_M3,
                body.exhaustPpm() == null ? MediaLife.ASSUMED_EXHAUST_PPM : body.exhaustPpm(),
                body.freshShare(),
                body.hoursPerDay(),
                body.driesBetween());
        return new MediaAnswer(
                life.life(),
                body.capacityLPerKg() == null
                        ? life.endDays()
                        : Estimate.exact(life.life().endDay()));
    }

    /** A wanted change of alkalinity. */
    record AlkalinityRequest(
            @NotNull Double litres,
            @NotNull Double changeDkh,
            @NotNull Double ph,
            @Valid @NotNull AlkalinityAmount alkalinity,
            @NotNull Double temperatureC,
            @NotNull Double salinity) {}

    /**
     * What one source does.
     *
     * @param grams of the dry, pure substance
     * @param limewaterL of saturated limewater; for limewater only
     * @param phAtOnce NBS scale, after mixing
     * @param phSettled once the water's CO2 is again what it was
     */
    record SourceAnswer(
            AlkalinitySource source,
            String label,
            double grams,
            @Nullable Double limewaterL,
            double phAtOnce,
            double phSettled,
            double calciumMgPerL,
            double potassiumMgPerL,
            boolean caustic) {}

    record AlkalinityAnswer(double phNow, List<SourceAnswer> sources, double daysAtOneDkhADay) {}

    @PostMapping("/alkalinity")
    AlkalinityAnswer alkalinity(@Valid @RequestBody AlkalinityRequest body) {
        Seawater water = new Seawater(body.salinity(), body.temperatureC());
        CarbonateSystem system = CarbonateSystem.of(water);
        double change = within("changeDkh", body.changeDkh(), 0.01, 10, "dKH");
        double ph = within("ph", body.ph(), 7, 9, "pH, NBS scale");
        double alkalinity = body.alkalinity().molPerKg(water);
        double phTotal = system.constants().toTotal(ph, PhScale.NBS);
        within(
                "alkalinity.value",
                body.alkalinity().value(),
                body.alkalinity().inOwnUnit(system.smallestAlkalinity(phTotal) * 1.02, water),
                body.alkalinity().inOwnUnit(0.015, water),
                body.alkalinity().symbol());
        CarbonateState before = system.fromPhAndAlkalinity(phTotal, alkalinity);
        List<SourceAnswer> sources = new ArrayList<>();
        for (AlkalinitySource source : AlkalinitySource.values()) {
            AlkalinityDose dose = new AlkalinityDose(source, AlkalinityUnit.DKH.toMeqPerL(change), body.litres());
            sources.add(new SourceAnswer(
                    source,
                    source.label(),
                    dose.grams(),
                    source == AlkalinitySource.LIMEWATER ? dose.limewaterLitres() : null,
                    dose.atOnce(system, before).phNbs(),
                    dose.settled(system, before).phNbs(),
                    dose.calciumMgPerL(),
                    dose.potassiumMgPerL(),
                    source.caustic()));
        }
        return new AlkalinityAnswer(before.phNbs(), sources, DoseLimit.daysFor(change));
    }

    /**
     * Water and the conductance of its paths.
     *
     * @param conductance sum over all paths for CO2, mol/(h·atm)
     */
    record SettlingRequest(
            @NotNull Double litres,
            @NotNull Double conductance,
            @NotNull Double airCo2Ppm,
            @Valid @NotNull AlkalinityAmount alkalinity,
            @NotNull Double temperatureC,
            @NotNull Double salinity) {}

    /** Time constant, and until 95 % of a change has come through. */
    record SettlingAnswer(Estimate timeConstantH, Estimate settledH) {}

    @PostMapping("/settling")
    SettlingAnswer settling(@Valid @RequestBody SettlingRequest body) {
        Seawater water = new Seawater(body.salinity(), body.temperatureC());
        double uatm = Gases.uatmOverWater(
                within("airCo2Ppm", body.airCo2Ppm(), 100, 20_000, "ppm"), Gases.STANDARD_HPA, water);
        Estimate tau = SettlingTime.hours(
                CarbonateSystem.of(water),
                within("alkalinity.value", body.alkalinity().molPerKg(water), 1e-4, 0.02, "mol/kg"),
                uatm,
                body.litres(),
                body.conductance());
        return new SettlingAnswer(tau, SettlingTime.settledH(tau));
    }

    /**
     * A complete tank and what surrounds it.
     *
     * @param start an instant such as 2026-11-12T00:00:00Z
     * @param roomPpm by the hour of an ordinary day: 24 values, or one for all
     * @param living ordinary when null
     * @param measures none when null
     */
    record ForecastCalculator(
            @NotNull @Valid TankDescription tank,
            @NotNull @Size(max = 40) String start,
            @NotNull @Size(max = 60) String zone,
            @NotNull @Min(1) @Max(14) Integer days,
            @NotNull Double temperatureC,
            @NotNull Double salinity,
            @Valid @NotNull AlkalinityAmount alkalinity,
            @NotNull @Size(min = 1, max = 24) List<@NotNull Double> roomPpm,
            @Nullable Double airChangesPerH,
            @Nullable Double roomM3,
            @Nullable Double pressureHpa,
            @Nullable TankParameters living,
            @Nullable @Size(max = 20) List<@NotNull @Valid PutMeasure> measures) {}

    record HourOfForecast(
            Instant at, double phNbs, double co2Uatm, double oxygenMgPerL, double roomPpm, double omegaAragonite) {}

    /** The tank by the hour, settled before the start, and each day's figures. */
    record ForecastAnswer(List<HourOfForecast> hours, List<SettledDay> days) {}

    private static final Duration QUARTER = Duration.ofMinutes(15);

    @Computes
    @PostMapping("/forecast")
    ForecastAnswer forecast(@Valid @RequestBody ForecastCalculator body) {
        Tank tank = TankService.unsaved(body.tank());
        Seawater water = new Seawater(body.salinity(), body.temperatureC());
        double meqPerL = body.alkalinity().molPerKg(water) * 1000 * water.densityKgPerL();
        DailyAir air =
                body.roomPpm().size() == 1 ? DailyAir.constant(body.roomPpm().get(0)) : new DailyAir(body.roomPpm());
        RoomDay room = RoomDay.of(
                air,
                tank.assumptions().outdoorPpm(),
                RoomAir.airChangesPerH(body.airChangesPerH()).value());
        Setup setup = SetupOfTank.of(
                tank,
                water,
                meqPerL,
                body.pressureHpa() == null ? Gases.STANDARD_HPA : body.pressureHpa(),
                room,
                null,
                zone(body.zone()));
        OrdinaryDays forecast =
                new OrdinaryDays(setup, body.living() == null ? TankParameters.ORDINARY : body.living());
        TwinState today = forecast.today(start(body.start()));
        List<TwinState> run = forecast.run(today, measures(body, tank, setup), Duration.ofDays(body.days()));
        int perDay = (int) Duration.ofDays(1).dividedBy(QUARTER);
        List<SettledDay> days = new ArrayList<>();
        for (int day = 1; day <= body.days(); day++) {
            days.add(OrdinaryDays.settled(run.subList(0, day * perDay)));
        }
        return new ForecastAnswer(
                run.stream()
                        .filter(s -> s.at().getEpochSecond() % 3600 == 0)
                        .map(s -> new HourOfForecast(
                                s.at(), s.phNbs(), s.co2Uatm(), s.oxygenMgPerL(), s.roomPpm(), s.omegaAragonite()))
                        .toList(),
                days);
    }

    private static MeasureSet measures(ForecastCalculator body, Tank tank, Setup setup) {
        List<PutMeasure> put = body.measures();
        return put == null
                ? MeasureSet.NONE
                : new SetRequest(put).on(SetupOfTank.surroundings(tank, setup, body.roomM3()));
    }

    private static ZoneId zone(String zone) {
        try {
            return ZoneId.of(zone);
        } catch (DateTimeException unknown) {
            throw Problem.refused(
                    new FieldError("zone", zone, "an IANA time zone such as Europe/Amsterdam", "Unknown time zone."));
        }
    }

    private static Instant start(String start) {
        try {
            return Instant.parse(start);
        } catch (DateTimeParseException unread) {
            throw Problem.refused(new FieldError(
                    "start", start, "an instant such as 2026-11-12T00:00:00Z", "This is not a valid time."));
        }
    }
}
