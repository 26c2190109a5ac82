package jollytide.core.staircase;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import jollytide.core.air.People;
import jollytide.core.air.RoomAir;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.RememberedMean;
import jollytide.core.reef.Stance;
import jollytide.core.reef.TargetBand;
import jollytide.core.seawater.Gases;
import jollytide.core.units.AlkalinityUnit;
import org.jspecify.annotations.Nullable;

/** What the staircase's tests are built from: 25.5 °C and S 35 are measured, outdoor air is the assumed 420 ppm. */
final class Cases {
    static final Instant BEFORE_LIGHTS_ON = Instant.parse("2026-11-12T08:55:00Z");

    private Cases() {}

    static StaircaseInputs around(
            StaircaseInputs in, double lowest, double highest, DayAround.@Nullable AlkalinityRise rise) {
        Changed changed = new Changed(in);
        changed.day = new DayAround(reading(lowest, Method.PROBE), reading(highest, Method.PROBE), rise);
        return changed.inputs();
    }

    static StaircaseInputs breathing(StaircaseInputs in, Observation outdoors, Observation intake, boolean line) {
        Changed changed = new Changed(in);
        changed.outdoorPpm = outdoors;
        changed.intakePpm = intake;
        changed.outdoorLine = line;
        return changed.inputs();
    }

    /** The same inputs with a few of them set anew. */
    static final class Changed {
        private final StaircaseInputs in;

        @Nullable
        Observation alkalinity;

        @Nullable
        Observation temperatureC;

        @Nullable
        Observation calcium;

        @Nullable
        Observation outdoorPpm;

        @Nullable
        Observation intakePpm;

        TargetBand band;
        Stance stance;
        boolean outdoorLine;
        DayAround day;

        Changed(StaircaseInputs in) {
            this.in = in;
            alkalinity = in.alkalinityMeqPerL();
            temperatureC = in.temperatureC();
            calcium = in.calciumMgPerL();
            outdoorPpm = in.outdoorPpm();
            intakePpm = in.intakePpm();
            band = in.band();
            stance = in.stance();
            outdoorLine = in.outdoorLine();
            day = in.day();
        }

        StaircaseInputs inputs() {
            return new StaircaseInputs(
                    in.at(),
                    in.dark(),
                    in.phNbs(),
                    alkalinity,
                    temperatureC,
                    in.salinityPsu(),
                    calcium,
                    in.roomPpm(),
                    outdoorPpm,
                    intakePpm,
                    in.pressureHpa(),
                    band,
                    stance,
                    in.settlingHours(),
                    in.roomExpectedPpm(),
                    outdoorLine,
                    day,
                    in.assumptions());
        }
    }

    static StaircaseInputs inputs(
            @Nullable Observation ph, @Nullable Double dkh, @Nullable Double room, double roomAgeHours, boolean dark) {
        return new StaircaseInputs(
                BEFORE_LIGHTS_ON,
                dark,
                ph,
                dkh == null ? null : alkalinity(dkh),
                reading(25.5, Method.METER),
                reading(35, Method.REFRACTOMETER),
                reading(420, Method.TITRATION_KIT),
                room == null ? null : room(room, roomAgeHours),
                null,
                null,
                Gases.STANDARD_HPA,
                TargetBand.DEFAULT,
                Stance.LIFT,
                new Estimate(12, 7, 20),
                RoomAir.expectedShutPpm(420, new People(2, 1, 1), 180, RoomAir.ASSUMED_PER_H),
                false,
                DayAround.UNKNOWN,
                Assumptions.DEFAULT);
    }

    static RememberedMean room(double ppm, double ageHours) {
        Instant at = BEFORE_LIGHTS_ON.minus(Duration.ofMinutes((long) (ageHours * 60)));
        return RememberedMean.of(List.of(new Observation(ppm, Method.METER, at)), BEFORE_LIGHTS_ON, 12)
                .orElseThrow();
    }

    static Observation alkalinity(double dkh) {
        return reading(AlkalinityUnit.DKH.toMeqPerL(dkh), Method.TITRATION_KIT);
    }

    static Observation reading(double value, Method method) {
        return new Observation(value, method, BEFORE_LIGHTS_ON);
    }
}
