package jollytide.server.outage;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import jollytide.core.outage.Backup;
import jollytide.core.outage.KitPlan;
import jollytide.core.outage.NightWithoutMains;
import jollytide.core.outage.OxygenFlow;
import jollytide.core.outage.Plan;
import jollytide.core.outage.Step;
import jollytide.core.outage.TankAtFailure;
import jollytide.core.reef.OxygenLines;
import jollytide.core.scenario.WorstNight;
import jollytide.server.home.Home;
import jollytide.server.home.HomeService;
import jollytide.server.outage.KitService.KitView;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook.Described;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * The pocket card: the whole plan of a home in one HTML file with its own clock and log, for a phone far from this
 * server, and for paper.
 */
@Component
class PocketCard {
    private static final double AHEAD_H = 24;

    private final HomeService homes;
    private final TankService tanks;
    private final KitService kits;
    private final Failures failures;
    private final JsonMapper json;
    private final Clock clock;

    PocketCard(HomeService homes, TankService tanks, KitService kits, Failures failures, JsonMapper json, Clock clock) {
        this.homes = homes;
        this.tanks = tanks;
        this.kits = kits;
        this.failures = failures;
        this.json = json;
        this.clock = clock;
    }

    /** What one side of the not known begins with, mg/L, or how long air lasts on it, h. */
    record Sides(double early, double likely, double late) {}

    /**
     * A tank in one season.
     *
     * @param bare how its oxygen goes without air, {@code kept} with all that the plan starts at once
     * @param airH how long that air lasts
     */
    record CardSeason(Sides start, OxygenFlow bare, OxygenFlow kept, Sides airH) {
        static CardSeason of(TankAtFailure tank, List<Backup> running) {
            double start = tank.startMgPerL();
            double lowest = Math.min(
                    tank.early(List.of()).startMgPerL(), tank.early(running).startMgPerL());
            Sides begins = new Sides(
                    Math.max(0, start + lowest),
                    start + tank.likely().startMgPerL(),
                    start + tank.late(running).startMgPerL());
            return new CardSeason(
                    begins, OxygenFlow.of(tank, List.of()), OxygenFlow.of(tank, running), lasting(running));
        }

        /** As long as the first of them ends, on the careful side; at least that long on the others. */
        private static Sides lasting(List<Backup> running) {
            return new Sides(
                    running.stream().mapToDouble(b -> b.runTime().early()).min().orElse(0),
                    running.stream()
                            .mapToDouble(b -> b.runTime().likely())
                            .min()
                            .orElse(0),
                    running.stream().mapToDouble(b -> b.runTime().late()).max().orElse(0));
        }
    }

    record CardKit(UUID id, String name, String place, String who, double earlyH, double likelyH, boolean tested) {}

    record CardTank(
            UUID id,
            String name,
            double litres,
            CardSeason summer,
            CardSeason winter,
            double bucketsPerH,
            List<CardKit> kit,
            List<Step> during,
            List<Step> after) {}

    record Card(
            UUID homeId,
            String home,
            Instant madeAt,
            double caution,
            double danger,
            double loss,
            List<Integer> warmMonths,
            List<CardTank> tanks) {}

    String make(UUID keeperId, UUID homeId) {
        Home home = homes.owned(keeperId, homeId);
        List<KitView> kit = kits.ofHome(homeId);
        List<Tank> all = tanks.ofHome(keeperId, homeId);
        Map<UUID, Described> known = failures.describe(all);
        Map<UUID, TankAtFailure> summer = new HashMap<>();
        known.forEach((id, tank) -> summer.put(
                id,
                failures.atNight(tank, WorstNight.HOTTEST_K, home.season().warmestC())
                        .tank()));
        Map<UUID, List<Backup>> planned = KitShare.planned(all, summer, kit, Map.of(), EnergyUsed.NOTHING, AHEAD_H);
        Card card = new Card(
                home.id(),
                home.name(),
                clock.instant(),
                OxygenLines.CAUTION,
                OxygenLines.DANGER,
                OxygenLines.LOSS,
                home.season().warmMonths(),
                all.stream()
                        .map(t -> tank(
                                t,
                                all,
                                kit,
                                Objects.requireNonNull(summer.get(t.id())),
                                failures.atNight(
                                                Objects.requireNonNull(known.get(t.id())),
                                                0,
                                                home.season().coldestC())
                                        .tank(),
                                Objects.requireNonNull(planned.get(t.id()))))
                        .toList());
        // A name may hold anything: closing tags inside the data must not end the script.
        String data = json.writeValueAsString(card).replace("<", "\\u003c");
        return resource("/card.html")
                .replace("CARD-PREDICT", resource("/card-predict.js"))
                .replace("\"CARD-DATA\"", data);
    }

    private CardTank tank(
            Tank tank,
            List<Tank> all,
            List<KitView> kit,
            TankAtFailure summer,
            TankAtFailure winter,
            List<Backup> backups) {
        List<KitShare> usable = KitShare.usable(tank, all, kit, EnergyUsed.NOTHING);
        KitPlan schedule = KitPlan.best(summer, backups, AHEAD_H);
        Plan.Situation situation = failures.situation(tank, summer, schedule.running(), schedule.course());
        List<Backup> atOnce = schedule.running().stream()
                .filter(running -> running.fromH() == 0)
                .map(NightWithoutMains.Running::backup)
                .toList();
        return new CardTank(
                tank.id(),
                tank.name(),
                tank.netVolumeL(),
                CardSeason.of(summer, atOnce),
                CardSeason.of(winter, atOnce),
                situation.bucketsPerH(),
                usable.stream()
                        .map(KitShare::thing)
                        .map(k -> new CardKit(
                                k.id(),
                                k.description().name(),
                                k.description().place(),
                                k.description().who(),
                                k.runTime().early(),
                                k.runTime().likely(),
                                k.runTime().tested()))
                        .toList(),
                Plan.during(situation),
                Plan.after(situation, AHEAD_H, Set.of()));
    }

    private static String resource(String name) {
        try (InputStream in = PocketCard.class.getResourceAsStream(name)) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
