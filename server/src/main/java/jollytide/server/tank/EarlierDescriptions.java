package jollytide.server.tank;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface EarlierDescriptions extends JpaRepository<EarlierDescription, UUID> {
    List<EarlierDescription> findByTankIdInOrderByUntil(Collection<UUID> tankIds);

    Optional<EarlierDescription> findByIdAndTankId(UUID id, UUID tankId);
}
