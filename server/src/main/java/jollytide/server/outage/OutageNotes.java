package jollytide.server.outage;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface OutageNotes extends JpaRepository<OutageNote, UUID> {
    List<OutageNote> findByOutageIdOrderByAtAscIdAsc(UUID outageId);
}
