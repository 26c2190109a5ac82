package jollytide.server.event;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface TankEvents extends JpaRepository<TankEvent, UUID> {
    /** Those that began between two times, or were not over before the first. */
    @Query("""
            from TankEvent e where e.tankId in :tankIds and e.at <= :to and (e.at >= :from or e.until >= :from)
            order by e.at""")
    List<TankEvent> around(Collection<UUID> tankIds, Instant from, Instant to);

    /** Those of which it is known what they did, and that went on between two times, in their order. */
    @Query("""
            from TankEvent e where e.tankId in :tankIds and e.measures is not null
            and e.at <= :to and (e.until is null or e.until >= :from) order by e.at""")
    List<TankEvent> standing(Collection<UUID> tankIds, Instant from, Instant to);

    Optional<TankEvent> findByIdAndTankId(UUID id, UUID tankId);
}
