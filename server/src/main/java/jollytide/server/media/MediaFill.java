package jollytide.server.media;

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
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import jollytide.core.measure.MediaUse;

@Entity
public class MediaFill {
    @Id
    UUID id;

    @Version
    long version;

    UUID tankId;
    Instant filledAt;

    @Column(name = "mass_kg")
    double massKg;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    FillIntake intake;

    double freshShare;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    MediaUse.Hours hours;

    @Column(name = "gate_ph")
    Double gatePh;

    boolean driesBetween;
    Boolean chokes;
    Instant endedAt;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    FillEnd endedBy;

    @ElementCollection
    @CollectionTable(name = "media_colour", joinColumns = @JoinColumn(name = "fill_id"))
    @OrderBy("at")
    List<Colour> colours = new ArrayList<>();

    @Embeddable
    static class Colour {
        Instant at;
        double changedShare;

        protected Colour() {}

        Colour(Instant at, double changedShare) {
            this.at = at;
            this.changedShare = changedShare;
        }
    }

    /** Where the fresh air comes from. */
    public enum FillIntake {
        ROOM,
        OUTDOORS
    }

    /** Why a fill was taken out. */
    public enum FillEnd {
        COLOUR,
        DROWNED,
        EARLY
    }
}
