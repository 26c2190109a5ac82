package jollytide.server.dosing;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import jollytide.core.dosingline.NewWater;
import jollytide.core.dosingline.SingleDose;
import jollytide.core.dosingline.SingleDose.Addition;
import jollytide.core.dosingline.SingleDose.TopOff;
import jollytide.core.dosingline.SingleDose.WaterChange;
import jollytide.core.dosingline.Solution;

/** Something that was put into a tank's water at once; new or fresh water where it has no solute. */
@Entity
@Table(name = "single_dose")
public class ByHand {
    @Id
    UUID id;

    UUID tankId;
    Instant at;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    Solution.Solute solute;

    /** Of powder, as it was weighed; null for a solution. */
    Double grams;

    /** Share of the powder's weight that is what it is bought for. */
    Double assay;

    Double ml;

    @Column(name = "mol_per_l")
    Double molPerL;

    @Column(name = "new_water_l")
    Double newWaterL;

    /** Of the new water. */
    @Column(name = "meq_per_l")
    Double meqPerL;

    @Column(name = "calcium_mg_per_l")
    Double calciumMgPerL;

    /** Of fresh water for what evaporated. */
    @Column(name = "top_off_l")
    Double topOffL;

    String note;

    /** @param litres the tank's net volume */
    SingleDose dose(double litres) {
        if (topOffL != null) {
            return new TopOff(at, topOffL);
        }
        if (solute == null) {
            return new WaterChange(at, Math.min(1, newWaterL / litres), new NewWater(meqPerL, calciumMgPerL));
        }
        return grams == null
                ? Addition.ofSolution(at, new Solution(solute, molPerL), ml, litres)
                : Addition.ofPowder(at, solute, grams, assay, litres);
    }
}
