package app.reglet.web.people;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** The people in the database. */
interface PersonRows extends JpaRepository<PersonEntity, Long> {
  List<PersonEntity> findAllByOrderByIdAsc();

  Optional<PersonEntity> findByFolded(String folded);
}
