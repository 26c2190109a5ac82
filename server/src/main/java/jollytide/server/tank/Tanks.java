package jollytide.server.tank;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Tanks extends JpaRepository<Tank, UUID> {
    @Query("""
            select t from Tank t join fetch t.room r join fetch r.home h left join fetch t.surfaces
            where t.id = :id and h.keeper.id = :keeperId
            and t.removedAt is null and r.removedAt is null and h.removedAt is null""")
    Optional<Tank> findOwned(UUID id, UUID keeperId);

    @Query("""
            select t from Tank t join fetch t.room r join fetch r.home h left join fetch t.surfaces
            where t.id = :id and t.removedAt is null and r.removedAt is null and h.removedAt is null""")
    Optional<Tank> findWithPlace(UUID id);

    @Query("""
            select distinct t from Tank t join fetch t.room r join fetch r.home h left join fetch t.surfaces
            where t.removedAt is null and r.removedAt is null and h.removedAt is null
            order by t.id""")
    List<Tank> findAllWithPlace();

    @Query("""
            select h.id from Tank t join t.room r join r.home h
            where t.id = :id and t.removedAt is null and r.removedAt is null and h.removedAt is null""")
    Optional<UUID> findHomeId(UUID id);

    @Query("""
            select distinct t from Tank t join fetch t.room r join fetch r.home h left join fetch t.surfaces
            where h.keeper.id = :keeperId
            and t.removedAt is null and r.removedAt is null and h.removedAt is null
            order by t.name""")
    List<Tank> findAllOwned(UUID keeperId);
}
