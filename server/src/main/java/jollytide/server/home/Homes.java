package jollytide.server.home;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Homes extends JpaRepository<Home, UUID> {
    Optional<Home> findByIdAndRemovedAtIsNull(UUID id);

    Optional<Home> findByIdAndKeeperIdAndRemovedAtIsNull(UUID id, UUID keeperId);

    List<Home> findByKeeperIdAndRemovedAtIsNullOrderByName(UUID keeperId);
}
