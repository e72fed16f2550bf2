package app.reglet.web.titles;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The editions in the database. */
public interface Editions extends JpaRepository<EditionEntity, Long> {
  List<EditionEntity> findAllByOrderByIdAsc();
}
