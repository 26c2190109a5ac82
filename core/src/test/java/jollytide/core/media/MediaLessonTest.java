package jollytide.core.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

/** What a fill of media teaches about the capacity: litres that passed, over the share that changed and the mass. */
class MediaLessonTest {
    private static double taught(MediaLesson... lessons) {
        return MediaLesson.capacity(List.of(lessons)).orElseThrow();
    }

    /** 60 L past half a kilogram of which 80 % changed: 60 / 0.8 / 0.5 = 150 L/kg. */
    @Test
    void oneFill() {
        assertThat(taught(new MediaLesson(0.5, 60, 0.8))).isCloseTo(150, within(1e-9));
    }

    /** The middle of an odd number, the mean of the middle two of an even one. */
    @Test
    void theMiddleOfSeveral() {
        MediaLesson low = new MediaLesson(1, 110, 1);
        MediaLesson middle = new MediaLesson(1, 140, 1);
        MediaLesson high = new MediaLesson(1, 250, 1);
        assertThat(taught(high, low, middle)).isCloseTo(140, within(1e-9));
        assertThat(taught(low, high)).isCloseTo(180, within(1e-9));
    }

    /** A colour that has hardly moved, or air that carried nothing, says nothing. */
    @Test
    void whatSaysNothingIsLeftOut() {
        assertThat(MediaLesson.capacity(List.of(new MediaLesson(1, 30, 0.29)))).isEmpty();
        assertThat(MediaLesson.capacity(List.of(new MediaLesson(1, 0, 1)))).isEmpty();
        assertThat(MediaLesson.capacity(List.of())).isEmpty();
        assertThat(taught(new MediaLesson(1, 45, MediaLesson.LEAST_SHARE))).isCloseTo(150, within(1e-9));
        assertThat(taught(new MediaLesson(1, 5, 0.1), new MediaLesson(1, 120, 1)))
                .isCloseTo(120, within(1e-9));
    }

    /** No chemistry takes up more than 260 L/kg, and a fill that took up next to nothing was no fill. */
    @Test
    void whatCannotBeIsBounded() {
        assertThat(taught(new MediaLesson(1, 900, 1))).isEqualTo(260);
        assertThat(taught(new MediaLesson(1, 1, 1))).isEqualTo(10);
        assertThatThrownBy(() -> new MediaLesson(1, 10, 1.2))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("changedShare");
        assertThatThrownBy(() -> new MediaLesson(0, 10, 1)).hasMessageContaining("massKg");
    }
}
