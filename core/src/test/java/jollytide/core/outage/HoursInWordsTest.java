package jollytide.core.outage;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HoursInWordsTest {
    @ParameterizedTest
    @CsvSource({
        "0.02, 0 minutes, 5 minutes",
        "0.7, 40 minutes, 45 minutes",
        "0.99, 55 minutes, 1 hour",
        "1.0, 1 hour, 1 hour",
        "1.49, 1 hour, 1½ hours",
        "2.9, 2½ hours, 3 hours",
        "9.99, 9½ hours, 10 hours",
        "14.9, 14 hours, 15 hours",
        "60, 2 days, 3 days"
    })
    void dangerIsRoundedDownAndHelpUp(double hours, String danger, String ready) {
        assertThat(HoursInWords.untilDanger(hours)).isEqualTo(danger);
        assertThat(HoursInWords.untilReady(hours)).isEqualTo(ready);
    }

    /** What is promised is never later than the sum. */
    @Test
    void noWordIsLater() {
        for (double h = 0; h < 100; h += 0.013) {
            String[] words = HoursInWords.untilDanger(h).split(" ");
            double said = Double.parseDouble(words[0].replace("½", ".5").replaceFirst("^\\.", "0."));
            double hours = said * (words[1].startsWith("minute") ? 1.0 / 60 : words[1].startsWith("day") ? 24 : 1);
            assertThat(hours).isLessThanOrEqualTo(h + 1e-5);
        }
    }
}
