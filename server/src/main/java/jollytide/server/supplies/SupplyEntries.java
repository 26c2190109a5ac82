package jollytide.server.supplies;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SupplyEntries extends JpaRepository<SupplyEntry, UUID> {
    List<SupplyEntry> findBySupplyIdInOrderByAtDesc(Collection<UUID> supplyIds);

    Optional<SupplyEntry> findByIdAndSupplyId(UUID id, UUID supplyId);
}
