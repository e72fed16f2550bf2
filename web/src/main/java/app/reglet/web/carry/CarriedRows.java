package app.reglet.web.carry;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Where covers were carried from, in the database. */
public interface CarriedRows extends JpaRepository<CarriedEntity, Long> {
  /** Those that came from an edition. */
  List<CarriedEntity> findAllByOriginIdOrderByEditionIdAsc(Long originId);
}
