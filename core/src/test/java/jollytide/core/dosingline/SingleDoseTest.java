package jollytide.core.dosingline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.dosingline.SingleDose.Addition;
import jollytide.core.dosingline.SingleDose.WaterChange;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

/** What is put in by hand moves tests by what its formula holds, and no use is made of that. */
class SingleDoseTest {
    private static final Instant START = Instant.parse("2026-09-01T12:00:00Z");

    private static Instant day(double days) {
        return START.plus(Duration.ofMinutes(Math.round(1440 * days)));
    }

    /** By IUPAC atomic weights: 1 g of CaCl2·2H2O in 1 L brings 40.078 ÷ 147.014 g of calcium. */
    @Test
    void anAdditionBringsWhatItsFormulaHolds() {
        Addition calcium = Addition.ofPowder(START, Solution.Solute.CALCIUM_CHLORIDE, 100, 1, 400);
        assertThat(calcium.calciumMgPerL()).isCloseTo(100_000 * 40.078 / 147.014 / 400, within(0.01));
        assertThat(calcium.moves(Quantity.ALKALINITY, 3)).isZero();
        Addition soda = Addition.ofPowder(START, Solution.Solute.BICARBONATE, 84.006, 0.5, 500);
        assertThat(soda.meqPerL()).isCloseTo(1, within(1e-4));
        Addition solution = Addition.ofSolution(START, new Solution(Solution.Solute.SODA_ASH, 0.5), 100, 100);
        assertThat(solution.moves(Quantity.ALKALINITY, 3)).isCloseTo(1, within(1e-9));
        assertThat(solution.moves(Quantity.CO2, 3)).isZero();
    }

    @Test
    void whatWouldKillOrDoesNothingIsRefused() {
        assertThatThrownBy(() -> Addition.ofPowder(START, Solution.Solute.SODA_ASH, 500, 1, 400)
                        .bearable())
                .isInstanceOf(InputException.class)
                .hasMessageContaining("106 g of pure powder");
        assertThatThrownBy(() -> Addition.ofPowder(START, Solution.Solute.POTASSIUM_CHLORIDE, 10, 1, 400)
                        .bearable())
                .isInstanceOf(InputException.class)
                .hasMessageContaining("no alkalinity");
        assertThatThrownBy(() -> Addition.ofPowder(START, Solution.Solute.SODA_ASH, -1, 1, 400))
                .isInstanceOf(InputException.class);
    }

    /** By hand at most 50 mg/L of calcium and 20 of potassium a day; what was put in already is still kept. */
    @Test
    void tooMuchCalciumOrPotassiumIsNotPlanned() {
        // 400 L: 50 mg/L are 20 g of calcium, 73.4 g of its chloride with two waters.
        Addition calcium = Addition.ofPowder(START, Solution.Solute.CALCIUM_CHLORIDE, 80, 1, 400);
        assertThatThrownBy(calcium::planned)
                .isInstanceOf(InputException.class)
                .hasMessageContaining("calcium")
                .hasMessageContaining("73 g");
        assertThat(calcium.bearable()).isEqualTo(calcium);
        Addition less = Addition.ofPowder(START, Solution.Solute.CALCIUM_CHLORIDE, 73, 1, 400);
        assertThat(less.planned()).isEqualTo(less);
        // 20 mg/L of potassium are 0.51 meq/L, 11.5 g of its hydroxide.
        Addition lye = Addition.ofPowder(START, Solution.Solute.POTASSIUM_HYDROXIDE, 12, 1, 400);
        assertThatThrownBy(lye::planned).hasMessageContaining("potassium").hasMessageContaining("11 g");
    }

    /** 400 L: 100 mg/L of magnesium are 40 g, 405.6 g of its sulfate with seven waters, 334.6 of its chloride with six. */
    @Test
    void tooMuchMagnesiumIsNotPlanned() {
        Addition sulfate = Addition.ofPowder(START, Solution.Solute.MAGNESIUM_SULFATE, 420, 1, 400);
        assertThatThrownBy(sulfate::planned).hasMessageContaining("magnesium").hasMessageContaining("405 g");
        Addition chloride = Addition.ofPowder(START, Solution.Solute.MAGNESIUM_CHLORIDE, 334, 1, 400);
        assertThat(chloride.planned()).isEqualTo(chloride);
        assertThat(chloride.moves(Quantity.MAGNESIUM, 1250)).isCloseTo(99.8, within(0.1));
        assertThat(new WaterChange(START, 0.25, new NewWater(3, 420)).moves(Quantity.MAGNESIUM, 1490))
                .isCloseTo(-50, within(1e-9));
    }

    /** A tenth of the water at 7 dKH for as much at 9 moves it by 0.2. */
    @Test
    void newWaterMovesByItsShare() {
        double seven = AlkalinityUnit.DKH.toMeqPerL(7);
        double nine = AlkalinityUnit.DKH.toMeqPerL(9);
        WaterChange change = new WaterChange(START, 0.1, new NewWater(seven, 420));
        assertThat(AlkalinityUnit.DKH.fromMeqPerL(change.moves(Quantity.ALKALINITY, nine)))
                .isCloseTo(-0.2, within(1e-9));
        assertThat(change.moves(Quantity.CALCIUM, 380)).isCloseTo(4, within(1e-9));
        assertThat(change.because(nine)).isEmpty();
        WaterChange most = new WaterChange(START, 0.8, new NewWater(seven, 420));
        assertThat(most.mostShare(nine)).isCloseTo(0.5, within(1e-9));
        assertThat(most.because(nine))
                .singleElement()
                .satisfies(b -> assertThat(b).contains("at most 50 %"));
    }

    /** Reference seawater: about 2.36 meq/L and 421 mg/L (2.30 mmol/kg, 0.01028 mol/kg, 1.0233 kg/L). */
    @Test
    void seaWaterIsAsTheSeaHoldsIt() {
        NewWater sea = NewWater.likeTheSea(new Seawater(35, 25));
        assertThat(sea.meqPerL()).isCloseTo(2.30 * 1.0233, within(0.002));
        assertThat(sea.calciumMgPerL()).isCloseTo(421.7, within(1.0));
    }

    private static final Use.Arrivals NOTHING = (from, until) -> Estimate.exact(0);

    /** 0.05 meq/L a day are used; 0.5 were put in on the tenth day, and a fifth of the water was changed on the 17th. */
    @Test
    void useIsReadWithoutWhatWasPutIn() {
        WaterChange change = new WaterChange(day(17.5), 0.2, new NewWater(2.4, 420));
        Addition addition = new Addition(day(10.5), Solution.Solute.SODA_ASH, 0.1, 400);
        List<Reading> tests = Stream.iterate(new double[] {0, 3.2}, at -> {
                    double next = at[1] - 7 * 0.05;
                    next += at[0] == 7 ? addition.meqPerL() : 0;
                    next += at[0] == 14 ? change.moves(Quantity.ALKALINITY, at[1]) : 0;
                    return new double[] {at[0] + 7, next};
                })
                .limit(5)
                .map(at -> new Reading(day(at[0]), at[1]))
                .toList();
        assertThat(addition.meqPerL()).isCloseTo(0.5, within(1e-9));
        List<Reading> level = SingleDose.without(tests, List.of(change, addition), Quantity.ALKALINITY);
        Use use = Objects.requireNonNull(Use.of(level, NOTHING, Use.ALKALINITY_TEST));
        assertThat(use.perDay().value()).isCloseTo(0.05, within(1e-9));
        Use fooled = Objects.requireNonNull(Use.of(tests, NOTHING, Use.ALKALINITY_TEST));
        assertThat(fooled.perDay().value()).isLessThan(0.04);
    }

    /** What was put in before the first test or after the last moves none of them. */
    @Test
    void onlyWhatLiesBetweenTestsCounts() {
        List<Reading> tests =
                IntStream.range(0, 4).mapToObj(i -> new Reading(day(7 * i), 3)).toList();
        List<Addition> outside = Stream.of(-1.0, 22.0)
                .map(d -> new Addition(day(d), Solution.Solute.SODA_ASH, 0.1, 400))
                .toList();
        assertThat(SingleDose.without(tests, outside, Quantity.ALKALINITY)).isEqualTo(tests);
    }

    /** Every third day 4 L: 1.33 a day; what was put in at first was for days that nobody counted. */
    @Test
    void freshWaterIsWhatEvaporated() {
        List<SingleDose> topOffs = IntStream.rangeClosed(0, 4)
                .<SingleDose>mapToObj(i -> new SingleDose.TopOff(day(3 * i), i == 0 ? 20 : 4))
                .toList();
        Evaporated evaporated = Objects.requireNonNull(Evaporated.of(topOffs, List.of(), day(13)));
        assertThat(evaporated.litresPerDay()).isCloseTo(4 / 3.0, within(1e-9));
        assertThat(evaporated.times()).isEqualTo(5);
        assertThat(Evaporated.of(topOffs.subList(0, 2), List.of(), day(13))).isNull();
        assertThat(Evaporated.of(topOffs, List.of(), day(60)))
                .as("too long ago")
                .isNull();
        List<SingleDose> hourly = IntStream.range(0, 4)
                .<SingleDose>mapToObj(i -> new SingleDose.TopOff(day(i / 24.0), 1))
                .toList();
        assertThat(Evaporated.of(hourly, List.of(), day(1))).isNull();
        assertThat(topOffs.get(0).moves(Quantity.ALKALINITY, 3)).isZero();
    }
}
