package app.reglet.web.houses;

import org.springframework.data.jpa.repository.JpaRepository;

/** The published versions of rule sheets in the database. */
public interface HouseVersions extends JpaRepository<HouseVersion, HouseVersion.Key> {}
