package jollytide.server.dosing;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DoseReleases extends JpaRepository<DoseRelease, UUID> {
    List<DoseRelease> findByTankIdIn(Collection<UUID> tankIds);
}
