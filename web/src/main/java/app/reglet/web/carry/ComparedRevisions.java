package app.reglet.web.carry;

import app.reglet.web.bench.RevisionKeeper;
import org.springframework.stereotype.Component;

/** Keeps the revisions that carried and refitted covers are compared with. */
@Component
class ComparedRevisions implements RevisionKeeper {
  private final CarriedRows carried;
  private final RefittedRows refitted;

  ComparedRevisions(CarriedRows carried, RefittedRows refitted) {
    this.carried = carried;
    this.refitted = refitted;
  }

  @Override
  public boolean keeps(Long edition, int number) {
    return carried.findAllByOriginIdOrderByEditionIdAsc(edition).stream()
            .anyMatch(c -> c.getOriginRevision() == number || c.bases().containsValue(number))
        || refitted.findById(edition).filter(r -> r.getBaseRevision() == number).isPresent();
  }
}
