package jollytide.server.outage;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import jollytide.core.air.AirPump;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.outage.Backup;
import jollytide.core.outage.Energy;
import jollytide.core.outage.Rating;
import jollytide.core.units.InputException;
import jollytide.core.units.Quantities;
import org.jspecify.annotations.Nullable;

/**
 * Something that aerates or moves water without the mains, in its keeper's words and numbers. Which numbers are needed
 * hangs on {@code gives} and {@code energy}.
 *
 * @param tankId for which tank it is kept; null for any, or for those of {@code over}
 * @param over the tanks that it serves at once, a central pump; null or empty otherwise
 * @param place where it lies
 * @param who can use it
 * @param expires such as the date on cells
 * @param airLPerH through a stone; where the tank's own pumps go on what its skimmer draws, off when null
 * @param motion of the surface while the tank's own pumps go on; calm when null
 * @param loadW its power; from what it moves when null
 * @param makerHours that its maker says it runs, for things whose power is not known; counted on in part
 * @param directCurrent whether it runs on the battery itself; else an inverter counts, assumed where not known
 * @param startsItself whether it goes on by itself when the mains fail; a plugged-in UPS does when null, others do not
 * @param canSwitchOff whether that can be switched off to keep it for later; it cannot when null
 * @param usableShare of a battery's label that may be taken; assumed by its kind when null
 * @param testedHours that it ran at the real load when it was tried; overrides every sum
 * @param testedOn when that was; not in the future
 * @param ratedW that a generator or inverter gives for hours; must be known to carry a whole tank
 * @param surgeW that it gives for a moment; no more than for hours when null
 * @param motorW of the largest pump on it; all of its load when null
 * @param yearsOld of what drives it; when null cells go by their date, anything else is taken for aged
 */
public record KitDescription(
        @NotBlank @Size(max = 80) String name,
        @Nullable UUID tankId,
        @Nullable @Size(max = 200) List<@NotNull UUID> over,
        @NotNull @Size(max = 120) String place,
        @NotNull @Size(max = 120) String who,
        @Nullable LocalDate expires,
        @NotNull Gives gives,
        @Nullable Double airLPerH,
        @Nullable Double bubbleMm,
        @Nullable Double depthM,
        @Nullable Double movedM2,
        @Nullable SurfaceClass motion,
        @Nullable Double loadW,
        @Nullable Double makerHours,
        @Nullable Boolean directCurrent,
        @Nullable Boolean startsItself,
        @Nullable Boolean canSwitchOff,
        @NotNull Source energy,
        Energy.@Nullable CellSize cellSize,
        @Nullable Integer cells,
        @Nullable Double upsW,
        @Nullable Double upsMinutes,
        @Nullable Double wattHours,
        @Nullable Double idleW,
        @Nullable Double inverterEfficiency,
        @Nullable Double usableShare,
        @Nullable Double fuelL,
        @Nullable Double idleLPerH,
        @Nullable Double ratedW,
        @Nullable Double surgeW,
        @Nullable Double motorW,
        @Nullable Double yearsOld,
        @Nullable Double testedHours,
        @Nullable LocalDate testedOn) {

    /** What it does for the water. */
    public enum Gives {
        AIR,
        CIRCULATION,
        /** The tank's own pumps go on. */
        WHOLE_TANK
    }

    /** What drives it. */
    public enum Source {
        DRY_CELLS,
        UPS,
        LEAD_BATTERY,
        LITHIUM_BATTERY,
        GENERATOR
    }

    /** Bubbles and depth of an ordinary stone, where nothing is said. */
    private static final double BUBBLE_MM = 2;

    private static final double DEPTH_M = 0.4;
    private static final double IDLE_L_PER_H = 0.4;

    /** Hours on the mains from empty to full, by what drives it; cells and fuel come back by nobody's doing. From memory. */
    @Nullable
    Double rechargeH() {
        return switch (energy) {
            case DRY_CELLS, GENERATOR -> null;
            case UPS -> UPS_RECHARGE_H;
            case LEAD_BATTERY -> LEAD_RECHARGE_H;
            case LITHIUM_BATTERY -> LITHIUM_RECHARGE_H;
        };
    }

    private static final double UPS_RECHARGE_H = 8;
    private static final double LEAD_RECHARGE_H = 12;
    private static final double LITHIUM_RECHARGE_H = 6;

    /** Whether it may go to whichever tank needs it. */
    boolean forAny() {
        return tankId == null && (over == null || over.isEmpty());
    }

    /** A tank that it is kept for, alone or with others; null when it may go to any. */
    @Nullable
    UUID firstTank() {
        return tankId != null ? tankId : over == null || over.isEmpty() ? null : over.get(0);
    }

    /** Whether it is kept for a tank, alone or with others. */
    boolean keptFor(UUID id) {
        return id.equals(tankId) || (over != null && over.contains(id));
    }

    /**
     * As the core takes it; makes sure that nothing impossible is stored.
     *
     * @param share of what it gives
     * @param today from which ages count
     */
    Backup toCore(double share, LocalDate today) {
        Energy driven = testedHours == null ? energyToCore(today) : tested(today);
        return new Backup(name, way(share), watts(), driven, start());
    }

    /** Of the power that small air pumps take, so much reaches the air; motors for cells waste less. From memory. */
    private static final double PUMP_EFFICIENCY = 0.15;

    private static final double CELL_PUMP_EFFICIENCY = 0.25;
    /** Of a pump that ripples a square metre, W; and of the least of them. From memory. */
    private static final double CIRCULATION_W_PER_M2 = 15;

    private static final double LEAST_CIRCULATION_W = 8;
    private static final double LEAST_AIR_W = 0.5;

    /** As entered, else from what it moves: air pressed to its depth through stone and valve, or a surface rippled. */
    double watts() {
        if (loadW != null && loadW > 0) {
            return loadW;
        }
        if (gives == Gives.WHOLE_TANK) {
            return needed("loadW", loadW);
        }
        if (gives == Gives.CIRCULATION) {
            return Math.max(LEAST_CIRCULATION_W, CIRCULATION_W_PER_M2 * or(movedM2, 0));
        }
        double efficiency = energy == Source.DRY_CELLS ? CELL_PUMP_EFFICIENCY : PUMP_EFFICIENCY;
        double ideal = AirPump.idealOnStoneW(or(airLPerH, 0), or(depthM, DEPTH_M));
        return Math.max(LEAST_AIR_W, Math.round(10 * ideal / efficiency) / 10.0);
    }

    private Backup.Start start() {
        if (!startsByItself()) {
            return Backup.Start.BY_HAND;
        }
        return Boolean.TRUE.equals(canSwitchOff) ? Backup.Start.BY_ITSELF : Backup.Start.BY_ITSELF_TO_THE_END;
    }

    boolean startsByItself() {
        return startsItself == null ? energy == Source.UPS : startsItself;
    }

    /** Makes sure that nothing impossible is taken in. What was stored before such checks still loads. */
    void check(LocalDate today) {
        // A keeper's day may have begun before the server's has.
        if (testedOn != null && testedOn.isAfter(today.plusDays(1))) {
            throw new InputException(
                    "testedOn", testedOn.toEpochDay(), "today or earlier", "The test is in the future.");
        }
        if (loadW != null) {
            Quantities.within("loadW", loadW, 0.1, 5000, "W");
        }
        Energy sum = energyToCore(today);
        toCore(1, today);
        if (sum instanceof Energy.Ups ups && ups.overloaded(watts())) {
            throw new InputException(
                    "loadW",
                    watts(),
                    "at most its rated load, " + upsW + " W",
                    "Overloaded: it would switch off at once.");
        }
        if (gives == Gives.WHOLE_TANK && energy == Source.DRY_CELLS) {
            throw new InputException("energy", 0, "a generator, a battery or a UPS", "Dry cells can’t power pumps.");
        }
        // What was tried at the real load carries it.
        if (testedHours == null && energy != Source.DRY_CELLS && (ratedW != null || gives == Gives.WHOLE_TANK)) {
            double most = energy == Source.UPS ? needed("upsW", upsW) : needed("ratedW", ratedW);
            new Rating(most, surgeW).carries(watts(), motorW);
        }
    }

    private Energy tested(LocalDate today) {
        double years = testedOn == null ? 0 : Math.max(0, yearsBetween(testedOn, today));
        return new Energy.Tested(needed("testedHours", testedHours), Math.min(100, years));
    }

    private static double yearsBetween(LocalDate from, LocalDate to) {
        return ChronoUnit.DAYS.between(from, to) / 365.25;
    }

    /** As entered, else by the date on cells, else aged. */
    private double years(LocalDate today) {
        if (yearsOld != null) {
            return yearsOld;
        }
        return switch (energy) {
            case DRY_CELLS ->
                expires == null
                        ? Energy.DryCells.YEARS_ASSUMED
                        : Math.max(0, Math.min(20, Energy.DryCells.YEARS_TO_DATE + yearsBetween(expires, today)));
            case UPS -> Energy.Ups.YEARS_ASSUMED;
            case LEAD_BATTERY -> Energy.Battery.LEAD_YEARS_ASSUMED;
            case LITHIUM_BATTERY -> Energy.Battery.LITHIUM_YEARS_ASSUMED;
            case GENERATOR -> 0;
        };
    }

    private Backup.Way way(double share) {
        return switch (gives) {
            case AIR ->
                new Backup.Stone(share * needed("airLPerH", airLPerH), or(bubbleMm, BUBBLE_MM), or(depthM, DEPTH_M));
            case CIRCULATION -> new Backup.Circulation(share * needed("movedM2", movedM2));
            case WHOLE_TANK ->
                new Backup.OwnPumps(
                        share * needed("movedM2", movedM2),
                        motion == null ? SurfaceClass.RIPPLED : motion,
                        share * or(airLPerH, 0));
        };
    }

    /** What drives it, by the sum. */
    Energy energyToCore(LocalDate today) {
        double years = years(today);
        if (makerHours != null) {
            return new Energy.Claimed(makerHours);
        }
        boolean straight = Boolean.TRUE.equals(directCurrent);
        return switch (energy) {
            case DRY_CELLS ->
                new Energy.DryCells(cellSize == null ? Energy.CellSize.D : cellSize, cells == null ? 0 : cells, years);
            case UPS -> new Energy.Ups(needed("upsW", upsW), needed("upsMinutes", upsMinutes), years);
            case LEAD_BATTERY, LITHIUM_BATTERY ->
                new Energy.Battery(
                        needed("wattHours", wattHours),
                        energy == Source.LEAD_BATTERY,
                        straight ? 0 : or(idleW, Energy.Battery.ASSUMED_IDLE_W),
                        straight ? 1 : or(inverterEfficiency, Energy.Battery.ASSUMED_EFFICIENCY),
                        null,
                        years,
                        or(usableShare, Energy.Battery.assumedUsable(energy == Source.LEAD_BATTERY)));
            case GENERATOR -> new Energy.Generator(needed("fuelL", fuelL), or(idleLPerH, IDLE_L_PER_H));
        };
    }

    private static double needed(String field, @Nullable Double value) {
        if (value == null) {
            throw new InputException(field, Double.NaN, "a number", field + " is missing.");
        }
        return value;
    }

    private static double or(@Nullable Double value, double otherwise) {
        return value == null ? otherwise : value;
    }
}
