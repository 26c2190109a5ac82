package jollytide.core.supplies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import jollytide.core.supplies.OnHand.Entry;
import jollytide.core.supplies.OnHand.What;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

/** What a cupboard holds, by hand-worked cases. */
class OnHandTest {
    private static final Instant NOW = Instant.parse("2026-10-01T12:00:00Z");

    private static Entry counted(double daysAgo, double amount) {
        return new Entry(before(daysAgo), What.COUNTED, amount);
    }

    private static Entry bought(double daysAgo, double amount) {
        return new Entry(before(daysAgo), What.BOUGHT, amount);
    }

    private static Instant before(double days) {
        return NOW.minus(Duration.ofMinutes(Math.round(1440 * days)));
    }

    /** 500 g counted ten days ago, 10 g a day: 400 left, 40 days; of those at least 500/12.5 − 10 = 30 are sure. */
    @Test
    void lastsByWhatUsesIt() {
        OnHand stock = new OnHand(List.of(counted(10, 500)));
        OnHand.Rate rate = stock.rate(10, NOW);
        assertThat(rate.counted()).isFalse();
        assertThat(Objects.requireNonNull(stock.left(rate, NOW)).value()).isCloseTo(400, within(1e-9));
        assertThat(Objects.requireNonNull(stock.daysLeft(rate, NOW)).value()).isCloseTo(40, within(1e-9));
        assertThat(Objects.requireNonNull(stock.daysLeft(rate, NOW)).low()).isCloseTo(30, within(1e-9));
        assertThat(Duration.between(NOW, stock.orderBy(rate, 5, NOW))).isEqualTo(Duration.ofDays(25));
    }

    /** 900 g, 1000 bought, 700 left forty days later: 30 g a day, whatever was computed. */
    @Test
    void countsSayItBetter() {
        OnHand stock = new OnHand(List.of(counted(0, 700), bought(20, 1000), counted(40, 900)));
        OnHand.Rate rate = stock.rate(10, NOW);
        assertThat(rate.counted()).isTrue();
        assertThat(rate.perDay().value()).isCloseTo(30, within(1e-9));
        assertThat(Objects.requireNonNull(stock.left(rate, NOW)).value()).isCloseTo(700, within(1e-9));
    }

    /** A week apart they say little; nor do those that found as much as before. */
    @Test
    void countsTooNearTogetherSayNothing() {
        assertThat(new OnHand(List.of(counted(7, 500), counted(0, 400)))
                        .rate(10, NOW)
                        .counted())
                .isFalse();
        assertThat(new OnHand(List.of(counted(60, 4), counted(0, 4)))
                        .rate(0.01, NOW)
                        .counted())
                .isFalse();
        assertThat(new OnHand(List.of(counted(400, 500), counted(0, 400)))
                        .rate(10, NOW)
                        .counted())
                .isFalse();
    }

    @Test
    void whatLastsForEverIsNotOrdered() {
        OnHand stock = new OnHand(List.of(counted(1, 1e6)));
        assertThat(stock.orderBy(stock.rate(1e-9, NOW), 5, NOW)).isNull();
    }

    @Test
    void whatWasBoughtAloneIsKnown() {
        OnHand stock = new OnHand(List.of(bought(10, 1000)));
        assertThat(Objects.requireNonNull(stock.left(stock.rate(20, NOW), NOW)).value())
                .isCloseTo(800, within(1e-9));
        OnHand none = new OnHand(List.of());
        assertThat(none.left(none.rate(20, NOW), NOW)).isNull();
        assertThat(none.daysLeft(none.rate(20, NOW), NOW)).isNull();
        assertThat(none.orderBy(none.rate(20, NOW), 3, NOW)).isNull();
    }

    /** 90 days at 10 g a day are 900 g, 400 of them there: two bags of 250 g; nothing where it lasts. */
    @Test
    void packagesFillUp() {
        OnHand stock = new OnHand(List.of(counted(10, 500)));
        OnHand.Rate rate = stock.rate(10, NOW);
        assertThat(stock.packages(rate, 250, 90, NOW)).isEqualTo(2);
        assertThat(stock.packages(rate, 250, 40, NOW)).isZero();
    }

    @Test
    void nothingGrowsByItself() {
        OnHand stock = new OnHand(List.of(counted(10, 500)));
        assertThatThrownBy(() -> stock.with(counted(5, 600)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("Add the purchase first");
        assertThat(stock.with(counted(5, 520)).entries()).hasSize(2);
        assertThat(stock.with(bought(7, 200)).with(counted(5, 600)).entries()).hasSize(3);
        assertThatThrownBy(() -> counted(1, -3)).isInstanceOf(InputException.class);
    }

    /** A pound is 453.59237 g, a US fluid ounce 29.5735 mL, by definition. */
    @Test
    void poundsAreGrams() {
        assertThat(SupplyUnit.LB.toInner(2)).isCloseTo(907.18474, within(1e-9));
        assertThat(SupplyUnit.US_FL_OZ.toInner(128)).isCloseTo(3785.411784, within(1e-6));
        assertThat(SupplyUnit.KG.fromInner(1500)).isCloseTo(1.5, within(1e-12));
    }
}
