package jollytide.core.suspects;

import static jollytide.core.units.Quantities.within;

/** What a keeper found at a check. */
public record Given(Check check, int answer) {
    public Given {
        within("answer", answer, 0, check.answers().size() - 1, "");
    }

    /** As of a {@link Ground}. */
    double weight(Suspect suspect) {
        return Math.log(check.probability(answer, suspect) / check.probability(answer, Suspect.NOTHING));
    }

    Ground ground(Suspect suspect) {
        return new Ground("You found: " + check.answers().get(answer).words() + ".", weight(suspect));
    }
}
