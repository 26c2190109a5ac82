package jollytide.server.probe;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import jollytide.core.probe.Calibration;
import jollytide.core.probe.ProbeHistory;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.tank.Tank;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The calibrations of tanks' pH probes. */
@Component
@Transactional
public class ProbeBook {
    /** One a day for more than two years; each is read with every reading. */
    private static final int MOST = 1000;

    private final ProbeCalibrations calibrations;

    ProbeBook(ProbeCalibrations calibrations) {
        this.calibrations = calibrations;
    }

    /** A calibration that is kept. */
    public record Kept(UUID id, String note, Calibration calibration) {}

    /** What is known of a tank's probe. */
    @Transactional(readOnly = true)
    public ProbeHistory of(Tank tank) {
        return of(List.of(tank)).getOrDefault(tank.id(), ProbeHistory.NONE);
    }

    /** Of several tanks, by tank; one without a calibration is left out. */
    @Transactional(readOnly = true)
    public Map<UUID, ProbeHistory> of(List<Tank> tanks) {
        Map<UUID, List<Calibration>> all =
                calibrations
                        .findByTankIdInOrderByAt(tanks.stream().map(Tank::id).toList())
                        .stream()
                        .collect(Collectors.groupingBy(
                                c -> c.tankId, Collectors.mapping(ProbeCalibration::toCore, Collectors.toList())));
        return tanks.stream()
                .filter(tank -> all.containsKey(tank.id()))
                .collect(Collectors.toMap(Tank::id, tank -> history(all.get(tank.id()), tank)));
    }

    private static ProbeHistory history(List<Calibration> all, Tank tank) {
        return new ProbeHistory(all, tank.assumptions().temperatureC());
    }

    /** Oldest first. */
    @Transactional(readOnly = true)
    public List<Kept> kept(Tank tank) {
        return calibrations.findByTankIdInOrderByAt(List.of(tank.id())).stream()
                .map(c -> new Kept(c.id, c.note, c.toCore()))
                .toList();
    }

    /**
     * Keeps one.
     *
     * @throws jollytide.core.units.InputException when another one stands beside it
     */
    public Kept add(Tank tank, Calibration fresh, String note) {
        List<Kept> before = kept(tank);
        if (before.size() >= MOST) {
            throw Problem.refused(new FieldError(
                    "at",
                    fresh.at().toString(),
                    "at most " + MOST,
                    "A probe can have at most " + MOST + " calibrations."));
        }
        history(
                Stream.concat(before.stream().map(Kept::calibration), Stream.of(fresh))
                        .toList(),
                tank);
        ProbeCalibration row = new ProbeCalibration();
        row.id = UUID.randomUUID();
        row.tankId = tank.id();
        row.at = fresh.at();
        row.points = fresh.points();
        row.meter = fresh.then();
        row.setC = fresh.setC();
        row.note = note.strip();
        calibrations.save(row);
        return new Kept(row.id, row.note, fresh);
    }

    public void delete(Tank tank, UUID id) {
        calibrations.delete(
                calibrations.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("calibration")));
    }
}
