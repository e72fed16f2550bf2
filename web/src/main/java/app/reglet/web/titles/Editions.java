package app.reglet.web.titles;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The editions in the database. */
public interface Editions extends JpaRepository<EditionEntity, Long> {
  List<EditionEntity> findAllByOrderByIdAsc();

  /**
   * Puts another revision of its design in force; the docket's version stays as it is.
   *
   * @return 0 when the one in force is not the expected one any more
   */
  @Modifying
  @Query("update EditionEntity e set e.revision = :to where e.id = :id and e.revision = :from")
  int lay(Long id, int from, int to);
}
