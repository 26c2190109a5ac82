package jollytide.core.measure;

import java.util.List;
import jollytide.core.media.Media;
import jollytide.core.twin.Intake.Leg;

/** Scrubber media before the skimmer, in all of its air. */
public record Scrubber(MediaUse use) implements MediaMeasure {
    static final MeasureKind KIND = MeasureKind.of("scrubber", "Scrubber media before the skimmer")
            .shortly("media")
            .group(MeasureKind.Group.MEDIA)
            .needs(MeasureKind.Needs.SKIMMER)
            .parameters(known -> parameters(0))
            .whenLess(
                    "media spent or drowned: their colour, and CO2 behind them, which should be close to none",
                    "air that goes past them: air draw through the vessel beside the skimmer's own")
            .makes((values, known) -> new Scrubber(use(values, known, Leg.ALL)));

    public Scrubber(Media media, double freshShare, MediaUse.Hours hours, double gatePh, boolean driesBetween) {
        this(new MediaUse(media, freshShare, Leg.ALL, hours, gatePh, driesBetween));
    }

    static List<Parameter> parameters(double ledBack) {
        return List.of(
                Parameter.number("massKg", "fill", Parameter.Unit.KILOGRAMS)
                        .range(0.1, 3, 0.1)
                        .at(1)
                        .telling(),
                Parameter.number("ledBack", "of the skimmer’s air is its own exhaust, led back", Parameter.Unit.SHARE)
                        .range(0, 1, 0.01)
                        .at(ledBack),
                Parameter.choice("soaked", "once they are soaked, the air")
                        .option("PASSES", "still passes them")
                        .option("CHOKED", "is choked")
                        .at("PASSES"),
                Parameter.choice("hours", "in use")
                        .option(MediaUse.Hours.ALWAYS.name(), "always")
                        .option(MediaUse.Hours.LAMPS_OFF.name(), "while the lamps are off")
                        .option(MediaUse.Hours.LAMPS_ON.name(), "while the lamps are on")
                        .option(MediaUse.Hours.BELOW_PH.name(), "below a pH")
                        .at(MediaUse.Hours.ALWAYS.name())
                        .telling(),
                Parameter.number("gatePh", "below", Parameter.Unit.PH)
                        .range(7.6, 8.4, 0.05)
                        .at(8.2)
                        .with("hours", MediaUse.Hours.BELOW_PH.name()),
                Parameter.choice("otherwise", "otherwise")
                        .option("AROUND", "the air goes around them")
                        .option("DRY", "dry fresh air passes them")
                        .at("AROUND"));
    }

    static MediaUse use(MeasureKind.Values values, Surroundings known, Leg leg) {
        return new MediaUse(
                new Media(
                        values.number("massKg"),
                        known.media().choking(values.choice("soaked").equals("CHOKED"))),
                1 - values.number("ledBack"),
                leg,
                values.choice("hours", MediaUse.Hours.class),
                values.number("gatePh"),
                values.choice("otherwise").equals("DRY"));
    }

    @Override
    public Scrubber with(MediaUse other) {
        return new Scrubber(other);
    }
}
