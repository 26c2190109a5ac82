package jollytide.core.dosingline;

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

    private static List<Stop> stops(LineRules rules, Solution solution, double mlPerDay) {
        return rules.stops(drips(solution, mlPerDay));
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
        assertThat(stops(RULES, SATURATED, 800)).isEmpty();
    }

    @Test
    void limewaterOverEvaporationIsStopped() {
        List<Stop> stops = stops(rules(0.5, 0), SATURATED, 800);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.EVAPORATION);
        assertThat(stops.get(0).mostMlPerDay()).isCloseTo(500, within(1e-9));
        assertThat(stops.get(0).because()).contains("500 mL");
        assertThat(stops(rules(0.5, 0), new Solution(Solution.Solute.SODA_ASH, 0.5), 100))
                .isEmpty();
    }

    /** 1 dKH is 0.357 meq/L: 150 meq a day into 420 L, and as much more as is used. */
    @Test
    void moreThanADegreeBeyondUseIsStopped() {
        Solution soda = new Solution(Solution.Solute.SODA_ASH, 1);
        List<Stop> stops = stops(RULES, soda, 80);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.CLIMB);
        assertThat(stops.get(0).mostMlPerDay()).isCloseTo(LITRES * 20 / 56.0774 / 2, within(0.01));
        assertThat(stops(rules(2.5, 0.1), soda, 80)).isEmpty();
    }

    /** Two limewater lines share one evaporation, two sources one climb; what one has taken the other has not. */
    @Test
    void whatOtherLinesBringCounts() {
        LineRules.Beside limewater = LineRules.Beside.NOTHING.and(drips(SATURATED, 600));
        List<Stop> stops = stops(rules(1, 0, limewater), SATURATED, 600);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.EVAPORATION);
        assertThat(stops.get(0).mostMlPerDay()).isCloseTo(400, within(1e-9));
        assertThat(stops.get(0).because()).contains("1200 mL of water a day from all dosing lines");
        assertThat(stops(rules(1, 0, limewater), SATURATED, 400)).isEmpty();

        Solution soda = new Solution(Solution.Solute.SODA_ASH, 1);
        LineRules.Beside most = LineRules.Beside.NOTHING.and(drips(soda, 50));
        List<Stop> climb = stops(rules(2.5, 0, most), soda, 50);
        assertThat(rulesOf(climb)).containsExactly(Stop.Rule.CLIMB);
        assertThat(climb.get(0).mostMlPerDay()).isCloseTo(LITRES * 20 / 56.0774 / 2 - 50, within(0.01));
        assertThat(stops(rules(2.5, 0, most), soda, 24)).isEmpty();
        assertThat(rulesOf(stops(rules(2.5, 0, most), new Solution(Solution.Solute.CALCIUM_CHLORIDE, 1), 5000)))
                .as("no climb")
                .contains(Stop.Rule.APART)
                .doesNotContain(Stop.Rule.CLIMB);
        assertThat(stops(rules(2.5, 0, most.and(drips(soda, 50))), soda, 10)
                        .get(0)
                        .mostMlPerDay())
                .isZero();
    }

    private static final Solution LYE = new Solution(Solution.Solute.SODIUM_HYDROXIDE, 0.5);

    /** 150 meq in one dose into 420 L would be +0.36 meq/L of hydroxide at once; in many it is nothing. */
    @Test
    void aDoseThatWouldLiftTheTankByMoreThanATenthIsStopped() {
        LineRules.Planned once = new LineRules.Planned("lye", LYE, 280, new DoseTimes(1, LocalTime.MIDNIGHT, 24), "");
        List<Stop> stops = RULES.stops(once);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.SINGLE_DOSE);
        Matcher least = Pattern.compile("at least (\\d+) doses a day")
                .matcher(stops.get(0).because());
        assertThat(least.find()).isTrue();
        int doses = Integer.parseInt(least.group(1));
        assertThat(RULES.stops(
                        new LineRules.Planned("lye", LYE, 280, new DoseTimes(doses, LocalTime.MIDNIGHT, 24), "")))
                .isEmpty();
        assertThat(RULES.stops(
                        new LineRules.Planned("lye", LYE, 280, new DoseTimes(doses - 1, LocalTime.MIDNIGHT, 24), "")))
                .isNotEmpty();
        assertThat(RULES.stops(drips(LYE, 280))).isEmpty();
        double most = stops.get(0).mostMlPerDay();
        assertThat(RULES.stops(
                        new LineRules.Planned("lye", LYE, most - 0.1, new DoseTimes(1, LocalTime.MIDNIGHT, 24), "")))
                .isEmpty();
    }

    /** Calcium beside alkalinity: a quarter of an hour apart, both by their times; across midnight, too. */
    @Test
    void calciumIsDosedApartFromAlkalinity() {
        Solution soda = new Solution(Solution.Solute.SODA_ASH, 0.2);
        Solution calcium = new Solution(Solution.Solute.CALCIUM_CHLORIDE, 0.2);
        LineRules beside = rules(
                2.5,
                0,
                LineRules.Beside.NOTHING.and(
                        new LineRules.Planned("soda", soda, 50, new DoseTimes(12, LocalTime.of(23, 50), 24), "")));
        assertThat(rulesOf(beside.stops(drips(calcium, 50)))).containsExactly(Stop.Rule.APART);
        assertThat(rulesOf(beside.stops(at(calcium, LocalTime.of(0, 4))))).containsExactly(Stop.Rule.APART);
        assertThat(beside.stops(at(calcium, LocalTime.of(0, 5)))).isEmpty();
        assertThat(beside.stops(at(soda, LocalTime.of(23, 50)))).isEmpty();
        assertThat(rulesOf(beside.stops(drips(SATURATED, 300)))).containsExactly(Stop.Rule.APART);
        assertThat(beside.stops(drips(calcium, 0))).as("nothing is dosed").isEmpty();
        assertThat(beside.stops(at(calcium, LocalTime.of(0, 4))).get(0).because())
                .contains("“soda”", "15 minutes and some distance apart");
    }

    /** An hour apart, but out of hoses that end side by side. */
    @Test
    void calciumIsLedElsewhereThanAlkalinity() {
        Solution soda = new Solution(Solution.Solute.SODA_ASH, 0.2);
        Solution calcium = new Solution(Solution.Solute.CALCIUM_CHLORIDE, 0.2);
        LineRules beside =
                rules(2.5, 0, LineRules.Beside.NOTHING.and(into("return chamber", soda, LocalTime.of(22, 0))));
        List<Stop> stops = beside.stops(into(" Return chamber", calcium, LocalTime.of(23, 0)));
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.SAME_PLACE);
        assertThat(stops.get(0).because()).contains("“soda” ends in the same place");
        assertThat(beside.stops(into("display", calcium, LocalTime.of(23, 0)))).isEmpty();
        assertThat(beside.stops(into("", calcium, LocalTime.of(23, 0))))
                .as("nobody says where")
                .isEmpty();
        assertThat(beside.stops(into("return chamber", soda, LocalTime.of(22, 0))))
                .isEmpty();
        assertThat(rulesOf(beside.stops(into("return chamber", calcium, LocalTime.of(22, 4)))))
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
        List<Stop> stops = RULES.stops(drips(new Solution(Solution.Solute.POTASSIUM_CHLORIDE, 1), 50));
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.NO_REMEDY);
        assertThat(stops.get(0).because()).contains("no alkalinity, and does not move pH");
    }

    /** 25 L of saturated limewater at once into 420 L would mean pH 9.7: it kills. About 5 L bring 1.4 dKH: they do not. */
    @Test
    void whatAVesselWouldDoThatEmptiesAtOnce() {
        LineRules.Emptied large = RULES.emptied(SATURATED, 25_000);
        assertThat(large.kills()).isTrue();
        assertThat(large.phNbs()).isCloseTo(9.7, within(0.06));
        assertThat(large.dkh()).isCloseTo(6.8, within(0.1));
        assertThat(RULES.emptied(SATURATED, 5000).kills()).isFalse();
        assertThat(RULES.emptied(new Solution(Solution.Solute.CALCIUM_CHLORIDE, 1), 25_000)
                        .kills())
                .isFalse();
        assertThat(stops(RULES, SATURATED, 800))
                .as("its plan is another matter")
                .isEmpty();
    }

    /**
     * A day's doses of all lines at once, from pH 8.2 and 8.5 dKH: soda ash at 2 dKH reaches 8.5 and passes, hydroxide
     * at 2 reaches 8.8, at 3 it reaches 9.0 (from memory).
     */
    @Test
    void aDaysDosesAtOnceMustBeSurvivable() {
        double twoDkh = AlkalinityUnit.DKH.toMeqPerL(2);
        LineRules used = rules(2.5, twoDkh);
        Solution soda = new Solution(Solution.Solute.SODA_ASH, 1);
        assertThat(stops(used, soda, twoDkh * LITRES / 2)).isEmpty();
        assertThat(rulesOf(stops(rules(9, 1.5 * twoDkh), LYE, 1.5 * twoDkh * LITRES / 0.5)))
                .containsExactly(Stop.Rule.AT_ONCE);
        // Two lines share it.
        double half = 0.75 * twoDkh * LITRES / 0.5;
        LineRules.Beside one = LineRules.Beside.NOTHING.and(drips(LYE, half));
        assertThat(stops(rules(9, 1.5 * twoDkh), LYE, half)).isEmpty();
        List<Stop> both = stops(rules(9, 1.5 * twoDkh, one), LYE, half);
        assertThat(rulesOf(both)).contains(Stop.Rule.AT_ONCE);
        assertThat(both.get(0).because()).contains("of all dosing lines");
    }

    /** Nine lines of +0.09 in the same minute lift pH from 8.2 to 8.8: together they are one dose. */
    @Test
    void whatComesWithinAQuarterOfAnHourIsOneDose() {
        DoseTimes noon = new DoseTimes(4, LocalTime.NOON, 24);
        LineRules roomy = rules(2.5, 3);
        double most = roomy.most(new LineRules.Planned("lye", LYE, 1000, noon, ""), 1000);
        LineRules.Planned one = new LineRules.Planned("lye", LYE, 0.9 * most, noon, "");
        assertThat(roomy.stops(one)).isEmpty();
        LineRules beside = roomy.with(LineRules.Beside.NOTHING.and(one));
        List<Stop> second = beside.stops(one);
        assertThat(rulesOf(second)).containsExactly(Stop.Rule.SINGLE_DOSE);
        assertThat(second.get(0).because()).contains("within 15 minutes");
        LineRules.Planned later =
                new LineRules.Planned("lye", LYE, 0.9 * most, new DoseTimes(4, LocalTime.of(12, 20), 24), "");
        assertThat(beside.stops(later)).isEmpty();
    }

    /** 13 L of thin bicarbonate a day are 13 L of water. */
    @Test
    void everySolutionsWaterCounts() {
        Solution thin = new Solution(Solution.Solute.BICARBONATE, 0.005);
        List<Stop> stops = stops(RULES, thin, 13_000);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.EVAPORATION);
        assertThat(stops.get(0).mostMlPerDay()).isCloseTo(2500, within(1e-9));
    }

    /** At a daily high of 8.5 nothing that lifts pH at once; soda ash's alkalinity still may. */
    @Test
    void nothingLiftsPhAtItsHighest() {
        CarbonateSystem system = RULES.system();
        CarbonateState high = system.fromPhAndAlkalinity(
                system.constants().toTotal(8.52, PhScale.NBS), RULES.water().alkalinity());
        LineRules rules = new LineRules(LITRES, system, high, 2.5, 0.3, LineRules.Beside.NOTHING);
        assertThat(rulesOf(rules.stops(drips(SATURATED, 300)))).contains(Stop.Rule.HIGH_PH);
        assertThat(rulesOf(rules.stops(drips(LYE, 100)))).contains(Stop.Rule.HIGH_PH);
        assertThat(rulesOf(rules.stops(drips(new Solution(Solution.Solute.BICARBONATE, 0.5), 100))))
                .doesNotContain(Stop.Rule.HIGH_PH);
        assertThat(rules.stops(drips(SATURATED, 0))).isEmpty();
    }

    /** Ordinary two-part dosing: 20 mg/L of calcium for each meq/L of alkalinity go together, until tests say better. */
    @Test
    void balancedTwoPartDosingIsNotRefused() {
        double meq = 0.5;
        Solution soda = new Solution(Solution.Solute.SODA_ASH, 1);
        Solution calcium = new Solution(Solution.Solute.CALCIUM_CHLORIDE, 1);
        LineRules.Planned part = new LineRules.Planned(
                "soda", soda, meq * LITRES / 2, new DoseTimes(12, LocalTime.of(0, 0), 24), "left");
        LineRules beside = rules(2.5, meq, LineRules.Beside.NOTHING.and(part));
        double ml = LineRules.CALCIUM_MG_PER_MEQ * meq * LITRES / 40.078;
        LineRules.Planned other =
                new LineRules.Planned("calcium", calcium, ml, new DoseTimes(12, LocalTime.of(1, 0), 24), "right");
        assertThat(beside.stops(other)).isEmpty();
        // Twice as much climbs by 10 mg/L a day: 480 is passed within a week. What is accepted climbs by 2 a day.
        LineRules.Planned much = other.of(2 * ml);
        List<Stop> stops = beside.stops(much);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.CALCIUM);
        assertThat(stops.get(0).mostMlPerDay()).isCloseTo(ml + 2 * LITRES / 40.078, within(0.5));
        // 2,405 mg/L a day without anything that takes it.
        assertThat(rulesOf(RULES.stops(drips(calcium, 25_200)))).contains(Stop.Rule.CALCIUM);
    }

    /** From 400 mg/L potassium hydroxide may bring about 0.24 dKH a day: 39.1 mg for each meq, 100 mg/L in thirty days. */
    @Test
    void potassiumDoesNotPileUp() {
        Solution lye = new Solution(Solution.Solute.POTASSIUM_HYDROXIDE, 0.5);
        List<Stop> stops = stops(rules(2.5, 0.3), lye, 200);
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.POTASSIUM);
        double dkh = AlkalinityUnit.DKH.fromMeqPerL(stops.get(0).mostMlPerDay() * 0.5 / LITRES);
        assertThat(dkh).isCloseTo(0.24, within(0.005));
        // A fifth of the water changed each week leaves room for more.
        LineRules changed = new LineRules(
                LITRES,
                RULES.system(),
                RULES.water(),
                2.5,
                0.3,
                LineRules.Beside.NOTHING,
                new LineRules.Salts(420, 400, 1290, 0, 0.2 / 7));
        assertThat(changed.stops(drips(lye, 200)).get(0).mostMlPerDay())
                .isGreaterThan(1.4 * stops.get(0).mostMlPerDay());
        // And what lines left behind already, less.
        LineRules late = new LineRules(
                LITRES,
                RULES.system(),
                RULES.water(),
                2.5,
                0.3,
                LineRules.Beside.NOTHING,
                new LineRules.Salts(420, 490, 1290, 0, 0));
        assertThat(late.stops(drips(lye, 200)).get(0).mostMlPerDay())
                .isLessThan(0.2 * stops.get(0).mostMlPerDay());
    }

    /** From 1290 mg/L 210 are left for thirty days: 7 a day, 120.96 mL of 1 mol/L into 420 L. */
    @Test
    void magnesiumDoesNotPileUp() {
        Solution salt = new Solution(Solution.Solute.MAGNESIUM_CHLORIDE, 1);
        List<Stop> stops = RULES.stops(drips(salt, 200));
        assertThat(rulesOf(stops)).containsExactly(Stop.Rule.MAGNESIUM);
        assertThat(stops.get(0).mostMlPerDay()).isCloseTo(7 * LITRES / 24.305, within(0.5));
        assertThat(RULES.stops(drips(salt, 120))).isEmpty();
        // It falls out where it meets soda.
        LineRules beside =
                rules(2.5, 0.3, LineRules.Beside.NOTHING.and(drips(new Solution(Solution.Solute.SODA_ASH, 1), 20)));
        assertThat(rulesOf(beside.stops(drips(salt, 20)))).contains(Stop.Rule.APART);
    }

    /** 120 mg/L of magnesium in one go: rather 50 a day, in three days. */
    @Test
    void muchMagnesiumIsSpread() {
        double grams = 120 * LITRES / 1000 / 24.305 * 246.471;
        LineRules.Parted parted = RULES.parted(
                SingleDose.Addition.ofPowder(Instant.EPOCH, Solution.Solute.MAGNESIUM_SULFATE, grams, 1, LITRES));
        assertThat(parted.days()).isEqualTo(3);
        assertThat(parted.because()).singleElement().asString().contains("At most 50 mg/L a day is better");
    }

    /** The largest that a refusal names is then accepted, over many plans. */
    @Test
    void whatIsNamedIsAccepted() {
        LineRules.Beside some = LineRules.Beside.NOTHING.and(drips(SATURATED, 400));
        for (Solution solution : List.of(SATURATED, LYE, new Solution(Solution.Solute.POTASSIUM_HYDROXIDE, 0.5))) {
            for (double wanted : new double[] {500, 3000, 40_000}) {
                for (double use : new double[] {0, 0.2, 1}) {
                    LineRules rules = rules(2, use, some);
                    double most = Math.floor(rules.most(drips(solution, wanted), wanted));
                    assertThat(rules.stops(drips(solution, most))).isEmpty();
                }
            }
        }
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

    /** 45 mg/L of calcium in one go: rather 20 a day, in three days. */
    @Test
    void muchCalciumIsSpread() {
        double grams = 45 * LITRES / 1000 / 40.078 * 147.014;
        LineRules.Parted parted = RULES.parted(
                SingleDose.Addition.ofPowder(Instant.EPOCH, Solution.Solute.CALCIUM_CHLORIDE, grams, 1, LITRES));
        assertThat(parted.days()).isEqualTo(3);
        assertThat(parted.because()).singleElement().asString().contains("At most 20 mg/L a day is better");
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
