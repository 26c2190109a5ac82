package jollytide.server.event;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TankEvents extends JpaRepository<TankEvent, UUID> {
    List<TankEvent> findByTankIdAndAtBetweenOrderByAt(UUID tankId, Instant from, Instant to);

    List<TankEvent> findByTankIdInAndAtBetweenOrderByAt(Collection<UUID> tankIds, Instant from, Instant to);

    Optional<TankEvent> findByIdAndTankId(UUID id, UUID tankId);
}
