package jollytide.server.dosing;

import static jollytide.core.units.Quantities.within;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.core.dosingline.Evaporated;
import jollytide.core.dosingline.LineRules;
import jollytide.core.dosingline.MixingCard;
import jollytide.core.dosingline.NewWater;
import jollytide.core.dosingline.SingleDose;
import jollytide.core.dosingline.SingleDose.Addition;
import jollytide.core.dosingline.SingleDose.TopOff;
import jollytide.core.dosingline.SingleDose.WaterChange;
import jollytide.core.dosingline.Solution;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.measure.Setup;
import jollytide.core.units.InputException;
import jollytide.server.home.LocalTimes;
import jollytide.server.problem.Problem;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what is put into the water by hand, at once, and says beforehand what it would do. */
@Service
public class ByHandService {
    private static final int MOST = 2000;
    private static final Duration LATELY = Duration.ofDays(28);
    private static final double WEEKS = 4;
    /** A test of calcium older than this says little of today. */
    private static final Duration CALCIUM_HOLDS = Duration.ofDays(60);

    private final ByHands kept;
    private final TankService tanks;
    private final TwinBook book;
    private final PlanRules rules;
    private final DosingLines lines;
    private final ReadingService readings;
    private final KnownUses uses;
    private final Clock clock;

    ByHandService(
            ByHands kept,
            TankService tanks,
            TwinBook book,
            PlanRules rules,
            DosingLines lines,
            ReadingService readings,
            KnownUses uses,
            Clock clock) {
        this.kept = kept;
        this.tanks = tanks;
        this.book = book;
        this.rules = rules;
        this.lines = lines;
        this.readings = readings;
        this.uses = uses;
        this.clock = clock;
    }

    /**
     * So much of something, by its weight or its volume.
     *
     * @param grams of powder; null for a solution
     * @param assay share of the powder's weight that is what it is bought for; null for all of it
     * @param ml of a solution; null for a powder
     * @param share of what dissolves at most that is in that solution: 1 is saturated
     */
    public record Amount(
            @NotNull Solution.Solute what,
            @Nullable Double grams,
            @Nullable Double assay,
            @Nullable Double ml,
            @Nullable Double share) {}

    /** @param at with an offset, or without one in the home's zone */
    public record NewAddition(
            @NotNull @Size(max = 40) String at,
            @Valid @NotNull Amount amount,
            @NotNull @Size(max = 200) String note) {}

    /**
     * Water of which so much is put in for as much that was taken out.
     *
     * @param meqPerL null where it is as the sea holds it, {@code calciumMgPerL} likewise
     */
    public record Water(
            @NotNull Double litres,
            @Nullable Double meqPerL,
            @Nullable Double calciumMgPerL) {}

    /** Fresh water for what evaporated since the time before. */
    public record NewTopOff(
            @NotNull @Size(max = 40) String at,
            @NotNull Double litres,
            @NotNull @Size(max = 200) String note) {}

    public record NewWaterChange(
            @NotNull @Size(max = 40) String at,
            @Valid @NotNull Water water,
            @NotNull @Size(max = 200) String note) {}

    /** What it was. */
    enum Put {
        ADDITION,
        WATER,
        TOP_OFF
    }

    /**
     * What was put in.
     *
     * @param what null for water
     * @param share of the powder's weight that counts, or of what a solution holds at most, or of the tank's water
     * @param meqPerL by which an addition lifted alkalinity, or that new water held; {@code calciumMgPerL} likewise
     */
    record DoseByHand(
            UUID id,
            Instant at,
            Put put,
            Solution.@Nullable Solute what,
            @Nullable Double grams,
            @Nullable Double ml,
            @Nullable Double litres,
            double share,
            double meqPerL,
            double calciumMgPerL,
            String note) {}

    /**
     * All of it.
     *
     * @param weeklyShare of the water that was changed a week, over the last four
     * @param evaporated as fresh water was put in for it; null with too little noted
     * @param sea what new water holds that is mixed to the tank's salinity
     */
    record ByHandView(
            List<DoseByHand> doses,
            double weeklyShare,
            @Nullable Evaporated evaporated,
            NewWater sea) {}

    /** What new water would do. */
    record ChangeSum(
            double share,
            double meqBefore,
            double meqAfter,
            @Nullable Double calciumBefore,
            @Nullable Double calciumAfter,
            List<String> because,
            double mostLitres) {}

    ByHandView list(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        List<ByHand> all = kept.findByTankIdInOrderByAtDesc(List.of(tank.id()));
        Instant since = clock.instant().minus(LATELY);
        double changed = all.stream()
                .filter(d -> d.at.isAfter(since))
                .map(d -> d.dose(tank.netVolumeL()))
                .mapToDouble(d -> d instanceof WaterChange change ? change.share() : 0)
                .sum();
        return new ByHandView(
                all.stream().map(d -> view(d, tank.netVolumeL())).toList(),
                changed / WEEKS,
                uses.evaporated(tank),
                NewWater.likeTheSea(book.setup(tank).water()));
    }

    private static DoseByHand view(ByHand d, double litres) {
        SingleDose dose = d.dose(litres);
        if (dose instanceof Addition a) {
            double share = d.grams == null ? d.molPerL / d.solute.mostMolPerL() : d.assay;
            return new DoseByHand(
                    d.id,
                    d.at,
                    Put.ADDITION,
                    d.solute,
                    d.grams,
                    d.ml,
                    null,
                    share,
                    a.meqPerL(),
                    a.calciumMgPerL(),
                    d.note);
        }
        if (dose instanceof TopOff t) {
            return new DoseByHand(
                    d.id, d.at, Put.TOP_OFF, null, null, null, t.litres(), t.litres() / litres, 0, 0, d.note);
        }
        WaterChange c = (WaterChange) dose;
        NewWater with = c.with();
        return new DoseByHand(
                d.id,
                d.at,
                Put.WATER,
                null,
                null,
                null,
                d.newWaterL,
                c.share(),
                with.meqPerL(),
                with.calciumMgPerL(),
                d.note);
    }

    LineRules.Parted sum(UUID keeperId, UUID tankId, Amount amount) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant now = clock.instant();
        ByHand dose = set(new ByHand(), now, amount);
        return rules.rules(tank)
                .with(PlanRules.all(lines.findAllOf(tank.id()), now))
                .parted(((Addition) dose.dose(tank.netVolumeL())).planned());
    }

    ChangeSum sum(UUID keeperId, UUID tankId, Water water) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant now = clock.instant();
        Setup setup = book.setup(tank);
        ByHand dose = set(new ByHand(), tank, now, water);
        WaterChange change = (WaterChange) dose.dose(tank.netVolumeL());
        double meq = setup.alkalinityMeqPerL();
        Double calcium =
                readings.observed(tank, Quantity.CALCIUM, Place.TANK, now.minus(CALCIUM_HOLDS), now, 1).stream()
                        .reduce((earlier, later) -> later)
                        .map(o -> o.value())
                        .orElse(null);
        return new ChangeSum(
                change.share(),
                meq,
                meq + change.moves(Quantity.ALKALINITY, meq),
                calcium,
                calcium == null ? null : Double.valueOf(calcium + change.moves(Quantity.CALCIUM, calcium)),
                change.because(meq),
                change.mostShare(meq) * tank.netVolumeL());
    }

    @Transactional
    public UUID add(UUID keeperId, UUID tankId, NewAddition body) {
        Tank tank = room(keeperId, tankId);
        return keep(tank, set(new ByHand(), at(tank, body.at()), body.amount()), body.note());
    }

    @Transactional
    public UUID change(UUID keeperId, UUID tankId, NewWaterChange body) {
        Tank tank = room(keeperId, tankId);
        return keep(tank, set(new ByHand(), tank, at(tank, body.at()), body.water()), body.note());
    }

    @Transactional
    public UUID topOff(UUID keeperId, UUID tankId, NewTopOff body) {
        Tank tank = room(keeperId, tankId);
        ByHand dose = new ByHand();
        dose.at = at(tank, body.at());
        dose.topOffL = within("litres", body.litres(), 0.01, tank.netVolumeL(), "L");
        return keep(tank, dose, body.note());
    }

    @Transactional
    void forget(UUID keeperId, UUID tankId, UUID id) {
        Tank tank = tanks.tank(keeperId, tankId);
        kept.delete(kept.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("dose")));
    }

    private Tank room(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        if (kept.countByTankId(tank.id()) >= MOST) {
            throw new InputException("at", MOST, "at most " + MOST, "This tank has too many doses by hand.");
        }
        return tank;
    }

    private Instant at(Tank tank, String text) {
        return LocalTimes.resolve("at", text, tank.home().zone(), clock.instant());
    }

    private UUID keep(Tank tank, ByHand dose, String note) {
        if (dose.dose(tank.netVolumeL()) instanceof Addition addition) {
            addition.bearable();
        }
        dose.id = UUID.randomUUID();
        dose.tankId = tank.id();
        dose.note = note.strip();
        return kept.save(dose).id;
    }

    private static ByHand set(ByHand dose, Instant at, Amount amount) {
        if ((amount.grams() == null) == (amount.ml() == null)) {
            throw new InputException(
                    "grams", 0, "grams or millilitres", "Enter grams of a powder or millilitres of a solution.");
        }
        dose.at = at;
        dose.solute = amount.what();
        if (amount.grams() != null) {
            dose.grams = within("grams", amount.grams(), 0.01, 50_000, "g");
            dose.assay = amount.assay() == null
                    ? 1
                    : within("assay", amount.assay(), MixingCard.LEAST_ASSAY, 1, "of the powder's weight");
        } else {
            double share = amount.share() == null ? 1 : within("share", amount.share(), 0.01, 1, "of what dissolves");
            dose.ml = within("ml", amount.ml(), 0.1, 500_000, "mL");
            dose.molPerL = share * amount.what().mostMolPerL();
        }
        return dose;
    }

    private ByHand set(ByHand dose, Tank tank, Instant at, Water water) {
        NewWater sea = NewWater.likeTheSea(book.setup(tank).water());
        NewWater with = new NewWater(
                water.meqPerL() == null ? sea.meqPerL() : water.meqPerL(),
                water.calciumMgPerL() == null ? sea.calciumMgPerL() : water.calciumMgPerL());
        dose.at = at;
        dose.newWaterL = within("litres", water.litres(), 0.1, tank.netVolumeL(), "L");
        dose.meqPerL = with.meqPerL();
        dose.calciumMgPerL = with.calciumMgPerL();
        return dose;
    }
}
