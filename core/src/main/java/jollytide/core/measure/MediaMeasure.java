package jollytide.core.measure;

import java.util.ArrayList;
import java.util.List;

/** Scrubber media at the tank's own skimmer, on whichever of its air. */
interface MediaMeasure extends Measure {
    /** Recirculation with less fresh air than this is a closed loop. Common practice: 2 to 5 %. */
    double LEAST_FRESH_SHARE = 0.02;

    MediaUse use();

    /** The same leg with other media. */
    MediaMeasure with(MediaUse other);

    /** One skimmer has room for one of them. */
    @Override
    default boolean replaces(Measure other) {
        return other instanceof MediaMeasure;
    }

    @Override
    default Way way() {
        return Way.OFFSETS;
    }

    @Override
    default void on(Rig rig) {
        rig.skimmer().media = use();
    }

    @Override
    default Cost cost(CostBasis basis) {
        return basis.media(use().media().massKg());
    }

    @Override
    default boolean recirculates() {
        return use().freshShare() < 1;
    }

    @Override
    default List<Caution> cautions() {
        List<Caution> all = new ArrayList<>();
        if (use().freshShare() < LEAST_FRESH_SHARE) {
            all.add(new Caution(
                    Caution.Concern.ANIMALS,
                    "Leave 2–5 % fresh air in, so the loop fails open: a closed loop adds no oxygen."));
        }
        if (recirculates()) {
            all.add(Caution.people("Weigh the media: recirculated exhaust is wet, and media can drown within days of "
                    + "full-time use."));
        }
        all.add(Caution.people(
                "Fit a drip trap before the skimmer: wet media leach caustic. Wear goggles, gloves and a dust "
                        + "mask. If it reaches an eye, rinse long with water and get medical help."));
        return all;
    }
}
