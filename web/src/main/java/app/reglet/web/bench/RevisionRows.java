package app.reglet.web.bench;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** The revisions in the database. */
public interface RevisionRows extends JpaRepository<RevisionEntity, Long> {
  Optional<RevisionEntity> findByEditionIdAndNumber(Long editionId, int number);

  Optional<RevisionEntity> findFirstByEditionIdOrderByNumberDesc(Long editionId);

  /** The newest change made on top of a revision: what redo goes to. */
  Optional<RevisionEntity> findFirstByEditionIdAndParentOrderByNumberDesc(
      Long editionId, int parent);
}
