package jollytide.server.schedule;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LaneHolds extends JpaRepository<LaneHold, UUID> {
    List<LaneHold> findByTankIdAndEndsAtAfterOrderByBegunAt(UUID tankId, Instant since);
}
