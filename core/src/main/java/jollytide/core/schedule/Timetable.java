package jollytide.core.schedule;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.dosing.DoseHours;
import jollytide.core.evidence.Quantity;
import jollytide.core.exchange.Stone;
import jollytide.core.measure.Measure;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.Rig;
import jollytide.core.measure.Switches;
import jollytide.core.schedule.LaneState.Does;
import jollytide.core.schedule.Rule.Gate;
import jollytide.core.schedule.Window.Span;
import jollytide.core.twin.Air;
import jollytide.core.twin.OpenPath;
import org.jspecify.annotations.Nullable;

/**
 * A schedule laid out over some days for the twin, which runs by it. A wave counts as its mean: water answers in hours,
 * pumps switch in minutes. Gates on pH that lead the skimmer's air go by the twin's own water; others by what they do
 * without a reading. When a line doses stands in the tank's setup; in here is what keeps its doses back.
 */
public final class Timetable implements Measure, Switches {
    /** A stone that is a lane and is described nowhere: so much air, so fine, so deep, at the return. Assumed. */
    static final Stone UNDESCRIBED = new Stone(100, 1, 0.3);

    private static final Switches.AirWay FRESH = new Switches.AirWay(1, false);

    private final List<Lane> stones;
    private final int describedStones;
    private final @Nullable MediaUse media;
    private final @Nullable Limit gate;
    private final long[] at;
    private final double[] skimmer;
    private final double[] flow;
    private final double[] returns;
    private final double[] lamps;
    private final double[] refugium;
    private final double[] doses;
    private final double[][] stone;
    private final Switches.AirWay[] airOpen;
    private final Switches.AirWay[] airClosed;

    /**
     * What a schedule switches.
     *
     * @param describedStones how many stones the tank has: the first lanes of air pumps are these
     * @param media in whichever hours the schedule leads air through them; null for none on the skimmer
     * @param meqPerDay what a lane brings of alkalinity; 0 for what brings none
     */
    public record Gear(int describedStones, @Nullable MediaUse media, ToDoubleFunction<Lane> meqPerDay) {}

    public Timetable(Schedule p, Instant from, Duration length, Known known, Gear gear) {
        describedStones = gear.describedStones();
        media = gear.media();
        stones = of(p, LaneKind.AIR_PUMP);
        List<Gate> gates = p.rules().stream()
                .filter(Gate.class::isInstance)
                .map(Gate.class::cast)
                .filter(g -> g.limit().quantity() == Quantity.PH
                        && of(p, LaneKind.AIR_PATH).stream().anyMatch(l -> l.id().equals(g.lane())))
                .toList();
        gate = gates.isEmpty() ? null : gates.get(0).limit();
        Schedule others = gates.stream().reduce(p, Schedule::without, (a, b) -> b);
        Laid closed = Laid.of(others, from, length, known);
        Laid open = Laid.of(gates.stream().reduce(p, (q, g) -> q.with(g.held(), g), (a, b) -> b), from, length, known);
        at = open.at.stream().mapToLong(Instant::getEpochSecond).toArray();
        skimmer = open.mean(LaneKind.SKIMMER);
        returns = open.mean(LaneKind.RETURN_PUMP);
        lamps = open.mean(LaneKind.LAMPS);
        refugium = open.mean(LaneKind.REFUGIUM);
        double[] pumps = open.mean(LaneKind.FLOW_PUMP);
        flow = new double[at.length];
        Arrays.setAll(flow, i -> of(p, LaneKind.FLOW_PUMP).isEmpty() ? returns[i] : pumps[i]);
        stone = stones.stream()
                .map(lane -> open.each(day -> i -> share(day.verdict(lane, i).state())))
                .toArray(double[][]::new);
        doses = open.doses(gear.meqPerDay());
        airOpen = open.air();
        airClosed = closed.air();
    }

    /**
     * In which hours of a day the lines dose.
     *
     * @param meqPerDay what a lane brings of alkalinity; 0 for what brings none
     * @return null where nothing is dosed
     */
    public static @Nullable DoseHours doseHours(Schedule p, LocalDate date, ToDoubleFunction<Lane> meqPerDay) {
        CutDay day = new CutDay(p, date, Known.NOTHING);
        double[] hours = new double[DoseHours.HOURS];
        for (Lane doser : of(p, LaneKind.DOSER)) {
            double meq = meqPerDay.applyAsDouble(doser);
            List<Span> dosed = IntStream.range(0, day.pieces().size())
                    .boxed()
                    .flatMap(i -> day.dosed(doser, i).stream())
                    .toList();
            double whole = dosed.stream().mapToDouble(Timetable::weight).sum();
            for (Span span : dosed) {
                // Minute by minute: what drips over two hours belongs to both.
                double minutes = weight(span);
                for (int m = 0; m < minutes; m++) {
                    int hour = span.from().plusSeconds(60L * m).atZone(p.zone()).getHour();
                    hours[hour] += meq / whole * Math.min(1, minutes - m);
                }
            }
        }
        double sum = Arrays.stream(hours).sum();
        return sum == 0
                ? null
                : new DoseHours(Arrays.stream(hours).map(h -> h / sum).boxed().toList());
    }

    /** A dose counts as one; what is dosed all the while, by its minutes. */
    private static double weight(Span span) {
        return Math.max(1, Duration.between(span.from(), span.until()).toSeconds() / 60.0);
    }

    /** Whether a rule leads the skimmer's air through media at all. */
    public static boolean usesMedia(Schedule p) {
        return Stream.concat(
                        p.rules().stream().flatMap(Schedule::states),
                        p.lanes().stream().flatMap(lane -> Stream.of(lane.rest(), lane.afterPower())))
                .anyMatch(state -> state.does() == Does.MEDIA || state.does() == Does.RECIRCULATED);
    }

    private static List<Lane> of(Schedule p, LaneKind kind) {
        return p.lanes().stream().filter(lane -> lane.kind() == kind).toList();
    }

    /** Of full power; a wave on average. */
    static double share(LaneState state) {
        return switch (state.does()) {
            case OFF -> 0;
            case SHARE -> state.share();
            case WAVE ->
                (double) state.on().toMillis() / state.on().plus(state.off()).toMillis();
            case ON, FRESH, MEDIA, RECIRCULATED -> 1;
        };
    }

    /** All its days, piece by piece. */
    private static final class Laid {
        private final Schedule p;
        private final List<CutDay> days = new ArrayList<>();
        private final List<Instant> at = new ArrayList<>();

        static Laid of(Schedule p, Instant from, Duration length, Known known) {
            Laid laid = new Laid(p);
            LocalDate first = LocalDate.ofInstant(from, p.zone());
            LocalDate last = LocalDate.ofInstant(from.plus(length), p.zone());
            first.datesUntil(last.plusDays(1)).forEach(date -> {
                CutDay day = new CutDay(p, date, known);
                laid.days.add(day);
                day.pieces().stream().map(Span::from).forEach(laid.at::add);
            });
            return laid;
        }

        private Laid(Schedule p) {
            this.p = p;
        }

        double[] each(Function<CutDay, Function<Integer, Double>> of) {
            List<Double> all = new ArrayList<>();
            for (CutDay day : days) {
                Function<Integer, Double> piece = of.apply(day);
                for (int i = 0; i < day.pieces().size(); i++) {
                    all.add(piece.apply(i));
                }
            }
            return all.stream().mapToDouble(Double::doubleValue).toArray();
        }

        /** Of all lanes of a kind; where there is none it is on, as it is described. */
        double[] mean(LaneKind kind) {
            List<Lane> lanes = Timetable.of(p, kind);
            return each(day -> i -> lanes.stream()
                    .mapToDouble(lane -> share(day.verdict(lane, i).state()))
                    .average()
                    .orElse(1));
        }

        /** Of what is dosed on a day of which nothing is known, that which is dosed on this one. */
        double[] doses(ToDoubleFunction<Lane> meqPerDay) {
            List<Lane> dosers = Timetable.of(p, LaneKind.DOSER).stream()
                    .filter(lane -> meqPerDay.applyAsDouble(lane) > 0)
                    .toList();
            return each(day -> i -> {
                List<Lane> usual = dosers.stream()
                        .filter(lane -> share(day.usual(lane, i).state()) > 0)
                        .toList();
                double all = usual.stream().mapToDouble(meqPerDay).sum();
                return all == 0
                        ? 1.0
                        : usual.stream()
                                        .filter(lane ->
                                                share(day.verdict(lane, i).state()) > 0)
                                        .mapToDouble(meqPerDay)
                                        .sum()
                                / all;
            });
        }

        Switches.AirWay[] air() {
            List<Switches.AirWay> all = new ArrayList<>();
            Lane path = Timetable.of(p, LaneKind.AIR_PATH).stream().findFirst().orElse(null);
            for (CutDay day : days) {
                for (int i = 0; i < day.pieces().size(); i++) {
                    all.add(path == null ? FRESH : way(day.verdict(path, i).state()));
                }
            }
            return all.toArray(Switches.AirWay[]::new);
        }

        private static Switches.AirWay way(LaneState state) {
            return state.does() == Does.RECIRCULATED
                    ? new Switches.AirWay(state.share(), true)
                    : new Switches.AirWay(1, state.does() == Does.MEDIA);
        }
    }

    /** The last piece that has begun. */
    private int piece(Instant t) {
        int found = Arrays.binarySearch(at, t.getEpochSecond());
        return Math.max(0, found >= 0 ? found : -found - 2);
    }

    @Override
    public double skimmer(Instant t) {
        return skimmer[piece(t)];
    }

    @Override
    public Switches.AirWay air(Instant t, boolean gateOpen) {
        return (gateOpen ? airOpen : airClosed)[piece(t)];
    }

    @Override
    public boolean gated() {
        return gate != null;
    }

    @Override
    public boolean opens(double phNbs, boolean open) {
        if (gate == null) {
            return false;
        }
        double over = open ? gate.hysteresis() : 0;
        return gate.above() ? phNbs > gate.value() - over : phNbs < gate.value() + over;
    }

    @Override
    public double flow(Instant t) {
        return flow[piece(t)];
    }

    @Override
    public double returns(Instant t) {
        return returns[piece(t)];
    }

    @Override
    public double stone(int i, Instant t) {
        return i < stone.length ? stone[i][piece(t)] : 1;
    }

    @Override
    public double lamps(Instant t) {
        return lamps[piece(t)];
    }

    @Override
    public double refugium(Instant t) {
        return refugium[piece(t)];
    }

    @Override
    public double doses(Instant t) {
        return doses[piece(t)];
    }

    @Override
    public Instant nextSwitch(Instant t, Instant until) {
        int next = piece(t) + 1;
        if (next >= at.length) {
            return until;
        }
        Instant then = Instant.ofEpochSecond(at[next]);
        return then.isAfter(t) && then.isBefore(until) ? then : until;
    }

    @Override
    public Measure.Way way() {
        return Measure.Way.OFFSETS;
    }

    @Override
    public void on(Rig rig) {
        rig.switchedBy(this, media);
        for (int i = describedStones; i < stones.size(); i++) {
            int own = i;
            OpenPath path = OpenPath.stone(stones.get(i).name(), Air.ROOM, UNDESCRIBED);
            rig.add(Rig.switched(path, this, t -> stone(own, t) * returns(t)));
        }
    }
}
