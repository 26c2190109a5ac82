package jollytide.server.upkeep;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface UpkeepDones extends JpaRepository<UpkeepDone, UUID> {
    List<UpkeepDone> findByTaskIdInOrderByAt(Collection<UUID> taskIds);

    Optional<UpkeepDone> findByIdAndTaskId(UUID id, UUID taskId);

    long countByTaskId(UUID taskId);
}
