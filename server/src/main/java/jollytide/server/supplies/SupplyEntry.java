package jollytide.server.supplies;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import jollytide.core.supplies.OnHand;

@Entity
public class SupplyEntry {
    @Id
    UUID id;

    UUID supplyId;
    Instant at;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(10)")
    OnHand.What what;

    double amount;

    OnHand.Entry entry() {
        return new OnHand.Entry(at, what, amount);
    }
}
