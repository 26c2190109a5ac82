package jollytide.server.probe;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ProbeCalibrations extends JpaRepository<ProbeCalibration, UUID> {
    List<ProbeCalibration> findByTankIdInOrderByAt(Collection<UUID> tankIds);

    Optional<ProbeCalibration> findByIdAndTankId(UUID id, UUID tankId);
}
