package jollytide.server.account;

import jakarta.validation.constraints.NotNull;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.TemperatureUnit;
import jollytide.core.units.VolumeUnit;
import org.jspecify.annotations.Nullable;

/**
 * The units that a keeper reads and types.
 *
 * @param clock 24-hour where a client of before does not name it
 */
public record Units(
        @NotNull AlkalinityUnit alkalinity,
        @NotNull TemperatureUnit temperature,
        @NotNull SalinityChoice salinity,
        @NotNull VolumeUnit volume,
        @Nullable ClockFace clock) {

    public Units {
        clock = clock == null ? ClockFace.HOURS_24 : clock;
    }
}
