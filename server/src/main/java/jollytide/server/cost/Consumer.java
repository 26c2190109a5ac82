package jollytide.server.cost;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;

@Entity
class Consumer {
    @Id
    UUID id;

    UUID tankId;
    String name;
    double watts;
    double hoursPerDay;
}
