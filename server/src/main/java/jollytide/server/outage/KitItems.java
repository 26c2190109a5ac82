package jollytide.server.outage;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface KitItems extends JpaRepository<KitItem, UUID> {
    List<KitItem> findByHomeId(UUID homeId);

    Optional<KitItem> findByIdAndHomeId(UUID id, UUID homeId);
}
