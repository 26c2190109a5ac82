package jollytide.server.outage;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface OutageNotes extends JpaRepository<OutageNote, UUID> {
    List<OutageNote> findByOutageIdOrderByAtAscIdAsc(UUID outageId);

    @Modifying
    @Query("update OutageNote n set n.outageId = :to where n.outageId = :from")
    void move(UUID from, UUID to);
}
