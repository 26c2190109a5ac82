package jollytide.server.outage;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import jollytide.core.outage.Backup;
import jollytide.core.outage.Sharing;
import jollytide.core.outage.TankAtFailure;
import jollytide.server.outage.KitService.KitView;
import jollytide.server.tank.Tank;

/**
 * A thing of the kit as one tank gets it.
 *
 * @param share of what it gives: a pump over several tanks is divided by their volumes (assumed)
 * @param usedH of its energy that earlier outages took
 */
record KitShare(KitView thing, double share, double usedH) {

    Backup backup() {
        return thing.backup(share, usedH);
    }

    /** Hours that are left of it, as a share of those that it runs when it is full, on the careful side. */
    double left() {
        double full = thing.runTime().early();
        return full <= 0 ? 0 : Math.max(0, full - usedH) / full;
    }

    /** What may be used at a tank: what is kept for it, alone or with others, then what is for any. */
    static List<KitShare> usable(Tank tank, List<Tank> all, List<KitView> kit, EnergyUsed used) {
        List<KitShare> usable = new ArrayList<>();
        kit.stream()
                .filter(k -> k.description().keptFor(tank.id()))
                .forEach(k -> usable.add(new KitShare(k, share(tank, all, k), used.hours(k.id()))));
        kit.stream()
                .filter(k -> k.description().forAny())
                .forEach(k -> usable.add(new KitShare(k, 1, used.hours(k.id()))));
        return usable;
    }

    private static double share(Tank tank, List<Tank> all, KitView thing) {
        double litres = all.stream()
                .filter(t -> thing.description().keptFor(t.id()))
                .mapToDouble(Tank::netVolumeL)
                .sum();
        return tank.netVolumeL() / litres;
    }

    /**
     * What each tank can count on: what is for any goes to one tank only, the one that is in danger first.
     *
     * @param taken where things that run already are, by thing
     * @param used what earlier outages took of their energy
     */
    static Map<UUID, List<Backup>> planned(
            List<Tank> tanks,
            Map<UUID, TankAtFailure> stricken,
            List<KitView> kit,
            Map<UUID, UUID> taken,
            EnergyUsed used,
            double hours) {
        List<List<Backup>> own = new ArrayList<>();
        List<TankAtFailure> struck = new ArrayList<>();
        for (Tank tank : tanks) {
            struck.add(stricken.get(tank.id()));
            own.add(usable(tank, tanks, kit, used).stream()
                    .filter(s -> !s.thing().description().forAny()
                            || tank.id().equals(taken.get(s.thing().id())))
                    .map(KitShare::backup)
                    .toList());
        }
        List<Backup> free = kit.stream()
                .filter(k -> k.description().forAny() && !taken.containsKey(k.id()))
                .map(k -> k.backup(1, used.hours(k.id())))
                .toList();
        List<List<Backup>> shared = Sharing.of(struck, own, free, hours);
        Map<UUID, List<Backup>> byTank = new HashMap<>();
        for (int i = 0; i < tanks.size(); i++) {
            byTank.put(tanks.get(i).id(), shared.get(i));
        }
        return byTank;
    }
}
