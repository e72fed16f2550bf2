package app.reglet.web.jobs;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface JobRows extends JpaRepository<Job, Long> {
  Optional<Job> findByHash(String hash);

  List<Job> findByStateIn(Collection<Job.State> states);

  List<Job> findByStateNotInOrderByFinishedDesc(Collection<Job.State> states);

  List<Job> findByEditionIdAndKindOrderByOrderedDesc(Long editionId, String kind);

  long countByStateIn(Collection<Job.State> states);
}
