package jollytide.server.reading;

import java.time.Instant;
import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/**
 * Readings of one series at a time: the table is clustered by series and time, so the newest few of a series are found
 * at once, while the newest few of several together would have all of them sorted.
 */
interface ReadingRepository extends JpaRepository<Reading, Reading.Key> {
    @Query("""
            from Reading r where r.id.seriesId = :series and r.id.at between :from and :to
            order by r.id.at desc""")
    List<Reading> newest(long series, Instant from, Instant to, Limit limit);

    @Query("""
            from Reading r where r.id.seriesId = :series and r.id.at < :before
            order by r.id.at desc""")
    List<Reading> newestBefore(long series, Instant before, Limit limit);
}
