package jollytide.server.dosing;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface DosingLines extends JpaRepository<DosingLine, UUID> {
    @Query(
            "select distinct l from DosingLine l left join fetch l.plans where l.tankId in :tanks and l.forgottenAt is null order by l.endedAt, l.name")
    List<DosingLine> findAllOf(Collection<UUID> tanks);

    default List<DosingLine> findAllOf(UUID tankId) {
        return findAllOf(List.of(tankId));
    }

    List<DosingLine> findByTankIdAndForgottenAtBefore(UUID tankId, Instant then);

    Optional<DosingLine> findByIdAndTankId(UUID id, UUID tankId);
}
