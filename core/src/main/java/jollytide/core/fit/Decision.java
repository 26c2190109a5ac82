package jollytide.core.fit;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.air.AirLine;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Estimate;
import jollytide.core.measure.Agitation;
import jollytide.core.measure.AlkalinityChange;
import jollytide.core.measure.Measure;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.OutdoorLine;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerDraw;
import jollytide.core.measure.Ventilation;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.scenario.OrdinaryDays.SettledDay;
import jollytide.core.twin.TwinState;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/** What a keeper decides by, and what its doubt is therefore measured in. */
public enum Decision {
    TROUGH("your daily low", false),
    LINE_GAIN("the gain of an outdoor hose", true),
    WINDOW_GAIN("the gain of an open window", false),
    SURFACE_GAIN("the gain of more surface movement", false),
    ALKALINITY_GAIN("the gain of one dKH more", false),
    TROUGH_WITHOUT_SKIMMER("the daily low with the skimmer off", true),
    OXYGEN_WITHOUT_SKIMMER("the lowest oxygen with the skimmer off", true);

    /** Five days are three time constants of all but the stillest tanks. */
    private static final Duration RUN = Duration.ofDays(5);

    private static final Duration DAY = Duration.ofDays(1);

    private static final double WINDOW_TIMES = 4;
    private static final double SURFACE_TIMES = 3;
    /** Six metres of half-inch hose. */
    private static final AirLine HOSE = new AirLine(6, 12.7, AirLine.ASSUMED_LOSS);

    private final String label;
    private final boolean skimmer;

    Decision(String label, boolean skimmer) {
        this.label = label;
        this.skimmer = skimmer;
    }

    /** Whether it is what a measure would add to the trough. */
    boolean gain() {
        return this == LINE_GAIN || this == WINDOW_GAIN || this == SURFACE_GAIN || this == ALKALINITY_GAIN;
    }

    public String label() {
        return label;
    }

    /** Those that a tank has. Without a skimmer the least oxygen is that of its ordinary night. */
    public static List<Decision> of(Setup setup) {
        return List.of(values()).stream()
                .filter(d -> !d.skimmer || setup.skimmer() != null || d == OXYGEN_WITHOUT_SKIMMER)
                .toList();
    }

    /**
     * Each of {@link #of}, for one tank: pH, gains of the trough in pH, oxygen in mg/L. NaN where that measure would leave
     * no water: a tank without its skimmer that suffocates.
     */
    public static double[] values(Setup setup, TankParameters tank, Instant at) {
        OrdinaryDays days = new OrdinaryDays(setup, tank);
        TwinState today = days.today(at);
        SettledDay asItIs = days.settled(today, MeasureSet.NONE, DAY);
        SettledDay still = setup.skimmer() == null ? asItIs : settled(days, today, new SkimmerDraw(0));
        return of(setup).stream()
                .mapToDouble(decision -> switch (decision) {
                    case TROUGH -> asItIs.troughPh();
                    case TROUGH_WITHOUT_SKIMMER -> still == null ? Double.NaN : still.troughPh();
                    case OXYGEN_WITHOUT_SKIMMER -> still == null ? Double.NaN : still.lowestOxygenMgPerL();
                    case LINE_GAIN, WINDOW_GAIN, SURFACE_GAIN, ALKALINITY_GAIN -> {
                        SettledDay day = settled(days, today, decision.measure());
                        yield day == null ? Double.NaN : day.troughPh() - asItIs.troughPh();
                    }
                })
                .toArray();
    }

    /**
     * A decision and how far it is open.
     *
     * @param value pH, or mg/L for oxygen; null where the most probable tank cannot be run
     */
    public record Open(Decision decision, @Nullable Estimate value) {
        /** How wide its band is; 0 where there is none. */
        public double width() {
            return value == null ? 0 : value.high() - value.low();
        }

        /** By how much its band is narrower than before: 0.4 where it lost two fifths, below 0 where it grew. */
        public double narrowedSince(Open before) {
            return before.width() == 0 || value == null ? 0 : 1 - width() / before.width();
        }
    }

    /** Each of {@link #of}, as far as the tanks that could be behind a log leave it open; the most probable one first. */
    public static List<Open> open(Setup setup, List<TankParameters> tanks, Instant at) {
        List<double[]> values =
                tanks.parallelStream().map(tank -> values(setup, tank, at)).toList();
        List<Decision> decisions = of(setup);
        return IntStream.range(0, decisions.size())
                .mapToObj(i -> {
                    List<Double> ofAll = values.stream()
                            .map(v -> v[i])
                            .filter(v -> !v.isNaN())
                            .toList();
                    boolean runs = !ofAll.isEmpty() && !Double.isNaN(values.get(0)[i]);
                    return new Open(decisions.get(i), runs ? OrdinaryDays.band(ofAll) : null);
                })
                .toList();
    }

    /** Null where that measure would leave no water. */
    private static @Nullable SettledDay settled(OrdinaryDays days, TwinState today, Measure measure) {
        try {
            return days.settled(today, MeasureSet.of(measure), RUN);
        } catch (InputException leftWhatWaterCanBe) {
            return null;
        }
    }

    private Measure measure() {
        return switch (this) {
            case LINE_GAIN -> new OutdoorLine(HOSE, null, 0);
            case WINDOW_GAIN -> new Ventilation(WINDOW_TIMES);
            case SURFACE_GAIN -> new Agitation(SURFACE_TIMES);
            case ALKALINITY_GAIN -> new AlkalinityChange(AlkalinityUnit.DKH.toMeqPerL(1));
            case TROUGH, TROUGH_WITHOUT_SKIMMER, OXYGEN_WITHOUT_SKIMMER -> new SkimmerDraw(0);
        };
    }
}
