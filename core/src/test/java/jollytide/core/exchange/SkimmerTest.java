package jollytide.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.seawater.Seawater;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

/** A skimmer as a co-current exchanger, at the ends where the answer is known without it (Kays and London). */
class SkimmerTest {
    private static final Seawater WATER = new Seawater(35, 25);

    private static SkimmerAssumptions assumed(double waterPerAir, double units, double residenceS) {
        return new SkimmerAssumptions(waterPerAir, units, residenceS, 1000);
    }

    /** Much water and long contact: the air leaves in balance with the water, and its flow is the limit: Q/(RT). */
    @Test
    void withEnoughContactTheAirIsTheLimit() {
        Skimmer skimmer = new Skimmer(500, assumed(20, 10, 300));
        double air = 500 / (0.082057 * 298.15);
        assertThat(skimmer.airConductance(WATER)).isCloseTo(air, within(1e-9));
        assertThat(skimmer.conductance(Gas.CO2, WATER)).isBetween(0.9 * air, air);
    }

    /** Little water: the water leaves in balance with the air, and its solubility is the limit. */
    @Test
    void withLittleWaterTheWaterIsTheLimit() {
        Skimmer skimmer = new Skimmer(500, assumed(0.1, 10, 1));
        double water = 0.1 * 500 * Gas.OXYGEN.solubility(WATER);
        assertThat(skimmer.conductance(Gas.OXYGEN, WATER)).isBetween(0.98 * water, water);
    }

    /** The formula by hand for the assumed contact: smaller (1 − e^−2(1+r)) / (1 + r). */
    @Test
    void theAssumedContact() {
        double air = 500 / (0.082057 * 298.15);
        double water = 1.5 * 500 * Gas.CO2.solubility(WATER) * 2;
        double smaller = Math.min(air, water);
        double r = smaller / Math.max(air, water);
        double byHand = smaller * (1 - Math.exp(-2 * (1 + r))) / (1 + r);
        assertThat(new Skimmer(500).conductance(Gas.CO2, WATER)).isCloseTo(byHand, within(1e-9));
    }

    /** CO2 is made anew from bicarbonate while it is stripped; oxygen is not. */
    @Test
    void residenceHelpsCo2Alone() {
        Skimmer brief = new Skimmer(500, assumed(1.5, 2, 5));
        Skimmer slow = new Skimmer(500, assumed(1.5, 2, 60));
        assertThat(slow.conductance(Gas.CO2, WATER)).isGreaterThan(1.1 * brief.conductance(Gas.CO2, WATER));
        assertThat(slow.conductance(Gas.OXYGEN, WATER)).isEqualTo(brief.conductance(Gas.OXYGEN, WATER));
    }

    @Test
    void whatIsAssumedHasItsBounds() {
        assertThat(SkimmerAssumptions.DEFAULT.suctionKnown()).isFalse();
        assertThat(new SkimmerAssumptions(1.5, 2, 20, 1800).suctionKnown()).isTrue();
        assertThatThrownBy(() -> assumed(0, 2, 20))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("skimmerWaterPerAir");
        assertThatThrownBy(() -> assumed(1.5, 0, 20)).hasMessageContaining("skimmerTransferUnits");
        assertThatThrownBy(() -> assumed(1.5, 2, 0)).hasMessageContaining("skimmerResidenceS");
        assertThatThrownBy(() -> new SkimmerAssumptions(1, 2, 20, 1)).hasMessageContaining("skimmerSuctionPa");
        assertThatThrownBy(() -> new Skimmer(0)).hasMessageContaining("skimmerAirDrawLPerH");
    }
}
