package jollytide.server.account;

import jakarta.validation.constraints.NotNull;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.TemperatureUnit;
import jollytide.core.units.VolumeUnit;

/** The units that a keeper reads and types. */
public record Units(
        @NotNull AlkalinityUnit alkalinity,
        @NotNull TemperatureUnit temperature,
        @NotNull SalinityChoice salinity,
        @NotNull VolumeUnit volume) {}
