package app.reglet.web.houses;

import org.springframework.data.jpa.repository.JpaRepository;

/** The rule sheets in the database. */
public interface HouseDocuments extends JpaRepository<HouseEntity, String> {}
