package jollytide.core.outage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import jollytide.core.exchange.SurfaceClass;
import org.jspecify.annotations.Nullable;

/**
 * The ladder of backups, from the cheapest up; common practice. Sizes and prices are round figures from memory, cells and
 * batteries a year old.
 */
public enum Tier {
    CELLS("a battery air pump on D cells, with two sets", 25, true),
    SWITCHING("an air pump that switches itself to its own battery", 60, true),
    UPS("a computer's UPS for one air pump", 110, true),
    BATTERY("a lithium battery of 500 Wh with inverter on one central air pump", 420, false),
    GENERATOR("a generator outdoors with 20 L of fuel, on one central air pump", 600, false),
    WHOLE_TANK("a generator outdoors with 20 L of fuel, on the tanks’ own pumps, skimmer off", 900, false);

    private static final double DEPTH_M = 0.4;
    private static final double BUBBLE_MM = 2;
    private static final double LEAST_CENTRAL_W = 12;
    /** A central pump of one tank volume an hour. */
    private static final double CENTRAL_W_PER_L = 0.02;
    /** Return and flow pumps, without skimmer, heater and lamps; their surface rolls. From memory. */
    private static final double PUMPS_W_PER_L = 0.4;

    private static final double LEAST_SURFACE_M2 = 0.01;

    private final String what;
    private final double euros;
    private final boolean oneForEachTank;

    Tier(String what, double euros, boolean oneForEachTank) {
        this.what = what;
        this.euros = euros;
        this.oneForEachTank = oneForEachTank;
    }

    public String what() {
        return what;
    }

    /** Who could be hurt by it, and how not; null where the general cautions say it all. */
    public @Nullable String caution() {
        return this == GENERATOR || this == WHOLE_TANK ? Plan.GENERATOR : null;
    }

    /** For one tank, or for all where one pump serves them. */
    public double euros() {
        return euros;
    }

    /** What a home of so many tanks pays. */
    public double euros(int tanks) {
        return oneForEachTank ? euros * tanks : euros;
    }

    /**
     * What it gives one tank, alone or as its share of a central pump.
     *
     * @param allLitres of the tanks that a central pump serves
     */
    public Backup at(TankAtFailure tank, double allLitres) {
        double litres = tank.litres();
        double centralW = Math.max(LEAST_CENTRAL_W, CENTRAL_W_PER_L * allLitres);
        double middling = Math.max(60, Math.min(400, litres / 3));
        return switch (this) {
            case CELLS -> new Backup(what, stone(60), 0.5, new Energy.DryCells(Energy.CellSize.D, 4, 1));
            case SWITCHING -> new Backup(what, stone(middling), 4, new Energy.Battery(40, false, 0, 1, null, 1));
            case UPS -> new Backup(what, stone(middling), 4, new Energy.Ups(100, 23, 1));
            case BATTERY ->
                new Backup(
                        what, stone(Math.max(60, litres)), centralW, new Energy.Battery(500, false, 8, 0.85, null, 1));
            case GENERATOR -> new Backup(what, stone(Math.max(60, litres)), centralW, new Energy.Generator(20, 0.4));
            case WHOLE_TANK ->
                new Backup(
                        what,
                        new Backup.OwnPumps(Math.max(LEAST_SURFACE_M2, tank.surfaceM2()), SurfaceClass.ROLLING, 0),
                        PUMPS_W_PER_L * allLitres,
                        new Energy.Generator(20, 0.4));
        };
    }

    private static Backup.Stone stone(double airLPerH) {
        return new Backup.Stone(Math.min(20_000, airLPerH), BUBBLE_MM, DEPTH_M);
    }

    /**
     * How long a step of the ladder holds every tank out of danger, on the early side.
     *
     * @param hours many when no danger comes in sight
     * @param euros for the home
     */
    public record Holding(Tier tier, double hours, double euros) {}

    /** Each step by itself, for these tanks together, looked at for so many hours. */
    public static List<Holding> ladder(List<TankAtFailure> tanks, double hours) {
        List<Holding> ladder = new ArrayList<>();
        double allLitres = tanks.stream().mapToDouble(TankAtFailure::litres).sum();
        for (Tier tier : values()) {
            double least = tanks.stream()
                    .mapToDouble(tank -> KitPlan.best(tank, List.of(tier.at(tank, allLitres)), hours)
                            .earlyDangerH())
                    .min()
                    .orElse(hours);
            ladder.add(new Holding(tier, Math.min(hours, least), tier.euros(tanks.size())));
        }
        return ladder;
    }

    /** The cheapest that holds for so long; none when nothing of the ladder does. */
    public static Optional<Holding> cheapest(List<Holding> ladder, double hours) {
        return ladder.stream()
                .filter(step -> step.hours() >= hours)
                .min((a, b) -> Double.compare(a.euros(), b.euros()));
    }
}
