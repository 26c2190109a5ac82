package jollytide.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.stream.Stream;
import jollytide.core.air.AirLine;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.exchange.Stone;
import jollytide.core.measure.AirStone;
import jollytide.core.measure.Caution;
import jollytide.core.measure.Dose;
import jollytide.core.measure.Measure;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.OutdoorLine;
import jollytide.core.measure.OutdoorStone;
import jollytide.core.measure.ReactorCare;
import jollytide.core.measure.RecirculatedMedia;
import jollytide.core.measure.Scrubber;
import jollytide.core.measure.SurfaceFan;
import jollytide.core.measure.Ventilator;
import jollytide.core.measure.Warmth;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.outage.AgainstAmmonia;
import jollytide.core.outage.Backup;
import jollytide.core.outage.Energy;
import jollytide.core.outage.NightWithoutMains;
import jollytide.core.outage.OutageAssumptions;
import jollytide.core.outage.Plan;
import jollytide.core.outage.Step;
import jollytide.core.outage.TankAtFailure;
import jollytide.core.reef.Fish;
import jollytide.core.seawater.Gases;
import jollytide.core.twin.Air;
import jollytide.core.twin.Intake;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

/** Each caution that the job asks for, at the step where it applies: in its words, and where the work is done. */
class SafetyTest {
    private static final Media KILO = new Media(1, MediaAssumptions.DEFAULT);
    private static final Measure LINE = new OutdoorLine(new AirLine(6, 12.7, 2.5), null, 0);
    private static final Measure LOOP = new Scrubber(KILO, 0, MediaUse.Hours.ALWAYS, 8.2, false);

    private static String textOf(Measure measure) {
        return String.join(" ", measure.cautions().stream().map(Caution::text).toList());
    }

    /** Every step of an outage of a cold, stocked reef with a canister, a sump, a doser and such a thing to help. */
    private static List<Step> steps(Energy energy) {
        TankAtFailure tank = new TankAtFailure(
                400,
                35,
                Gases.STANDARD_HPA,
                0.9,
                0.018,
                new Fish(List.of(new Fish.Group(8, 30))),
                6.2,
                true,
                25,
                10,
                0.05,
                2);
        Backup pump = new Backup("pump", new Backup.Stone(400, 2, 0.4), 20, energy);
        List<NightWithoutMains.Running> running = List.of(new NightWithoutMains.Running(pump, 0, null));
        Plan.Situation situation = new Plan.Situation(
                true,
                true,
                true,
                true,
                true,
                12,
                tank,
                running,
                new NightWithoutMains(tank, running, List.of()).run(36));
        List<Step> all = new ArrayList<>(Plan.during(situation));
        all.addAll(Plan.after(situation, 36, EnumSet.allOf(AgainstAmmonia.class)));
        return all;
    }

    private static String caution(Energy energy, String stepId) {
        return steps(energy).stream()
                .filter(step -> step.id().startsWith(stepId))
                .map(step -> step.what() + " " + step.why() + " " + step.how() + " " + step.caution())
                .findFirst()
                .orElseThrow();
    }

    private static final Energy GENERATOR = new Energy.Generator(10, 0.4);
    private static final Energy UPS = new Energy.Ups(100, 23, 0);

    @Test
    @DisplayName("1 Carbon monoxide: generators and flames")
    void carbonMonoxide() {
        assertThat(caution(GENERATOR, "start-"))
                .contains("outdoors only")
                .contains("cool before you refuel")
                .contains("never in a garage")
                .contains("carbon monoxide alarm");
        assertThat(caution(UPS, "warmth")).contains("unvented flame").contains("carbon monoxide");
    }

    @Test
    @DisplayName("2 Electricity and salt water")
    void electricity() {
        assertThat(caution(UPS, "shed"))
                .contains("residual-current")
                .contains("drip loops")
                .contains("Never chain cords");
        assertThat(caution(GENERATOR, "start-")).contains("back-feed").contains("licensed electrician");
        assertThat(textOf(new SurfaceFan(1))).contains("can’t fall in").contains("residual-current");
    }

    @Test
    @DisplayName("3 Caustics")
    void caustics() {
        for (AlkalinitySource source : AlkalinitySource.values()) {
            String dose = textOf(new Dose(source, 0.3));
            if (source.caustic()) {
                assertThat(dose)
                        .contains("goggles, gloves and a dust mask")
                        .contains("never water to powder")
                        .contains("Never mix with acids")
                        .contains("children and pets")
                        .contains("food or medicine")
                        .contains("medical help");
            } else {
                assertThat(dose).doesNotContain("caustic");
            }
        }
        for (Measure media : List.of(
                LOOP,
                new RecirculatedMedia(
                        new MediaUse(KILO, 0.2, Intake.Leg.RECIRCULATED, MediaUse.Hours.ALWAYS, 8.2, false)))) {
            assertThat(textOf(media))
                    .contains("goggles, gloves and a dust mask")
                    .contains("drip trap")
                    .contains("medical help");
        }
        assertThat(caution(UPS, "back-doser")).contains("goggles and gloves");
    }

    @Test
    @DisplayName("4 Overdose")
    void overdose() {
        assertThat(textOf(new Dose(AlkalinitySource.LIMEWATER, 0.3)))
                .contains("hourly and daily limits")
                .contains("cut-out")
                .contains("siphon")
                .contains("survives at once")
                .contains("unchecked probe");
        assertThat(caution(UPS, "back-doser")).contains("Never dose missed amounts at once");
    }

    @Test
    @DisplayName("5 Batteries and vehicle sockets")
    void batteries() {
        assertThat(caution(UPS, "start-"))
                .contains("right charger")
                .contains("swollen")
                .contains("once a year at the real load")
                .contains("fuse of a vehicle");
    }

    @Test
    @DisplayName("6 and 12 Drilling, attics, and what an air line brings")
    void drilling() {
        for (Measure through : List.of(LINE, new OutdoorStone(new Stone(100, 2, 0.4), true))) {
            assertThat(textOf(through))
                    .contains("cables, pipes, gas, structure, fire stops")
                    .contains("lead and asbestos")
                    .contains("landlord and follow local codes")
                    .contains("flues, dryers, vehicles and sprays")
                    .contains("radon and mould")
                    .contains("insect screen")
                    .contains("condensate or frost");
        }
        assertThat(textOf(new OutdoorStone(new Stone(100, 2, 0.4), false))).contains("one-way valve");
    }

    @Test
    @DisplayName("7 Closed loops and deep stones")
    void closedLoops() {
        assertThat(LOOP.cautions())
                .first()
                .satisfies(c -> assertThat(c.concerns()).isEqualTo(Caution.Concern.ANIMALS))
                .satisfies(c -> assertThat(c.text()).contains("adds no oxygen").contains("fails open"));
        assertThat(textOf(new Scrubber(KILO, 0.05, MediaUse.Hours.ALWAYS, 8.2, false)))
                .doesNotContain("adds no oxygen")
                .contains("drown");
        assertThat(textOf(new AirStone(new Stone(100, 2, 1.01), Air.ROOM))).contains("supersaturate");
        assertThat(textOf(new AirStone(new Stone(100, 2, 1.0), Air.ROOM))).doesNotContain("supersaturate");
        assertThat(textOf(new OutdoorStone(new Stone(100, 2, 1.2), false))).contains("supersaturate");
    }

    @Test
    @DisplayName("8 People: cylinders and flues; the room of 1500 ppm is in VerdictTest")
    void people() {
        assertThat(textOf(new ReactorCare(0.5, 0.3)))
                .contains("Secure the CO2 cylinder upright")
                .contains("ventilated");
        assertThat(textOf(new Ventilator(0.5))).contains("flue gas").contains("licensed");
    }

    @Test
    @DisplayName("9 Water where it should not be")
    void overflow() {
        assertThat(caution(UPS, "overflow")).contains("one-way valves fail");
        assertThat(caution(UPS, "back-skimmer")).contains("overflows after an outage");
        assertThat(textOf(new SurfaceFan(1))).contains("top-off and salinity");
    }

    @Test
    @DisplayName("10 Animals: nothing fast")
    void nothingFast() {
        assertThat(textOf(new Warmth(3))).contains("at most one degree a day");
        assertThat(caution(UPS, "back-heater")).contains("at most one degree an hour");
        assertThat(caution(UPS, "back-lamps")).contains("half for a day");
    }

    @Test
    @DisplayName("11 Coral toxins")
    void coralToxins() {
        assertThat(caution(UPS, "flow")).contains("gloves and eye protection").contains("Never scrub, boil or heat");
    }

    /** No caution is empty, and none is shouted: each says what to do. */
    @Test
    void everyCautionIsASentence() {
        Stream.of(LINE, LOOP, new Warmth(1), new SurfaceFan(1), new Ventilator(1), new ReactorCare(0, 0))
                .flatMap(measure -> measure.cautions().stream())
                .forEach(c -> assertThat(c.text()).endsWith(".").hasSizeGreaterThan(40));
        assertThat(OutageAssumptions.DEFAULT.early().demandTimes())
                .as("the careful side asks for more")
                .isGreaterThan(1);
    }
}
