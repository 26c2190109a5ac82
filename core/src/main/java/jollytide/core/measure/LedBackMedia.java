package jollytide.core.measure;

import jollytide.core.twin.Intake.Leg;

/** Scrubber media on the led-back leg only: fresh air enters beside them, so that they see exhaust alone. */
public record LedBackMedia(MediaUse use) implements MediaMeasure {
    static final MeasureKind KIND = MeasureKind.of("led-back-media", "Media on the led-back leg only")
            .shortly("media, led-back leg")
            .group(MeasureKind.Group.MEDIA)
            .needs(MeasureKind.Needs.SKIMMER)
            .parameters(known -> Scrubber.parameters(0.8))
            .makes((values, known) -> new LedBackMedia(Scrubber.use(values, known, Leg.LED_BACK)));

    @Override
    public LedBackMedia with(MediaUse other) {
        return new LedBackMedia(other);
    }
}
