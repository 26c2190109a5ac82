package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import jollytide.core.air.Enclosure;
import jollytide.core.air.IntakeAir;
import jollytide.core.description.FixedLine;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.dosing.DoseHours;
import jollytide.core.dosing.Inflow;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.outage.OutageAssumptions;
import jollytide.core.reef.CalciumReactor;
import jollytide.core.reef.Life;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import jollytide.core.twin.OpenPath;
import jollytide.core.units.AlkalinityUnit;
import org.jspecify.annotations.Nullable;

/**
 * A tank and its surroundings as they are.
 *
 * @param alkalinityMeqPerL of today
 * @param open what lies open to air
 * @param canopy null when the display is open to the room
 * @param cabinet null when the sump is open to the room
 * @param skimmer null without one
 * @param inCabinet whether the skimmer stands in the cabinet, breathes its air and blows into it
 * @param line through which it breathes outdoor air; null without
 * @param outdoorPpm dry ppm
 * @param life as expected; respiration is corrected by a fit
 * @param source of today's alkalinity: it is dosed as fast as the animals use it, what a reactor brings left out
 * @param reactor null without one; where no use is described, the animals use what it brings
 * @param refugiumLight null without a refugium
 * @param withoutMains what is assumed of it then
 * @param standing what was put on it beyond all that, in measures' own terms
 * @param doseHours in which today's doses are made
 */
public record Setup(
        double netVolumeL,
        Seawater water,
        double alkalinityMeqPerL,
        double pressureHpa,
        List<OpenPath> open,
        @Nullable Enclosure canopy,
        @Nullable Enclosure cabinet,
        @Nullable Skimmer skimmer,
        boolean inCabinet,
        @Nullable FixedLine line,
        double outdoorPpm,
        RoomDay room,
        LightClock light,
        Life life,
        AlkalinitySource source,
        @Nullable CalciumReactor reactor,
        @Nullable LightClock refugiumLight,
        ZoneId zone,
        OutageAssumptions withoutMains,
        MeasureSet standing,
        DoseHours doseHours) {

    public Setup {
        within("netVolumeL", netVolumeL, 1, 100_000, "L");
        within("alkalinityMeqPerL", alkalinityMeqPerL, 0.3, 15, "meq/L");
        within("outdoorPpm", outdoorPpm, 250, 5000, "ppm");
        open = List.copyOf(open);
    }

    /** With nothing standing on it, dosed evenly. */
    public Setup(
            double netVolumeL,
            Seawater water,
            double alkalinityMeqPerL,
            double pressureHpa,
            List<OpenPath> open,
            @Nullable Enclosure canopy,
            @Nullable Enclosure cabinet,
            @Nullable Skimmer skimmer,
            boolean inCabinet,
            @Nullable FixedLine line,
            double outdoorPpm,
            RoomDay room,
            LightClock light,
            Life life,
            AlkalinitySource source,
            @Nullable CalciumReactor reactor,
            @Nullable LightClock refugiumLight,
            ZoneId zone,
            OutageAssumptions withoutMains) {
        this(
                netVolumeL,
                water,
                alkalinityMeqPerL,
                pressureHpa,
                open,
                canopy,
                cabinet,
                skimmer,
                inCabinet,
                line,
                outdoorPpm,
                room,
                light,
                life,
                source,
                reactor,
                refugiumLight,
                zone,
                withoutMains,
                MeasureSet.NONE,
                DoseHours.EVENLY);
    }

    /** The same tank with other measures standing on it. */
    public Setup with(MeasureSet stands) {
        return with(life, source, stands, doseHours);
    }

    /** The same tank with other animals. */
    public Setup with(Life lives) {
        return with(lives, source, standing, doseHours);
    }

    /** The same tank with animals that use so much, meq/(L·day), as it is dosed from such a source in such hours. */
    public Setup dosed(double useMeqPerLPerDay, AlkalinitySource from, DoseHours hours) {
        return with(life.withUse(Math.min(Life.MOST_USE_MEQ_PER_L_PER_DAY, useMeqPerLPerDay)), from, standing, hours);
    }

    private Setup with(Life lives, AlkalinitySource from, MeasureSet stands, DoseHours hours) {
        return new Setup(
                netVolumeL,
                water,
                alkalinityMeqPerL,
                pressureHpa,
                open,
                canopy,
                cabinet,
                skimmer,
                inCabinet,
                line,
                outdoorPpm,
                room,
                light,
                lives,
                from,
                reactor,
                refugiumLight,
                zone,
                withoutMains,
                stands,
                hours);
    }

    /** Surfaces and a skimmer in one room; nothing else. */
    public static Setup plain(
            double netVolumeL,
            Seawater water,
            double alkalinityMeqPerL,
            double pressureHpa,
            List<Surface> surfaces,
            @Nullable Skimmer skimmer,
            double outdoorPpm,
            RoomDay room,
            LightClock light,
            ZoneId zone) {
        List<OpenPath> open = new ArrayList<>();
        surfaces.forEach(s -> open.add(OpenPath.surface("surface " + (open.size() + 1), Air.ROOM, s)));
        return new Setup(
                netVolumeL,
                water,
                alkalinityMeqPerL,
                pressureHpa,
                open,
                null,
                null,
                skimmer,
                false,
                null,
                outdoorPpm,
                room,
                light,
                Life.reef(
                        TankParameters.ORDINARY.respirationMmolPerLPerH(),
                        TankParameters.ORDINARY.photosynthesisMmolPerLPerH()),
                AlkalinitySource.SODA_ASH,
                null,
                null,
                zone,
                OutageAssumptions.DEFAULT);
    }

    /** As a log corrects it: what tests, meters and descriptions said is off by so much. */
    public Setup corrected(TankParameters tank) {
        if (tank.alkalinityOffMeqPerL() == 0
                && !tank.correctsRoom()
                && tank.airChangesFactor() == 1
                && tank.lampsLateH() == 0
                && tank.useFactor() == 1) {
            return this;
        }
        return new Setup(
                netVolumeL,
                water,
                alkalinityMeqPerL + tank.alkalinityOffMeqPerL(),
                pressureHpa,
                open,
                canopy,
                cabinet,
                skimmer,
                inCabinet,
                line,
                outdoorPpm,
                RoomDay.of(
                        room.ppm().corrected(tank, outdoorPpm),
                        outdoorPpm,
                        room.airChangesPerH() * tank.airChangesFactor()),
                light.later(Math.round(tank.lampsLateH() * 60)),
                life.withUse(Math.min(
                        Life.MOST_USE_MEQ_PER_L_PER_DAY, life.calcificationMeqPerLPerDay() * tank.useFactor())),
                source,
                reactor,
                refugiumLight,
                zone,
                withoutMains,
                standing,
                doseHours);
    }

    /** What the reactor's intake water holds differs little between an ordinary day and night. */
    private static final double ORDINARY_UATM = 600;

    /** What the reactor adds as it is described; nothing without one. */
    public Inflow reactorAsDescribed(UnaryOperator<CalciumReactor> care) {
        if (reactor == null) {
            return Inflow.NONE;
        }
        CarbonateSystem system = CarbonateSystem.of(water);
        CarbonateState tank =
                system.fromAlkalinityAndCo2(alkalinityMeqPerL / 1000 / water.densityKgPerL(), ORDINARY_UATM);
        return care.apply(reactor).perDay(system, tank, netVolumeL);
    }

    /**
     * Alkalinity that the animals use, meq/(L·day): as described, else what the reactor brings, else 0 for not known.
     */
    public double useMeqPerLPerDay() {
        double described = life.calcificationMeqPerLPerDay();
        double use = described > 0
                ? described
                : Math.max(0, reactorAsDescribed(r -> r).alkalinityMeq());
        return Math.min(Life.MOST_USE_MEQ_PER_L_PER_DAY, use);
    }

    /** What the skimmer is expected to breathe from outdoors; empty where no hose is on it. */
    public Optional<IntakeAir.Share> intake() {
        if (skimmer == null) {
            return Optional.empty();
        }
        Optional<IntakeAir.Share> putOn = standing.all().stream()
                .filter(OutdoorLine.class::isInstance)
                .map(hose -> ((OutdoorLine) hose).hose(true).expected(skimmer))
                .findFirst();
        return putOn.isPresent() ? putOn : Optional.ofNullable(line).map(FixedLine::fromOutdoors);
    }

    /** What of the description cannot be true together; null when nothing. */
    public @Nullable String contradiction() {
        double described = life.calcificationMeqPerLPerDay();
        double brought = reactorAsDescribed(r -> r).alkalinityMeq();
        if (described > 0 && brought > described * 1.05) {
            return String.format(
                    Locale.ROOT,
                    "As described, the reactor adds %.2f dKH a day and the animals use %.2f. Alkalinity would "
                            + "rise, so we assume the reactor adds what is used. Measure the effluent again.",
                    AlkalinityUnit.DKH.fromMeqPerL(brought),
                    AlkalinityUnit.DKH.fromMeqPerL(described));
        }
        if (brought < 0) {
            return "As described, the reactor’s effluent has less alkalinity than the tank. Measure the "
                    + "effluent again.";
        }
        return null;
    }
}
