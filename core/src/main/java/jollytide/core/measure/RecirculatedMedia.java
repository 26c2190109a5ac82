package jollytide.core.measure;

import jollytide.core.twin.Intake.Leg;

/** Scrubber media on the recirculating leg only: fresh air enters beside them, so that they see exhaust alone. */
public record RecirculatedMedia(MediaUse use) implements MediaMeasure {
    static final MeasureKind KIND = MeasureKind.of("recirculated-media", "Media, recirculated air only")
            .shortly("media, recirculated air")
            .group(MeasureKind.Group.MEDIA)
            .needs(MeasureKind.Needs.SKIMMER)
            .parameters(known -> Scrubber.parameters(0.8))
            .makes((values, known) -> new RecirculatedMedia(Scrubber.use(values, known, Leg.RECIRCULATED)));

    @Override
    public RecirculatedMedia with(MediaUse other) {
        return new RecirculatedMedia(other);
    }
}
