package jollytide.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Path;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.reef.Fish;
import jollytide.core.reef.Life;
import jollytide.core.seawater.Gases;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

/** Single parts on a tank of nothing else, against what follows by hand. */
class PartsTest {
    private static final Instant START = Instant.parse("2026-11-01T00:00:00Z");
    private static final RoomSpace AIR = new RoomSpace(420, RoomSpace.Hours.known(420));

    private static TwinTank tank(double celsius, boolean carbon, Part... parts) {
        return new TwinTank(new Water(100, 35, Gases.STANDARD_HPA, celsius, carbon), List.of(parts));
    }

    private static TwinState after(TwinTank tank, TwinState from, Duration length) {
        Twin twin = new Twin(tank);
        return twin.run(twin.carriedOver(from), from.at().plus(length), length).get(0);
    }

    private static TwinState start(TwinTank tank) {
        return new Twin(tank).start(START, 3, 600);
    }

    /** Newton: e^−kt of the gap is left. */
    @Test
    void waterCools() {
        TwinTank tank = tank(26, false, AIR, new Cooling(18, 0.05));
        TwinState later = after(tank, start(tank), Duration.ofHours(10));
        assertThat(later.temperatureC()).isCloseTo(18 + 8 * Math.exp(-0.5), within(1e-3));
    }

    /** A refugium that would eat all carbon of 100 L in hours: it starves, and the water stays water. */
    @Test
    void algaeStarveWhereNoCarbonIsLeft() {
        OpenPath surface = OpenPath.surface("surface", Air.ROOM, new Surface(0.2, 4, 0.5));
        TwinTank hungry = tank(25, true, AIR, surface, new Refugium(80, 1, Lamp.ALWAYS));
        TwinState later = after(hungry, start(hungry), Duration.ofHours(24));
        assertThat(later.dicMolPerKg()).isPositive().isLessThan(0.0003);
        // As long as there is enough of it nothing is held back: 8 mmol/h of 100 L, for five hours.
        TwinTank usual = tank(25, true, AIR, new Refugium(8, 1, Lamp.ALWAYS));
        TwinState begun = start(usual);
        TwinState five = after(usual, begun, Duration.ofHours(5));
        double perKg = 0.008 * 5 * Life.metabolism(25) / usual.water().kg();
        assertThat(begun.dicMolPerKg() - five.dicMolPerKg()).isCloseTo(perKg, within(1e-6));
    }

    /** By tests: e^−t/24 h of the gap is left, and each equivalent of soda ash brought half a mole of carbon. */
    @Test
    void dosesFollowTheTests() {
        DosedByTests doses = new DosedByTests(t -> 0.0032, 0.5);
        TwinTank shut = tank(25, true).with(doses);
        TwinState begun = start(shut);
        TwinState later = after(shut, begun, Duration.ofHours(36));
        double poured = later.alkalinityMolPerKg() - begun.alkalinityMolPerKg();
        assertThat(poured)
                .isPositive()
                .isCloseTo((0.0032 - begun.alkalinityMolPerKg()) * (1 - Math.exp(-1.5)), within(1e-8));
        assertThat(later.dicMolPerKg() - begun.dicMolPerKg()).isCloseTo(poured / 2, within(1e-8));
        assertThat(later.calciumMolPerKg()).isEqualTo(begun.calciumMolPerKg());
    }

    /** What air the store lasts for is what the water gets: two hours of it, then none. */
    @Test
    void aStoreRunsEmpty() {
        Path path = (gas, water) -> gas == Gas.OXYGEN ? 2 : 0;
        OnStore pump = new OnStore(OpenPath.stone("pump", Air.ROOM, path), "a", START.plusSeconds(3600), null, 3, 1);
        TwinTank tank = tank(25, false, AIR, pump, new Reef(Life.reef(0.02, 0), 1, Lamp.DARK));
        Twin twin = new Twin(tank);
        List<TwinState> run = twin.run(start(tank), START.plus(Duration.ofHours(6)), Duration.ofMinutes(30));
        Stock used = pump.stocks().get(0);
        assertThat(run.get(1).held(used)).hasValue(1.0);
        assertThat(run.get(3).held(used).orElseThrow()).isCloseTo(2, within(1e-6));
        assertThat(run.get(5).held(used).orElseThrow()).isCloseTo(3, within(1e-6));
        assertThat(run.get(11).held(used).orElseThrow()).isCloseTo(3, within(1e-6));
        double still = run.get(1).oxygenMgPerL() - run.get(0).oxygenMgPerL();
        double aerated = run.get(3).oxygenMgPerL() - run.get(2).oxygenMgPerL();
        double empty = run.get(9).oxygenMgPerL() - run.get(8).oxygenMgPerL();
        assertThat(still).isCloseTo(empty, within(0.002));
        assertThat(aerated).isGreaterThan(still + 0.05);
    }

    /** Switched off by hand it keeps what it has for later. */
    @Test
    void aStoreThatIsSwitchedOffIsKept() {
        Path path = (gas, water) -> 1;
        OnStore pump =
                new OnStore(OpenPath.stone("pump", Air.ROOM, path), "a", START, START.plus(Duration.ofHours(1)), 10, 0);
        TwinTank tank = tank(25, false, AIR, pump);
        assertThat(after(tank, start(tank), Duration.ofHours(5))
                        .held(pump.stocks().get(0))
                        .orElseThrow())
                .isCloseTo(1, within(1e-6));
    }

    /** Chased for an hour at twice the calm: (1 × 2 + 1) hours of calm in two, and 0.15 mol of ammonia for each mole. */
    @Test
    void fishThatWereChasedBreatheMore() {
        Fish fish = new Fish(List.of(new Fish.Group(3, 50)));
        Swimmers chased = new Swimmers(fish, 1.5, 2, START.plusSeconds(3600), 1, 0.5);
        TwinTank tank = tank(25, true, AIR, chased);
        TwinState later = after(tank, start(tank), Duration.ofHours(2));
        double calm = fish.oxygenMmolPerH(25) / 1000 * 1.5;
        assertThat(later.flows().of(Channel.Kind.FISH).oxygen()).isCloseTo(-3 * calm, within(1e-6));
        assertThat(later.flows().of(Channel.Kind.FISH).co2()).isCloseTo(3 * calm, within(1e-6));
        assertThat(later.held(Water.AMMONIA).orElseThrow() * tank.water().kg())
                .isCloseTo(0.5 * 0.15 * 3 * calm, within(1e-7));
    }

    /** A controller opens below its pH and shuts 0.05 above; between two looks it stays. */
    @Test
    void aGateRemembersHowItStands() {
        SkimmerAir.Breathing gated = new SkimmerAir.Breathing() {
            @Override
            public Intake at(Instant t, boolean gateOpen) {
                return Intake.outdoors(gateOpen ? 1 : 0, 200);
            }

            @Override
            public boolean opens(double phNbs, boolean open) {
                return phNbs < (open ? 8.25 : 8.2);
            }

            @Override
            public Instant nextSwitch(Instant t, Instant until) {
                Instant look = t.plus(Duration.ofMinutes(15));
                return look.isBefore(until) ? look : until;
            }
        };
        RoomSpace stuffy = new RoomSpace(2000, RoomSpace.Hours.known(2000));
        TwinTank tank = tank(25, true, stuffy, new SkimmerAir(new Skimmer(600), gated));
        List<TwinState> run = new Twin(tank).run(start(tank), START.plus(Duration.ofDays(4)), Duration.ofMinutes(15));
        List<Double> settled =
                run.subList(96, run.size()).stream().map(TwinState::phNbs).toList();
        assertThat(settled).allSatisfy(ph -> assertThat(ph).isBetween(8.17, 8.28));
        assertThat(settled.stream().mapToDouble(p -> p).max().orElseThrow()).isGreaterThan(8.24);
        assertThat(settled.stream().mapToDouble(p -> p).min().orElseThrow()).isLessThan(8.21);
    }

    /** Carbon that is not followed is not shown either; oxygen comes out the same with it and without. */
    @Test
    void oxygenDoesNotHangOnCarbon() {
        Part surface = OpenPath.surface("", Air.ROOM, new Surface(0.3, 4, 0.5));
        Part reef = new Reef(Life.reef(0.02, 0), 1, Lamp.DARK);
        TwinTank with = tank(25, true, AIR, surface, reef);
        TwinTank without = tank(25, false, AIR, surface, reef);
        TwinState a = after(with, start(with), Duration.ofHours(12));
        TwinState b = after(without, start(without), Duration.ofHours(12));
        assertThat(b.oxygenMgPerL()).isCloseTo(a.oxygenMgPerL(), within(1e-3));
        assertThat(b.phNbs()).isNaN();
        assertThat(b.co2Uatm()).isNaN();
        assertThat(b.roomPpm()).isCloseTo(420, within(1e-6));
    }

    @Test
    void twoPartsCannotHoldTheSame() {
        assertThatThrownBy(() -> tank(25, true, AIR, AIR))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("room.co2");
    }

    /** A tank without a gas balance has none to show, and its rates can still be asked for. */
    @Test
    void runsWithoutAGasBalanceSayRatesAllTheSame() {
        List<Part> parts = List.of(AIR, new Reef(Life.reef(0.02, 0), 1, Lamp.DARK));
        TwinTank bare = new TwinTank(new Water(100, 35, Gases.STANDARD_HPA, 25, true), parts, false);
        TwinState state = start(bare);
        assertThatThrownBy(state::flows).isInstanceOf(IllegalStateException.class);
        assertThat(Twin.rates(state).of(Channel.Kind.REEF).oxygen()).isCloseTo(-0.002, within(1e-12));
    }
}
