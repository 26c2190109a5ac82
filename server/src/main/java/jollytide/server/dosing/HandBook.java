package jollytide.server.dosing;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import jollytide.core.dosingline.SingleDose;
import jollytide.server.tank.Tank;
import org.springframework.stereotype.Component;

/** What was put into tanks by hand, as the core reads it. */
@Component
class HandBook {
    private final ByHands kept;

    HandBook(ByHands kept) {
        this.kept = kept;
    }

    /** By tank, in no order; those without are missing. */
    Map<UUID, List<SingleDose>> of(Collection<Tank> tanks) {
        Map<UUID, Double> litres = tanks.stream().collect(Collectors.toMap(Tank::id, Tank::netVolumeL));
        return kept.findByTankIdInOrderByAtDesc(litres.keySet()).stream()
                .collect(Collectors.groupingBy(
                        d -> d.tankId, Collectors.mapping(d -> d.dose(litres.get(d.tankId)), Collectors.toList())));
    }

    List<SingleDose> of(Tank tank) {
        return of(List.of(tank)).getOrDefault(tank.id(), List.of());
    }
}
