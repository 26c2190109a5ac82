package jollytide.server.logfile;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface LogImports extends JpaRepository<LogImport, Long> {
    Optional<LogImport> findByIdAndTankId(long id, UUID tankId);

    List<LogImport> findByTankIdOrderByIdDesc(UUID tankId, Limit limit);
}
