package jollytide.core.suspects;

import static jollytide.core.suspects.Suspect.ALKALINITY_TEST;
import static jollytide.core.suspects.Suspect.CABINET;
import static jollytide.core.suspects.Suspect.CANOPY;
import static jollytide.core.suspects.Suspect.DOSER;
import static jollytide.core.suspects.Suspect.FOUL_INTAKE;
import static jollytide.core.suspects.Suspect.HOSE;
import static jollytide.core.suspects.Suspect.LIGHT_AGED;
import static jollytide.core.suspects.Suspect.LIGHT_SHORTENED;
import static jollytide.core.suspects.Suspect.MEDIA_DROWNED;
import static jollytide.core.suspects.Suspect.MEDIA_SPENT;
import static jollytide.core.suspects.Suspect.PROBE;
import static jollytide.core.suspects.Suspect.REACTOR;
import static jollytide.core.suspects.Suspect.READINGS;
import static jollytide.core.suspects.Suspect.ROOM;
import static jollytide.core.suspects.Suspect.SECOND_INLET;
import static jollytide.core.suspects.Suspect.SKIMMER;
import static jollytide.core.suspects.Suspect.STONE;
import static jollytide.core.suspects.Suspect.SURFACE;
import static jollytide.core.suspects.Suspect.TANK_CO2;
import static jollytide.core.suspects.Suspect.WATER_CHANGE;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What a keeper can do to part suspects, with the answers that it can have: the first is that of a tank at which this is
 * not the trouble. Common practice, no source.
 */
public enum Check {
    BUFFERS(
            "Put the probe into two fresh buffers, rinsed between them, each until it rests.",
            Effort.MINUTES,
            new Answer("it reads both within 0.03"),
            new Answer("it reads too low", PROBE)),
    SECOND_TEST(
            "Test alkalinity now, then again with another kit or a reference solution.",
            Effort.MINUTES,
            new Answer("both as at the last test"),
            new Answer("both lower than at the last test", DOSER, WATER_CHANGE),
            new Answer("the other says less than yours", ALKALINITY_TEST)),
    NIGHTS_READ(
            "Look whether the hours before lights-on were read in the last week.",
            Effort.MINUTES,
            new Answer("they were"),
            new Answer("they were not", READINGS)),
    ROOM_NOW(
            "Hold the room’s meter outdoors for ten minutes, then back in the room with everybody at home.",
            Effort.MINUTES,
            new Answer("about 420 outdoors, and indoors as on other days"),
            new Answer("about 420 outdoors, and more indoors than on other days", ROOM)),
    INTAKE_CO2(
            "Hold the CO2 meter at the skimmer’s intake, with the hose or media on, for ten minutes by day.",
            Effort.MINUTES,
            new Answer("as clean as it should be"),
            new Answer("halfway to the room’s", SECOND_INLET, MEDIA_SPENT),
            new Answer("above the room’s", CABINET)),
    MOUTH_BY_NIGHT(
            "Leave the CO2 meter at the hose’s mouth for one night, out of rain.",
            Effort.A_NIGHT,
            new Answer("as outdoors all night"),
            new Answer("it rises for some hours", FOUL_INTAKE)),
    DRAW(
            "Measure the skimmer’s air draw as it is, then with hose and media off.",
            Effort.AN_EVENING,
            new Answer("as described, both ways"),
            new Answer("low with the hose, as described without it", HOSE),
            new Answer("low with the media, as described without them", MEDIA_DROWNED),
            new Answer("low both ways", SKIMMER)),
    MEDIA_LOOK(
            "Look at the media’s colour and weigh them. Gloves on: wet media leach caustic.",
            Effort.MINUTES,
            new Answer("fresh in colour, and dry"),
            new Answer("changed in colour from end to end", MEDIA_SPENT),
            new Answer("wet, caked or much heavier", MEDIA_DROWNED)),
    SURFACE_LOOK(
            "Look along the surface against the light: ripples all over, outlets where they were, no film.",
            Effort.MINUTES,
            new Answer("as lively as ever"),
            new Answer("still, or under a film", SURFACE)),
    STONE_LOOK(
            "Look at the stone’s bubbles.",
            Effort.MINUTES,
            new Answer("as many and as fine as ever"),
            new Answer("few, or coarse", STONE)),
    CABINET_OPEN(
            "Leave the cabinet’s door open for a night.",
            Effort.A_NIGHT,
            new Answer("the trough is as before"),
            new Answer("the trough is higher", CABINET)),
    CANOPY_OPEN(
            "Leave the canopy lifted for a night. Mind what jumps.",
            Effort.A_NIGHT,
            new Answer("the trough is as before"),
            new Answer("the trough is higher", CANOPY)),
    TANK_LOOK(
            "Count the animals, look behind the rock and into overflow and sump, and at how much is fed.",
            Effort.AN_EVENING,
            new Answer("all there, nothing rots, fed as ever"),
            new Answer("something died or rots, new animals, or more food", TANK_CO2)),
    LAMPS_LOOK(
            "Look at the lamps’ timer, their settings, lenses and glass.",
            Effort.MINUTES,
            new Answer("on as long and as bright as ever"),
            new Answer("dimmed, aged, or glass overgrown", LIGHT_AGED),
            new Answer("on for fewer hours", LIGHT_SHORTENED)),
    EFFLUENT(
            "Measure the reactor’s effluent: pH, alkalinity, drops a minute. The cylinder’s gas is heavier than air.",
            Effort.MINUTES,
            new Answer("as it was set"),
            new Answer("more acid, or faster", REACTOR)),
    RESERVOIR(
            "Mark the reservoir’s level, and look again after a day, or measure what the doser brings in a cylinder.",
            Effort.MINUTES,
            new Answer("as much as planned"),
            new Answer("less than planned", DOSER)),
    NEW_WATER(
            "Test the new water before it goes in: alkalinity, temperature, and pH after a night of air.",
            Effort.MINUTES,
            new Answer("as the tank’s"),
            new Answer("lower than the tank’s", WATER_CHANGE));

    /** An answer is right so often. From memory. */
    private static final double RELIABLE = 0.95;

    private final String how;
    private final Effort effort;

    @SuppressWarnings("ImmutableEnumChecker") // a list that nobody can change
    private final List<Answer> answers;

    Check(String how, Effort effort, Answer... answers) {
        this.how = how;
        this.effort = effort;
        this.answers = List.of(answers);
    }

    /** What it takes; the weight is what minutes of attention and hours of waiting are felt to cost. From memory. */
    public enum Effort {
        MINUTES(1),
        AN_EVENING(1.5),
        A_NIGHT(2);

        private final double weight;

        Effort(double weight) {
            this.weight = weight;
        }

        double weight() {
            return weight;
        }
    }

    /**
     * @param words what is seen
     * @param of whom one expects it; nobody for the first
     */
    public record Answer(String words, Set<Suspect> of) {
        Answer(String words, Suspect... of) {
            this(words, Set.of(of));
        }
    }

    public String how() {
        return how;
    }

    public Effort effort() {
        return effort;
    }

    public List<Answer> answers() {
        return answers;
    }

    /** Those whom it can convict. */
    public Set<Suspect> parts() {
        return answers.stream().flatMap(a -> a.of().stream()).collect(Collectors.toUnmodifiableSet());
    }

    /** Which answer one expects where this is the cause. */
    public int expected(Suspect suspect) {
        return IntStream.range(0, answers.size())
                .filter(i -> answers.get(i).of().contains(suspect))
                .findFirst()
                .orElse(0);
    }

    /** How probable an answer is where this is the cause. */
    double probability(int answer, Suspect suspect) {
        return answer == expected(suspect) ? RELIABLE : (1 - RELIABLE) / (answers.size() - 1);
    }

    static Stream<Check> all() {
        return Stream.of(values());
    }
}
