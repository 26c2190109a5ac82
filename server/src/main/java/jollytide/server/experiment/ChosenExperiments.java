package jollytide.server.experiment;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ChosenExperiments extends JpaRepository<ChosenExperiment, UUID> {
    Optional<ChosenExperiment> findByIdAndTankId(UUID id, UUID tankId);

    /** Not over yet, the next first. */
    List<ChosenExperiment> findByTankIdInAndEndedAtIsNullOrderByPlannedFrom(Collection<UUID> tankIds);

    /** Over, the last first; without those whose event was deleted, for then nothing was done. */
    List<ChosenExperiment> findByTankIdAndEndedAtIsNotNullAndEventIdIsNotNullOrderByEndedAtDesc(
            UUID tankId, Limit limit);

    /** Over before a time, of which nobody wrote down yet what it left open. */
    @Query(
            "from ChosenExperiment e where e.endedAt < :before and e.openAfter is null and e.eventId is not null order by e.endedAt")
    List<ChosenExperiment> unsettled(Instant before, Limit limit);
}
