package app.reglet.web.titles;

import org.springframework.data.jpa.repository.JpaRepository;

/** The titles in the database. */
public interface Books extends JpaRepository<BookEntity, Long> {}
