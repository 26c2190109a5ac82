package jollytide.core.scenario;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import jollytide.core.description.DailyAir;
import jollytide.core.evidence.Estimate;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.Rig;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerRig;
import jollytide.core.media.Media;
import jollytide.core.media.Media.State;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Intake;
import jollytide.core.twin.MediaBed;
import jollytide.core.twin.MediaInStream;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.TwinTank;
import jollytide.core.twin.Water;
import org.jspecify.annotations.Nullable;

/**
 * A fill of media alone, in a given use: how long it lasts.
 *
 * @param litresPerH air through the media while they are in use
 * @param freshPpm CO2 of the fresh air, dry ppm
 * @param freshVapourGPerM3 water vapour of the fresh air
 * @param exhaustPpm CO2 of the skimmer's exhaust, dry ppm
 * @param freshShare of the air in use; the rest is recirculated exhaust, 0 to 1. A loop leaks at least what is assumed
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

    private static final Instant FILLED = Instant.EPOCH;
    private static final Duration EVERY = Duration.ofHours(2);
    /** Between two switches its stream stays as it is. */
    private static final double LONGEST_STEP_H = 12;
    /** Water that it stands in for: only its temperature is read. */
    private static final double ANY_LITRES = 100;

    /** The efficiency fades towards the end without ever reaching it; this much used counts as all. */
    private static final double ALL_BUT = 0.97;

    /** CO2 of a skimmer's exhaust where nobody measured it, ppm. From memory. */
    public static final double ASSUMED_EXHAUST_PPM = 650;

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

    private static final int SAMPLES_PER_DAY = 96;
    private static final double LEAST_HOURS = 0.5;

    /**
     * Of media on a tank: null when none are put on, no skimmer draws air, or they are hardly ever in use.
     *
     * @param run of the tank with them on; its first day tells water and room
     */
    public static @Nullable MediaLife of(Setup setup, Rig rig, List<TwinState> run) {
        SkimmerRig skimmer = rig.withMedia().orElse(null);
        MediaUse use = skimmer == null ? null : skimmer.media();
        if (skimmer == null || use == null) {
            return null;
        }
        List<TwinState> day = run.subList(0, Math.min(SAMPLES_PER_DAY, run.size()));
        double hours = hoursPerDay(setup, use, day);
        if (hours < LEAST_HOURS) {
            return null;
        }
        double room = mean(day, TwinState::roomPpm);
        DailyAir mouth = skimmer.hose() == null ? null : skimmer.hose().mouth();
        double outdoors = mouth == null ? setup.outdoorPpm() : mouth.mean();
        double fresh = skimmer.outdoorShare() * outdoors + (1 - skimmer.outdoorShare()) * room;
        double water = Gases.dryPpmInBalance(mean(day, TwinState::co2Uatm), setup.pressureHpa(), setup.water());
        double draw = skimmer.skimmer().airDrawLPerH() * skimmer.share();
        boolean recirculatedOnly = use.leg() == Intake.Leg.RECIRCULATED;
        double back = 1 - use.media().assumed().fresh(use.freshShare());
        if (recirculatedOnly && draw * back < 1) {
            return null;
        }
        return new MediaLife(
                recirculatedOnly
                        ? new Media(use.media().massKg(), use.media().assumed().tight())
                        : use.media(),
                setup.water(),
                recirculatedOnly ? draw * back : draw,
                fresh,
                MediaBed.ROOM_VAPOUR_G_PER_M3,
                water,
                recirculatedOnly ? 0 : use.freshShare(),
                hours,
                use.driesBetween());
    }

    private static double hoursPerDay(Setup setup, MediaUse use, List<TwinState> day) {
        double litHours = setup.light().litHours();
        return switch (use.hours()) {
            case ALWAYS -> 24;
            case LAMPS_ON -> litHours;
            case LAMPS_OFF -> 24 - litHours;
            case BELOW_PH ->
                24.0
                        * day.stream()
                                .filter(s -> s.phNbs() < use.gatePh() + MediaUse.HYSTERESIS_PH)
                                .count()
                        / day.size();
        };
    }

    private static double mean(List<TwinState> day, ToDoubleFunction<TwinState> value) {
        return day.stream().mapToDouble(value).average().orElseThrow();
    }

    public Life life() {
        return from(media.fresh());
    }

    /** The same from a state part-way. */
    public Life from(State start) {
        double fresh = media.efficiency(media.fresh());
        List<TwinState> run = run(start, LONGEST_DAYS, true);
        Double colour =
                firstDay(run, state -> media.used(state) - media.assumed().fullUntil());
        Double half = firstDay(run, state -> fresh / 2 - media.efficiency(state));
        Double drowned = firstDay(
                run, state -> media.waterPerGram(state) - media.assumed().drownedWater());
        Double spent = firstDay(run, state -> media.used(state) - ALL_BUT);
        double drownedDay = drowned == null ? Double.POSITIVE_INFINITY : drowned;
        double spentDay = spent == null ? Double.POSITIVE_INFINITY : spent;
        boolean drowns = drowned != null && drownedDay <= spentDay;
        End end = drowns ? End.DROWNED : spent != null ? End.SPENT : End.NEITHER;
        double endDay = Math.min(LONGEST_DAYS, Math.min(drownedDay, spentDay));
        double takenPerDay = inUse().co2MolPerH() * hoursPerDay;
        double left = media.capacityMol() - start.co2Mol();
        return new Life(
                end,
                endDay,
                colour,
                half,
                left / takenPerDay,
                drowns ? Double.valueOf(endDay) : null,
                media.used(held(run.get(run.size() - 1))));
    }

    /** Litres of CO2, as the capacity counts them, that the air carries through the fill in so many days of use. */
    public double carriedL(double days) {
        return inUse().co2MolPerH() * hoursPerDay * days * Media.L_PER_MOL;
    }

    private interface Beyond {
        double by(State state);
    }

    /** When it first is beyond a mark, straight between two moments; null when it never is. */
    private static @Nullable Double firstDay(List<TwinState> run, Beyond mark) {
        double before = Double.NaN;
        for (TwinState state : run) {
            double now = mark.by(held(state));
            if (now >= 0) {
                double share = before < 0 ? now / (now - before) : 0;
                return Math.max(0, days(state) - share * EVERY.toMinutes() / 1440.0);
            }
            before = now;
        }
        return null;
    }

    private static double days(TwinState state) {
        return Duration.between(FILLED, state.at()).toMillis() / 8.64e7;
    }

    private static State held(TwinState state) {
        return new State(
                state.held(MediaBed.CO2).orElseThrow(),
                state.held(MediaBed.WATER).orElseThrow());
    }

    /** What a fill holds that was {@code start} so many days ago. */
    public State after(State start, double days) {
        List<TwinState> run = run(start, Math.min(days, LONGEST_DAYS), false);
        return held(run.get(run.size() - 1));
    }

    /** From the start on, that included; ended with the fill where that is asked. */
    private List<TwinState> run(State start, double days, boolean untilItsEnd) {
        Twin twin = new Twin(
                new TwinTank(
                        new Water(ANY_LITRES, tank.salinity(), Gases.STANDARD_HPA, tank.temperatureC(), false),
                        List.of(new MediaInStream(new MediaBed(media), FILLED, hoursPerDay, inUse(), between())),
                        false),
                1,
                LONGEST_STEP_H);
        TwinState from =
                twin.start(FILLED, 0, 0).with(MediaBed.CO2, start.co2Mol()).with(MediaBed.WATER, start.waterKg());
        List<TwinState> all = new ArrayList<>(List.of(from));
        Instant until = FILLED.plusSeconds(Math.round(days * 86_400));
        all.addAll(twin.run(from, until, EVERY, state -> untilItsEnd && ended(held(state))));
        if (!untilItsEnd && all.get(all.size() - 1).at().isBefore(until)) {
            TwinState last = all.get(all.size() - 1);
            all.addAll(twin.run(last, until, Duration.between(last.at(), until)));
        }
        return all;
    }

    private boolean ended(State state) {
        return media.drowned(state) || media.used(state) >= ALL_BUT;
    }

    private Media.Stream inUse() {
        double fresh = media.assumed().fresh(freshShare);
        return stream(mixedPpm(), fresh * freshVapourGPerM3 + (1 - fresh) * Media.exhaustGPerM3(tank));
    }

    private Media.@Nullable Stream between() {
        return driesBetween ? stream(freshPpm, freshVapourGPerM3) : null;
    }

    private Media.Stream stream(double ppm, double vapourGPerM3) {
        return Media.Stream.of(litresPerH, ppm, vapourGPerM3, tank, Gases.STANDARD_HPA);
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
