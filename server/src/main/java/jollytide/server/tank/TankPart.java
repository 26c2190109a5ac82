package jollytide.server.tank;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * What of a description makes another tank of it when it changes, by what it means: a form says in full what an import
 * leaves out. Name, band and assumptions do not.
 */
// The functions hold no state.
@SuppressWarnings("ImmutableEnumChecker")
public enum TankPart {
    WATER(TankDescription::netVolumeL),
    SURFACES(TankDescription::surfaces),
    LIGHT(TankDescription::light),
    SKIMMER(d -> Arrays.asList(
            d.skimmerAirDrawLPerH(),
            Boolean.TRUE.equals(d.known().skimmerDrawUnknown()),
            Boolean.TRUE.equals(d.known().skimmerInCabinet()))),
    HOSE(d -> d.known().skimmerLine()),
    FALLS(d -> d.known().fallParts()),
    STONES(d -> d.known().stoneParts()),
    CANOPY(d -> d.known().canopy()),
    CABINET(d -> d.known().cabinet()),
    FISH(d -> Arrays.asList(
            d.known().fish() == null ? List.of() : d.known().fish(),
            Boolean.TRUE.equals(d.known().noFish()))),
    LIVESTOCK(d -> d.known().lives()),
    DOSING(d -> Arrays.asList(d.known().source(), d.known().alkalinityUseDkhPerDay())),
    REACTOR(d -> d.known().reactor()),
    REFUGIUM(d -> d.known().refugium()),
    FILTER(d -> Boolean.TRUE.equals(d.known().canister()));

    private final Function<TankDescription, @Nullable Object> said;

    TankPart(Function<TankDescription, @Nullable Object> said) {
        this.said = said;
    }

    /** Those that two descriptions say differently. */
    static List<TankPart> changed(TankDescription before, TankDescription after) {
        return Arrays.stream(values())
                .filter(part -> !Objects.equals(part.said.apply(before), part.said.apply(after)))
                .toList();
    }
}
