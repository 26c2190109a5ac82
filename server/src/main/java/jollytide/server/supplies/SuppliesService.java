package jollytide.server.supplies;

import static jollytide.core.units.Quantities.within;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import jollytide.core.dosingline.Solution;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Quantity;
import jollytide.core.supplies.OnHand;
import jollytide.core.supplies.SupplyUnit;
import jollytide.core.units.Electricity;
import jollytide.core.units.InputException;
import jollytide.server.home.Home;
import jollytide.server.home.HomeService;
import jollytide.server.home.LocalTimes;
import jollytide.server.problem.Problem;
import jollytide.server.supplies.SuppliesViews.Consumed;
import jollytide.server.supplies.SuppliesViews.EntryOfSupply;
import jollytide.server.supplies.SuppliesViews.NewSupply;
import jollytide.server.supplies.SuppliesViews.NewSupplyEntry;
import jollytide.server.supplies.SuppliesViews.SuppliesView;
import jollytide.server.supplies.SuppliesViews.SupplyView;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps a home's cupboard: what is left, how long it lasts, what must be ordered. */
@Service
public class SuppliesService {
    private static final int MOST = 60;
    private static final int MOST_ENTRIES = 500;
    private static final double MOST_AMOUNT = 1e6;
    /** What is bought lasts for so long, if nobody wants otherwise; assumed. */
    private static final double COVER_DAYS = 90;

    private static final int ON_THE_LIST_DAYS = 14;
    private static final double DAYS_PER_YEAR = 365.25;
    private static final Set<Quantity> TESTED = EnumSet.of(
            Quantity.ALKALINITY,
            Quantity.CALCIUM,
            Quantity.POTASSIUM,
            Quantity.MAGNESIUM,
            Quantity.SALINITY,
            Quantity.AMMONIA,
            Quantity.NITRITE);

    private final Supplies supplies;
    private final SupplyEntries entries;
    private final HomeService homes;
    private final TankService tanks;
    private final UsedUp usedUp;
    private final Clock clock;

    SuppliesService(
            Supplies supplies,
            SupplyEntries entries,
            HomeService homes,
            TankService tanks,
            UsedUp usedUp,
            Clock clock) {
        this.supplies = supplies;
        this.entries = entries;
        this.homes = homes;
        this.tanks = tanks;
        this.usedUp = usedUp;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public SuppliesView list(UUID keeperId, UUID homeId) {
        Home home = homes.owned(keeperId, homeId);
        Map<Boolean, List<SupplyView>> byUse = known(keeperId, homeId).stream()
                .collect(Collectors.partitioningBy(
                        known -> known.supply.endedAt == null,
                        Collectors.mapping(known -> view(known, home), Collectors.toList())));
        Comparator<SupplyView> firstOrdered = Comparator.comparing(
                        SupplyView::orderBy, Comparator.nullsLast(Comparator.naturalOrder()))
                .thenComparing(view -> view.supply().name());
        return new SuppliesView(
                home.currency(),
                byUse.getOrDefault(true, List.of()).stream()
                        .sorted(firstOrdered)
                        .toList(),
                byUse.getOrDefault(false, List.of()),
                OnHand.COMPUTED_DOUBT,
                OnHand.COUNTED_DOUBT);
    }

    /** What each supply costs a tank a month, of those that have a price: by its part of what the home's tanks use. */
    @Transactional(readOnly = true)
    public List<Consumed> consumed(UUID keeperId, Tank tank) {
        return known(keeperId, tank.home().id()).stream()
                .filter(known -> known.supply.endedAt == null && known.supply.price != null)
                .map(known -> {
                    double all = known.byTank.values().stream()
                            .mapToDouble(Double::doubleValue)
                            .sum();
                    double part = all > 0
                            ? known.byTank.getOrDefault(tank.id(), 0.0) / all
                            : 1.0 / Math.max(1, known.byTank.size());
                    return new Consumed(known.supply.id, known.supply.name, part * perMonth(known.supply, known.rate));
                })
                .filter(consumed -> consumed.perMonth() > 0)
                .toList();
    }

    /** A supply with its cupboard, how fast it goes, and what each tank is expected to use. */
    private record Known(
            Supply supply, List<SupplyEntry> entries, OnHand stock, OnHand.Rate rate, Map<UUID, Double> byTank) {}

    private List<Known> known(UUID keeperId, UUID homeId) {
        List<Supply> all = supplies.findByHomeId(homeId);
        if (all.isEmpty()) {
            return List.of();
        }
        Map<UUID, ToDoubleFunction<Supply>> used =
                tanks.ofHome(keeperId, homeId).stream().collect(Collectors.toMap(Tank::id, usedUp::of));
        Map<UUID, List<SupplyEntry>> byId =
                entries
                        .findBySupplyIdInOrderByAtDesc(
                                all.stream().map(s -> s.id).toList())
                        .stream()
                        .collect(Collectors.groupingBy(e -> e.supplyId));
        Instant now = clock.instant();
        return all.stream()
                .map(s -> {
                    List<SupplyEntry> noted = byId.getOrDefault(s.id, List.of());
                    OnHand stock = stock(noted);
                    Map<UUID, Double> byTank = used.entrySet().stream()
                            .collect(Collectors.toMap(
                                    Map.Entry::getKey, tank -> tank.getValue().applyAsDouble(s)));
                    double computed = s.uses == Supply.Uses.OWN
                            ? s.ownPerDay
                            : byTank.values().stream()
                                    .mapToDouble(Double::doubleValue)
                                    .sum();
                    return new Known(s, noted, stock, stock.rate(computed, now), byTank);
                })
                .toList();
    }

    private static OnHand stock(List<SupplyEntry> noted) {
        return new OnHand(noted.stream().map(SupplyEntry::entry).toList());
    }

    private static double perMonth(Supply s, OnHand.Rate rate) {
        return rate.perDay().value() * DAYS_PER_YEAR / Electricity.MONTHS_PER_YEAR / s.packageAmount * s.price;
    }

    private SupplyView view(Known known, Home home) {
        Supply s = known.supply;
        Instant now = clock.instant();
        Instant order = known.stock.orderBy(known.rate, s.deliveryDays, now);
        LocalDate today = LocalDate.ofInstant(now, home.zone());
        LocalDate orderBy = order == null ? null : LocalDate.ofInstant(order, home.zone());
        boolean onTheList = orderBy != null && !orderBy.isAfter(today.plusDays(ON_THE_LIST_DAYS));
        return new SupplyView(
                s.id,
                new NewSupply(
                        s.name,
                        s.uses,
                        s.solute,
                        s.quantity,
                        s.chore,
                        s.ownPerDay == null ? null : Double.valueOf(s.unit.fromInner(s.ownPerDay)),
                        s.perUse,
                        s.unit,
                        s.unit.fromInner(s.packageAmount),
                        s.price,
                        s.deliveryDays),
                shown(s, known.rate.perDay()),
                known.rate.counted(),
                shown(s, known.stock.left(known.rate, now)),
                known.stock.daysLeft(known.rate, now),
                orderBy,
                orderBy != null && !orderBy.isAfter(today),
                onTheList ? Math.max(1, known.stock.packages(known.rate, s.packageAmount, COVER_DAYS, now)) : 0,
                s.price == null ? null : Double.valueOf(perMonth(s, known.rate)),
                known.entries.stream()
                        .map(e -> new EntryOfSupply(e.id, e.at, e.what, s.unit.fromInner(e.amount)))
                        .toList());
    }

    private static @Nullable Estimate shown(Supply s, @Nullable Estimate inner) {
        return inner == null ? null : inner.times(s.unit.fromInner(1));
    }

    @Transactional
    public UUID add(UUID keeperId, UUID homeId, NewSupply body) {
        homes.owned(keeperId, homeId);
        if (supplies.findByHomeId(homeId).size() >= MOST) {
            throw new InputException("name", MOST, "at most " + MOST, "A home can have at most " + MOST + " supplies.");
        }
        Supply supply = new Supply();
        supply.id = UUID.randomUUID();
        supply.homeId = homeId;
        supply.addedAt = clock.instant();
        set(supply, body);
        return supplies.save(supply).id;
    }

    @Transactional
    void edit(UUID keeperId, UUID homeId, UUID id, NewSupply body) {
        Supply supply = supply(keeperId, homeId, id);
        if (body.unit().kind() != supply.unit.kind()) {
            throw missing("unit", "a unit of the same kind");
        }
        set(supply, body);
    }

    private static void set(Supply supply, NewSupply body) {
        supply.name = body.name().strip();
        supply.uses = body.uses();
        supply.unit = body.unit();
        supply.solute = null;
        supply.quantity = null;
        supply.chore = null;
        supply.ownPerDay = null;
        supply.perUse = body.perUse() == null ? 1 : within("perUse", body.perUse(), 0.01, 1000, "each time");
        SupplyUnit.Kind kind = body.unit().kind();
        switch (body.uses()) {
            case POWDER -> {
                must(kind == SupplyUnit.Kind.MASS, "unit", "a weight for powder");
                must(
                        body.solute() != null && body.solute() != Solution.Solute.POTASSIUM_CHLORIDE,
                        "solute",
                        "a powder");
                supply.solute = body.solute();
            }
            case MEDIA -> must(kind == SupplyUnit.Kind.MASS, "unit", "a weight for media");
            case TESTS -> {
                must(kind == SupplyUnit.Kind.COUNT, "unit", "tests, by the piece");
                must(body.quantity() != null && TESTED.contains(body.quantity()), "quantity", "what a kit tests");
                supply.quantity = body.quantity();
            }
            case CHORE -> {
                must(kind == SupplyUnit.Kind.COUNT, "unit", "pieces");
                must(body.chore() != null, "chore", "the task that uses it");
                supply.chore = body.chore();
            }
            case OWN -> {
                must(body.ownPerDay() != null, "ownPerDay", "the daily amount");
                supply.ownPerDay = body.unit().toInner(within("ownPerDay", body.ownPerDay(), 0, 10_000, "a day"));
            }
        }
        supply.packageAmount =
                body.unit().toInner(within("packageAmount", body.packageAmount(), 0.01, 100_000, "in a package"));
        supply.price = body.price() == null ? null : within("price", body.price(), 0, 1e6, "a package");
        supply.deliveryDays = within("deliveryDays", body.deliveryDays(), 0, 365, "days");
    }

    private static void must(boolean holds, String field, String allowed) {
        if (!holds) {
            throw missing(field, allowed);
        }
    }

    private static InputException missing(String field, String allowed) {
        return new InputException(field, 0, allowed, "Enter " + allowed + ".");
    }

    @Transactional
    public UUID note(UUID keeperId, UUID homeId, UUID id, NewSupplyEntry body) {
        Supply supply = supply(keeperId, homeId, id);
        List<SupplyEntry> noted = entries.findBySupplyIdInOrderByAtDesc(List.of(supply.id));
        if (noted.size() >= MOST_ENTRIES) {
            throw new InputException("at", MOST_ENTRIES, "at most " + MOST_ENTRIES, "Too many entries.");
        }
        must(body.unit().kind() == supply.unit.kind(), "unit", "a unit that fits this supply");
        SupplyEntry entry = new SupplyEntry();
        entry.id = UUID.randomUUID();
        entry.supplyId = supply.id;
        entry.at = LocalTimes.resolve(
                "at", body.at(), homes.owned(keeperId, homeId).zone(), clock.instant());
        entry.what = body.what();
        entry.amount = body.unit().toInner(within("amount", body.amount(), 0, MOST_AMOUNT, ""));
        stock(noted).with(entry.entry());
        return entries.save(entry).id;
    }

    @Transactional
    void forget(UUID keeperId, UUID homeId, UUID id, UUID entryId) {
        Supply supply = supply(keeperId, homeId, id);
        entries.delete(entries.findByIdAndSupplyId(entryId, supply.id).orElseThrow(() -> Problem.notFound("note")));
    }

    @Transactional
    void end(UUID keeperId, UUID homeId, UUID id) {
        supply(keeperId, homeId, id).endedAt = clock.instant();
    }

    @Transactional
    void goOn(UUID keeperId, UUID homeId, UUID id) {
        supply(keeperId, homeId, id).endedAt = null;
    }

    private Supply supply(UUID keeperId, UUID homeId, UUID id) {
        homes.owned(keeperId, homeId);
        return supplies.findByIdAndHomeId(id, homeId).orElseThrow(() -> Problem.notFound("supply"));
    }

    /** What must be ordered, the first first; those of which it is not known are left out. */
    public List<SupplyView> ordered(UUID keeperId, UUID homeId) {
        return list(keeperId, homeId).supplies().stream()
                .filter(view -> view.orderBy() != null)
                .toList();
    }
}
