package jollytide.core.twin;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.stream.IntStream;
import jollytide.core.exchange.Gas;
import jollytide.core.reef.CarbonLeft;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;

/**
 * What a part meets at one moment of a run, and where it says what it does. It is good during the call only: the run
 * moves it on.
 */
public final class Moment {
    private static final int AIRS = Air.values().length;
    private static final double MOL_PER_MICRO = 1e-6;
    /** What a part may note from one round to the next. */
    private static final int NOTES = 6;

    private final TwinTank tank;
    private final Part[] parts;
    private final int[] stockAt;
    private final int[] rowAt;
    private final int[] governing;
    private final int[] opening;
    private final boolean gasBalance;
    private final boolean carbon;
    private final double kg;
    private Instant at = Instant.EPOCH;
    private double[] y;
    private double[] rates;
    private int own;
    private int row;
    private int noted;
    private final double[] notes;
    private double[] warm = Part.NOTHING;
    private Warmth warmth;

    private double oxygenMgPerL;
    private double hydrogen = CarbonateSystem.ANY_HYDROGEN;
    private double waterCo2 = Double.NaN;
    private double waterOxygen;

    private final double[] known = new double[2 * AIRS];
    private final double[] source = new double[2 * AIRS];
    private final double[] openness = new double[2 * AIRS];

    Moment(TwinTank tank) {
        this.tank = tank;
        this.parts = tank.parts().toArray(Part[]::new);
        this.stockAt = IntStream.range(0, parts.length).map(tank::stockOf).toArray();
        this.rowAt = IntStream.range(0, parts.length)
                .map(i -> tank.flows() + 2 * tank.channelOf(i))
                .toArray();
        this.governing = places(Part.Governing.class);
        this.opening = places(Part.Opening.class);
        this.gasBalance = tank.gasBalance();
        this.carbon = tank.water().carbon();
        this.kg = tank.water().kg();
        this.notes = new double[NOTES * tank.parts().size()];
        this.y = new double[tank.size()];
        this.rates = new double[tank.size()];
        this.warmth = new Warmth(tank, tank.water().celsius());
    }

    /** What hangs on the temperature alone. */
    private static final class Warmth {
        final double celsius;
        final CarbonateSystem system;
        final double densityKgPerL;
        final double oxygenSolubility;
        final double dryAtm;
        final double[][] parts;

        Warmth(TwinTank tank, double celsius) {
            this.celsius = celsius;
            Water water = tank.water();
            Seawater at = new Seawater(water.salinityPsu(), Math.max(0, Math.min(Seawater.MAX_TEMPERATURE_C, celsius)));
            system = CarbonateSystem.of(at);
            densityKgPerL = at.densityKgPerL();
            oxygenSolubility = Gas.OXYGEN.solubility(at);
            dryAtm = Gases.uatmOverWater(1e6, water.pressureHpa(), at) * MOL_PER_MICRO;
            parts = tank.parts().stream().map(part -> part.warm(at)).toArray(double[][]::new);
        }
    }

    /** Moves to a state of the tank; what is said is written to {@code rates}. */
    void meet(Instant when, double[] state, double[] into, double grainC) {
        at = when;
        y = state;
        rates = into;
        Arrays.fill(rates, 0);
        double celsius = y[Water.AT_TEMPERATURE];
        if (!(Math.abs(celsius - warmth.celsius) <= grainC)) {
            warmth = new Warmth(tank, celsius);
        }
        oxygenMgPerL = y[Water.AT_OXYGEN] * Gases.OXYGEN_MG_PER_MOL * warmth.densityKgPerL;
        waterOxygen = y[Water.AT_OXYGEN] * warmth.densityKgPerL / warmth.oxygenSolubility;
        if (carbon) {
            CarbonateSystem system = warmth.system;
            hydrogen = system.hydrogen(y[Water.AT_ALKALINITY], y[Water.AT_DIC], hydrogen);
            waterCo2 = system.uatm(hydrogen, y[Water.AT_DIC]) * MOL_PER_MICRO;
        }
    }

    private int[] places(Class<? extends Part> kind) {
        return IntStream.range(0, parts.length)
                .filter(i -> kind.isInstance(parts[i]))
                .toArray();
    }

    /** The first round: which air is governed. */
    void govern() {
        Arrays.fill(known, Double.NaN);
        for (int i : governing) {
            ((Part.Governing) turn(i)).governs(this);
        }
    }

    /** The first two rounds: which air is where. */
    void settleAir() {
        govern();
        Arrays.fill(source, 0);
        Arrays.fill(openness, 0);
        for (int i : opening) {
            ((Part.Opening) turn(i)).opens(this);
        }
    }

    /** All three rounds. */
    void act() {
        settleAir();
        for (int i = 0; i < parts.length; i++) {
            turn(i).acts(this);
        }
    }

    /** The turn of a part: held and said by it from here on. */
    Part turn(int part) {
        own = stockAt[part];
        row = rowAt[part];
        warm = warmth.parts[part];
        noted = NOTES * part;
        return parts[part];
    }

    public Instant at() {
        return at;
    }

    /** Hours since another moment. */
    public double hoursSince(Instant then) {
        return Duration.between(then, at).toNanos() / 3.6e12;
    }

    /** So many hours from now. */
    public Instant inHours(double hours) {
        return at.plus(Duration.ofMillis(Math.round(hours * 3.6e6)));
    }

    /** What the part whose turn it is holds: its i-th stock. */
    public double held(int i) {
        return y[own + i];
    }

    /** Changes that stock by so much an hour. */
    public void change(int i, double perH) {
        rates[own + i] += perH;
    }

    /** Sets it, where a part decides or shows. */
    public void set(int i, double value) {
        y[own + i] = value;
    }

    /** The i-th of what the part made of the temperature. */
    public double warm(int i) {
        return warm[i];
    }

    /** Keeps a figure of an earlier round for a later one of the same moment, i from 0 to 5. */
    public void note(int i, double value) {
        notes[noted + i] = value;
    }

    public double noted(int i) {
        return notes[noted + i];
    }

    public double celsius() {
        return y[Water.AT_TEMPERATURE];
    }

    public double litres() {
        return tank.water().litres();
    }

    public double kg() {
        return kg;
    }

    public double oxygenMgPerL() {
        return oxygenMgPerL;
    }

    /** Share of the ordinary uptake that the water's carbon allows. */
    public double carbonLeft() {
        return carbon ? CarbonLeft.share(y[Water.AT_DIC]) : 1;
    }

    /** Likewise its alkalinity, of lime. */
    public double alkalinityLeft() {
        return carbon ? CarbonLeft.share(y[Water.AT_ALKALINITY]) : 1;
    }

    /** Not to be asked for where carbon is not followed. */
    public double alkalinityMolPerKg() {
        return y[Water.AT_ALKALINITY];
    }

    /** NaN where carbon is not followed; likewise what hangs on it. */
    public double phTotal() {
        return carbon ? -Math.log10(hydrogen) : Double.NaN;
    }

    public double phNbs() {
        return warmth.system.constants().toNbs(phTotal());
    }

    /** Saturation of aragonite at the water's own calcium; fresh water has nothing to be saturated with. */
    public double omega() {
        if (!carbon) {
            return Double.NaN;
        }
        boolean salt = warmth.system.constants().kspAragonite() > 0 && warmth.system.calcium() > 0;
        return salt ? warmth.system.omegaAragonite(hydrogen, y[Water.AT_DIC], y[Water.AT_CALCIUM]) : 0;
    }

    /** Pressure of a gas in the water, atm. */
    public double inWater(Gas gas) {
        return gas == Gas.CO2 ? waterCo2 : waterOxygen;
    }

    /** Dry air over the water, atm. */
    public double dryAtm() {
        return warmth.dryAtm;
    }

    /** The part governs an air with this pressure of a gas, atm. */
    public void govern(Air air, Gas gas, double atm) {
        known[at(air, gas)] = atm;
    }

    /** The same as dry ppm of CO2; oxygen is that of ordinary air. */
    public void govern(Air air, double co2Ppm) {
        govern(air, Gas.CO2, co2Ppm * MOL_PER_MICRO * dryAtm());
        govern(air, Gas.OXYGEN, Gas.OXYGEN_IN_AIR * dryAtm());
    }

    /**
     * Boxed air follows within minutes what the tank does in hours, so it is taken as settled: what flows into it is
     * {@code source − openness × pressure}, summed over all that lies open to it.
     */
    public void open(Air air, Gas gas, double ofSource, double ofOpenness) {
        source[at(air, gas)] += ofSource;
        openness[at(air, gas)] += ofOpenness;
    }

    /** Pressure of a gas in an air, atm: governed, else settled; the room's where there is no such air. */
    public double in(Air air, Gas gas) {
        int i = at(air, gas);
        if (!Double.isNaN(known[i])) {
            return known[i];
        }
        double settled = source[i] / openness[i];
        return Double.isNaN(settled) ? known[at(Air.ROOM, gas)] : settled;
    }

    private static int at(Air air, Gas gas) {
        return 2 * air.place() + (gas == Gas.CO2 ? 0 : 1);
    }

    /** So much enters the water, mol/h, by the part's i-th row of the gas balance. */
    public void gain(int i, double co2, double oxygen) {
        if (carbon) {
            rates[Water.AT_DIC] += co2 / kg;
        }
        if (gasBalance) {
            rates[row + 2 * i] += carbon ? co2 : 0;
            rates[row + 2 * i + 1] += oxygen;
        }
        rates[Water.AT_OXYGEN] += oxygen / kg;
    }

    /** So much enters the water, mol/h. */
    public void dissolve(double alkalinity, double calcium, double potassium) {
        rates[Water.AT_ALKALINITY] += alkalinity / kg;
        rates[Water.AT_CALCIUM] += calcium / kg;
        rates[Water.AT_POTASSIUM] += potassium / kg;
    }

    /** Ammonia and ammonium that nobody takes up, mol/h. */
    public void foul(double ammonia) {
        rates[Water.AT_AMMONIA] += ammonia / kg;
    }

    public void warmBy(double kelvinPerH) {
        rates[Water.AT_TEMPERATURE] += kelvinPerH;
    }
}
