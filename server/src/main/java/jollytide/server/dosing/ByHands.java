package jollytide.server.dosing;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ByHands extends JpaRepository<ByHand, UUID> {
    List<ByHand> findByTankIdInOrderByAtDesc(Collection<UUID> tankIds);

    Optional<ByHand> findByIdAndTankId(UUID id, UUID tankId);

    long countByTankId(UUID tankId);
}
