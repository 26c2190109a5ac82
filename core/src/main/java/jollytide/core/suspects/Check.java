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
            "Put the probe in two fresh buffers until the reading is stable. Rinse in between.",
            Effort.MINUTES,
            new Answer("both right within 0.03"),
            new Answer("probe reads too low", PROBE)),
    SECOND_TEST(
            "Test alkalinity now, then with another kit or a reference solution.",
            Effort.MINUTES,
            new Answer("both like the last test"),
            new Answer("both lower than at the last test", DOSER, WATER_CHANGE),
            new Answer("the other reads lower than yours", ALKALINITY_TEST)),
    NIGHTS_READ(
            "Check whether pH was measured before lights-on in the last week.",
            Effort.MINUTES,
            new Answer("yes"),
            new Answer("no", READINGS)),
    ROOM_NOW(
            "Read the room’s meter outdoors for ten minutes, then in the room with everyone home.",
            Effort.MINUTES,
            new Answer("about 420 outdoors, indoors as usual"),
            new Answer("about 420 outdoors, indoors more than usual", ROOM)),
    INTAKE_CO2(
            "Hold the CO2 meter at the skimmer’s intake for ten minutes by day, with hose or media on.",
            Effort.MINUTES,
            new Answer("as clean as it should be"),
            new Answer("halfway to the room’s", SECOND_INLET, MEDIA_SPENT),
            new Answer("above the room’s", CABINET)),
    MOUTH_BY_NIGHT(
            "Leave the CO2 meter at the hose’s inlet for one night, out of the rain.",
            Effort.A_NIGHT,
            new Answer("as outdoors all night"),
            new Answer("higher for some hours", FOUL_INTAKE)),
    DRAW(
            "Measure the skimmer’s air draw, then again without hose and media.",
            Effort.AN_EVENING,
            new Answer("as described, both ways"),
            new Answer("low with the hose, as described without it", HOSE),
            new Answer("low with the media, as described without them", MEDIA_DROWNED),
            new Answer("low both ways", SKIMMER)),
    MEDIA_LOOK(
            "Check the media’s colour and weigh them. Wear gloves: wet media leach caustic.",
            Effort.MINUTES,
            new Answer("fresh in colour, and dry"),
            new Answer("changed in colour from end to end", MEDIA_SPENT),
            new Answer("wet, caked or much heavier", MEDIA_DROWNED)),
    SURFACE_LOOK(
            "Look along the surface against the light. Ripples should cover it, with no film.",
            Effort.MINUTES,
            new Answer("moving as usual"),
            new Answer("still, or with a film", SURFACE)),
    STONE_LOOK(
            "Check the stone’s bubbles.",
            Effort.MINUTES,
            new Answer("as many and as fine as usual"),
            new Answer("few, or coarse", STONE)),
    CABINET_OPEN(
            "Leave the cabinet door open for one night.",
            Effort.A_NIGHT,
            new Answer("daily low unchanged"),
            new Answer("daily low higher", CABINET)),
    CANOPY_OPEN(
            "Leave the canopy lifted for one night. Watch for jumping fish.",
            Effort.A_NIGHT,
            new Answer("daily low unchanged"),
            new Answer("daily low higher", CANOPY)),
    TANK_LOOK(
            "Count the animals. Look behind the rock, in overflow and sump. Check how much you feed.",
            Effort.AN_EVENING,
            new Answer("all there, nothing rotting, fed as usual"),
            new Answer("something dead or rotting, new animals, or more food", TANK_CO2)),
    LAMPS_LOOK(
            "Check the lamps’ timer, settings, lenses and glass.",
            Effort.MINUTES,
            new Answer("as long and as bright as usual"),
            new Answer("dimmed, aged, or glass overgrown", LIGHT_AGED),
            new Answer("on for fewer hours", LIGHT_SHORTENED)),
    EFFLUENT(
            "Measure the reactor’s effluent: pH, alkalinity, drops a minute. Ventilate: CO2 is heavier than air.",
            Effort.MINUTES,
            new Answer("as set"),
            new Answer("lower pH, or faster", REACTOR)),
    RESERVOIR(
            "Mark the reservoir’s level and check after a day. Or measure the doser’s output in a cylinder.",
            Effort.MINUTES,
            new Answer("as much as planned"),
            new Answer("less than planned", DOSER)),
    NEW_WATER(
            "Test the new water before use: alkalinity, temperature, and pH after a night of aeration.",
            Effort.MINUTES,
            new Answer("like the tank"),
            new Answer("lower than the tank", WATER_CHANGE));

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
