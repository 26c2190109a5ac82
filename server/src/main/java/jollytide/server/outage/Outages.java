package jollytide.server.outage;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface Outages extends JpaRepository<Outage, UUID> {
    List<Outage> findByHomeIdOrderByStartedAtDesc(UUID homeId, Limit limit);

    Optional<Outage> findByHomeIdAndEndedAtIsNull(UUID homeId);

    Optional<Outage> findByIdAndHomeId(UUID id, UUID homeId);
}
