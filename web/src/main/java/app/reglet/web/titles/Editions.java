package app.reglet.web.titles;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The editions in the database. */
public interface Editions extends JpaRepository<EditionEntity, Long> {
  @Query("select e from EditionEntity e join fetch e.book where e.takenAway is null order by e.id")
  List<EditionEntity> findAllByOrderByIdAsc();

  /** Those of one book, without what was taken away. */
  @Query(
      "select e from EditionEntity e join fetch e.book where e.takenAway is null and e.book.id = :book order by e.id")
  List<EditionEntity> ofBook(Long book);

  /** Those that are named by an ISBN. */
  @Query(
      "select e from EditionEntity e join fetch e.book where e.takenAway is null and e.isbn = :digits order by e.id")
  List<EditionEntity> withIsbn(String digits);

  /** Those that were taken away, the latest first. */
  @Query(
      "select e from EditionEntity e join fetch e.book where e.takenAway is not null order by e.takenAway desc")
  List<EditionEntity> takenAway();

  /**
   * Puts another revision of its design in force; the docket's version stays as it is.
   *
   * @return 0 when the one in force is not the expected one any more
   */
  @Modifying
  @Query("update EditionEntity e set e.revision = :to where e.id = :id and e.revision = :from")
  int lay(Long id, int from, int to);
}
