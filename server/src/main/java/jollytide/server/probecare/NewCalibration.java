package jollytide.server.probecare;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.probe.Buffer;
import jollytide.core.probe.Calibration;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import org.jspecify.annotations.Nullable;

/**
 * What a probe showed in buffers.
 *
 * @param at with an offset, or without one in the home's zone
 * @param points one or two; none when the meter set itself and nobody looked before
 * @param meter what was done with it afterwards
 * @param setC the temperature that a meter takes for granted; null when it compensates
 */
record NewCalibration(
        @NotNull @Size(max = 40) String at,
        @NotNull @Size(max = 2) List<@NotNull @Valid InBuffer> points,
        Calibration.@NotNull Then meter,
        @Nullable Double setC,
        @NotNull @Size(max = 300) String note) {

    /**
     * One buffer.
     *
     * @param buffer a standard one; null for one whose value is read off its bottle
     * @param bufferPh that value at the temperature; null for a standard one
     * @param shownPh what the meter showed; null when it shows millivolts
     */
    record InBuffer(
            @Nullable Buffer buffer,
            @Nullable Double bufferPh,
            @NotNull Double bufferC,
            @Nullable Double shownPh,
            @Nullable Double millivolts) {

        private Calibration.BufferReading toCore(String field) {
            if ((buffer == null) == (bufferPh == null)) {
                throw refused(field + ".bufferPh", "one of the two", "Choose a standard buffer or enter its value.");
            }
            double ph = buffer == null ? bufferPh : buffer.ph(bufferC);
            if ((shownPh == null) == (millivolts == null)) {
                throw refused(field + ".shownPh", "one of the two", "Enter the reading, in pH or millivolts.");
            }
            return shownPh == null
                    ? Calibration.BufferReading.ofMillivolts(ph, bufferC, millivolts)
                    : new Calibration.BufferReading(ph, bufferC, shownPh);
        }

        private static Problem refused(String field, String allowed, String message) {
            return Problem.refused(new FieldError(field, null, allowed, message));
        }
    }

    /** With its time resolved. */
    Calibration at(Instant when) {
        List<Calibration.BufferReading> all = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            all.add(points.get(i).toCore("points[" + i + "]"));
        }
        return new Calibration(when, all, meter, setC);
    }
}
