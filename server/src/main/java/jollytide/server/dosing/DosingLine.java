package jollytide.server.dosing;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderBy;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import jollytide.core.dosingline.DosePlan;
import jollytide.core.dosingline.DoseTimes;
import jollytide.core.dosingline.LineRules;
import jollytide.core.dosingline.Solution;
import jollytide.core.dosingline.VesselGuard;
import org.jspecify.annotations.Nullable;

@Entity
public class DosingLine {
    @Id
    UUID id;

    @Version
    long version;

    UUID tankId;
    String name;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    Solution.Solute solute;

    @Column(name = "mol_per_l")
    double molPerL;

    double vesselMl;

    @Column(name = "area_cm2")
    Double areaCm2;

    /** Of its vessel; null where nobody weighs it. */
    @Column(name = "empty_g")
    Double emptyG;

    /** Where its hose ends; empty where nobody said. */
    String place;

    /** What keeps its vessel from emptying at once; null where nobody answered. */
    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    VesselGuard.Siphon siphon;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    VesselGuard.Stuck stuck;

    /** Null for one that drips all day, like the two below. */
    Integer dosesPerDay;

    String firstAt;

    @Column(name = "over_h")
    Double overH;

    Instant endedAt;
    /** With its levels it comes back by undo, until that is done away with. */
    Instant forgottenAt;

    @ElementCollection
    @CollectionTable(name = "dose_plan", joinColumns = @JoinColumn(name = "line_id"))
    @OrderBy("since")
    List<Planned> plans = new ArrayList<>();

    @Embeddable
    static class Planned {
        Instant since;
        double mlPerDay;

        protected Planned() {}

        Planned(Instant since, double mlPerDay) {
            this.since = since;
            this.mlPerDay = mlPerDay;
        }
    }

    @Nullable
    DoseTimes times() {
        return dosesPerDay == null ? null : new DoseTimes(dosesPerDay, LocalTime.parse(firstAt), overH);
    }

    VesselGuard guard() {
        return new VesselGuard(siphon, stuck);
    }

    LineRules.Planned planned(double mlPerDay) {
        return new LineRules.Planned(name, solution(), mlPerDay, times(), place);
    }

    /** Of alkalinity, as planned. */
    double meqPerDay(Instant at) {
        return solution().meqPerMl() * schedule().mlPerDay(at);
    }

    Solution solution() {
        return new Solution(solute, molPerL);
    }

    /** Nothing is planned once it has ended. */
    DosePlan schedule() {
        List<DosePlan.DailyDose> all = new ArrayList<>(plans.stream()
                .filter(p -> endedAt == null || p.since.isBefore(endedAt))
                .map(p -> new DosePlan.DailyDose(p.since, p.mlPerDay))
                .toList());
        if (endedAt != null) {
            all.add(new DosePlan.DailyDose(endedAt, 0));
        }
        return new DosePlan(all);
    }
}
