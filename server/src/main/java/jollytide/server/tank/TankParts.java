package jollytide.server.tank;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import jollytide.core.air.AirLine;
import jollytide.core.air.Enclosure.Door;
import jollytide.core.air.IntakeAir;
import jollytide.core.description.FixedLine;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.exchange.Fall;
import jollytide.core.exchange.Stone;
import jollytide.core.reef.CalciumReactor;
import jollytide.core.reef.Fish;
import jollytide.core.reef.Life;
import jollytide.core.reef.Livestock;
import jollytide.core.twin.Air;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.Quantities;
import org.jspecify.annotations.Nullable;

/**
 * What else stands around a tank and lives in it. What is null or missing is not there, or is assumed.
 *
 * @param canopy how the display is covered; null when it is open to the room
 * @param cabinet how the sump's cabinet stands; null when the sump is open to the room
 * @param skimmerInCabinet whether the skimmer breathes the cabinet's air; false when null
 * @param skimmerLine a fixed hose through which it breathes outdoor air
 * @param alkalinitySource what today's alkalinity is dosed with; soda ash when null
 * @param fish a usual stocking is assumed when null or empty, unless {@code noFish}
 * @param canister whether a sealed filter runs on it
 * @param livestock what lives in it besides the fish; a mixed reef when null
 * @param stones that run all the time
 * @param skimmerDrawUnknown whether there is a skimmer whose air draw nobody measured: then it is assumed
 * @param noFish whether somebody said that there are none
 * @param alkalinityUseDkhPerDay what the animals use; not counted when null
 */
public record TankParts(
        @Nullable @Size(max = 8) List<@NotNull @Valid FallPart> falls,
        @Nullable Door canopy,
        @Nullable Door cabinet,
        @Nullable Boolean skimmerInCabinet,
        @Valid @Nullable SkimmerLine skimmerLine,
        @Nullable @Size(max = 40) List<@NotNull @Valid FishGroup> fish,
        @Nullable AlkalinitySource alkalinitySource,
        @Nullable Double alkalinityUseDkhPerDay,
        @Valid @Nullable ReactorPart reactor,
        @Valid @Nullable RefugiumPart refugium,
        @Nullable Boolean canister,
        @Nullable Livestock livestock,
        @Nullable @Size(max = 8) List<@NotNull @Valid StonePart> stones,
        @Nullable Boolean skimmerDrawUnknown,
        @Nullable Boolean noFish) {
    static final TankParts NONE =
            new TankParts(null, null, null, null, null, null, null, null, null, null, null, null, null, null, null);

    /**
     * Water that falls through air.
     *
     * @param over which air; the room's when null
     * @param efficiency 0 to 1; assumed when null
     */
    public record FallPart(
            @NotBlank @Size(max = 80) String name,
            @NotNull Double flowLPerH,
            @Nullable Air over,
            @Nullable Double efficiency) {

        public Fall toCore() {
            return new Fall(flowLPerH, efficiency == null ? Fall.ASSUMED_EFFICIENCY : efficiency);
        }

        public Air air() {
            return over == null ? Air.ROOM : over;
        }
    }

    /**
     * A stone.
     *
     * @param bubbleMm assumed when null; {@code depthM} likewise
     * @param outdoors whether its pump draws outdoor air
     */
    public record StonePart(
            @NotNull Double airLPerH,
            @Nullable Double bubbleMm,
            @Nullable Double depthM,
            @Nullable Boolean outdoors) {
        private static final double BUBBLE_MM = 2;
        private static final double DEPTH_M = 0.4;

        public Stone toCore() {
            return new Stone(airLPerH, bubbleMm == null ? BUBBLE_MM : bubbleMm, depthM == null ? DEPTH_M : depthM);
        }

        public Air air() {
            return Boolean.TRUE.equals(outdoors) ? Air.OUTDOORS : Air.ROOM;
        }
    }

    public List<StonePart> stoneParts() {
        return stones == null ? List.of() : stones;
    }

    /**
     * A hose that stays.
     *
     * @param drawnLPerH what the skimmer draws with it on, as measured; from length and bore when null
     */
    public record SkimmerLine(
            @NotNull Double lengthM,
            @NotNull Double boreMm,
            @Nullable Double drawnLPerH) {
        AirLine toCore() {
            return new AirLine(lengthM, boreMm, AirLine.ASSUMED_LOSS);
        }
    }

    /**
     * Fish of one kind.
     *
     * @param massG of one, as guessed as it may be
     */
    public record FishGroup(
            @NotNull @Size(max = 80) String name,
            @NotNull Integer count,
            @NotNull Double massG) {}

    /** A calcium reactor; shares are 0 when null. */
    public record ReactorPart(
            @NotNull Double effluentLPerH,
            @NotNull Double effluentPhNbs,
            @NotNull Double effluentDkh,
            @Nullable Double secondChamberShare,
            @Nullable Double dripShare) {

        CalciumReactor toCore() {
            return new CalciumReactor(
                    effluentLPerH,
                    effluentPhNbs,
                    AlkalinityUnit.DKH.toMeqPerL(effluentDkh),
                    or(secondChamberShare),
                    or(dripShare));
        }

        private static double or(@Nullable Double given) {
            return given == null ? 0 : given;
        }
    }

    /**
     * A refugium under its own lamp.
     *
     * @param mmolPerH what its algae take up while lit
     */
    public record RefugiumPart(
            @NotNull Double mmolPerH,

            @NotNull @Pattern(regexp = TankDescription.TIME, message = TankDescription.TIME_WORDS)
            String on,

            @NotNull @Pattern(regexp = TankDescription.TIME, message = TankDescription.TIME_WORDS)
            String off) {}

    public Livestock lives() {
        return livestock == null ? Livestock.MIXED_REEF : livestock;
    }

    public List<FallPart> fallParts() {
        return falls == null ? List.of() : falls;
    }

    /** Whether somebody said which fish there are, if only that there are none. */
    public boolean fishDescribed() {
        return Boolean.TRUE.equals(noFish) || (fish != null && !fish.isEmpty());
    }

    /** As described; what commonly swims in so much water of its kind where nobody said. */
    public Fish fishes(double litres) {
        if (!fishDescribed()) {
            return Fish.usual(lives(), litres);
        }
        return fish == null
                ? Fish.NONE
                : new Fish(fish.stream()
                        .map(f -> new Fish.Group(f.count(), f.massG()))
                        .toList());
    }

    public @Nullable AirLine line() {
        return skimmerLine == null ? null : skimmerLine.toCore();
    }

    /**
     * The hose with what was measured at it.
     *
     * @param outdoorShare of what is breathed, from CO2 at the intake; null when not measured
     */
    public @Nullable FixedLine fixedLine(IntakeAir.@Nullable Share outdoorShare) {
        return skimmerLine == null ? null : new FixedLine(skimmerLine.toCore(), skimmerLine.drawnLPerH(), outdoorShare);
    }

    public @Nullable CalciumReactor calciumReactor() {
        return reactor == null ? null : reactor.toCore();
    }

    public AlkalinitySource source() {
        return alkalinitySource == null ? AlkalinitySource.SODA_ASH : alkalinitySource;
    }

    /** Makes every core record once, so that nothing impossible is stored. */
    void check() {
        fallParts().forEach(FallPart::toCore);
        stoneParts().forEach(StonePart::toCore);
        fishes(1);
        fixedLine(null);
        calciumReactor();
        if (alkalinityUseDkhPerDay != null) {
            Quantities.within("alkalinityUseDkhPerDay", alkalinityUseDkhPerDay, 0, 14, "dKH/day");
        }
        if (refugium != null) {
            Life.reef(0, 0).withRefugium(refugium.mmolPerH());
        }
    }
}
