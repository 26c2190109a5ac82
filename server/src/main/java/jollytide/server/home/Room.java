package jollytide.server.home;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import jollytide.core.air.People;
import org.jspecify.annotations.Nullable;

@Entity
public class Room {
    @Id
    UUID id;

    @Version
    long version;

    /** Null while it is there; what was removed is kept for a day. */
    Instant removedAt;

    @ManyToOne(fetch = FetchType.LAZY)
    Home home;

    String name;

    @Column(name = "volume_m3")
    Double volumeM3;

    @Column(name = "air_changes_per_h")
    Double airChangesPerH;

    int adults;
    int children;
    int pets;

    public UUID id() {
        return id;
    }

    public Home home() {
        return home;
    }

    public String name() {
        return name;
    }

    public @Nullable Double volumeM3() {
        return volumeM3;
    }

    /** Null when not known. */
    public @Nullable Double airChangesPerH() {
        return airChangesPerH;
    }

    public People people() {
        return new People(adults, children, pets);
    }
}
