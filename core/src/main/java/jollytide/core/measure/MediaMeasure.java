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
    default boolean leadsExhaustBack() {
        return use().freshShare() < 1;
    }

    @Override
    default List<Caution> cautions() {
        List<Caution> all = new ArrayList<>();
        if (use().freshShare() < LEAST_FRESH_SHARE) {
            all.add(new Caution(
                    Caution.Concern.ANIMALS,
                    "A closed loop does not renew oxygen. Leave 2 to 5 % fresh air in, so that it fails open."));
        }
        if (leadsExhaustBack()) {
            all.add(Caution.people(
                    "Recirculated exhaust is wet: media can drown within days of full-time use. Weigh them."));
        }
        all.add(Caution.people(
                "Wet media leach caustic. A drip trap belongs between media and skimmer; goggles, gloves and dust mask on;"
                        + " rinse long with water and get medical help if it reaches an eye."));
        return all;
    }
}
