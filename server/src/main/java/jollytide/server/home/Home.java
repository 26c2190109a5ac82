package jollytide.server.home;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.ZoneId;
import java.util.UUID;
import jollytide.core.scenario.RoomSeason;
import jollytide.core.seawater.Gases;
import jollytide.server.account.Keeper;
import org.jspecify.annotations.Nullable;

@Entity
public class Home {
    @Id
    UUID id;

    @Version
    long version;

    /** Null while it is there; what was removed is kept for a day. */
    Instant removedAt;

    @ManyToOne(fetch = FetchType.LAZY)
    Keeper keeper;

    String name;
    String zone;

    @Column(name = "altitude_m")
    double altitudeM;

    @Column(name = "tariff_per_k_wh")
    Double tariffPerKWh;

    @Column(columnDefinition = "CHAR(3)")
    String currency;

    double perEuro;

    public UUID id() {
        return id;
    }

    /** Whose home it is. */
    public UUID keeperId() {
        return keeper.id();
    }

    public String name() {
        return name;
    }

    public ZoneId zone() {
        return ZoneId.of(zone);
    }

    /** What a room there is like through the year, by the place that its zone is named after. */
    public RoomSeason season() {
        return ZonePlaces.season(zone());
    }

    public @Nullable Double tariffPerKWh() {
        return tariffPerKWh;
    }

    /** What a euro is in the home's money, by which assumed prices are shown. */
    public double perEuro() {
        return perEuro;
    }

    /** ISO 4217. */
    public String currency() {
        return currency;
    }

    /** Air pressure of the standard atmosphere at the home's altitude. */
    public double pressureHpa() {
        return Gases.standardPressureHpa(altitudeM);
    }
}
