package jollytide.server.dosing;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import jollytide.core.dosingline.LineRules;
import jollytide.core.dosingline.PiledUp;
import jollytide.core.dosingline.SingleDose;
import jollytide.core.dosingline.Stop;
import jollytide.core.dosingline.VesselGuard;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.Trace;
import jollytide.core.measure.Setup;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.PhScale;
import jollytide.core.units.InputException;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.twin.TwinBook;
import org.hipparchus.stat.descriptive.rank.Median;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What must hold of the lines of a tank, with the water and the other lines that it has. */
@Component
class PlanRules {
    private static final Duration SALT_TEST_COUNTS = Duration.ofDays(60);
    private static final Duration DAYS_OF_PEAKS = Duration.ofDays(14);
    /** Where no pH was logged; the higher, the stricter. Common practice. */
    private static final double ASSUMED_PEAK_PH = 8.2;

    private final DosingLines lines;
    private final ReadingService readings;
    private final TwinBook book;
    private final HandBook byHand;
    private final Clock clock;

    PlanRules(DosingLines lines, ReadingService readings, TwinBook book, HandBook byHand, Clock clock) {
        this.byHand = byHand;
        this.lines = lines;
        this.readings = readings;
        this.book = book;
        this.clock = clock;
    }

    /** What other lines brought in days that are over stops nothing any more. */
    void mayBring(Tank tank, DosingLine line, double mlPerDay, Instant since) {
        Instant from = since.isBefore(clock.instant()) ? clock.instant() : since;
        LineRules rules = rules(tank).with(others(line, lines.findAllOf(tank.id()), from));
        LineRules.Planned planned = line.planned(mlPerDay);
        List<Stop> stops = rules.stops(planned);
        if (!stops.isEmpty()) {
            throw refused(mlPerDay, stops, Math.floor(rules.most(planned, mlPerDay)));
        }
    }

    /** A vessel that would kill when it empties at once is not started while nothing prevents that. */
    void mayStart(Tank tank, DosingLine line) {
        LineRules.Emptied emptied = rules(tank).emptied(line.solution(), line.vesselMl);
        if (emptied.kills() && !line.guard().holds()) {
            throw new InputException(
                    line.siphon == null || line.siphon == VesselGuard.Siphon.NOTHING ? "siphon" : "stuck",
                    line.vesselMl,
                    "a protection, or a smaller vessel",
                    emptied(emptied) + " Choose what prevents a siphon and what stops a stuck pump.");
        }
    }

    static String emptied(LineRules.Emptied emptied) {
        return String.format(
                Locale.ROOT,
                "If the whole vessel empties at once, alkalinity rises by %.1f dKH and pH to %.1f. Animals "
                        + "would die.",
                emptied.dkh(),
                emptied.phNbs());
    }

    /** @param most that passes every rule: what a refusal names is accepted */
    private static InputException refused(double mlPerDay, List<Stop> stops, double most) {
        String because = stops.stream().map(Stop::because).collect(Collectors.joining(" "));
        return switch (stops.get(0).rule()) {
            case APART -> new InputException("times", mlPerDay, "15 minutes apart", because);
            case SAME_PLACE -> new InputException("place", mlPerDay, "another place", because);
            case NO_REMEDY -> new InputException("solute", mlPerDay, "a source of alkalinity or calcium", because);
            case HIGH_PH -> new InputException("solute", mlPerDay, "soda ash or bicarbonate, or a lower pH", because);
            case EVAPORATION, CLIMB, AT_ONCE, CALCIUM, POTASSIUM, MAGNESIUM, SINGLE_DOSE ->
                new InputException(
                        "mlPerDay",
                        mlPerDay,
                        String.format(Locale.ROOT, "at most %.0f mL a day", most),
                        because + String.format(Locale.ROOT, " At most %.0f mL a day is accepted.", most));
        };
    }

    /** What the other lines bring at the most, from then on. */
    static LineRules.Beside others(DosingLine line, List<DosingLine> all, Instant from) {
        return all(all.stream().filter(l -> !l.id.equals(line.id)).toList(), from);
    }

    /** What lines bring at the most, from then on. */
    static LineRules.Beside all(List<DosingLine> lines, Instant from) {
        LineRules.Beside all = LineRules.Beside.NOTHING;
        for (DosingLine line : lines) {
            all = all.and(line.planned(line.schedule().mostMlPerDay(from)));
        }
        return all;
    }

    LineRules rules(Tank tank) {
        Instant now = clock.instant();
        Setup setup = book.setup(tank);
        CarbonateSystem system = CarbonateSystem.of(setup.water());
        double perKg = setup.alkalinityMeqPerL() / 1000 / setup.water().densityKgPerL();
        return new LineRules(
                setup.netVolumeL(),
                system,
                system.fromPhAndAlkalinity(system.constants().toTotal(dailyHigh(tank, setup, now), PhScale.NBS), perKg),
                book.evaporationLPerDay(tank),
                setup.useMeqPerLPerDay(),
                LineRules.Beside.NOTHING,
                salts(tank, setup.netVolumeL(), now));
    }

    /**
     * pH on the NBS scale: the middle one of the days that were logged round the clock. Tests at some hours miss it, so
     * without such days it is the highest of what they show and what the twin expects.
     */
    private double dailyHigh(Tank tank, Setup setup, Instant now) {
        List<Observation> read = readings.observed(tank, Quantity.PH, Place.TANK, now.minus(DAYS_OF_PEAKS), now, 1);
        double[] logged = Trace.days(read, tank.home().zone()).values().stream()
                .mapToDouble(day -> day.peak().value())
                .toArray();
        if (logged.length > 0) {
            return new Median().evaluate(logged);
        }
        double tested = read.stream().mapToDouble(Observation::value).max().orElse(ASSUMED_PEAK_PH);
        return Math.max(tested, book.dailyHigh(tank, setup).orElse(ASSUMED_PEAK_PH));
    }

    /** Calcium by the newest test of two months; the others from theirs on, by what was brought and changed since. */
    private LineRules.Salts salts(Tank tank, double litres, Instant now) {
        Observation calcium = tested(tank, Quantity.CALCIUM, now);
        return new LineRules.Salts(
                calcium == null ? LineRules.Salts.USUAL_CALCIUM : calcium.value(),
                potassium(tank, litres, now),
                piledUp(tank, PiledUp.MAGNESIUM, litres, now),
                0,
                changedPerDay(tank, now));
    }

    private @Nullable Observation tested(Tank tank, Quantity quantity, Instant now) {
        return readings.observed(tank, quantity, Place.TANK, now.minus(SALT_TEST_COUNTS), now, 1).stream()
                .reduce((earlier, later) -> later)
                .orElse(null);
    }

    /** mg/L. */
    double potassium(Tank tank, double litres, Instant now) {
        return piledUp(tank, PiledUp.POTASSIUM, litres, now);
    }

    private double piledUp(Tank tank, PiledUp what, double litres, Instant now) {
        List<PiledUp.Line> all = lines.findAllOf(tank.id()).stream()
                .map(line -> new PiledUp.Line(line.solution(), line.schedule()))
                .toList();
        return what.mgPerL(all, byHand.of(tank), litres, tested(tank, what.quantity(), now), now);
    }

    /** Share of the water changed a day, of the last two months; at most all of it. */
    private double changedPerDay(Tank tank, Instant now) {
        double share = byHand.of(tank).stream()
                .filter(dose -> dose.at().isAfter(now.minus(SALT_TEST_COUNTS)))
                .mapToDouble(dose -> dose instanceof SingleDose.WaterChange change ? change.share() : 0)
                .sum();
        return Math.min(1, share / SALT_TEST_COUNTS.toDays());
    }

    /** What a line's plan breaks today: use and evaporation are others than when it was made. */
    static List<String> stopped(LineRules rules, DosingLine line, List<DosingLine> all, Instant now) {
        double mlPerDay = line.schedule().mlPerDay(now);
        return mlPerDay <= 0
                ? List.of()
                : rules.with(others(line, all, now)).stops(line.planned(mlPerDay)).stream()
                        .map(Stop::because)
                        .toList();
    }
}
