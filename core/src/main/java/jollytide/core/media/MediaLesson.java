package jollytide.core.media;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import java.util.Optional;

/**
 * What a fill taught: so much CO2 had passed it when so much of its column had changed colour.
 *
 * @param massKg of the fill
 * @param co2PassedL litres of CO2 that the air through it had carried
 * @param changedShare of the column, 0 to 1
 */
public record MediaLesson(double massKg, double co2PassedL, double changedShare) {
    /** A colour that has hardly moved says little. */
    public static final double LEAST_SHARE = 0.3;

    private static final double LEAST_L_PER_KG = 10;
    private static final double MOST_L_PER_KG = 260;

    public MediaLesson {
        within("massKg", massKg, 0.01, 50, "kg");
        within("changedShare", changedShare, 0, 1, "");
    }

    double capacityLPerKg() {
        return Math.max(LEAST_L_PER_KG, Math.min(MOST_L_PER_KG, co2PassedL / changedShare / massKg));
    }

    /** The middle of what several fills say, L/kg; empty when none has got far enough. */
    public static Optional<Double> capacity(List<MediaLesson> lessons) {
        double[] all = lessons.stream()
                .filter(lesson -> lesson.changedShare() >= LEAST_SHARE && lesson.co2PassedL() > 0)
                .mapToDouble(MediaLesson::capacityLPerKg)
                .sorted()
                .toArray();
        if (all.length == 0) {
            return Optional.empty();
        }
        return Optional.of((all[(all.length - 1) / 2] + all[all.length / 2]) / 2);
    }
}
