package app.reglet.web.titles;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The titles in the database. */
public interface Books extends JpaRepository<BookEntity, Long> {
  /** Those with an ISBN that have an edition still here, but for one. */
  @Query(
      "select b from BookEntity b where b.isbn = :digits and b.id <> :but and exists (select 1 from EditionEntity e where e.book = b and e.takenAway is null) order by b.id")
  List<BookEntity> withIsbn(String digits, Long but);
}
