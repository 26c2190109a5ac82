package jollytide.core.dosingline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Objects;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is weighed out, and what is said at each step. */
class MixingCardTest {
    private static final double GALLON_ML = 3785.41;

    private static MixingCard card(Solution.Solute solute, double molPerL, double ml) {
        return MixingCard.of("can", new Solution(solute, molPerL), ml, ml, 300, "", 1);
    }

    /**
     * Two level teaspoons in a US gallon saturate; in two gallons half (common practice, no source). A third more is put
     * in, so that it shows that it is saturated.
     */
    @Test
    void theLabelSaysWhereItsHoseEnds() {
        Solution lime = new Solution(Solution.Solute.LIMEWATER, 0.02);
        assertThat(MixingCard.of("can", lime, 5000, 5000, 800, "the return chamber", 1)
                        .label())
                .last()
                .isEqualTo("For the tank: 800 mL a day, into the return chamber");
        assertThat(MixingCard.of("can", lime, 5000, 5000, 800, "", 1).label())
                .last()
                .isEqualTo("For the tank: 800 mL a day");
    }

    @Test
    void twoTeaspoonsSaturateAGallon() {
        double half = Objects.requireNonNull(
                card(Solution.Solute.LIMEWATER, 0.0203 / 2, 2 * GALLON_ML).teaspoons());
        assertThat(half).isCloseTo(2, within(0.05));
        double full = Objects.requireNonNull(
                card(Solution.Solute.LIMEWATER, 0.0203, GALLON_ML).teaspoons());
        assertThat(full).isCloseTo(2 * 1.3, within(0.05));
        assertThat(card(Solution.Solute.LIMEWATER, 0.0203, GALLON_ML).steps())
                .anySatisfy(step -> assertThat(step).contains("Dose only the clear part"));
    }

    /** Soda ash at 0.5 mol/L: 53 g in a litre, by its formula. */
    @Test
    void gramsFollowTheFormula() {
        assertThat(card(Solution.Solute.SODA_ASH, 0.5, 1000).grams()).isCloseTo(52.994, within(0.001));
        assertThat(card(Solution.Solute.BICARBONATE, 0.5, 2000).grams()).isCloseTo(84.006, within(0.001));
    }

    /** Washing soda, Na2CO3·10H2O, is 105.988 ÷ 286.14 soda ash: 143 g of it hold what 53 g of soda ash do. */
    @Test
    void lessPurePowderTakesMoreGrams() {
        Solution half = new Solution(Solution.Solute.SODA_ASH, 0.5);
        assertThat(MixingCard.of("can", half, 1000, 1000, 300, "", 105.988 / 286.14)
                        .grams())
                .isCloseTo(143.07, within(0.01));
        assertThatThrownBy(() -> MixingCard.of("can", half, 1000, 1000, 300, "", 0.1))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("assay");
    }

    /** About 11 K for 1 mol/L of lye, as its largest strength is limited for. From memory. */
    @Test
    void lyeHeatsAndIsNeverMeasuredBySpoons() {
        MixingCard lye = card(Solution.Solute.SODIUM_HYDROXIDE, 1, 1000);
        assertThat(lye.warmsByK()).isCloseTo(11, within(0.5));
        assertThat(lye.teaspoons()).isNull();
        assertThat(lye.steps().get(0)).contains("goggles, gloves and a dust mask");
        assertThat(lye.steps()).anySatisfy(step -> assertThat(step).contains("heat-proof vessel"));
        assertThat(lye.label()).contains("CAUSTIC. Wear goggles and gloves. Never mix with acids.");
    }

    @ParameterizedTest
    @EnumSource(Solution.Solute.class)
    void eachSaysWhatToDoForAnEyeAndWhoseItIsNot(Solution.Solute solute) {
        MixingCard card = card(solute, solute.mostMolPerL() / 2, 1000);
        assertThat(card.label()).anySatisfy(line -> assertThat(line).contains("eye", "medical help"));
        assertThat(card.label()).anySatisfy(line -> assertThat(line).contains("children and pets"));
        assertThat(card.label().get(card.label().size() - 1)).contains("300 mL a day");
        assertThat(card.steps()).anySatisfy(step -> assertThat(step).contains("dd powder to water"));
        assertThat(card.grams()).isPositive();
    }

    /** 10 L for a vessel of 4: two fillings and a half, of as much powder as for ten of one litre. */
    @Test
    void aBatchFillsSeveralVessels() {
        Solution soda = new Solution(Solution.Solute.SODA_ASH, 0.5);
        MixingCard batch = MixingCard.of("can", soda, 10_000, 4000, 300, "", 1);
        assertThat(batch.grams()).isCloseTo(10 * 52.994, within(0.01));
        assertThat(batch.steps()).anySatisfy(step -> assertThat(step).contains("2.5 times", "away from children"));
        assertThat(MixingCard.of("can", soda, 4000, 4000, 300, "", 1).steps())
                .noneSatisfy(step -> assertThat(step).contains("dosing vessel"));
    }
}
