package jollytide.server.programme;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StoredProgrammes extends JpaRepository<StoredProgramme, UUID> {}
