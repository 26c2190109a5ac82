package jollytide.core.staircase;

import java.util.List;
import java.util.Map;
import jollytide.core.evidence.Estimate;
import jollytide.core.staircase.Staircase.Doubt;
import jollytide.core.staircase.Staircase.Level;
import jollytide.core.staircase.Staircase.Riser;
import org.jspecify.annotations.Nullable;

/** What the verdict's rules look at. */
record Findings(
        StaircaseInputs in,
        @Nullable Estimate outdoorShare,
        boolean chemistryKnown,
        Level outdoor,
        @Nullable Level room,
        @Nullable Level water,
        @Nullable Riser ventilation,
        @Nullable Riser tank,
        @Nullable Estimate difference,
        @Nullable Double phAtNormalAlkalinity,
        List<Doubt> doubts,
        Map<InputName, InputUse> uses) {}
