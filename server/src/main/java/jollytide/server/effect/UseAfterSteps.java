package jollytide.server.effect;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import jollytide.core.dosingline.DosedLine;
import jollytide.core.dosingline.SingleDose;
import jollytide.core.dosingline.UseStep;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.core.measure.Setup;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.PhScale;
import jollytide.server.dosing.DosingService;
import jollytide.server.effect.EffectViews.Found;
import jollytide.server.effect.EffectViews.UseBeside;
import jollytide.server.twin.TwinBook;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Whether the use of alkalinity moved where pH did. */
@Component
class UseAfterSteps {
    /** Weekly tests of six weeks tell a use; more, and the reef has grown. From memory. */
    private static final Duration AT_MOST = Duration.ofDays(42);
    /** A step of pH that animals would notice. From memory. */
    private static final double PH_STEP = 0.05;

    private final DosingService doses;
    private final Histories histories;
    private final TwinBook book;

    UseAfterSteps(DosingService doses, Histories histories, TwinBook book) {
        this.doses = doses;
        this.histories = histories;
        this.book = book;
    }

    /**
     * What use is read from.
     *
     * @param moving the steps that move pH
     * @param tests of alkalinity, meq/L, in their order
     * @param byHand what was put in at once
     */
    record Known(
            TankHistory history,
            List<Step> moving,
            List<Reading> tests,
            List<SingleDose> byHand,
            List<DosedLine> lines,
            Setup setup) {}

    Known known(TankHistory history) {
        return new Known(
                history,
                history.steps().stream().filter(Step::moves).toList(),
                histories.read(history, Quantity.ALKALINITY, Place.TANK, Instant.EPOCH, history.now(), 1),
                doses.byHand(history.tank()),
                doses.dosed(history.tank()),
                book.setup(history.tank()));
    }

    /** Null where pH made no step, or too few tests stand on a side of it before the next change. */
    @Nullable
    UseBeside of(Known known, Step step, Found found) {
        boolean moved = Math.abs(found.effect().mean().raw()) >= PH_STEP
                || found.effect().trough().left().claimed();
        if (!moved) {
            return null;
        }
        Instant from = latest(
                step.at().minus(AT_MOST),
                known.moving().stream().map(Step::over).filter(t -> t.isBefore(step.at())));
        Instant until = earliest(
                earliest(known.history().now(), Stream.of(step.over().plus(AT_MOST))),
                known.moving().stream().map(Step::at).filter(t -> t.isAfter(step.over())));
        double litres = known.setup().netVolumeL();
        UseStep use = UseStep.of(
                level(known, from, step.at()),
                level(known, step.over(), until),
                DosedLine.arrivals(known.lines(), solution -> solution.meqPerMl() / litres));
        return use == null
                ? null
                : new UseBeside(
                        use,
                        use.said(),
                        known.lines().stream().anyMatch(l -> l.schedule().planned(from, until) > 0),
                        omega(
                                known,
                                tests(known, step.over(), until),
                                found.effect().peak().after()));
    }

    private static List<Reading> level(Known known, Instant from, Instant until) {
        return SingleDose.without(tests(known, from, until), known.byHand(), Quantity.ALKALINITY);
    }

    private static List<Reading> tests(Known known, Instant from, Instant until) {
        return known.tests().stream()
                .filter(t -> !t.at().isBefore(from) && t.at().isBefore(until))
                .toList();
    }

    /** Of aragonite at the day's peak, by what tests showed since. */
    private static double omega(Known known, List<Reading> tests, double peakNbs) {
        CarbonateSystem system = CarbonateSystem.of(known.setup().water());
        double meq = tests.stream().mapToDouble(Reading::value).average().orElseThrow();
        return system.fromPhAndAlkalinity(
                        system.constants().toTotal(peakNbs, PhScale.NBS),
                        meq / 1000 / known.setup().water().densityKgPerL())
                .omegaAragonite();
    }

    private static Instant latest(Instant floor, Stream<Instant> all) {
        return Stream.concat(Stream.of(floor), all).max(Instant::compareTo).orElseThrow();
    }

    private static Instant earliest(Instant ceiling, Stream<Instant> all) {
        return Stream.concat(Stream.of(ceiling), all).min(Instant::compareTo).orElseThrow();
    }
}
