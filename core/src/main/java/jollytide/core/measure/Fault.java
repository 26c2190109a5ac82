package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import jollytide.core.air.Enclosure;
import jollytide.core.reef.CalciumReactor;
import org.jspecify.annotations.Nullable;

/**
 * Something of a tank that does not do what it is there for. It stands on a tank like a measure, beside those that do.
 *
 * @param size in what its part is measured in; 0 changes nothing
 */
public record Fault(Of of, double size) implements Measure {
    /** By the clock: when a mouth near a flue or a street is taken to be foul. From memory. */
    static final double NIGHT_FROM = 20;

    static final double NIGHT_UNTIL = 8;
    private static final double LEAST_EFFLUENT_PH = 5.5;

    /** What is at fault, and in what its size is. */
    public enum Of {
        /** Share of what should come through the hose that a second inlet lets in, 0 to 1. */
        SECOND_INLET,
        /** What the air at the hose's mouth holds more by night, ppm. */
        FOUL_MOUTH,
        /** Natural logarithm of what stones carry, over before; never above 0. */
        STONES,
        /** Whether nothing passes the media any more that they take: 1. */
        MEDIA,
        /** Natural logarithm of the air that passes the cabinet, over before. */
        CABINET,
        /** Likewise the canopy. */
        CANOPY,
        /** By how much the lamps go off too early, h. */
        LAMPS,
        /** By how much more acid the reactor's effluent is than described, pH. */
        REACTOR
    }

    public Fault {
        within(
                "faultSize",
                size,
                switch (of) {
                    case STONES, CABINET, CANOPY -> -10;
                    default -> 0;
                },
                switch (of) {
                    case SECOND_INLET, MEDIA -> 1;
                    case STONES, CABINET, CANOPY -> 0;
                    case FOUL_MOUTH -> 5000;
                    case LAMPS -> 24;
                    case REACTOR -> 2.5;
                },
                "");
    }

    @Override
    public Way way() {
        return Way.A_FAULT;
    }

    @Override
    public void on(Rig rig) {
        switch (of) {
            case SECOND_INLET -> rig.skimmer().secondInlet = size;
            case FOUL_MOUTH -> rig.skimmer().foulByNightPpm = size;
            case STONES -> rig.stoneTimes = Math.exp(size);
            case MEDIA -> {
                if (size > 0) {
                    rig.skimmer().media = null;
                }
            }
            case CABINET -> rig.cabinet = stuffier(rig.cabinet);
            case CANOPY -> rig.canopy = stuffier(rig.canopy);
            case LAMPS -> rig.lampsShorterH = size;
            case REACTOR -> {
                var care = rig.reactorCare;
                rig.reactorCare = today -> sourer(care.apply(today));
            }
        }
    }

    private @Nullable Enclosure stuffier(@Nullable Enclosure box) {
        return box == null ? null : new Enclosure(Math.max(1, box.exchangeLPerH() * Math.exp(size)));
    }

    private CalciumReactor sourer(CalciumReactor today) {
        return new CalciumReactor(
                today.effluentLPerH(),
                Math.max(LEAST_EFFLUENT_PH, today.effluentPhNbs() - size),
                today.effluentMeqPerL(),
                today.secondChamberShare(),
                today.dripShare());
    }
}
