package jollytide.server.dose;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import jollytide.core.doses.DosedLine;
import jollytide.core.doses.KnownUse;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.twin.Dosed;
import jollytide.server.twin.TwinBook;
import org.springframework.stereotype.Component;

/** Tells the twin what arrived of the doses, and so what the animals use. */
@Component
class KnownUses implements Dosed {
    private final LineBook book;
    private final ReadingService readings;

    KnownUses(LineBook book, ReadingService readings) {
        this.book = book;
        this.readings = readings;
    }

    @Override
    public Map<UUID, KnownUse> use(List<Tank> tanks, Instant then) {
        Set<UUID> dosed = book.dosed(tanks.stream().map(Tank::id).toList());
        Map<UUID, KnownUse> known = new HashMap<>();
        for (Tank tank : tanks) {
            if (dosed.contains(tank.id())) {
                // A twin that changed with every test would be fitted anew with every test.
                Instant until = TwinBook.start(tank, then);
                List<DosedLine> lines =
                        book.of(tank).stream().map(LineBook.Known::dosed).toList();
                KnownUse use = KnownUse.of(lines, tests(tank, until), tank.netVolumeL(), until);
                if (use != null) {
                    known.put(tank.id(), use);
                }
            }
        }
        return known;
    }

    private List<Reading> tests(Tank tank, Instant until) {
        return readings.observed(tank, Quantity.ALKALINITY, Place.TANK, until.minus(KnownUse.WINDOW), until, 1).stream()
                .map(o -> new Reading(o.at(), o.value()))
                .toList();
    }
}
