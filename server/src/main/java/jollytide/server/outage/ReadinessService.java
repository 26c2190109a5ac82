package jollytide.server.outage;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import jollytide.core.outage.Backup;
import jollytide.core.outage.HoursInWords;
import jollytide.core.outage.KitPlan;
import jollytide.core.outage.NightWithoutMains.OxygenPoint;
import jollytide.core.outage.RoomAround;
import jollytide.core.outage.TankAtFailure;
import jollytide.core.outage.Tier;
import jollytide.core.outage.Times;
import jollytide.core.reef.OxygenLines;
import jollytide.core.scenario.RoomSeason;
import jollytide.core.scenario.WorstNight;
import jollytide.core.units.Quantities;
import jollytide.server.home.Home;
import jollytide.server.home.HomeService;
import jollytide.server.outage.KitService.KitView;
import jollytide.server.reading.ReadingRow;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Whether a home is ready for the lights to go out. */
@Service
class ReadinessService {
    private static final double WORTH_H = 0.1;
    private static final List<Double> LENGTHS_H = List.of(2.0, 4.0, 8.0, 12.0, 24.0, 48.0);
    private static final int MANY_CUTS = 999;

    private final HomeService homes;
    private final TankService tanks;
    private final KitService kits;
    private final Failures failures;
    private final Clock clock;

    ReadinessService(HomeService homes, TankService tanks, KitService kits, Failures failures, Clock clock) {
        this.homes = homes;
        this.tanks = tanks;
        this.kits = kits;
        this.failures = failures;
        this.clock = clock;
    }

    /**
     * One tank's nights.
     *
     * @param bareTonight hours to the danger line with nothing, from the worst hour of tonight on
     * @param keptTonight with all the kit
     * @param bareSummer from the worst hour of the hottest night; {@code bareWinter} from that of a cold one
     * @param keptSummer with all the kit that may be used for it, together or one after the other
     * @param alone in summer with nobody home: only what starts by itself runs
     * @param unlikely whether a sum, not a reading, has its animals suffocating on any ordinary night: not to be believed
     * @param bucketsPerH of ten litres that would hold it by hand, in summer
     * @param demandMgPerLPerH in summer, likely
     * @param lowestMgPerL of the hottest night, with everything running: as Oxygen margin shows it
     * @param fishAssumed how many fish are assumed because none are described; 0 where they are
     */
    record TankNights(
            UUID tankId,
            String name,
            Times bareTonight,
            Times keptTonight,
            Times bareSummer,
            Times bareWinter,
            Times keptSummer,
            Times keptWinter,
            Times alone,
            boolean unlikely,
            double bucketsPerH,
            double demandMgPerLPerH,
            double lowestMgPerL,
            int fishAssumed) {}

    /**
     * Something that would help.
     *
     * @param gainedH hours on the early side, for the tank that needs it most
     * @param price assumed, in the home's money
     * @param caution who could be hurt by it; null where the general cautions say it all
     */
    record Purchase(
            String what,
            double gainedH,
            double price,
            @Nullable String caution) {}

    /**
     * What an outage of some length asks for.
     *
     * @param what the cheapest step of the ladder that holds every tank, on the early side; null when none does
     * @param price for all the tanks, assumed, in the home's money
     * @param caution as of a purchase
     */
    record TierFor(
            double hours,
            @Nullable String what,
            @Nullable Double price,
            @Nullable String caution) {}

    /**
     * All of it.
     *
     * @param weakest in one sentence
     * @param tiers for outages of some lengths, from nothing
     * @param hoursLookedAhead beyond which nothing is said
     */
    record ReadinessView(
            String home,
            List<TankNights> tanks,
            List<KitView> kit,
            String weakest,
            List<Purchase> purchases,
            List<TierFor> tiers,
            double hoursLookedAhead) {}

    ReadinessView readiness(UUID keeperId, UUID homeId) {
        Home home = homes.owned(keeperId, homeId);
        List<Tank> all = tanks.ofHome(keeperId, homeId);
        List<KitView> kit = kits.ofHome(homeId);
        RoomSeason season = home.season();
        double tonightC = season.roomC(LocalDate.ofInstant(clock.instant(), home.zone()));
        Map<UUID, NightsOfTank> ahead = new LinkedHashMap<>();
        failures.describe(all)
                .forEach((id, tank) -> ahead.put(
                        id,
                        new NightsOfTank(
                                failures.atNight(tank, 0, tonightC),
                                failures.atNight(tank, WorstNight.HOTTEST_K, season.warmestC()),
                                failures.atNight(tank, 0, season.coldestC()))));
        Map<UUID, TankAtFailure> summer = new LinkedHashMap<>();
        ahead.forEach((id, nights) -> summer.put(id, nights.summer().tank()));
        Map<UUID, List<Backup>> planned =
                KitShare.planned(all, summer, kit, Map.of(), EnergyUsed.NOTHING, WorstNight.LOOKED_AHEAD_H);
        List<TankNights> nights = all.stream()
                .map(tank -> nights(
                        tank,
                        Objects.requireNonNull(ahead.get(tank.id())),
                        Objects.requireNonNull(planned.get(tank.id()))))
                .sorted(Comparator.comparingDouble(n -> earlyH(n.keptTonight())))
                .toList();
        return new ReadinessView(
                home.name(),
                nights,
                kit,
                weakest(nights, kit),
                nights.isEmpty() ? List.of() : purchases(nights.get(0), summer, planned, home.perEuro()),
                tiers(List.copyOf(summer.values()), home.perEuro()),
                WorstNight.LOOKED_AHEAD_H);
    }

    private record NightsOfTank(WorstNight.Night tonight, WorstNight.Night summer, WorstNight.Night winter) {}

    /**
     * One tank through a cut that comes every day.
     *
     * @param bareEarly lowest oxygen with nothing, mg/L, on the early side; the others likewise
     */
    record CutTank(
            UUID tankId, String name, double bareEarly, double bareLikely, double keptEarly, double keptLikely) {}

    /**
     * A thing through such cuts.
     *
     * @param cuts it lasts on its early side, with one charge or set of cells; 0 when not one
     */
    record CutKit(String name, int cuts) {}

    /** What a cut at the same hours every day does. */
    record CutsView(List<CutTank> tanks, List<CutKit> kit, double danger) {}

    /** Every day the mains are off for so many hours, from a time of day on; the room stays as warm as a summer night's. */
    CutsView cuts(UUID keeperId, UUID homeId, LocalTime from, double hours) {
        Quantities.within("hours", hours, 0.5, 24, "h");
        Home home = homes.owned(keeperId, homeId);
        List<Tank> all = tanks.ofHome(keeperId, homeId);
        List<KitView> kit = kits.ofHome(homeId);
        Instant at = LocalDate.ofInstant(clock.instant(), home.zone())
                .atTime(from)
                .atZone(home.zone())
                .toInstant();
        Map<UUID, ReadingRow> oxygen = failures.oxygenBefore(all, at);
        RoomAround room = RoomAround.expected(home.season().warmestC());
        Map<UUID, TankAtFailure> struck = new LinkedHashMap<>();
        failures.describe(all).forEach((id, tank) -> struck.put(id, failures.at(tank, at, oxygen.get(id), room, null)));
        Map<UUID, List<Backup>> planned =
                KitShare.planned(all, struck, kit, Map.of(), EnergyUsed.NOTHING, WorstNight.LOOKED_AHEAD_H);
        List<CutTank> through = all.stream()
                .map(tank -> {
                    TankAtFailure failed = Objects.requireNonNull(struck.get(tank.id()));
                    OxygenPoint bare = lowest(failed, List.of(), hours);
                    OxygenPoint kept = lowest(failed, Objects.requireNonNull(planned.get(tank.id())), hours);
                    return new CutTank(
                            tank.id(), tank.name(), bare.early(), bare.likely(), kept.early(), kept.likely());
                })
                .toList();
        return new CutsView(
                through,
                kit.stream()
                        .map(k -> new CutKit(k.description().name(), (int)
                                Math.min(MANY_CUTS, k.runTime().early() / hours)))
                        .toList(),
                OxygenLines.DANGER);
    }

    /** The point of a cut where the early side stands lowest. */
    private static OxygenPoint lowest(TankAtFailure tank, List<Backup> kit, double hours) {
        return KitPlan.best(tank, kit, hours).course().points().stream()
                .min(Comparator.comparingDouble(OxygenPoint::early))
                .orElseThrow();
    }

    private static TankNights nights(Tank tank, NightsOfTank ahead, List<Backup> kit) {
        TankAtFailure tonight = ahead.tonight().tank();
        TankAtFailure summer = ahead.summer().tank();
        TankAtFailure winter = ahead.winter().tank();
        return new TankNights(
                tank.id(),
                tank.name(),
                danger(tonight, List.of()),
                danger(tonight, kit),
                danger(summer, List.of()),
                danger(winter, List.of()),
                danger(summer, kit),
                danger(winter, kit),
                KitPlan.unattended(summer, kit, WorstNight.LOOKED_AHEAD_H)
                        .course()
                        .danger(),
                ahead.summer().contradicted(),
                Backup.Pouring.bucketsPerH(summer),
                summer.demandMgPerLPerH(summer.startC(), 0, summer.likely()),
                ahead.summer().lowestMgPerL(),
                tank.parts().fishDescribed() ? 0 : summer.fish().count());
    }

    private static double earlyH(Times times) {
        return times.early() == null ? WorstNight.LOOKED_AHEAD_H : times.early();
    }

    private static Times danger(TankAtFailure tank, List<Backup> kit) {
        return KitPlan.best(tank, kit, WorstNight.LOOKED_AHEAD_H).course().danger();
    }

    private static String weakest(List<TankNights> nights, List<KitView> kit) {
        if (nights.isEmpty()) {
            return "There is no tank in this home yet.";
        }
        TankNights first = nights.get(0);
        if (first.unlikely()) {
            return "By our estimate " + first.name() + " would run out of oxygen every night, but its animals "
                    + "live. Check the description: something else may move the water, or the surface is "
                    + "larger. Or measure oxygen once before lights-on.";
        }
        String name = nights.size() > 1 ? "Weakest tank: " + first.name() + ". " : "";
        String tonight = kit.isEmpty()
                ? "Nothing aerates without mains power. If the power fails tonight: " + untilDanger(first.bareTonight())
                        + "."
                : "If the power fails tonight, with your kit: " + untilDanger(first.keptTonight()) + ".";
        Times hot = kit.isEmpty() ? first.bareSummer() : first.keptSummer();
        String summer = " On the hottest night: " + untilDanger(hot) + ".";
        boolean tested = kit.stream().anyMatch(k -> k.runTime().tested());
        return name + tonight + summer + (kit.isEmpty() || tested ? "" : " None of your kit is tested.");
    }

    private static String untilDanger(Times danger) {
        return danger.early() == null
                ? "no danger in sight for 2 days"
                : HoursInWords.untilDanger(danger.early()) + " until oxygen may be dangerous";
    }

    /** What could be bought, by hours gained for its price at the tank that needs it most. */
    private static List<Purchase> purchases(
            TankNights neediest, Map<UUID, TankAtFailure> summer, Map<UUID, List<Backup>> planned, double perEuro) {
        TankAtFailure tank = Objects.requireNonNull(summer.get(neediest.tankId()));
        double allLitres =
                summer.values().stream().mapToDouble(TankAtFailure::litres).sum();
        double before = earlyH(neediest.keptSummer());
        List<Purchase> all = new ArrayList<>();
        for (Tier tier : Tier.values()) {
            List<Backup> with = new ArrayList<>(Objects.requireNonNull(planned.get(neediest.tankId())));
            with.add(tier.at(tank, allLitres));
            double gained = earlyH(danger(tank, with)) - before;
            if (gained > WORTH_H) {
                all.add(new Purchase(tier.what(), gained, perEuro * tier.euros(), tier.caution()));
            }
        }
        all.sort(Comparator.comparingDouble((Purchase p) -> p.gainedH() / p.price())
                .reversed());
        return all;
    }

    private static List<TierFor> tiers(List<TankAtFailure> summer, double perEuro) {
        if (summer.isEmpty()) {
            return List.of();
        }
        List<Tier.Holding> ladder = Tier.ladder(summer, WorstNight.LOOKED_AHEAD_H);
        return LENGTHS_H.stream()
                .map(h -> Tier.cheapest(ladder, h)
                        .map(step -> new TierFor(
                                h,
                                step.tier().what(),
                                perEuro * step.euros(),
                                step.tier().caution()))
                        .orElse(new TierFor(h, null, null, null)))
                .toList();
    }
}
