package app.reglet.web.bench;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The revisions in the database. */
public interface RevisionRows extends JpaRepository<RevisionEntity, Long> {
  Optional<RevisionEntity> findByEditionIdAndNumber(Long editionId, int number);

  @Query("select max(r.number) from RevisionEntity r where r.editionId = :edition")
  Optional<Integer> newest(Long edition);

  /** What a change was. */
  @Query("select r.what from RevisionEntity r where r.editionId = :edition and r.number = :number")
  Optional<String> what(Long edition, int number);

  /** What the changes on top of a revision were, the newest first. */
  @Query(
      "select r.what from RevisionEntity r where r.editionId = :edition and r.parent = :parent"
          + " order by r.number desc")
  List<String> whatOnTop(Long edition, int parent, Limit limit);

  @Query(
      "select new app.reglet.web.bench.Revisions$Change(r.number, r.parent, r.what, r.made, r.by)"
          + " from RevisionEntity r where r.editionId = :edition order by r.number desc")
  List<Revisions.Change> changes(Long edition, Limit limit);

  /** The newest change made on top of a revision: what redo goes to. */
  Optional<RevisionEntity> findFirstByEditionIdAndParentOrderByNumberDesc(
      Long editionId, int parent);

  /** Takes out a step; whether it may go is for {@link RevisionKeeper} to say. */
  @Modifying
  @Query("delete from RevisionEntity r where r.editionId = :edition and r.number = :number")
  void forget(Long edition, int number);
}
