package jollytide.server.account;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Keepers extends JpaRepository<Keeper, UUID> {
    Optional<Keeper> findByName(String name);

    Optional<Keeper> findFirstByDemoTrue();

    long countByDemoFalse();
}
