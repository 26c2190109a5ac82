package jollytide.core.doses;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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

    private static List<Stop> stops(LineRules rules, Solution solution, double vesselMl, double mlPerDay) {
        return rules.stops(drips(solution, mlPerDay), vesselMl);
    }

    private static LineRules.Planned drips(Solution solution, double mlPerDay) {
        return new LineRules.Planned("line", solution, mlPerDay, null, "");
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
        assertThat(stops(RULES, SATURATED, 5000, 800)).isEmpty();
    }

    @Test
    void limewaterOverEvaporationIsStopped() {
        List<Stop> stops = stops(rules(0.5, 0), SATURATED, 5000, 800);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.EVAPORATION);
        assertThat(stops.get(0).mostMlPerDay()).isCloseTo(500, within(1e-9));
        assertThat(stops.get(0).because()).contains("500 mL");
        assertThat(stops(rules(0.5, 0), new Solution(Solution.Solute.SODA_ASH, 0.5), 200, 100))
                .isEmpty();
    }

    /** 1 dKH is 0.357 meq/L: 150 meq a day into 420 L, and as much more as is used. */
    @Test
    void moreThanADegreeBeyondUseIsStopped() {
        Solution soda = new Solution(Solution.Solute.SODA_ASH, 1);
        List<Stop> stops = stops(RULES, soda, 100, 80);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.CLIMB);
        assertThat(stops.get(0).mostMlPerDay()).isCloseTo(LITRES * 20 / 56.0774 / 2, within(0.01));
        assertThat(stops(rules(2.5, 0.1), soda, 100, 80)).isEmpty();
    }

    /** Two limewater lines share one evaporation, two sources one climb; what one has taken the other has not. */
    @Test
    void whatOtherLinesBringCounts() {
        LineRules.Beside limewater = LineRules.Beside.NOTHING.and(drips(SATURATED, 600));
        List<Stop> stops = stops(rules(1, 0, limewater), SATURATED, 5000, 600);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.EVAPORATION);
        assertThat(stops.get(0).mostMlPerDay()).isCloseTo(400, within(1e-9));
        assertThat(stops.get(0).because()).contains("1200 mL of limewater a day from all lines");
        assertThat(stops(rules(1, 0, limewater), SATURATED, 5000, 400)).isEmpty();

        Solution soda = new Solution(Solution.Solute.SODA_ASH, 1);
        LineRules.Beside most = LineRules.Beside.NOTHING.and(drips(soda, 50));
        List<Stop> climb = stops(rules(2.5, 0, most), soda, 100, 50);
        assertThat(rulesOf(climb)).containsExactly(Stop.Rule.CLIMB);
        assertThat(climb.get(0).mostMlPerDay()).isCloseTo(LITRES * 20 / 56.0774 / 2 - 50, within(0.01));
        assertThat(stops(rules(2.5, 0, most), soda, 100, 24)).isEmpty();
        assertThat(rulesOf(stops(rules(2.5, 0, most), new Solution(Solution.Solute.CALCIUM_CHLORIDE, 1), 100, 5000)))
                .as("no climb")
                .containsExactly(Stop.Rule.APART);
        assertThat(stops(rules(2.5, 0, most.and(drips(soda, 50))), soda, 100, 10)
                        .get(0)
                        .mostMlPerDay())
                .isZero();
    }

    private static final Solution LYE = new Solution(Solution.Solute.SODIUM_HYDROXIDE, 0.5);

    /** 150 meq in one dose into 420 L would be +0.36 meq/L of hydroxide at once; in many it is nothing. */
    @Test
    void aDoseThatWouldLiftTheTankByMoreThanATenthIsStopped() {
        LineRules.Planned once = new LineRules.Planned("lye", LYE, 280, new DoseTimes(1, LocalTime.MIDNIGHT, 24), "");
        List<Stop> stops = RULES.stops(once, 300);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.SINGLE_DOSE);
        Matcher least = Pattern.compile("at least (\\d+) doses a day")
                .matcher(stops.get(0).because());
        assertThat(least.find()).isTrue();
        int doses = Integer.parseInt(least.group(1));
        assertThat(RULES.stops(
                        new LineRules.Planned("lye", LYE, 280, new DoseTimes(doses, LocalTime.MIDNIGHT, 24), ""), 300))
                .isEmpty();
        assertThat(RULES.stops(
                        new LineRules.Planned("lye", LYE, 280, new DoseTimes(doses - 1, LocalTime.MIDNIGHT, 24), ""),
                        300))
                .isNotEmpty();
        assertThat(RULES.stops(drips(LYE, 280), 300)).isEmpty();
        double most = stops.get(0).mostMlPerDay();
        assertThat(RULES.stops(
                        new LineRules.Planned("lye", LYE, most - 0.1, new DoseTimes(1, LocalTime.MIDNIGHT, 24), ""),
                        300))
                .isEmpty();
    }

    /** Calcium beside alkalinity: a quarter of an hour apart, both by their times; across midnight, too. */
    @Test
    void calciumIsDosedApartFromAlkalinity() {
        Solution soda = new Solution(Solution.Solute.SODA_ASH, 0.2);
        Solution calcium = new Solution(Solution.Solute.CALCIUM_CHLORIDE, 1);
        LineRules beside = rules(
                2.5,
                0,
                LineRules.Beside.NOTHING.and(
                        new LineRules.Planned("soda", soda, 50, new DoseTimes(12, LocalTime.of(23, 50), 24), "")));
        assertThat(rulesOf(beside.stops(drips(calcium, 50), 200))).containsExactly(Stop.Rule.APART);
        assertThat(rulesOf(beside.stops(at(calcium, LocalTime.of(0, 4)), 200))).containsExactly(Stop.Rule.APART);
        assertThat(beside.stops(at(calcium, LocalTime.of(0, 5)), 200)).isEmpty();
        assertThat(beside.stops(at(soda, LocalTime.of(23, 50)), 200)).isEmpty();
        assertThat(rulesOf(beside.stops(drips(SATURATED, 300), 5000))).containsExactly(Stop.Rule.APART);
        assertThat(beside.stops(drips(calcium, 0), 200)).as("nothing is dosed").isEmpty();
        assertThat(beside.stops(at(calcium, LocalTime.of(0, 4)), 200).get(0).because())
                .contains("“soda”", "15 minutes and a place apart");
    }

    /** An hour apart, but out of hoses that end side by side. */
    @Test
    void calciumIsLedElsewhereThanAlkalinity() {
        Solution soda = new Solution(Solution.Solute.SODA_ASH, 0.2);
        Solution calcium = new Solution(Solution.Solute.CALCIUM_CHLORIDE, 1);
        LineRules beside =
                rules(2.5, 0, LineRules.Beside.NOTHING.and(into("return chamber", soda, LocalTime.of(22, 0))));
        List<Stop> stops = beside.stops(into(" Return chamber", calcium, LocalTime.of(23, 0)), 200);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.SAME_PLACE);
        assertThat(stops.get(0).because()).contains("“soda” ends in the same place");
        assertThat(beside.stops(into("display", calcium, LocalTime.of(23, 0)), 200))
                .isEmpty();
        assertThat(beside.stops(into("", calcium, LocalTime.of(23, 0)), 200))
                .as("nobody says where")
                .isEmpty();
        assertThat(beside.stops(into("return chamber", soda, LocalTime.of(22, 0)), 200))
                .isEmpty();
        assertThat(rulesOf(beside.stops(into("return chamber", calcium, LocalTime.of(22, 4)), 200)))
                .containsExactly(Stop.Rule.APART, Stop.Rule.SAME_PLACE);
    }

    private static LineRules.Planned into(String place, Solution solution, LocalTime first) {
        return new LineRules.Planned("soda", solution, 50, new DoseTimes(12, first, 24), place);
    }

    private static LineRules.Planned at(Solution solution, LocalTime first) {
        return new LineRules.Planned("line", solution, 50, new DoseTimes(12, first, 24), "");
    }

    /** Common practice mixes it up with the hydroxide: it has no alkalinity. */
    @Test
    void potassiumChlorideIsNoRemedy() {
        List<Stop> stops = RULES.stops(drips(new Solution(Solution.Solute.POTASSIUM_CHLORIDE, 1), 50), 1000);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.NO_REMEDY);
        assertThat(stops.get(0).because()).contains("no alkalinity: it moves no pH");
    }

    /** About 5 L of saturated limewater may come at once; 25 L would mean pH 9.7. */
    @Test
    void aVesselThatEmptiesAtOnceMustBeSurvivable() {
        List<Stop> stops = stops(RULES, SATURATED, 25_000, 800);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.AT_ONCE);
        assertThat(stops.get(0).mostMlPerDay()).isBetween(4500.0, 5600.0);
        assertThat(stops.get(0).because()).contains("pH 9.7");
        assertThat(stops(RULES, SATURATED, stops.get(0).mostMlPerDay() - 1, 800))
                .isEmpty();
        assertThat(stops(RULES, new Solution(Solution.Solute.CALCIUM_CHLORIDE, 1), 25_000, 100))
                .isEmpty();
    }

    @Test
    void nothingIsDissolvedThatDoesNotDissolveOrBurns() {
        assertThatThrownBy(() -> new Solution(Solution.Solute.LIMEWATER, 0.05)).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> new Solution(Solution.Solute.SODIUM_HYDROXIDE, 2))
                .isInstanceOf(InputException.class);
    }

    /**
     * 31.8 g of soda ash are 600 meq: into 420 L 1.43 meq/L, 4 dKH. At 1 dKH a day that takes four days, and each day's 1 dKH
     * of carbonate lifts pH by more than 0.1 once mixed, so it is parted.
     */
    @Test
    void anAdditionThatIsTooMuchIsParted() {
        LineRules.Parted parted =
                RULES.parted(SingleDose.Addition.ofPowder(Instant.EPOCH, Solution.Solute.SODA_ASH, 31.797, 1, LITRES));
        assertThat(parted.meqPerL()).isCloseTo(600 / LITRES, within(1e-3));
        assertThat(parted.because()).hasSize(2);
        assertThat(parted.days()).isEqualTo(5);
        assertThat(parted.portionsPerDay()).isGreaterThan(1);
        assertThat(parted.phMixed()).isGreaterThan(parted.phBefore() + 0.1);
        LineRules.Parted portion = RULES.parted(SingleDose.Addition.ofPowder(
                Instant.EPOCH, Solution.Solute.SODA_ASH, 31.797 / parted.days() / parted.portionsPerDay(), 1, LITRES));
        assertThat(portion.because()).isEmpty();
        assertThat(portion.days() * portion.portionsPerDay()).isEqualTo(1);
    }

    @Test
    void whatLinesBringLeavesLessRoomForAnAddition() {
        SingleDose.Addition oneDkh = SingleDose.Addition.ofPowder(
                Instant.EPOCH, Solution.Solute.BICARBONATE, 84.006 * 0.95 / 2.8 * 0.42, 1, LITRES);
        assertThat(RULES.parted(oneDkh).days()).isEqualTo(1);
        LineRules.Beside dosed = LineRules.Beside.NOTHING.and(drips(SATURATED, 1000));
        assertThat(rules(2.5, 0, dosed).parted(oneDkh).days()).isEqualTo(2);
        // What is used makes the room again.
        assertThat(rules(2.5, 1000 * SATURATED.meqPerMl() / LITRES, dosed)
                        .parted(oneDkh)
                        .days())
                .isEqualTo(1);
    }
}
