package jollytide.core.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import jollytide.core.exchange.Bubbles.Skin;
import jollytide.core.exchange.Conductance;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Surface;
import jollytide.core.reef.Fish;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Ledger;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.TwinTank;
import org.jspecify.annotations.Nullable;

/**
 * Demand for oxygen against what the air can supply, at the hour at which it is worst: before lights-on, on the hottest
 * day, with the skimmer standing still, with every pump off.
 */
public final class Margin {
    /** How much warmer the hottest day makes a tank. From memory. */
    public static final double HOTTEST_K = 4;

    private static final Duration WEEK = Duration.ofDays(7);
    private static final Duration LONGEST_STILL = Duration.ofHours(36);
    private static final Duration STEP = Duration.ofMinutes(10);

    private final Setup setup;
    private final List<Living> tanks;

    /** @param tanks that could be behind the log; each answer is that of the worst of them */
    public Margin(Setup setup, List<Living> tanks) {
        this.setup = setup;
        this.tanks = List.copyOf(tanks);
    }

    /** A strain on the tank. */
    public enum Strain {
        AS_IT_IS(false, false),
        HOTTEST_DAY(true, false),
        SKIMMER_OFF(false, true),
        HOTTEST_DAY_SKIMMER_OFF(true, true);

        private final boolean hot;
        private final boolean skimmerOff;

        Strain(boolean hot, boolean skimmerOff) {
            this.hot = hot;
            this.skimmerOff = skimmerOff;
        }
    }

    /**
     * A settled night under a strain.
     *
     * @param lowestMgPerL and its moment
     * @param demandMgPerLPerH what animals and water breathe then
     * @param supplyMgPerLPerH what the paths bring when the water is down at {@link OxygenLines#CAUTION}
     */
    public record Night(
            Strain strain,
            double temperatureC,
            double lowestMgPerL,
            Instant at,
            double demandMgPerLPerH,
            double supplyMgPerLPerH) {
        /** Supply over demand: above 1 the water stays above the caution line. */
        public double times() {
            return supplyMgPerLPerH / demandMgPerLPerH;
        }
    }

    /**
     * With pumps and lamps off from the lowest hour on.
     *
     * @param hoursToCaution null when it holds for a day and a half
     * @param hoursToDanger likewise
     */
    public record Stillness(
            @Nullable Double hoursToCaution, @Nullable Double hoursToDanger) {}

    /**
     * Something to change first.
     *
     * @param lowestMgPerL with it, under the worst strain
     */
    public record Change(String what, double lowestMgPerL) {}

    /**
     * The answer for a tank.
     *
     * @param stoneNeeded whether the worst night falls below the caution line without a stone
     * @param contradicted whether even ordinary nights are computed where no animals would live
     */
    public record Answer(
            List<Night> nights,
            Stillness still,
            List<Change> changes,
            boolean stoneNeeded,
            Change stone,
            boolean contradicted) {}

    /**
     * From settled states, one for each tank, in their order. A tank whose animals would have suffocated long ago is not
     * the one that the keeper has, so it is left out, unless they all are such.
     */
    public Answer answer(List<TwinState> settled) {
        List<Integer> living = IntStream.range(0, tanks.size())
                .filter(i -> night(tanks.get(i), settled.get(i), Strain.AS_IT_IS, List.of())
                                .lowestMgPerL()
                        >= Fish.UNLIKELY_MG_PER_L)
                .boxed()
                .toList();
        if (living.isEmpty() || living.size() == tanks.size()) {
            return answer(settled, living.isEmpty());
        }
        return new Margin(setup, living.stream().map(tanks::get).toList())
                .answer(living.stream().map(settled::get).toList(), false);
    }

    private Answer answer(List<TwinState> settled, boolean contradicted) {
        List<Night> nights = new ArrayList<>();
        for (Strain strain : Strain.values()) {
            if (setup.skimmer() != null || !strain.skimmerOff) {
                nights.add(worst(settled, strain, List.of()));
            }
        }
        Night worst = nights.stream()
                .min(Comparator.comparingDouble(Night::lowestMgPerL))
                .orElseThrow();
        Remedy.Stone small = new Remedy.Stone(setup.netVolumeL(), 2, 0.4);
        Change stone = new Change("an air stone with one tank volume of air an hour", withStone(settled, worst, small));
        List<Change> changes = new ArrayList<>();
        changes.add(stone);
        changes.add(new Change(
                "a surface that moves half as much again",
                worst(settled, worst.strain(), List.of(new Remedy.Agitation(1.5)))
                        .lowestMgPerL()));
        if (worst.temperatureC() > setup.water().temperatureC()) {
            changes.add(new Change(
                    "a fan or chiller that halves the heat",
                    worst(settled, worst.strain(), List.of(new Remedy.Warmth(HOTTEST_K / 2)))
                            .lowestMgPerL()));
        }
        changes.sort(Comparator.comparingDouble(Change::lowestMgPerL).reversed());
        return new Answer(
                nights, still(settled), changes, worst.lowestMgPerL() < OxygenLines.CAUTION, stone, contradicted);
    }

    /** The stone as safety counts it: with rigid bubbles, as a surface that gives as much oxygen. */
    private double withStone(List<TwinState> settled, Night worst, Remedy.Stone stone) {
        Seawater water = setup.water();
        double rigid = Fitted.bubbles(stone, Skin.RIGID).conductance(Gas.OXYGEN, water);
        double surfaces = setup.parts().stream()
                .mapToDouble(p -> p.path() instanceof Surface ? p.path().conductance(Gas.OXYGEN, water) : 0)
                .sum();
        if (surfaces == 0) {
            return worst(settled, worst.strain(), List.of(stone)).lowestMgPerL();
        }
        double times = Math.min(10, 1 + rigid / surfaces);
        return worst(settled, worst.strain(), List.of(new Remedy.Agitation(times)))
                .lowestMgPerL();
    }

    private Night worst(List<TwinState> settled, Strain strain, List<Remedy> helped) {
        Night worst = null;
        for (int i = 0; i < tanks.size(); i++) {
            Night night = night(tanks.get(i), settled.get(i), strain, helped);
            if (worst == null || night.lowestMgPerL() < worst.lowestMgPerL()) {
                worst = night;
            }
        }
        return Objects.requireNonNull(worst);
    }

    private Night night(Living living, TwinState settled, Strain strain, List<Remedy> helped) {
        Remedies remedies = strained(strain, helped);
        Forecast forecast = new Forecast(setup, living);
        List<TwinState> run = forecast.run(settled, remedies, WEEK);
        TwinState lowest = run.subList(run.size() - 96, run.size()).stream()
                .min(Comparator.comparingDouble(TwinState::oxygenMgPerL))
                .orElseThrow();
        Forecast.Balance balance = forecast.balance(settled, remedies, lowest.at());
        double demand = 0;
        for (Ledger.Entry entry : balance.rates().entries()) {
            demand -= entry.channel().kind().air() ? 0 : Math.min(0, entry.oxygen());
        }
        double perL = Gases.OXYGEN_MG_PER_MOL / setup.netVolumeL();
        return new Night(
                strain,
                lowest.temperatureC(),
                lowest.oxygenMgPerL(),
                lowest.at(),
                demand * perL,
                supply(balance.tank(), lowest.temperatureC()) * perL);
    }

    private static Remedies strained(Strain strain, List<Remedy> helped) {
        List<Remedy> all = new ArrayList<>(helped);
        if (strain.hot && helped.stream().noneMatch(Remedy.Warmth.class::isInstance)) {
            all.add(new Remedy.Warmth(HOTTEST_K));
        }
        if (strain.skimmerOff) {
            all.add(new Remedy.SkimmerDraw(0));
        }
        return new Remedies(all);
    }

    /** What all paths bring into water at {@link OxygenLines#CAUTION}, mol/h. */
    private double supply(TwinTank tank, double celsius) {
        Seawater water = new Seawater(setup.water().salinity(), celsius);
        Conductance sum =
                tank.skimmer() == null ? Conductance.NONE : tank.skimmer().full();
        for (var opening : tank.openings()) {
            sum = sum.plus(opening.conductance());
        }
        double dryAtm = Gases.uatmOverWater(1e6, setup.pressureHpa(), water) * 1e-6;
        double wanted = OxygenLines.CAUTION / Gases.OXYGEN_MG_PER_MOL / Gas.OXYGEN.solubility(water);
        return sum.oxygen() * (Gas.OXYGEN_IN_AIR * dryAtm - wanted);
    }

    /** The shortest times over all tanks. */
    private Stillness still(List<TwinState> settled) {
        Double caution = null;
        Double danger = null;
        for (int i = 0; i < tanks.size(); i++) {
            Forecast forecast = new Forecast(setup, tanks.get(i));
            TwinState lowest = forecast.run(settled.get(i), Remedies.NONE, Duration.ofDays(1)).stream()
                    .min(Comparator.comparingDouble(TwinState::oxygenMgPerL))
                    .orElseThrow();
            List<TwinState> run = forecast.run(
                    lowest, Remedies.of(new Remedy.PowerOff(), new Remedy.SkimmerDraw(0)), LONGEST_STILL, STEP);
            caution = sooner(caution, below(run, lowest.at(), OxygenLines.CAUTION));
            danger = sooner(danger, below(run, lowest.at(), OxygenLines.DANGER));
        }
        return new Stillness(caution, danger);
    }

    private static @Nullable Double sooner(@Nullable Double a, @Nullable Double b) {
        if (a == null || b == null) {
            return a == null ? b : a;
        }
        return Math.min(a, b);
    }

    private static @Nullable Double below(List<TwinState> run, Instant from, double mgPerL) {
        return run.stream()
                .filter(s -> s.oxygenMgPerL() < mgPerL)
                .findFirst()
                .map(s -> Duration.between(from, s.at()).toMinutes() / 60.0)
                .orElse(null);
    }
}
