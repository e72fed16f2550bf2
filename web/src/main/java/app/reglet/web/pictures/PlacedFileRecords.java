package app.reglet.web.pictures;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** The records of drawings and placed pages in the database. */
public interface PlacedFileRecords extends JpaRepository<PlacedFileEntity, String> {
  /** Any page of a PDF. */
  Optional<PlacedFileEntity> findFirstByIdStartingWith(String start);
}
