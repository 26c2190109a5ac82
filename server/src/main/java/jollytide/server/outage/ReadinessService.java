package jollytide.server.outage;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import jollytide.core.outage.Backup;
import jollytide.core.outage.Energy;
import jollytide.core.outage.Guess;
import jollytide.core.outage.Schedule;
import jollytide.core.outage.Stricken;
import jollytide.core.outage.Times;
import jollytide.server.home.Home;
import jollytide.server.home.HomeService;
import jollytide.server.outage.KitService.KitView;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whether a home is ready for the lights to go out. */
@Service
@Transactional(readOnly = true)
class ReadinessService {
    private static final double LOOKED_AHEAD_H = 48;
    /** A test older than this is no longer one. Common practice: yearly. */
    private static final int TESTED_DAYS = 365;

    private static final double HOTTEST_K = 4;
    private static final double BUCKET_L = 10;
    private static final double HOLD_MG_PER_L = 4;

    private final HomeService homes;
    private final TankService tanks;
    private final KitService kits;
    private final Stricture stricture;
    private final Clock clock;

    ReadinessService(HomeService homes, TankService tanks, KitService kits, Stricture stricture, Clock clock) {
        this.homes = homes;
        this.tanks = tanks;
        this.kits = kits;
        this.stricture = stricture;
        this.clock = clock;
    }

    /**
     * One tank's nights.
     *
     * @param bareSummer hours to the danger line with nothing, from the worst hour of a summer night
     * @param keptSummer with all the kit that may be used for it, together or one after the other
     * @param bucketsPerH of ten litres that would hold it by hand, in summer
     * @param demandMgPerLPerH in summer, likely
     */
    record TankNights(
            UUID tankId,
            String name,
            Times bareSummer,
            Times bareWinter,
            Times keptSummer,
            Times keptWinter,
            double bucketsPerH,
            double demandMgPerLPerH,
            double startMgPerL) {}

    /**
     * Something that would help.
     *
     * @param gainedH hours on the early side, for the tank that needs it most
     */
    record Purchase(String what, double gainedH, double euros) {}

    /**
     * All of it.
     *
     * @param weakest in one sentence
     * @param due what must be looked at: never tested, tested long ago, out of date
     * @param hoursLookedAhead beyond which nothing is said
     */
    record ReadinessView(
            String home,
            List<TankNights> tanks,
            List<KitView> kit,
            String weakest,
            List<String> due,
            List<Purchase> purchases,
            double hoursLookedAhead) {}

    ReadinessView readiness(UUID keeperId, UUID homeId) {
        Home home = homes.owned(keeperId, homeId);
        List<Tank> all = tanks.ofHome(keeperId, homeId);
        List<KitView> kit = kits.ofHome(homeId);
        List<TankNights> nights = new ArrayList<>();
        Stricken neediest = null;
        double least = Double.MAX_VALUE;
        List<Backup> neediestKit = List.of();
        for (Tank tank : all) {
            List<Backup> own = Stricture.kitFor(tank.id(), kit).stream()
                    .map(k -> k.description().toCore())
                    .toList();
            Stricken summer = stricture.atNight(tank, HOTTEST_K, Stricture.SUMMER_C);
            Stricken winter = stricture.atNight(tank, 0, Stricture.WINTER_C);
            TankNights night = new TankNights(
                    tank.id(),
                    tank.name(),
                    danger(summer, List.of()),
                    danger(winter, List.of()),
                    danger(summer, own),
                    danger(winter, own),
                    Backup.Pouring.bucketsPerH(summer, HOLD_MG_PER_L, BUCKET_L),
                    summer.demandMgPerLPerH(summer.startC(), 0, Guess.LIKELY),
                    summer.startMgPerL());
            nights.add(night);
            double early = night.keptSummer().early() == null
                    ? LOOKED_AHEAD_H
                    : night.keptSummer().early();
            if (early < least || neediest == null) {
                least = early;
                neediest = summer;
                neediestKit = own;
            }
        }
        nights.sort(Comparator.comparingDouble(n ->
                n.keptSummer().early() == null ? LOOKED_AHEAD_H : n.keptSummer().early()));
        return new ReadinessView(
                home.name(),
                nights,
                kit,
                weakest(nights, kit),
                due(kit),
                neediest == null ? List.of() : purchases(neediest, neediestKit, least),
                LOOKED_AHEAD_H);
    }

    private static Times danger(Stricken tank, List<Backup> kit) {
        return Schedule.best(tank, kit, LOOKED_AHEAD_H).course().danger();
    }

    private static String weakest(List<TankNights> nights, List<KitView> kit) {
        if (nights.isEmpty()) {
            return "There is no tank in this home yet.";
        }
        TankNights first = nights.get(0);
        Double early = first.keptSummer().early();
        if (kit.isEmpty()) {
            return String.format(
                    Locale.ROOT,
                    "Nothing aerates without the mains: in a summer night %s is in danger after %.1f hours.",
                    first.name(),
                    early == null ? LOOKED_AHEAD_H : early);
        }
        if (early == null) {
            return kit.stream().noneMatch(k -> k.runTime().tested())
                    ? "It holds for two days on paper, but nothing of the kit has been tested at its real load."
                    : "It holds for two days, on the early side.";
        }
        return String.format(
                Locale.ROOT,
                "%s is the weakest: with the kit it is in danger after %.1f hours of a summer night%s.",
                first.name(),
                early,
                kit.stream().noneMatch(k -> k.runTime().tested()) ? ", and nothing of it has been tested" : "");
    }

    private List<String> due(List<KitView> kit) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        List<String> due = new ArrayList<>();
        for (KitView item : kit) {
            KitDescription d = item.description();
            if (d.testedHours() == null) {
                due.add(d.name() + ": never tested. Pull its plug, watch it run, note the hours.");
            } else if (d.testedOn() != null
                    && d.testedOn().plusDays(TESTED_DAYS).isBefore(today)) {
                due.add(d.name() + ": tested more than a year ago.");
            }
            if (d.expires() != null && d.expires().isBefore(today)) {
                due.add(d.name() + ": out of date since " + d.expires() + ".");
            }
        }
        return due;
    }

    /** What could be bought, by hours gained for a euro. Prices are round figures from memory. */
    private static List<Purchase> purchases(Stricken tank, List<Backup> kit, double least) {
        List<Purchase> all = new ArrayList<>();
        double air = Math.max(60, Math.min(400, tank.litres() / 3));
        add(
                all,
                "a battery air pump on D cells, with two sets",
                25,
                new Backup("cells", new Backup.Stone(60, 2, 0.4), 0.5, new Energy.DryCells(Energy.CellSize.D, 4, 1)),
                tank,
                kit,
                least);
        add(
                all,
                "an air pump that switches itself to its own battery",
                60,
                new Backup("switching", new Backup.Stone(air, 2, 0.4), 4, new Energy.Battery(40, false, 0, 1, null, 1)),
                tank,
                kit,
                least);
        add(
                all,
                "a computer's UPS for one air pump",
                110,
                new Backup("ups", new Backup.Stone(air, 2, 0.4), 4, new Energy.Ups(100, 23, 1)),
                tank,
                kit,
                least);
        add(
                all,
                "a lithium battery of 500 Wh with inverter on a larger air pump",
                420,
                new Backup(
                        "battery",
                        new Backup.Stone(Math.max(200, tank.litres()), 2, 0.4),
                        12,
                        new Energy.Battery(500, false, 8, 0.85, null, 1)),
                tank,
                kit,
                least);
        all.sort(Comparator.comparingDouble((Purchase p) -> p.gainedH() / p.euros())
                .reversed());
        return all;
    }

    private static void add(
            List<Purchase> all,
            String what,
            double euros,
            Backup backup,
            Stricken tank,
            List<Backup> kit,
            double least) {
        List<Backup> with = new ArrayList<>(kit);
        with.add(backup);
        @Nullable Double early = danger(tank, with).early();
        double gained = (early == null ? LOOKED_AHEAD_H : early) - least;
        if (gained > 0.1) {
            all.add(new Purchase(what, gained, euros));
        }
    }
}
