package jollytide.server.measure;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Measures;
import jollytide.core.measure.Surroundings;
import org.jspecify.annotations.Nullable;

/** Measures that are put on a tank together; none leaves it as it is. */
public record SetRequest(@NotNull @Size(max = 20) List<@NotNull @Valid PutMeasure> measures) {

    /**
     * One of them.
     *
     * @param kind its id in the registry, as the bench lists it
     * @param numbers settings by name; what is left out stands as it does at first
     * @param choices likewise
     */
    public record PutMeasure(
            @NotBlank @Size(max = 40) String kind,
            @Nullable @Size(max = 20) Map<@NotBlank String, @NotNull Double> numbers,
            @Nullable @Size(max = 20) Map<@NotBlank String, @NotNull String> choices) {

        private Measures.Put toCore() {
            return new Measures.Put(kind, numbers == null ? Map.of() : numbers, choices == null ? Map.of() : choices);
        }
    }

    /** On one tank. */
    public MeasureSet on(Surroundings known) {
        return Measures.set(measures.stream().map(PutMeasure::toCore).toList(), known);
    }
}
