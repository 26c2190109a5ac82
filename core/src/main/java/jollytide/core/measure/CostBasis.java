package jollytide.core.measure;

import jollytide.core.air.AirPump;
import jollytide.core.air.Enclosure;
import org.jspecify.annotations.Nullable;

/**
 * What costs hang on.
 *
 * @param roomM3 of the tank's room
 * @param perEuro how much of the money in which costs stand a euro is; the prices are in euros
 * @param mediaDays how long a fill of media lasts in its use; null without media
 */
public record CostBasis(
        Prices prices,
        Setup setup,
        double roomM3,
        double perEuro,
        @Nullable Double mediaDays) {
    static final double DAYS_PER_MONTH = 30.44;
    private static final double HOURS_PER_MONTH = 730.5;
    /** Heat that a cubic metre of air takes for a kelvin, Wh. */
    private static final double AIR_WH_PER_M3_K = 0.335;
    /** Warmer indoors than out, over the heating season, K. From memory. */
    private static final double HEATED_K = 12;
    /** What an air pump draws, over the least that physics asks for. From memory. */
    private static final double AIR_PUMP_W_PER_IDEAL = 8;

    private static final double FAN_W = 2;

    /** Of a whole set. */
    public Cost of(MeasureSet set) {
        return set.all().stream()
                .map(measure -> measure.cost(this))
                .reduce(Cost.NOTHING, Cost::plus)
                .times(perEuro);
    }

    /** Electricity a month. */
    double power(double watts) {
        return watts / 1000 * HOURS_PER_MONTH * prices.electricityPerKWh();
    }

    /** Heat for so many more air changes an hour, in money a month of the heating season. */
    double heat(double airChangesPerH) {
        double watts = airChangesPerH * roomM3 * AIR_WH_PER_M3_K * HEATED_K;
        return watts / 1000 * HOURS_PER_MONTH * prices.heatPerKWh();
    }

    /** A door costs a hand's turn, a cabinet fan a little more. */
    Cost door(Enclosure.Door door) {
        return door == Enclosure.Door.FAN
                ? new Cost(prices.fan(), power(FAN_W), Cost.Effort.MINUTES)
                : new Cost(0, 0, Cost.Effort.MINUTES);
    }

    /** An air pump that presses so much air so deep. */
    Cost airPump(double airLPerH, double depthM) {
        double ideal = AirPump.idealOnStoneW(airLPerH, depthM);
        return new Cost(prices.airPump(), power(AIR_PUMP_W_PER_IDEAL * ideal), Cost.Effort.MINUTES);
    }

    /** Media in a canister, as long as they last. */
    Cost media(double massKg) {
        double perMonth = mediaDays == null ? 0 : massKg * prices.mediaPerKg() * DAYS_PER_MONTH / mediaDays;
        return new Cost(prices.canister(), perMonth, Cost.Effort.AN_EVENING);
    }
}
