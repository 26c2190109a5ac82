package jollytide.server.twin;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BenchSets extends JpaRepository<BenchSet, UUID> {
    List<BenchSet> findByTankIdOrderByName(UUID tankId);

    Optional<BenchSet> findByTankIdAndName(UUID tankId, String name);

    Optional<BenchSet> findByIdAndTankId(UUID id, UUID tankId);
}
