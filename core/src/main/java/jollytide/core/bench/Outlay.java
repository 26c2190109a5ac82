package jollytide.core.bench;

import static jollytide.core.units.Quantities.within;

import jollytide.core.air.AirPump;
import jollytide.core.air.Enclosure;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.media.MediaLife;
import org.jspecify.annotations.Nullable;

/**
 * What remedies cost: to fit, each month, and in work. Prices are round figures from memory, in euros, and shown as
 * assumed; the tariff is the home's where it is known.
 */
public final class Outlay {
    /** Prices that stand until a keeper says otherwise. From memory. */
    public record Prices(
            double electricityPerKWh,
            double heatPerKWh,
            double hosePerM,
            double filterAndFittings,
            double canister,
            double mediaPerKg,
            double airPump,
            double smallPump,
            double fan,
            double ventilator,
            double refugiumLamp,
            double reactorChamber) {
        public static final Prices ASSUMED = new Prices(0.35, 0.12, 2.5, 15, 45, 16, 35, 70, 15, 600, 120, 80);

        public Prices withElectricity(@Nullable Double perKWh) {
            return perKWh == null
                    ? this
                    : new Prices(
                            within("tariffPerKWh", perKWh, 0, 1e6, "per kWh"),
                            heatPerKWh,
                            hosePerM,
                            filterAndFittings,
                            canister,
                            mediaPerKg,
                            airPump,
                            smallPump,
                            fan,
                            ventilator,
                            refugiumLamp,
                            reactorChamber);
        }
    }

    /** How much work a remedy is. */
    public enum Effort {
        NONE,
        MINUTES,
        AN_EVENING,
        A_WEEKEND
    }

    /** The sum over a set of remedies; effort is that of the largest piece of work. */
    public record Cost(double toFit, double perMonth, Effort effort) {
        static final Cost NOTHING = new Cost(0, 0, Effort.NONE);

        Cost plus(Cost other) {
            return new Cost(
                    toFit + other.toFit,
                    perMonth + other.perMonth,
                    effort.compareTo(other.effort) >= 0 ? effort : other.effort);
        }
    }

    private static final double HOURS_PER_MONTH = 730.5;
    private static final double DAYS_PER_MONTH = 30.44;
    /** Heat that a cubic metre of air takes for a kelvin, Wh. */
    private static final double AIR_WH_PER_M3_K = 0.335;
    /** Warmer indoors than out, over the heating season, K. From memory. */
    private static final double HEATED_K = 12;
    /** Share of its heat that a ventilator with heat recovery loses. From memory. */
    private static final double HEAT_LOST = 0.2;

    private static final double VENTILATOR_W = 8;
    private static final double AIR_PUMP_W_PER_IDEAL = 8;
    private static final double SMALL_PUMP_W = 8;
    private static final double FAN_W = 2;
    private static final double REFUGIUM_LAMP_W = 20;

    private final Prices prices;
    private final Setup setup;
    private final double roomM3;
    private final double perEuro;

    /** @param perEuro how much of the money in which costs stand a euro is; the prices are in euros */
    public Outlay(Prices prices, Setup setup, double roomM3, double perEuro) {
        this.prices = prices;
        this.setup = setup;
        this.roomM3 = roomM3;
        this.perEuro = perEuro;
    }

    /**
     * Of a set of remedies.
     *
     * @param media how long a fill lasts in its use; null without media
     */
    public Cost of(Remedies remedies, MediaLife.@Nullable Life media) {
        Cost sum = Cost.NOTHING;
        for (Remedy remedy : remedies.all()) {
            sum = sum.plus(of(remedy, media));
        }
        return new Cost(sum.toFit() * perEuro, sum.perMonth() * perEuro, sum.effort());
    }

    private Cost of(Remedy remedy, MediaLife.@Nullable Life media) {
        if (remedy instanceof Remedy.Ventilation air) {
            double n = setup.room().airChangesPerH();
            Cost window = air.times() == 1
                    ? Cost.NOTHING
                    : new Cost(0, Math.max(0, heat(n * (air.times() - 1))), Effort.MINUTES);
            return air.extraPerH() == 0
                    ? window
                    : window.plus(new Cost(
                            prices.ventilator(),
                            power(VENTILATOR_W) + HEAT_LOST * heat(air.extraPerH()),
                            Effort.A_WEEKEND));
        }
        if (remedy instanceof Remedy.OutdoorLine line) {
            double hose = line.line().lengthM() * prices.hosePerM() + prices.filterAndFittings();
            return new Cost(hose, 0, Effort.A_WEEKEND);
        }
        if (remedy instanceof Remedy.Scrubber scrubber) {
            double perMonth = media == null
                    ? 0
                    : scrubber.media().massKg() * prices.mediaPerKg() * DAYS_PER_MONTH / media.endDay();
            return new Cost(prices.canister(), perMonth, Effort.AN_EVENING);
        }
        if (remedy instanceof Remedy.Agitation more) {
            return more.times() <= 1.5
                    ? new Cost(0, 0, Effort.MINUTES)
                    : new Cost(prices.smallPump(), power(SMALL_PUMP_W), Effort.AN_EVENING);
        }
        if (remedy instanceof Remedy.CabinetAir door) {
            return fan(door.cabinet().exchangeLPerH());
        }
        if (remedy instanceof Remedy.CanopyAir lid) {
            return fan(lid.canopy().exchangeLPerH());
        }
        if (remedy instanceof Remedy.Stone stone) {
            double ideal = AirPump.idealW(
                    stone.airLPerH(), stone.depthM() * AirPump.KPA_PER_M + AirPump.STONE_KPA + AirPump.VALVE_KPA);
            return new Cost(prices.airPump(), power(AIR_PUMP_W_PER_IDEAL * ideal), Effort.MINUTES);
        }
        if (remedy instanceof Remedy.OtherSource other) {
            double gramsPerMonth = other.meqPerLPerDay()
                    / 1000
                    * setup.netVolumeL()
                    * other.source().gramsPerEquivalent()
                    * DAYS_PER_MONTH;
            return new Cost(0, gramsPerMonth / 1000 * pricePerKg(other.source()), Effort.AN_EVENING);
        }
        if (remedy instanceof Remedy.Refugium refugium) {
            double hours = refugium.light().litHours();
            return new Cost(prices.refugiumLamp(), power(REFUGIUM_LAMP_W) * hours / 24, Effort.AN_EVENING);
        }
        if (remedy instanceof Remedy.ReactorAfterCare) {
            return new Cost(prices.reactorChamber(), 0, Effort.AN_EVENING);
        }
        return remedy instanceof Remedy.SkimmerDraw || remedy instanceof Remedy.AlkalinityChange
                ? new Cost(0, 0, Effort.MINUTES)
                : Cost.NOTHING;
    }

    private Cost fan(double exchangeLPerH) {
        return exchangeLPerH >= Enclosure.Door.FAN.exchangeLPerH()
                ? new Cost(prices.fan(), power(FAN_W), Effort.MINUTES)
                : new Cost(0, 0, Effort.MINUTES);
    }

    /** Pure, per kilogram, in the amounts that a keeper buys. From memory. */
    private static double pricePerKg(AlkalinitySource source) {
        return switch (source) {
            case SODA_ASH, LIMEWATER -> 6;
            case BICARBONATE -> 4;
            case SODIUM_HYDROXIDE -> 9;
            case POTASSIUM_HYDROXIDE -> 14;
        };
    }

    private double power(double watts) {
        return watts / 1000 * HOURS_PER_MONTH * prices.electricityPerKWh();
    }

    /** Heat for so many more air changes an hour, in money a month of the heating season. */
    private double heat(double airChangesPerH) {
        double watts = airChangesPerH * roomM3 * AIR_WH_PER_M3_K * HEATED_K;
        return watts / 1000 * HOURS_PER_MONTH * prices.heatPerKWh();
    }
}
