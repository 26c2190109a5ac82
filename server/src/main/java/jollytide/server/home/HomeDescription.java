package jollytide.server.home;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/**
 * What surrounds the rooms.
 *
 * @param zone IANA time zone, such as Europe/Amsterdam; days and light clocks follow it
 * @param altitudeM metres above sea level
 * @param tariffPerKWh what electricity costs, in the home's money; assumed when null
 * @param currency ISO 4217 code of that money; euros when null
 * @param perEuro how much of it a euro is: assumed prices are in euros; 1 when null
 */
public record HomeDescription(
        @NotBlank @Size(max = 80) String name,
        @NotBlank @Size(max = 60) String zone,
        @NotNull Double altitudeM,
        @Nullable Double tariffPerKWh,
        @Nullable String currency,
        @Nullable Double perEuro) {}
