package app.reglet.web.titles;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Findings that are let be. */
public interface LetBeRows extends JpaRepository<LetBeEntity, Long> {
  List<LetBeEntity> findByEditionIdOrderById(Long editionId);
}
