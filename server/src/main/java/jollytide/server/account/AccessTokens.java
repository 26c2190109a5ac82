package jollytide.server.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface AccessTokens extends JpaRepository<AccessToken, UUID> {
    @Query("select t from AccessToken t join fetch t.keeper where t.hash = :hash")
    Optional<AccessToken> findByHash(String hash);

    List<AccessToken> findByKeeperIdOrderByCreatedAt(UUID keeperId);

    Optional<AccessToken> findByIdAndKeeperId(UUID id, UUID keeperId);

    long countByKeeperId(UUID keeperId);

    @Modifying
    @Transactional
    @Query("delete from AccessToken t where t.keeper.id = :keeperId")
    void deleteByKeeperId(UUID keeperId);
}
