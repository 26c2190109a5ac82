package jollytide.server.supplies;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Supplies extends JpaRepository<Supply, UUID> {
    List<Supply> findByHomeId(UUID homeId);

    Optional<Supply> findByIdAndHomeId(UUID id, UUID homeId);
}
