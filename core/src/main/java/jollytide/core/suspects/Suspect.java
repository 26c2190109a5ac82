package jollytide.core.suspects;

import java.util.Arrays;
import java.util.Locale;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.fit.Unknown;
import jollytide.core.measure.Fault;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Rig;
import jollytide.core.measure.Setup;
import jollytide.core.units.AlkalinityUnit;
import org.jspecify.annotations.Nullable;

/**
 * What can make pH low, each with what it would do to the course of a day and how large it usually is where it is the
 * cause. How common they are beside each other, and how large, is from memory.
 */
public enum Suspect {
    PROBE(
            Family.MEASURING,
            2.5,
            "The probe reads too low",
            Unknown.PROBE,
            -1,
            0.09,
            0.05,
            Size.PH,
            "The probe would read %s too low"),
    ALKALINITY_TEST(
            Family.ALKALINITY,
            1,
            "Alkalinity is lower than tested",
            Unknown.ALKALINITY,
            -1,
            0.35,
            0.2,
            Size.DKH,
            "Tests would read %s too high"),
    READINGS(Family.MEASURING, 1, "Too few readings, or by day only"),
    ROOM(
            Family.ROOM,
            3,
            "The room has more CO2",
            Unknown.ROOM_EXCESS,
            1,
            0.5,
            0.3,
            Size.MORE,
            "The room would have %s more above outdoors"),
    FOUL_INTAKE(
            Family.SKIMMER_AIR,
            0.7,
            "The air at the hose’s inlet is not clean",
            Fault.Of.FOUL_MOUTH,
            1,
            400,
            200,
            Size.PPM,
            "At night the inlet would have %s more than outdoors"),
    SECOND_INLET(
            Family.SKIMMER_AIR,
            1,
            "A second inlet lets room air in",
            Fault.Of.SECOND_INLET,
            1,
            0.5,
            0.25,
            Size.SHARE,
            "%s of the air would be room air"),
    HOSE(
            Family.SKIMMER_AIR,
            1.2,
            "The hose is too long, too thin or kinked",
            Unknown.SKIMMER,
            -1,
            0.8,
            0.4,
            Size.LOSS,
            "Skimmer gas exchange would be %s lower"),
    MEDIA_SPENT(
            Family.SKIMMER_AIR,
            2,
            "The scrubber media are spent",
            Fault.Of.MEDIA,
            1,
            0.8,
            0.3,
            Size.SHARE,
            "Media would let through %s of the CO2"),
    MEDIA_DROWNED(
            Family.SKIMMER_AIR,
            0.8,
            "The scrubber media are wet and block the air",
            Unknown.SKIMMER,
            -1,
            1,
            0.4,
            Size.LOSS,
            "Skimmer gas exchange would be %s lower"),
    CABINET(
            Family.SKIMMER_AIR,
            1,
            "The cabinet holds used air",
            Fault.Of.CABINET,
            -1,
            1.5,
            0.6,
            Size.LOSS,
            "%s less air would pass"),
    CANOPY(
            Family.SURFACE,
            1,
            "The canopy holds used air",
            Fault.Of.CANOPY,
            -1,
            3,
            1,
            Size.LOSS,
            "%s less air would pass"),
    SKIMMER(
            Family.SKIMMER_AIR,
            2.5,
            "The skimmer is clogged, worn or overflowing",
            Unknown.SKIMMER,
            -1,
            0.9,
            0.5,
            Size.LOSS,
            "Gas exchange there would be %s lower"),
    STONE(
            Family.SURFACE,
            1.5,
            "The air stone is clogged",
            Fault.Of.STONES,
            -1,
            1.2,
            0.6,
            Size.LOSS,
            "Gas exchange there would be %s lower"),
    SURFACE(
            Family.SURFACE,
            1.5,
            "The surface stands still, or with a film",
            Unknown.SURFACES,
            -1,
            0.7,
            0.35,
            Size.LOSS,
            "Gas exchange there would be %s lower"),
    TANK_CO2(
            Family.LIFE,
            1.8,
            "More CO2 is made in the tank",
            Unknown.RESPIRATION,
            1,
            0.4,
            0.2,
            Size.MORE,
            "Respiration would be %s higher"),
    LIGHT_AGED(
            Family.LIFE,
            1,
            "The light is weaker",
            Unknown.PHOTOSYNTHESIS,
            -1,
            0.35,
            0.2,
            Size.LOSS,
            "Photosynthesis would be %s lower"),
    LIGHT_SHORTENED(
            Family.LIFE,
            0.7,
            "The light goes off earlier",
            Fault.Of.LAMPS,
            1,
            2,
            1,
            Size.HOURS,
            "The light would go off %s earlier"),
    REACTOR(
            Family.LIFE,
            1.5,
            "The calcium reactor adds more CO2",
            Fault.Of.REACTOR,
            1,
            0.35,
            0.2,
            Size.PH,
            "The effluent’s pH would be %s lower"),
    DOSER(Family.ALKALINITY, 1.8, "Too little arrives from limewater or doser"),
    WATER_CHANGE(Family.ALKALINITY, 0.5, "The last water change"),
    NOTHING(Family.NONE, 6, "Nothing: this is usual for the tank");

    private final Family family;
    private final double commonness;
    private final String title;
    private final @Nullable Unknown unknown;
    private final Fault.@Nullable Of fault;
    private final int sign;
    private final double typical;
    private final double spread;
    private final @Nullable Size form;
    private final String words;

    /** One that is a fit's unknown in one direction. */
    Suspect(
            Family family,
            double commonness,
            String title,
            Unknown unknown,
            int sign,
            double typical,
            double spread,
            Size form,
            String words) {
        this(family, commonness, title, unknown, null, sign, typical, spread, form, words);
    }

    /** One that is a fault of what is described. */
    Suspect(
            Family family,
            double commonness,
            String title,
            Fault.Of fault,
            int sign,
            double typical,
            double spread,
            Size form,
            String words) {
        this(family, commonness, title, null, fault, sign, typical, spread, form, words);
    }

    /** One that the course of the day does not show. */
    Suspect(Family family, double commonness, String title) {
        this(family, commonness, title, null, null, 1, 0, 0, null, "");
    }

    Suspect(
            Family family,
            double commonness,
            String title,
            @Nullable Unknown unknown,
            Fault.@Nullable Of fault,
            int sign,
            double typical,
            double spread,
            @Nullable Size form,
            String words) {
        this.family = family;
        this.commonness = commonness;
        this.title = title;
        this.unknown = unknown;
        this.fault = fault;
        this.sign = sign;
        this.typical = typical;
        this.spread = spread;
        this.form = form;
        this.words = words;
    }

    public Family family() {
        return family;
    }

    public String title() {
        return title;
    }

    /** Beside the others. */
    double commonness() {
        return commonness;
    }

    /** Whether the course of a day shows it. */
    boolean shows() {
        return unknown != null || fault != null;
    }

    /** How large it is where it is the cause; {@link #spread} is one standard deviation of that. */
    double typical() {
        return typical;
    }

    double spread() {
        return spread;
    }

    /** The unknown of a fit that it moves, upwards with {@link #sign} 1; null where it is none. */
    @Nullable
    Unknown unknown() {
        return unknown;
    }

    int sign() {
        return sign;
    }

    /** Whether such a tank can have it at all. */
    boolean possible(Setup setup) {
        Rig rig = Rig.of(setup, TankParameters.ORDINARY, MeasureSet.NONE);
        return switch (this) {
            case FOUL_INTAKE, SECOND_INLET, HOSE ->
                rig.skimmers().stream().anyMatch(skimmer -> skimmer.outdoorShare() > 0);
            case MEDIA_SPENT, MEDIA_DROWNED -> rig.withMedia().isPresent();
            case CABINET -> setup.cabinet() != null && setup.inCabinet() && setup.skimmer() != null;
            case CANOPY -> setup.canopy() != null;
            case SKIMMER -> setup.skimmer() != null;
            case STONE -> rig.hasStones();
            case LIGHT_SHORTENED, LIGHT_AGED -> setup.light().switches();
            case REACTOR -> setup.reactor() != null;
            default -> true;
        };
    }

    /** The size that it would need, in words; empty where it has none. */
    String needs(Estimate size) {
        return form == null ? "" : String.format(Locale.ROOT, words, form.words(size));
    }

    /**
     * What the probe would have shown, had it been of such a size all along.
     *
     * @throws jollytide.core.units.InputException when that tank leaves what water can be
     */
    double[] shown(TankLog log, Setup setup, FittedTank fitted, double[] shown, double size) {
        if (unknown == Unknown.PROBE) {
            return Arrays.stream(shown).map(ph -> ph + sign * size).toArray();
        }
        Setup as = fault == null
                ? setup
                : setup.with(MeasureSet.of(new Fault(fault, sign * size)).over(setup.standing()));
        TankParameters tank = unknown == null ? fitted.likely() : fitted.moved(unknown, sign * size);
        return log.shownBy(as, tank).stream().mapToDouble(Reading::value).toArray();
    }

    /** How a size is said, from its low to its high end. */
    private enum Size {
        PPM("%.0f–%.0f ppm"),
        HOURS("%.1f–%.1f h"),
        PH("%.2f–%.2f"),
        DKH("%.1f–%.1f dKH"),
        SHARE("%.0f–%.0f %%"),
        /** Of a natural logarithm by which something is less. */
        LOSS("%.0f–%.0f %%"),
        /** Likewise more. */
        MORE("%.0f–%.0f %%");

        private final String band;

        Size(String band) {
            this.band = band;
        }

        String words(Estimate size) {
            return String.format(Locale.ROOT, band, shown(size.low()), shown(size.high()));
        }

        private double shown(double size) {
            double least = Math.max(0, size);
            return switch (this) {
                case PPM, HOURS, PH -> least;
                case DKH -> AlkalinityUnit.DKH.fromMeqPerL(least);
                case SHARE -> 100 * Math.min(1, least);
                case LOSS -> 100 * (1 - Math.exp(-least));
                case MORE -> 100 * (Math.exp(least) - 1);
            };
        }
    }
}
