package app.reglet.web.houses;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The published versions of rule sheets in the database. */
public interface HouseVersions extends JpaRepository<HouseVersion, HouseVersion.Key> {
  /** The highest number of a house's versions. */
  @Query("select max(v.key.number) from HouseVersion v where v.key.houseId = :house")
  Optional<Integer> newest(String house);
}
