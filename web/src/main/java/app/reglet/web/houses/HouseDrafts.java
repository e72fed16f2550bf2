package app.reglet.web.houses;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** The drafts in the database. */
public interface HouseDrafts extends JpaRepository<HouseDraft, Long> {
  List<HouseDraft> findAllByOrderByIdAsc();

  Optional<HouseDraft> findFirstByHouseId(String houseId);
}
