package jollytide.server.outage;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Outages extends JpaRepository<Outage, UUID> {
    /** Those that count: neither merged into another nor taken out. */
    List<Outage> findByHomeIdAndMergedIntoIsNullAndRemovedAtIsNullOrderByStartedAtDesc(UUID homeId, Limit limit);

    Optional<Outage> findByHomeIdAndEndedAtIsNullAndMergedIntoIsNullAndRemovedAtIsNull(UUID homeId);

    Optional<Outage> findByIdAndHomeId(UUID id, UUID homeId);

    /** Those that lie at least in part between two times, the earliest first. */
    @Query("""
            from Outage o where o.homeId = :homeId and o.mergedInto is null and o.removedAt is null
              and o.startedAt <= :until and (o.endedAt is null or o.endedAt >= :from)
            order by o.startedAt""")
    List<Outage> between(UUID homeId, Instant from, Instant until);
}
