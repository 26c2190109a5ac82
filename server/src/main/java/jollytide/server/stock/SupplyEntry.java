package jollytide.server.stock;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import jollytide.core.stock.Stock;

@Entity
public class SupplyEntry {
    @Id
    UUID id;

    UUID supplyId;
    Instant at;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(10)")
    Stock.What what;

    double amount;

    Stock.Entry entry() {
        return new Stock.Entry(at, what, amount);
    }
}
