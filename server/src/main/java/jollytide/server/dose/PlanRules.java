package jollytide.server.dose;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.stream.Collectors;
import jollytide.core.doses.LineRules;
import jollytide.core.doses.Stop;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.measure.Setup;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.PhScale;
import jollytide.core.units.InputException;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.twin.TwinBook;
import org.hipparchus.stat.descriptive.rank.Median;
import org.springframework.stereotype.Component;

/** What must hold of the lines of a tank, with the water and the other lines that it has. */
@Component
class PlanRules {
    private static final Duration DAYS_OF_PEAKS = Duration.ofDays(14);
    /** Where no pH was logged; the higher, the stricter. Common practice. */
    private static final double ASSUMED_PEAK_PH = 8.2;

    private final DosingLines lines;
    private final ReadingService readings;
    private final TwinBook book;
    private final Clock clock;

    PlanRules(DosingLines lines, ReadingService readings, TwinBook book, Clock clock) {
        this.lines = lines;
        this.readings = readings;
        this.book = book;
        this.clock = clock;
    }

    /** What other lines brought in days that are over stops nothing any more. */
    void mayBring(Tank tank, DosingLine line, double mlPerDay, Instant since) {
        Instant from = since.isBefore(clock.instant()) ? clock.instant() : since;
        List<Stop> stops = rules(tank)
                .with(others(line, lines.findAllOf(tank.id()), from))
                .stops(line.planned(mlPerDay), line.vesselMl);
        if (!stops.isEmpty()) {
            throw refused(line, mlPerDay, stops);
        }
    }

    private static InputException refused(DosingLine line, double mlPerDay, List<Stop> stops) {
        Stop first = stops.get(0);
        String because = stops.stream().map(Stop::because).collect(Collectors.joining(" "));
        String most = "at most " + Math.floor(first.mostMlPerDay());
        return switch (first.rule()) {
            case AT_ONCE -> new InputException("vesselMl", line.vesselMl, most + " mL", because);
            case APART -> new InputException("times", mlPerDay, "15 minutes apart", because);
            case SAME_PLACE -> new InputException("place", mlPerDay, "another place", because);
            case NO_REMEDY -> new InputException("solute", mlPerDay, "a source of alkalinity or calcium", because);
            case EVAPORATION, CLIMB, SINGLE_DOSE ->
                new InputException("mlPerDay", mlPerDay, most + " mL a day", because);
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
        double[] peaks = readings.observed(tank, Quantity.PH, Place.TANK, now.minus(DAYS_OF_PEAKS), now, 1).stream()
                .collect(Collectors.groupingBy(
                        o -> LocalDate.ofInstant(o.at(), tank.home().zone()),
                        Collectors.summarizingDouble(Observation::value)))
                .values()
                .stream()
                .mapToDouble(DoubleSummaryStatistics::getMax)
                .toArray();
        double peak = peaks.length == 0 ? ASSUMED_PEAK_PH : new Median().evaluate(peaks);
        return new LineRules(
                setup.netVolumeL(),
                system,
                system.fromPhAndAlkalinity(system.constants().toTotal(peak, PhScale.NBS), perKg),
                book.evaporationLPerDay(tank),
                setup.useMeqPerLPerDay(),
                LineRules.Beside.NOTHING);
    }

    /** What a line's plan breaks today: use and evaporation are others than when it was made. */
    static List<String> stopped(LineRules rules, DosingLine line, List<DosingLine> all, Instant now) {
        double mlPerDay = line.schedule().mlPerDay(now);
        return mlPerDay <= 0
                ? List.of()
                : rules.with(others(line, all, now)).stops(line.planned(mlPerDay), line.vesselMl).stream()
                        .map(Stop::because)
                        .toList();
    }
}
