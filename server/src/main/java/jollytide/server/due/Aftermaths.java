package jollytide.server.due;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import jollytide.core.aftermath.Aftermath;
import jollytide.core.dosingline.SingleDose.WaterChange;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.core.outage.Ammonia;
import jollytide.core.seawater.Seawater;
import jollytide.server.dosing.DosingService;
import jollytide.server.due.Due.Subject;
import jollytide.server.outage.OutageTimes;
import jollytide.server.outage.OutageTimes.Away;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import org.springframework.stereotype.Component;

/** Tests and water changes that are due after filters stood still, or where a test found ammonia. */
@Component
class Aftermaths {
    private static final Duration LOOKED_BACK = Duration.ofDays(30);
    private static final Duration A_DAY = Duration.ofDays(1);

    private final OutageTimes outages;
    private final ReadingService readings;
    private final DosingService doses;
    private final Clock clock;

    Aftermaths(OutageTimes outages, ReadingService readings, DosingService doses, Clock clock) {
        this.outages = outages;
        this.readings = readings;
        this.doses = doses;
        this.clock = clock;
    }

    List<Due> of(Tank tank) {
        Instant now = clock.instant();
        Instant back = outages.of(tank.home().id()).stream()
                .filter(Aftermaths::wasLong)
                .map(Away::until)
                .max(Instant::compareTo)
                .orElse(null);
        List<Aftermath.Changed> changed = doses.byHand(tank).stream()
                .filter(WaterChange.class::isInstance)
                .map(WaterChange.class::cast)
                .map(change -> new Aftermath.Changed(change.at(), change.share()))
                .toList();
        Aftermath after = Aftermath.of(
                back,
                tests(tank, Quantity.AMMONIA, now),
                tests(tank, Quantity.NITRITE, now),
                changed,
                new Seawater(
                        tank.assumptions().salinityPsu(), tank.assumptions().temperatureC()),
                readings.observed(tank, Quantity.PH, Place.TANK, now.minus(A_DAY), now, 1).stream()
                        .mapToDouble(Observation::value)
                        .max()
                        .orElse(Ammonia.HIGHEST_PH_NBS),
                now);
        return after == null ? List.of() : due(tank, after);
    }

    private static boolean wasLong(Away away) {
        Instant until = away.until();
        return until != null && Duration.between(away.from(), until).compareTo(Aftermath.LONG) >= 0;
    }

    private List<Reading> tests(Tank tank, Quantity quantity, Instant now) {
        return readings.observed(tank, quantity, Place.TANK, now.minus(LOOKED_BACK), now, 1).stream()
                .map(o -> new Reading(o.at(), o.value()))
                .toList();
    }

    private List<Due> due(Tank tank, Aftermath after) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), tank.home().zone());
        List<Due> due = new ArrayList<>();
        Aftermath.Spike spike = after.spike();
        if (spike != null) {
            String often = spike.times() == 1 ? "" : ", %d times with hours between".formatted(spike.times());
            due.add(new Due(
                    "spike-" + tank.id(),
                    String.format(
                            Locale.ROOT,
                            "%s: ammonia is dangerous (%.2f mg/L un-ionised). Change %.0f %% of the water "
                                    + "(%.0f L)%s, or use a binder with air running. Then test again.",
                            tank.name(),
                            spike.poisonousMgPerL(),
                            100 * spike.share(),
                            spike.share() * tank.netVolumeL(),
                            often),
                    today,
                    true,
                    Subject.SPIKE,
                    tank.id()));
        }
        LocalDate on = LocalDate.ofInstant(after.testBy(), tank.home().zone());
        due.add(new Due(
                "after-" + tank.id(),
                "%s: test ammonia and nitrite, day %d. Continue until both are zero twice."
                        .formatted(tank.name(), after.day()),
                on,
                !on.isAfter(today),
                Subject.TEST,
                tank.id()));
        return due;
    }
}
