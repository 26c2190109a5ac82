package jollytide.core.suspects;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Unknown;
import org.jspecify.annotations.Nullable;

/**
 * What a tank's log, its meters and tests and what is noted say of each suspect that such a tank can have, before anything
 * is checked by hand.
 *
 * @param daysCompared whether the days' course was compared: else only meters, tests and notes speak
 */
public record Evidence(List<Of> all, boolean daysCompared) {
    /** How often a tank that is low has become so, rather than always been. From memory. */
    private static final double BECAME = 0.8;
    /** What something of the kind that is noted, or not, says. From memory. */
    private static final double NOTED = 1.2;

    private static final double WATER_CHANGE_UNNOTED = -1.5;
    /** A probe that was just calibrated is seldom off, one that long was not often. Common practice, no source. */
    private static final int JUST_CALIBRATED_DAYS = 14;

    private static final int LONG_AGO_DAYS = 45;
    private static final double CALIBRATED_TELLS = 0.9;
    /** A ground that says less than this says nothing. */
    private static final double SPEAKS = 0.5;

    /**
     * @param weight of all grounds together
     * @param needs the size that it would need, in words; empty where it has none
     * @param since the day from which on it explains most; null where no day does
     */
    public record Of(
            Suspect suspect,
            double weight,
            String needs,
            @Nullable LocalDate since,
            List<Ground> grounds) {}

    public Evidence {
        all = List.copyOf(all);
    }

    public static Evidence of(Inquiry inquiry) {
        Map<Suspect, DayEvidence.Support> days = DayEvidence.of(inquiry);
        MeasuredEvidence measured = new MeasuredEvidence(inquiry);
        DayEvidence.Support untested = days.get(Suspect.ALKALINITY_TEST);
        return new Evidence(
                Stream.of(Suspect.values())
                        .filter(s -> s.possible(inquiry.setup()))
                        .map(s -> of(inquiry, s, days.get(s), untested, measured))
                        .toList(),
                !days.isEmpty());
    }

    private static Of of(
            Inquiry inquiry,
            Suspect suspect,
            DayEvidence.@Nullable Support support,
            DayEvidence.@Nullable Support untested,
            MeasuredEvidence measured) {
        List<Ground> grounds = new ArrayList<>();
        double weight = logged(inquiry, suspect, support, untested, measured, grounds);
        for (Ground ground : said(inquiry, suspect)) {
            grounds.add(ground);
            weight += ground.weight();
        }
        return new Of(
                suspect,
                weight,
                support == null ? "" : suspect.needs(support.size()),
                support != null && support.weight() > SPEAKS ? support.since() : null,
                grounds);
    }

    /**
     * What log, meters and tests say of one; what they say in words is added to its grounds.
     *
     * @param untested what the days say of an alkalinity that no test has seen
     */
    private static double logged(
            Inquiry inquiry,
            Suspect suspect,
            DayEvidence.@Nullable Support support,
            DayEvidence.@Nullable Support untested,
            MeasuredEvidence measured,
            List<Ground> grounds) {
        Ground became = switch (suspect) {
            case ROOM -> inquiry.log().roomMeasured() ? measured.room() : ofDays(support);
            case DOSER, WATER_CHANGE -> measured.alkalinity(untested);
            case READINGS, NOTHING -> null;
            default -> ofDays(support);
        };
        Ground always = suspect == Suspect.ROOM && inquiry.log().roomMeasured()
                ? measured.fullRoom()
                : standing(inquiry, suspect);
        Stream.of(became, always)
                .filter(Objects::nonNull)
                .filter(g -> Math.abs(g.weight()) > SPEAKS)
                .forEach(grounds::add);
        if (suspect == Suspect.READINGS) {
            Ground nights = measured.nights();
            grounds.add(nights);
            return nights.weight();
        }
        double share = inquiry.since() != null ? 1 : became == null && support == null ? 0 : BECAME;
        return Gauss.mixed(share, became == null ? 0 : became.weight(), always == null ? 0 : always.weight());
    }

    private static @Nullable Ground ofDays(DayEvidence.@Nullable Support support) {
        if (support == null) {
            return null;
        }
        return new Ground(
                support.weight() > 0
                        ? String.format(
                                Locale.ROOT,
                                "Since about %s your days look like this cause: %.0f %% of the difference fits.",
                                MeasuredEvidence.DAY.format(support.since()),
                                100 * support.explained())
                        : "Your last days don’t look like this cause.",
                support.weight());
    }

    /** What the whole log says, where it always was so: by how much the fit had to move what this moves. */
    private static @Nullable Ground standing(Inquiry inquiry, Suspect suspect) {
        Unknown moves = suspect.unknown();
        FittedTank now = inquiry.now();
        if (moves == null || now == null) {
            return null;
        }
        return now.learned().stream()
                .filter(l -> l.unknown() == moves)
                .filter(l -> l.deviation() < l.before())
                .findFirst()
                .map(l -> {
                    // What the log alone says of it: the prior taken out of what is known after both.
                    double before = l.before() * l.before();
                    double precision = 1 / (l.deviation() * l.deviation()) - 1 / before;
                    double size = suspect.sign() * l.size() / (l.deviation() * l.deviation()) / precision;
                    double weight = Gauss.factor(size, 1 / precision, suspect.typical(), suspect.spread(), l.before());
                    return new Ground(
                            weight > 0
                                    ? "The model fits your log better with " + moves.label() + " off in this direction."
                                    : "In your whole log, " + moves.label() + " fits as described.",
                            weight);
                })
                .orElse(null);
    }

    /** What notes and calibrations say. */
    private static List<Ground> said(Inquiry inquiry, Suspect suspect) {
        List<Ground> said = new ArrayList<>();
        if (inquiry.noted().contains(suspect)) {
            said.add(new Ground("Your log has an event of this kind in these weeks.", NOTED));
        } else if (suspect == Suspect.WATER_CHANGE) {
            said.add(new Ground("No maintenance logged in these weeks.", WATER_CHANGE_UNNOTED));
        }
        if (suspect == Suspect.PROBE) {
            Long days = inquiry.calibratedDaysAgo();
            if (days != null && days <= JUST_CALIBRATED_DAYS) {
                said.add(new Ground("Calibrated " + days + " days ago.", -CALIBRATED_TELLS));
            } else if (days == null || days > LONG_AGO_DAYS) {
                said.add(new Ground(
                        days == null ? "No calibration in the log." : "Calibrated " + days + " days ago.",
                        CALIBRATED_TELLS));
            }
        }
        return said;
    }
}
