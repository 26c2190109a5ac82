package jollytide.server.outage;

import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import jollytide.core.outage.Energy;
import jollytide.server.home.HomeService;
import jollytide.server.problem.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The things of a home that work without the mains. */
@Service
@Transactional
public class KitService {
    private final KitItems items;
    private final HomeService homes;

    KitService(KitItems items, HomeService homes) {
        this.items = items;
        this.homes = homes;
    }

    /**
     * One of them.
     *
     * @param runTime on its load; a tested run counts before every sum
     */
    public record KitView(UUID id, long version, KitDescription description, Energy.RunTime runTime) {
        static KitView of(KitItem item) {
            return new KitView(
                    item.id,
                    item.version,
                    item.description,
                    item.description.toCore().runTime());
        }
    }

    /** The surest first: tested ones, then by their early end. */
    @Transactional(readOnly = true)
    public List<KitView> list(UUID keeperId, UUID homeId) {
        homes.owned(keeperId, homeId);
        return ofHome(homeId);
    }

    List<KitView> ofHome(UUID homeId) {
        return items.findByHomeId(homeId).stream()
                .map(KitView::of)
                .sorted(Comparator.comparing((KitView k) -> !k.runTime().tested())
                        .thenComparing(k -> -k.runTime().early()))
                .toList();
    }

    public KitView add(UUID keeperId, UUID homeId, KitDescription description) {
        homes.owned(keeperId, homeId);
        KitItem item = new KitItem();
        item.id = UUID.randomUUID();
        item.homeId = homeId;
        description.toCore();
        description.energyToCore();
        item.description = description;
        return KitView.of(items.save(item));
    }

    public KitView edit(UUID keeperId, UUID homeId, UUID id, long version, KitDescription description) {
        KitItem item = item(keeperId, homeId, id);
        if (item.version != version) {
            throw Problem.savedElsewhere(KitView.of(item));
        }
        description.toCore();
        description.energyToCore();
        item.description = description;
        items.flush();
        return KitView.of(item);
    }

    public void delete(UUID keeperId, UUID homeId, UUID id) {
        items.delete(item(keeperId, homeId, id));
    }

    private KitItem item(UUID keeperId, UUID homeId, UUID id) {
        homes.owned(keeperId, homeId);
        return items.findByIdAndHomeId(id, homeId).orElseThrow(() -> Problem.notFound("thing"));
    }
}
