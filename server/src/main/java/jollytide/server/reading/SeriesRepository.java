package jollytide.server.reading;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import org.springframework.data.jpa.repository.JpaRepository;

interface SeriesRepository extends JpaRepository<Series, Long> {
    List<Series> findBySubjectIdAndQuantityAndPlace(UUID subjectId, Quantity quantity, Place place);

    List<Series> findBySubjectIdIn(Collection<UUID> subjectIds);
}
