package jollytide.server.reading;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ReadingRepository extends JpaRepository<Reading, Reading.Key> {
    String ROW = """
            select new jollytide.server.reading.ReadingRow(
                s.id, s.quantity, s.place, s.method, s.unit, r.id.at, r.value)
            from Series s join Reading r on r.id.seriesId = s.id
            """;

    @Query(ROW + """
            where s.subjectId in :subjects and s.quantity = :quantity and s.place = :place
              and r.id.at between :from and :to
            order by r.id.at desc""")
    List<ReadingRow> between(
            Collection<UUID> subjects, Quantity quantity, Place place, Instant from, Instant to, Limit limit);

    /** Newest first, from a place in the list onwards; times that several series share are told apart by series. */
    @Query(ROW + """
            where s.subjectId in :subjects and (:quantity is null or s.quantity = :quantity)
              and (r.id.at < :before or (r.id.at = :before and s.id < :beforeSeries))
            order by r.id.at desc, s.id desc""")
    List<ReadingRow> page(Collection<UUID> subjects, Quantity quantity, Instant before, long beforeSeries, Limit limit);
}
