package app.reglet.web.bench;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The revisions in the database. */
public interface RevisionRows extends JpaRepository<RevisionEntity, Long> {
  Optional<RevisionEntity> findByEditionIdAndNumber(Long editionId, int number);

  Optional<RevisionEntity> findFirstByEditionIdOrderByNumberDesc(Long editionId);

  @Query(
      "select new app.reglet.web.bench.Revisions$Change(r.number, r.parent, r.what, r.made, r.by)"
          + " from RevisionEntity r where r.editionId = :edition order by r.number desc")
  List<Revisions.Change> changes(Long edition, Limit limit);

  /** The newest change made on top of a revision: what redo goes to. */
  Optional<RevisionEntity> findFirstByEditionIdAndParentOrderByNumberDesc(
      Long editionId, int parent);
}
