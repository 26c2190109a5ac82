package jollytide.server.due;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CalendarLinks extends JpaRepository<CalendarLink, UUID> {
    Optional<CalendarLink> findByHash(String hash);
}
