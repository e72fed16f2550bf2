package app.reglet.web.bench;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** The saved looks in the database. */
public interface LookRows extends JpaRepository<LookEntity, Long> {
  List<LookEntity> findAllByOrderByNameAsc();

  Optional<LookEntity> findByName(String name);
}
