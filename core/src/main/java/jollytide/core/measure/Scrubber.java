package jollytide.core.measure;

import java.util.List;
import jollytide.core.media.Media;
import jollytide.core.twin.Intake.Leg;

/** Scrubber media, in all of its air. */
public record Scrubber(MediaUse use) implements MediaMeasure {
    static final MeasureKind KIND = MeasureKind.of("scrubber", "Scrubber media")
            .shortly("media")
            .group(MeasureKind.Group.MEDIA)
            .needs(MeasureKind.Needs.SKIMMER)
            .parameters(known -> parameters(0))
            .whenLess(
                    "media spent or drowned: check colour, and CO2 behind the media (close to zero)",
                    "air that bypasses the media: compare air draw through the vessel with the skimmer’s")
            .makes((values, known) -> new Scrubber(use(values, known, Leg.ALL)));

    public Scrubber(Media media, double freshShare, MediaUse.Hours hours, double gatePh, boolean driesBetween) {
        this(new MediaUse(media, freshShare, Leg.ALL, hours, gatePh, driesBetween));
    }

    static List<Parameter> parameters(double recirculated) {
        return List.of(
                Parameter.number("massKg", "fill", Parameter.Unit.KILOGRAMS)
                        .range(0.1, 3, 0.1)
                        .at(1)
                        .telling(),
                Parameter.number("recirculated", "of the skimmer’s air is recirculated exhaust", Parameter.Unit.SHARE)
                        .range(0, 1, 0.01)
                        .at(recirculated),
                Parameter.choice("soaked", "when the media are soaked, the air")
                        .option("PASSES", "still passes")
                        .option("CHOKED", "is blocked")
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
                        .option("AROUND", "air bypasses the media")
                        .option("DRY", "fresh air dries the media")
                        .at("AROUND"));
    }

    static MediaUse use(MeasureKind.Values values, Surroundings known, Leg leg) {
        return new MediaUse(
                new Media(
                        values.number("massKg"),
                        known.media().choking(values.choice("soaked").equals("CHOKED"))),
                1 - values.number("recirculated"),
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
