package jollytide.core.measure;

/** Nobody breathes in the room: a journey, or a house at work. */
public record NobodyHome() implements Measure {
    public static final MeasureKind KIND =
            MeasureKind.of("nobody", "Nobody home").makes((values, known) -> new NobodyHome());

    @Override
    public Way way() {
        return Way.REMOVES_THE_SOURCE;
    }

    @Override
    public ShownBy shownBy() {
        return ShownBy.THE_ROOM_METER;
    }

    @Override
    public void on(Rig rig) {
        rig.peopleTimes = 0;
    }

    @Override
    public boolean inSteps() {
        return false;
    }
}
