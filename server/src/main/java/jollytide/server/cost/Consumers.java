package jollytide.server.cost;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Consumers extends JpaRepository<Consumer, UUID> {
    List<Consumer> findByTankId(UUID tankId);

    Optional<Consumer> findByIdAndTankId(UUID id, UUID tankId);
}
