package app.reglet.web.houses;

import org.springframework.data.jpa.repository.JpaRepository;

/** The houses in the database. */
public interface HouseRows extends JpaRepository<HouseEntity, String> {}
