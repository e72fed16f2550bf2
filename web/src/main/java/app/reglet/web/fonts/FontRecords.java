package app.reglet.web.fonts;

import org.springframework.data.jpa.repository.JpaRepository;

/** The records of fonts in the database. */
public interface FontRecords extends JpaRepository<FontEntity, String> {}
