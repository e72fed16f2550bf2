package app.reglet.web.bench;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The named versions in the database. */
public interface NamedVersionRows extends JpaRepository<NamedVersionEntity, Long> {
  boolean existsByEditionIdAndNumber(Long editionId, int number);

  List<NamedVersionEntity> findByEditionIdOrderByIdDesc(Long editionId);
}
