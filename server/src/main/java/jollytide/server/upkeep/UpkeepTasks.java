package jollytide.server.upkeep;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface UpkeepTasks extends JpaRepository<UpkeepTask, UUID> {
    List<UpkeepTask> findByTankId(UUID tankId);

    Optional<UpkeepTask> findByIdAndTankId(UUID id, UUID tankId);
}
