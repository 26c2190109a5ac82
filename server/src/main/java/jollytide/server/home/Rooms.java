package jollytide.server.home;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Rooms extends JpaRepository<Room, UUID> {
    @Query(
            "select r from Room r join fetch r.home h where r.id = :id and h.keeper.id = :keeperId and r.removedAt is null"
                    + " and h.removedAt is null")
    Optional<Room> findOwned(UUID id, UUID keeperId);

    @Query("select r from Room r join fetch r.home h where h.keeper.id = :keeperId and r.removedAt is null"
            + " and h.removedAt is null order by r.name")
    List<Room> findAllOwned(UUID keeperId);
}
