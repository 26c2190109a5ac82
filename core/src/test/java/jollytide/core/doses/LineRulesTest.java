package jollytide.core.doses;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

/** What stops a line. 420 L at pH 8.2 and 8.5 dKH, as in the worked cases of the trade (common practice, no source). */
class LineRulesTest {
    private static final double LITRES = 420;
    private static final Solution SATURATED = new Solution(Solution.Solute.LIMEWATER, 0.0203);
    private static final LineRules RULES = rules(2.5, 0);

    private static LineRules rules(double evaporationLPerDay, double usePerDay) {
        return rules(evaporationLPerDay, usePerDay, LineRules.Beside.NOTHING);
    }

    private static LineRules rules(double evaporationLPerDay, double usePerDay, LineRules.Beside others) {
        CarbonateSystem system = CarbonateSystem.of(new Seawater(35, 25));
        double alkalinity =
                AlkalinityUnit.DKH.toMeqPerL(8.5) / 1000 / system.water().densityKgPerL();
        CarbonateState water = system.fromPhAndAlkalinity(system.constants().toTotal(8.2, PhScale.NBS), alkalinity);
        return new LineRules(LITRES, system, water, evaporationLPerDay, usePerDay, others);
    }

    private static List<Stop.Rule> rulesOf(List<Stop> stops) {
        return stops.stream().map(Stop::rule).toList();
    }

    /** 60 mL of half strength is 1.2 meq a day; into 110 L +0.03 dKH. */
    @Test
    void halfStrengthLimewaterBringsLittle() {
        Solution half = new Solution(Solution.Solute.LIMEWATER, 0.0203 / 2);
        assertThat(60 * half.meqPerMl()).isCloseTo(1.2, within(0.02));
        assertThat(AlkalinityUnit.DKH.fromMeqPerL(60 * half.meqPerMl() / 110)).isCloseTo(0.03, within(0.002));
        assertThat(60 * half.calciumMgPerMl()).isCloseTo(60 * 0.0203 / 2 * 40.078, within(1e-9));
    }

    @Test
    void anOrdinaryLineMayBe() {
        assertThat(RULES.stops(SATURATED, 5000, 800)).isEmpty();
    }

    @Test
    void limewaterOverEvaporationIsStopped() {
        List<Stop> stops = rules(0.5, 0).stops(SATURATED, 5000, 800);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.EVAPORATION);
        assertThat(stops.get(0).mostMlPerDay()).isCloseTo(500, within(1e-9));
        assertThat(stops.get(0).because()).contains("500 mL");
        assertThat(rules(0.5, 0).stops(new Solution(Solution.Solute.SODA_ASH, 0.5), 200, 100))
                .isEmpty();
    }

    /** 1 dKH is 0.357 meq/L: 150 meq a day into 420 L, and as much more as is used. */
    @Test
    void moreThanADegreeBeyondUseIsStopped() {
        Solution soda = new Solution(Solution.Solute.SODA_ASH, 1);
        List<Stop> stops = RULES.stops(soda, 100, 80);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.CLIMB);
        assertThat(stops.get(0).mostMlPerDay()).isCloseTo(LITRES * 20 / 56.0774 / 2, within(0.01));
        assertThat(rules(2.5, 0.1).stops(soda, 100, 80)).isEmpty();
    }

    /** Two limewater lines share one evaporation, two sources one climb; what one has taken the other has not. */
    @Test
    void whatOtherLinesBringCounts() {
        LineRules.Beside limewater = LineRules.Beside.NOTHING.and(SATURATED, 600);
        List<Stop> stops = rules(1, 0, limewater).stops(SATURATED, 5000, 600);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.EVAPORATION);
        assertThat(stops.get(0).mostMlPerDay()).isCloseTo(400, within(1e-9));
        assertThat(stops.get(0).because()).contains("1200 mL of limewater a day from all lines");
        assertThat(rules(1, 0, limewater).stops(SATURATED, 5000, 400)).isEmpty();

        Solution soda = new Solution(Solution.Solute.SODA_ASH, 1);
        LineRules.Beside most = LineRules.Beside.NOTHING.and(soda, 50);
        List<Stop> climb = rules(2.5, 0, most).stops(soda, 100, 50);
        assertThat(rulesOf(climb)).containsExactly(Stop.Rule.CLIMB);
        assertThat(climb.get(0).mostMlPerDay()).isCloseTo(LITRES * 20 / 56.0774 / 2 - 50, within(0.01));
        assertThat(rules(2.5, 0, most).stops(soda, 100, 24)).isEmpty();
        assertThat(rules(2.5, 0, most).stops(new Solution(Solution.Solute.CALCIUM_CHLORIDE, 1), 100, 5000))
                .isEmpty();
        assertThat(rules(2.5, 0, most.and(soda, 50)).stops(soda, 100, 10).get(0).mostMlPerDay())
                .isZero();
    }

    /** About 5 L of saturated limewater may come at once; 25 L would mean pH 9.7. */
    @Test
    void aVesselThatEmptiesAtOnceMustBeSurvivable() {
        List<Stop> stops = RULES.stops(SATURATED, 25_000, 800);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.AT_ONCE);
        assertThat(stops.get(0).mostMlPerDay()).isBetween(4500.0, 5600.0);
        assertThat(stops.get(0).because()).contains("pH 9.7");
        assertThat(RULES.stops(SATURATED, stops.get(0).mostMlPerDay() - 1, 800)).isEmpty();
        assertThat(RULES.stops(new Solution(Solution.Solute.CALCIUM_CHLORIDE, 1), 25_000, 100))
                .isEmpty();
    }

    @Test
    void nothingIsDissolvedThatDoesNotDissolveOrBurns() {
        assertThatThrownBy(() -> new Solution(Solution.Solute.LIMEWATER, 0.05)).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> new Solution(Solution.Solute.SODIUM_HYDROXIDE, 2))
                .isInstanceOf(InputException.class);
    }
}
