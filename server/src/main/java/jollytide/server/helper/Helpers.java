package jollytide.server.helper;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Helpers extends JpaRepository<Helper, UUID> {
    Optional<Helper> findByHash(String hash);

    Optional<Helper> findByIdAndHomeId(UUID id, UUID homeId);

    List<Helper> findByHomeIdOrderByName(UUID homeId);
}
