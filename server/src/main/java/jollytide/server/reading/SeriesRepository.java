package jollytide.server.reading;

import java.util.Optional;
import java.util.UUID;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RawUnit;
import org.springframework.data.jpa.repository.JpaRepository;

interface SeriesRepository extends JpaRepository<Series, Long> {
    Optional<Series> findBySubjectIdAndQuantityAndPlaceAndMethodAndUnit(
            UUID subjectId, Quantity quantity, Place place, Method method, RawUnit unit);
}
