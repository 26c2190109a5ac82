package jollytide.server.media;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface MediaFills extends JpaRepository<MediaFill, UUID> {
    @Query(
            "select distinct f from MediaFill f left join fetch f.colours where f.tankId = :tankId order by f.filledAt desc")
    List<MediaFill> findAllOf(UUID tankId);

    Optional<MediaFill> findByIdAndTankId(UUID id, UUID tankId);
}
