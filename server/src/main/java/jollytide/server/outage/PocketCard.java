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
import java.util.UUID;
import java.util.stream.IntStream;
import jollytide.core.outage.Backup;
import jollytide.core.outage.OxygenClock;
import jollytide.core.outage.OxygenClock.OxygenCourse;
import jollytide.core.outage.OxygenClock.OxygenPoint;
import jollytide.core.outage.Plan;
import jollytide.core.outage.Schedule;
import jollytide.core.outage.Step;
import jollytide.core.outage.Stricken;
import jollytide.server.bench.TwinBook.Described;
import jollytide.server.home.Home;
import jollytide.server.home.HomeService;
import jollytide.server.outage.KitService.KitView;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * The pocket card: the whole plan of a home in one HTML file with its own clock and log, for a phone far from this
 * server, and for paper.
 */
@Component
class PocketCard {
    private static final double AHEAD_H = 24;
    /** Every half hour is enough for a card. */
    private static final int EVERY = 3;

    private static final double HOTTEST_K = 4;

    private final HomeService homes;
    private final TankService tanks;
    private final KitService kits;
    private final Stricture stricture;
    private final JsonMapper json;
    private final Clock clock;

    PocketCard(
            HomeService homes, TankService tanks, KitService kits, Stricture stricture, JsonMapper json, Clock clock) {
        this.homes = homes;
        this.tanks = tanks;
        this.kits = kits;
        this.stricture = stricture;
        this.json = json;
        this.clock = clock;
    }

    /** A curve as the card holds it: hours, early, likely, late. */
    record CardPoint(double h, double early, double likely, double late) {
        static List<CardPoint> of(OxygenCourse course) {
            List<OxygenPoint> points = course.points();
            return IntStream.range(0, points.size())
                    .filter(i -> i % EVERY == 0)
                    .mapToObj(points::get)
                    .map(p -> new CardPoint(p.hours(), round(p.early()), round(p.likely()), round(p.late())))
                    .toList();
        }

        private static double round(double mgPerL) {
            return Math.round(mgPerL * 100) / 100.0;
        }
    }

    record CardKit(UUID id, String name, String place, String who, double earlyH, double likelyH, boolean tested) {}

    record CardTank(
            UUID id,
            String name,
            double litres,
            List<CardPoint> bareSummer,
            List<CardPoint> bareWinter,
            List<CardPoint> keptSummer,
            List<CardPoint> keptWinter,
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
            List<CardTank> tanks) {}

    String make(UUID keeperId, UUID homeId) {
        Home home = homes.owned(keeperId, homeId);
        List<KitView> kit = kits.ofHome(homeId);
        List<Tank> all = tanks.ofHome(keeperId, homeId);
        Map<UUID, Described> known = stricture.describe(all);
        Map<UUID, Stricken> summer = new HashMap<>();
        known.forEach((id, tank) -> summer.put(id, stricture.atNight(tank, HOTTEST_K, Stricture.SUMMER_C)));
        Map<UUID, List<Backup>> planned = KitShare.planned(all, summer, kit, Map.of(), AHEAD_H);
        Card card = new Card(
                home.id(),
                home.name(),
                clock.instant(),
                OxygenClock.CAUTION,
                OxygenClock.DANGER,
                OxygenClock.LOSS,
                all.stream()
                        .map(t -> tank(
                                t,
                                all,
                                kit,
                                Objects.requireNonNull(summer.get(t.id())),
                                stricture.atNight(Objects.requireNonNull(known.get(t.id())), 0, Stricture.WINTER_C),
                                Objects.requireNonNull(planned.get(t.id()))))
                        .toList());
        // A name may hold anything: closing tags inside the data must not end the script.
        String data = json.writeValueAsString(card).replace("<", "\\u003c");
        return template().replace("\"CARD-DATA\"", data);
    }

    private CardTank tank(
            Tank tank, List<Tank> all, List<KitView> kit, Stricken summer, Stricken winter, List<Backup> backups) {
        List<KitShare> usable = KitShare.usable(tank, all, kit);
        OxygenCourse bareWinter = run(winter, List.of());
        Plan.Situation situation = stricture.situation(
                tank, summer, Schedule.best(summer, backups, AHEAD_H).running(), bareWinter);
        return new CardTank(
                tank.id(),
                tank.name(),
                tank.netVolumeL(),
                CardPoint.of(run(summer, List.of())),
                CardPoint.of(bareWinter),
                CardPoint.of(run(summer, backups)),
                CardPoint.of(run(winter, backups)),
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
                Plan.after(situation));
    }

    private static OxygenCourse run(Stricken tank, List<Backup> backups) {
        return Schedule.best(tank, backups, AHEAD_H).course();
    }

    private static String template() {
        try (InputStream in = PocketCard.class.getResourceAsStream("/card.html")) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
