package jollytide.server.account;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface Keepers extends JpaRepository<Keeper, UUID> {
    Optional<Keeper> findByName(String name);

    /** What the database's collation makes of a name: the same for all spellings that it takes for the same name. */
    @Query(
            value = "select hex(weight_string(convert(:name using utf8mb4) collate utf8mb4_unicode_520_ci))",
            nativeQuery = true)
    String comparedAs(String name);

    @Modifying
    @Transactional
    @Query("update Keeper k set k.passwordHash = :hash where k.id = :id")
    void setPassword(UUID id, String hash);

    Optional<Keeper> findFirstByDemoTrue();

    long countByDemoFalse();
}
