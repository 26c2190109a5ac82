package jollytide.core.twin;

import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import jollytide.core.exchange.Gas;
import jollytide.core.media.Media;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import org.jspecify.annotations.Nullable;

/** A tank at one moment. Without followed carbon, what hangs on it is NaN. */
public final class TwinState {
    private static final double[] NO_RATES = {};

    private final TwinTank tank;
    private final Instant at;
    private final double[] y;
    private final double phNbs;
    private final double phTotal;
    private final double co2Uatm;
    private final double omega;
    private final double oxygenMgPerL;
    private final double roomPpm;

    TwinState(TwinTank tank, Instant at, double[] state) {
        this(new Moment(tank), 0, tank, at, state);
    }

    /** @param now to be moved there; its parts show their stocks first */
    TwinState(Moment now, double grainC, TwinTank tank, Instant at, double[] state) {
        this.tank = tank;
        this.at = at;
        this.y = state.clone();
        now.meet(at, y, NO_RATES, grainC);
        for (int i = 0; i < tank.parts().size(); i++) {
            now.turn(i).shows(now);
        }
        now.govern();
        phTotal = now.phTotal();
        phNbs = now.phNbs();
        co2Uatm = now.inWater(Gas.CO2) * 1e6;
        omega = now.omega();
        oxygenMgPerL = Math.max(0, now.oxygenMgPerL());
        roomPpm = now.in(Air.ROOM, Gas.CO2) / now.dryAtm() * 1e6;
    }

    public TwinTank tank() {
        return tank;
    }

    public Instant at() {
        return at;
    }

    double[] vector() {
        return y.clone();
    }

    /** What a part holds; empty when no part of this tank holds such. */
    public Optional<Double> held(Stock stock) {
        int place = tank.place(stock);
        return place < 0 ? Optional.empty() : Optional.of(y[place]);
    }

    /** The same tank with another value of one stock, at the same moment; the tank must hold it. */
    public TwinState with(Stock stock, double value) {
        return with(stock, old -> value);
    }

    public TwinState with(Stock stock, DoubleUnaryOperator change) {
        double[] other = vector();
        int place = tank.place(stock);
        other[place] = change.applyAsDouble(other[place]);
        return new TwinState(tank, at, other);
    }

    /** The same water at another time: the beginning of the same day over again. */
    public TwinState again(Instant when) {
        return new TwinState(tank, when, y);
    }

    /** Dissolved inorganic carbon. */
    public double dicMolPerKg() {
        return y[Water.AT_DIC];
    }

    /** Total alkalinity. */
    public double alkalinityMolPerKg() {
        return y[Water.AT_ALKALINITY];
    }

    public double calciumMolPerKg() {
        return y[Water.AT_CALCIUM];
    }

    /** Potassium above that of the start. */
    public double potassiumGainMolPerKg() {
        return y[Water.AT_POTASSIUM];
    }

    public double oxygenMgPerL() {
        return oxygenMgPerL;
    }

    public double phNbs() {
        return phNbs;
    }

    public double phTotal() {
        return phTotal;
    }

    public double oxygenMolPerKg() {
        return y[Water.AT_OXYGEN];
    }

    /** The water at its temperature now. */
    public Seawater seawater() {
        return new Seawater(
                tank.water().salinityPsu(), Math.max(0, Math.min(Seawater.MAX_TEMPERATURE_C, temperatureC())));
    }

    /** Pressure of CO2 in the water. */
    public double co2Uatm() {
        return co2Uatm;
    }

    public double omegaAragonite() {
        return omega;
    }

    /** Ω − 1, or nothing below saturation. */
    public double oversaturation() {
        return Math.max(0, omega - 1);
    }

    public double temperatureC() {
        return y[Water.AT_TEMPERATURE];
    }

    /** Ammonia nitrogen that nobody took up, mg/L. */
    public double ammoniaMgPerL() {
        return y[Water.AT_AMMONIA]
                * Gases.NITROGEN_MG_PER_MOL
                * tank.water().kg()
                / tank.water().litres();
    }

    /** CO2 of the tank's room, dry ppm. */
    public double roomPpm() {
        return roomPpm;
    }

    /** CO2 of the room next door, dry ppm; that of the tank's room without one. */
    public double secondPpm() {
        return held(RoomSpace.SECOND_CO2).orElse(roomPpm);
    }

    /** What the media before the first skimmer hold; null without. */
    public Media.@Nullable State media() {
        return held(MediaBed.CO2)
                .map(co2 -> new Media.State(co2, held(MediaBed.WATER).orElseThrow()))
                .orElse(null);
    }

    /** What crossed into the water since the run began, mol. */
    public GasBalance flows() {
        if (!tank.gasBalance()) {
            throw new IllegalStateException("this tank's runs keep no gas balance");
        }
        return GasBalance.of(tank.channels(), y, tank.flows());
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof TwinState that && at.equals(that.at) && Arrays.equals(y, that.y);
    }

    @Override
    public int hashCode() {
        return 31 * at.hashCode() + Arrays.hashCode(y);
    }

    @Override
    public String toString() {
        return "%s pH %.3f, %.2f mg/L O2, %.1f °C".formatted(at, phNbs, oxygenMgPerL, temperatureC());
    }
}
