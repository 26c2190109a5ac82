package jollytide.server.supplies;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import jollytide.core.dosingline.Solution;
import jollytide.core.evidence.Quantity;
import jollytide.core.supplies.SupplyUnit;
import jollytide.core.upkeep.Chore;

@Entity
public class Supply {
    /** What uses it up. */
    public enum Uses {
        /** Lines and additions by hand of one powder. */
        POWDER,
        /** Fills of scrubber media. */
        MEDIA,
        /** Tests of one quantity with a kit. */
        TESTS,
        /** Something that is looked after takes it each time. */
        CHORE,
        /** As much a day as its keeper says. */
        OWN
    }

    @Id
    UUID id;

    UUID homeId;
    String name;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    Uses uses;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    Solution.Solute solute;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    Quantity quantity;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(30)")
    Chore chore;

    /** In inner units, like every amount here: grams, millilitres or pieces. */
    Double ownPerDay;

    /** Pieces that a test or a chore takes. */
    double perUse;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(10)")
    SupplyUnit unit;

    double packageAmount;
    /** Of a package, in the home's money; null where nobody says. */
    Double price;

    double deliveryDays;
    Instant addedAt;
    Instant endedAt;
}
