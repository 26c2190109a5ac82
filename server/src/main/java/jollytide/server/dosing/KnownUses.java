package jollytide.server.dosing;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import jollytide.core.dosingline.Evaporated;
import jollytide.core.dosingline.KnownUse;
import jollytide.core.dosingline.SingleDose;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.server.reading.LogSnapshots;
import jollytide.server.tank.Tank;
import jollytide.server.twin.Dosed;
import jollytide.server.twin.TwinBook;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Tells the twin what arrived of the doses, and so what the animals use. */
@Component
class KnownUses implements Dosed {
    /** At most, when the clocks go back. */
    private static final Duration A_DAY = Duration.ofHours(25);

    private final LineBook book;
    private final HandBook byHand;
    private final LogSnapshots log;
    private final Clock clock;

    KnownUses(LineBook book, HandBook byHand, LogSnapshots log, Clock clock) {
        this.clock = clock;
        this.book = book;
        this.byHand = byHand;
        this.log = log;
    }

    @Override
    public Map<UUID, KnownUse> use(List<Tank> tanks, Instant then) {
        Map<UUID, List<LineBook.Known>> lines = book.of(tanks);
        Map<UUID, List<SingleDose>> single = byHand.of(tanks);
        List<Tank> dosed = tanks.stream()
                .filter(t -> lines.containsKey(t.id()) || single.containsKey(t.id()))
                .toList();
        Map<UUID, List<Reading>> tests = dosed.isEmpty()
                ? Map.of()
                : log.inWater(
                        dosed, Quantity.ALKALINITY, then.minus(KnownUse.WINDOW).minus(A_DAY), then);
        Map<UUID, KnownUse> known = new HashMap<>();
        for (Tank tank : dosed) {
            KnownUse use = KnownUse.of(
                    lines.getOrDefault(tank.id(), List.of()).stream()
                            .map(LineBook.Known::dosed)
                            .toList(),
                    single.getOrDefault(tank.id(), List.of()),
                    tests.getOrDefault(tank.id(), List.of()),
                    tank.netVolumeL(),
                    // A twin that changed with every test would be fitted anew with every test.
                    TwinBook.start(tank, then),
                    tank.home().zone());
            if (use != null) {
                known.put(tank.id(), use);
            }
        }
        return known;
    }

    @Override
    public @Nullable Double evaporationLPerDay(Tank tank) {
        Evaporated measured = evaporated(tank);
        return measured == null ? null : Double.valueOf(measured.litresPerDay());
    }

    @Nullable
    Evaporated evaporated(Tank tank) {
        List<SingleDose> single = byHand.of(tank);
        return single.stream().noneMatch(SingleDose.TopOff.class::isInstance)
                ? null
                : Evaporated.of(
                        single,
                        book.of(tank).stream().map(LineBook.Known::dosed).toList(),
                        clock.instant());
    }
}
