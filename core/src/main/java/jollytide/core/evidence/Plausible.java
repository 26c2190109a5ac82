package jollytide.core.evidence;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What keepers' tanks usually read. A value outside is possible and is asked about before it counts; where another unit of
 * the same quantity makes it usual, that is the likely slip. Spans are common practice.
 */
public final class Plausible {
    private Plausible() {}

    /** The same number in another unit. */
    public record Slip(RawUnit unit, double value) {}

    /**
     * Why a value is asked about.
     *
     * @param usual such as "5–14 dKH"
     * @param slips in which it would be usual; none where nothing makes it so
     */
    public record Doubt(String usual, List<Slip> slips) {}

    private record Span(double least, double most) {
        boolean holds(double value) {
            return value >= least && value <= most;
        }
    }

    private static Span span(RawUnit unit) {
        return switch (unit) {
            case PH_NBS -> new Span(7.4, 8.8);
            case PH_TOTAL -> new Span(7.3, 8.7);
            case DKH -> new Span(5, 14);
            case MEQ_PER_L -> new Span(1.8, 4.99);
            case PPM_CACO3 -> new Span(90, 250);
            case CELSIUS -> new Span(18, 32);
            case FAHRENHEIT -> new Span(64, 90);
            case PSU -> new Span(27, 40);
            case SG_25, SG_20 -> new Span(1.018, 1.031);
            case MS_PER_CM -> new Span(42, 60);
            case CALCIUM_MG_PER_L -> new Span(300, 550);
            case POTASSIUM_MG_PER_L -> new Span(280, 600);
            case MAGNESIUM_MG_PER_L -> new Span(1000, 1700);
            case AMMONIUM_MG_PER_L -> new Span(0, 5);
            case AMMONIA_N_MG_PER_L -> new Span(0, 4);
            case NITRITE_MG_PER_L -> new Span(0, 10);
            case NITRITE_N_MG_PER_L -> new Span(0, 3);
            case OXYGEN_MG_PER_L -> new Span(3, 10);
            case OXYGEN_MG_PER_L_FRESH -> new Span(3.5, 13);
            case OXYGEN_PERCENT -> new Span(45, 150);
            case CO2_PPM, CO2_PPM_UNCOMPENSATED -> new Span(350, 6000);
        };
    }

    /** Empty where a value is usual. */
    public static Optional<Doubt> doubt(RawUnit unit, double value) {
        Span span = span(unit);
        if (span.holds(value)) {
            return Optional.empty();
        }
        List<Slip> slips = Arrays.stream(RawUnit.values())
                .filter(other -> other != unit && other.quantity() == unit.quantity())
                .filter(other -> span(other).holds(value))
                .map(other -> new Slip(other, value))
                .toList();
        return Optional.of(new Doubt(number(span.least) + "–" + number(span.most) + " " + unit.symbol(), slips));
    }

    private static String number(double value) {
        return value == Math.rint(value)
                ? String.format(Locale.ROOT, "%.0f", value)
                : String.format(Locale.ROOT, "%s", value);
    }
}
