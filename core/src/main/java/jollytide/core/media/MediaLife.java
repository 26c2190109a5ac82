package jollytide.core.media;

import static jollytide.core.units.Quantities.within;

import jollytide.core.evidence.Estimate;
import jollytide.core.media.Media.State;
import jollytide.core.media.Media.Stream;
import jollytide.core.seawater.Seawater;
import org.jspecify.annotations.Nullable;

/**
 * How long a fill lasts in a given use, hour by hour.
 *
 * @param litresPerH air through the media while they are in use
 * @param freshPpm CO2 of the fresh air, dry ppm
 * @param freshVapourGPerM3 water vapour of the fresh air
 * @param exhaustPpm CO2 of the skimmer's exhaust, dry ppm
 * @param freshShare of the air in use; the rest is exhaust led back, 0 to 1. A loop leaks at least what is assumed
 * @param hoursPerDay in use, 0 to 24; for the rest of the day the same draw of fresh air passes them only if
 *     {@code driesBetween}
 */
public record MediaLife(
        Media media,
        Seawater tank,
        double litresPerH,
        double freshPpm,
        double freshVapourGPerM3,
        double exhaustPpm,
        double freshShare,
        double hoursPerDay,
        boolean driesBetween) {
    /** Longer than this no prediction is made, days. */
    public static final int LONGEST_DAYS = 400;

    private static final int STEPS_PER_HOUR = 2;
    /** The efficiency fades towards the end without ever reaching it; this much used counts as all. */
    private static final double ALL_BUT = 0.97;

    public MediaLife {
        within("litresPerH", litresPerH, 1, 20_000, "L/h");
        within("freshPpm", freshPpm, 250, 20_000, "ppm");
        within("freshVapourGPerM3", freshVapourGPerM3, 0, 60, "g/m³");
        within("exhaustPpm", exhaustPpm, 0, 20_000, "ppm");
        within("freshShare", freshShare, 0, 1, "");
        within("hoursPerDay", hoursPerDay, 0.5, 24, "h");
    }

    /** What ends a fill. */
    public enum End {
        SPENT,
        DROWNED,
        NEITHER
    }

    /**
     * The life ahead.
     *
     * @param colourDay when {@code fullUntil} of the capacity is used: the colour has moved that far up the column;
     *     null when it never gets there
     * @param endDay when it stops; {@link #LONGEST_DAYS} when it does not
     * @param halfDay when they take out half of what they did when fresh; null when they never get there
     * @param daysByCo2 that the capacity alone would last
     * @param daysByWater that the water alone would last; null when it does not gain
     * @param usedAtEnd share of the capacity used by then
     */
    public record Life(
            End end,
            double endDay,
            @Nullable Double colourDay,
            @Nullable Double halfDay,
            double daysByCo2,
            @Nullable Double daysByWater,
            double usedAtEnd) {}

    public Life life() {
        return from(media.fresh());
    }

    /** The same from a state part-way. */
    public Life from(State start) {
        State state = start;
        Double colour = null;
        Double half = null;
        double dt = 1.0 / STEPS_PER_HOUR;
        int steps = LONGEST_DAYS * 24 * STEPS_PER_HOUR;
        End end = End.NEITHER;
        double endDay = LONGEST_DAYS;
        for (int i = 0; i < steps; i++) {
            double day = i * dt / 24;
            if (colour == null && media.used(state) >= media.assumed().fullUntil()) {
                colour = day;
            }
            if (half == null && media.efficiency(state) <= media.efficiency(media.fresh()) / 2) {
                half = day;
            }
            boolean drowned = media.drowned(state);
            if (drowned || media.used(state) >= ALL_BUT) {
                end = drowned ? End.DROWNED : End.SPENT;
                endDay = day;
                break;
            }
            state = after(state, dt, i * dt % 24 < hoursPerDay);
        }
        double takenPerDay = mixedPpm() * 1e-6 * litresPerH * hoursPerDay / Media.L_PER_MOL;
        double left = media.capacityMol() - start.co2Mol();
        Double byWater = end == End.DROWNED ? Double.valueOf(endDay) : null;
        return new Life(end, endDay, colour, half, left / takenPerDay, byWater, media.used(state));
    }

    /** What a fill holds that was {@code start} so many days ago. */
    public State after(State start, double days) {
        State state = start;
        double dt = 1.0 / STEPS_PER_HOUR;
        for (int i = 0; i * dt < Math.min(days, LONGEST_DAYS) * 24; i++) {
            state = after(state, dt, i * dt % 24 < hoursPerDay);
        }
        return state;
    }

    private State after(State state, double hours, boolean inUse) {
        if (!inUse && !driesBetween) {
            return state;
        }
        double fresh = inUse ? media.assumed().fresh(freshShare) : 1;
        Stream stream = new Stream(
                litresPerH,
                inUse ? mixedPpm() : freshPpm,
                fresh * freshVapourGPerM3 + (1 - fresh) * Media.exhaustGPerM3(tank));
        Media.Rates rates = media.rates(state, stream, tank.temperatureC());
        double dry = Math.max(0.005 * media.massKg(), state.waterKg() + rates.waterKgPerH() * hours);
        return new State(state.co2Mol() + rates.co2MolPerH() * hours, dry);
    }

    private double mixedPpm() {
        double fresh = media.assumed().fresh(freshShare);
        return fresh * freshPpm + (1 - fresh) * exhaustPpm;
    }

    /**
     * The end day between the least and the most capacity and the most and the least cooling that are assumed: what
     * drowns in two days in a cold corner may never drown in a warm one.
     */
    public Estimate endDays() {
        MediaAssumptions assumed = media.assumed();
        double low = with(assumed.withCapacity(MediaAssumptions.LEAST_CAPACITY_L_PER_KG)
                        .withCooling(MediaAssumptions.MOST_COOLING)
                        .tight())
                .life()
                .endDay();
        double high = with(assumed.withCapacity(MediaAssumptions.MOST_CAPACITY_L_PER_KG)
                        .withCooling(MediaAssumptions.LEAST_COOLING))
                .life()
                .endDay();
        double likely = life().endDay();
        return new Estimate(likely, Math.min(low, likely), Math.max(high, likely));
    }

    private MediaLife with(MediaAssumptions assumed) {
        return new MediaLife(
                new Media(media.massKg(), assumed),
                tank,
                litresPerH,
                freshPpm,
                freshVapourGPerM3,
                exhaustPpm,
                freshShare,
                hoursPerDay,
                driesBetween);
    }
}
