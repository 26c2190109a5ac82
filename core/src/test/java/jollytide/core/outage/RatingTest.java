package jollytide.core.outage;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

/** Common practice: a motor takes about three times its watts as it starts. */
class RatingTest {
    private static final Rating GENERATOR = new Rating(1000, 1200.0);

    @Test
    void carriesWhatRunsAndWhatStarts() {
        assertThatCode(() -> GENERATOR.carries(400, 80.0)).doesNotThrowAnyException();
        // 900 W with one motor of 150 W: 1200 W for a moment, just carried.
        assertThatCode(() -> GENERATOR.carries(900, 150.0)).doesNotThrowAnyException();
        assertThatThrownBy(() -> GENERATOR.carries(900, 151.0))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("1202 W");
        assertThatThrownBy(() -> GENERATOR.carries(1001, 10.0)).isInstanceOf(InputException.class);
    }

    /** What nobody says is taken on the early side: all of it one motor, no surge beyond the rating. */
    @Test
    void whatIsNotSaidErrsEarly() {
        Rating plain = new Rating(300, null);
        assertThatCode(() -> plain.carries(100, null)).doesNotThrowAnyException();
        assertThatThrownBy(() -> plain.carries(101, null)).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> plain.carries(100, 101.0)).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> new Rating(300, 299.0)).isInstanceOf(InputException.class);
    }
}
