package jollytide.server.tank;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.outage.OutageAssumptions;
import jollytide.core.reef.LightClock;
import jollytide.core.reef.Stance;
import jollytide.core.reef.TargetBand;
import jollytide.core.seawater.Seawater;
import jollytide.core.staircase.Assumptions;
import jollytide.core.twin.Air;
import jollytide.core.twin.OpenPath;
import jollytide.server.home.Home;
import jollytide.server.home.Room;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
public class Tank {
    @Id
    UUID id;

    @Version
    long version;

    /** Null while it is there; what was removed is kept for a day. */
    Instant removedAt;

    @ManyToOne(fetch = FetchType.LAZY)
    Room room;

    String name;
    String about;

    @Column(name = "net_volume_l")
    double netVolumeL;

    String lightOn;
    String lightOff;
    boolean lightFollowsClockChanges;
    int lightRampMinutes;
    double troughAtLeast;
    double peakAtMost;
    double actBelow;
    String bandReason;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    Stance stance;

    @Column(name = "skimmer_air_draw_l_per_h")
    Double skimmerAirDrawLPerH;

    /** The keeper's values for {@link Assumptions}, by component name; what is absent keeps its default. */
    @JdbcTypeCode(SqlTypes.JSON)
    Map<String, Double> assumptions = new LinkedHashMap<>();

    @JdbcTypeCode(SqlTypes.JSON)
    TankParts parts = TankParts.NONE;

    @ElementCollection
    @CollectionTable(name = "tank_surface", joinColumns = @JoinColumn(name = "tank_id"))
    @OrderColumn(name = "position")
    List<SurfaceRow> surfaces = new ArrayList<>();

    @Embeddable
    static class SurfaceRow {
        String name;

        @Column(name = "area_m2")
        double areaM2;

        @Enumerated(EnumType.STRING)
        @Column(columnDefinition = "VARCHAR(20)")
        SurfaceClass motion;

        @Enumerated(EnumType.STRING)
        @Column(name = "over_air", columnDefinition = "VARCHAR(20)")
        Air over;

        protected SurfaceRow() {}

        SurfaceRow(String name, double areaM2, SurfaceClass motion, Air over) {
            this.name = name;
            this.areaM2 = areaM2;
            this.motion = motion;
            this.over = over;
        }
    }

    public String name() {
        return name;
    }

    public UUID id() {
        return id;
    }

    public Room room() {
        return room;
    }

    public Home home() {
        return room.home();
    }

    public double netVolumeL() {
        return netVolumeL;
    }

    public LightClock light() {
        return new LightClock(
                LocalTime.parse(lightOn), LocalTime.parse(lightOff), lightFollowsClockChanges, lightRampMinutes);
    }

    public TargetBand band() {
        return new TargetBand(troughAtLeast, peakAtMost, actBelow);
    }

    public Stance stance() {
        return stance;
    }

    public Assumptions assumptions() {
        return OwnAssumptions.from(assumptions).toCore();
    }

    /** What lies open to air, in the keeper's order. */
    public List<OpenPath> openings() {
        List<OpenPath> all = new ArrayList<>();
        surfaces.forEach(row -> all.add(OpenPath.surface(row.name, row.over, new Surface(row.areaM2, row.motion))));
        parts.fallParts().forEach(fall -> all.add(OpenPath.fall(fall.name(), fall.air(), fall.toCore())));
        List<TankParts.StonePart> stones = parts.stoneParts();
        for (int i = 0; i < stones.size(); i++) {
            String name = stones.size() == 1 ? "stone" : "stone " + (i + 1);
            all.add(OpenPath.stone(name, stones.get(i).air(), stones.get(i).toCore()));
        }
        return all;
    }

    public TankParts parts() {
        return parts;
    }

    /** Square metres of open water. */
    public double surfaceM2() {
        return surfaces.stream().mapToDouble(row -> row.areaM2).sum();
    }

    /** Air that the skimmer draws, L/h: measured, else one tank volume an hour, assumed; null without skimmer. */
    public @Nullable Double skimmerAirDrawLPerH() {
        return skimmerAirDrawLPerH == null && Boolean.TRUE.equals(parts.skimmerDrawUnknown())
                ? Double.valueOf(netVolumeL)
                : skimmerAirDrawLPerH;
    }

    /** What is assumed of it without mains, with its keeper's own values. */
    public OutageAssumptions withoutMains() {
        return OwnAssumptions.from(assumptions).withoutMains();
    }

    /** With its keeper's own values where there are any; null without one. */
    public @Nullable Skimmer skimmer() {
        Double draw = skimmerAirDrawLPerH();
        return draw == null
                ? null
                : new Skimmer(draw, OwnAssumptions.from(assumptions).skimmer());
    }

    /** Sum of the described paths' conductances for CO2, mol/(h·atm); 0 when none is described. */
    public double co2Conductance(Seawater water) {
        double sum = 0;
        for (OpenPath part : openings()) {
            sum += part.path().conductance(Gas.CO2, water);
        }
        Skimmer skimmer = skimmer();
        return skimmer == null ? sum : sum + skimmer.conductance(Gas.CO2, water);
    }
}
