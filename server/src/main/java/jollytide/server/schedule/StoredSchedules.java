package jollytide.server.schedule;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StoredSchedules extends JpaRepository<StoredSchedule, UUID> {}
