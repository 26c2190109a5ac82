package jollytide.server.dosing;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LineNotes extends JpaRepository<LineNote, UUID> {
    List<LineNote> findByLineIdIn(Collection<UUID> lineIds);

    Optional<LineNote> findByIdAndLineId(UUID id, UUID lineId);
}
