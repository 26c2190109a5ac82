package jollytide.server.home;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;

/**
 * What surrounds the rooms.
 *
 * @param zone IANA time zone, such as Europe/Amsterdam; days and light clocks follow it
 * @param altitudeM metres above sea level
 */
public record HomeDescription(
        @NotBlank @Size(max = 80) String name,
        @NotBlank @Size(max = 60) String zone,
        @NotNull Double altitudeM) {}
