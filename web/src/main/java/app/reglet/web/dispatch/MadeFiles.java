package app.reglet.web.dispatch;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The states that files were made of. */
interface MadeFiles extends JpaRepository<MadeFile, Long> {
  Optional<MadeFile> findByEditionIdAndState(Long editionId, String state);

  @Query("select max(m.number) from MadeFile m where m.editionId = :edition")
  Optional<Integer> newest(Long edition);
}
