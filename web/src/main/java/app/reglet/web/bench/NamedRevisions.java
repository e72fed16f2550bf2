package app.reglet.web.bench;

import org.springframework.stereotype.Component;

/** Keeps the revisions that somebody gave a name. */
@Component
class NamedRevisions implements RevisionKeeper {
  private final NamedVersionRows named;

  NamedRevisions(NamedVersionRows named) {
    this.named = named;
  }

  @Override
  public boolean keeps(Long edition, int number) {
    return named.existsByEditionIdAndNumber(edition, number);
  }
}
