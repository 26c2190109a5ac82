package jollytide.server.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.TemperatureUnit;
import jollytide.core.units.VolumeUnit;

@Entity
public class Keeper {
    @Id
    UUID id;

    String name;
    String passwordHash;
    boolean demo;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    AlkalinityUnit alkalinityUnit = AlkalinityUnit.DKH;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    TemperatureUnit temperatureUnit = TemperatureUnit.CELSIUS;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    SalinityChoice salinityUnit = SalinityChoice.PSU;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    VolumeUnit volumeUnit = VolumeUnit.LITRE;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    ClockFace clockFace = ClockFace.HOURS_24;

    Instant createdAt;

    protected Keeper() {}

    Keeper(UUID id, String name, String passwordHash, boolean demo, Instant createdAt) {
        this.id = id;
        this.name = name;
        this.passwordHash = passwordHash;
        this.demo = demo;
        this.createdAt = createdAt;
    }

    public UUID id() {
        return id;
    }
}
