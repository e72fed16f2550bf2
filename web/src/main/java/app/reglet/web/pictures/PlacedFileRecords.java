package app.reglet.web.pictures;

import org.springframework.data.jpa.repository.JpaRepository;

/** The records of drawings and placed pages in the database. */
public interface PlacedFileRecords extends JpaRepository<PlacedFileEntity, String> {}
