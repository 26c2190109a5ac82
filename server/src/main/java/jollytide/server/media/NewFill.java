package jollytide.server.media;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import jollytide.core.measure.MediaUse;
import jollytide.server.media.MediaFill.FillIntake;
import org.jspecify.annotations.Nullable;

/**
 * A new fill. One that is still in use ends with it.
 *
 * @param at with an offset, or without one in the home's zone
 * @param freshShare of the air in use; the rest is the skimmer's exhaust
 * @param chokes whether the fill stops the air once it is soaked; null when not known
 */
public record NewFill(
        @NotNull @Size(max = 40) String at,
        @NotNull Double massKg,
        @NotNull FillIntake intake,
        @NotNull Double freshShare,
        @NotNull MediaUse.Hours hours,
        @Nullable Double gatePh,
        @NotNull Boolean driesBetween,
        @Nullable Boolean chokes) {}
