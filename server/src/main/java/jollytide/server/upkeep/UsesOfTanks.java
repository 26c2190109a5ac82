package jollytide.server.upkeep;

import java.time.Clock;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.stream.Collectors;
import jollytide.core.schedule.DayCourse;
import jollytide.core.schedule.LaneKind;
import jollytide.core.schedule.Schedule;
import jollytide.core.schedule.Template;
import jollytide.core.upkeep.Chore;
import jollytide.core.upkeep.Chore.Wear;
import jollytide.core.upkeep.TankUse;
import jollytide.server.dosing.DosingService;
import jollytide.server.dosing.DosingService.LineOfTank;
import jollytide.server.schedule.ScheduleService;
import jollytide.server.tank.Tank;
import org.springframework.stereotype.Component;

/** How tanks use their gear: by the schedule that is saved, and by what their lines dose. */
@Component
class UsesOfTanks {
    private static final Map<Wear, LaneKind> RUNS = Map.of(
            Wear.SKIMMING, LaneKind.SKIMMER, Wear.RETURNING, LaneKind.RETURN_PUMP, Wear.BUBBLING, LaneKind.AIR_PUMP);

    private final ScheduleService schedules;
    private final DosingService doses;
    private final Clock clock;

    UsesOfTanks(ScheduleService schedules, DosingService doses, Clock clock) {
        this.schedules = schedules;
        this.doses = doses;
        this.clock = clock;
    }

    TankUse of(Tank tank) {
        Map<Wear, Double> perDay = new EnumMap<>(Wear.class);
        // Of several lines the one that wears its tube most.
        doses.lines(tank).stream()
                .mapToDouble(LineOfTank::mlPerDay)
                .max()
                .ifPresent(ml -> perDay.put(Wear.PUMPED, ml / 1000));
        Schedule saved = schedules.saved(tank);
        if (saved == null) {
            return new TankUse(perDay, Map.of());
        }
        LocalDate today = LocalDate.ofInstant(clock.instant(), saved.zone());
        Map<LaneKind, Double> hours = DayCourse.hoursADay(saved, today);
        RUNS.forEach((wear, kind) -> {
            if (hours.containsKey(kind)) {
                perDay.put(wear, hours.get(kind));
            }
        });
        Map<Chore, Integer> brought = Template.brought(saved).stream()
                .collect(Collectors.toMap(Template.Brings::chore, Template.Brings::everyDays, Math::min));
        return new TankUse(perDay, brought);
    }
}
