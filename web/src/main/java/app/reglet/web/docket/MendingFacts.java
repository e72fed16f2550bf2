package app.reglet.web.docket;

import app.reglet.core.check.Remedy;
import app.reglet.web.titles.EditionEntity;
import java.util.Optional;

/** Carries a remedy of the docket out on an edition's facts. */
record MendingFacts(EditionEntity edition) implements Remedy.OfFacts.Visitor {
  @Override
  public void usePages(Remedy.UsePages use) {
    edition.setPages(String.valueOf(use.pages()), use.pages());
  }

  @Override
  public void useTrim(Remedy.UseTrim use) {
    edition.setTrim("", use.trim());
  }

  @Override
  public void useFlaps(Remedy.UseFlaps use) {
    edition.setFlaps(Optional.of(use.flaps()));
  }

  @Override
  public void outsideOnly(Remedy.OutsideOnly remedy) {
    edition.setInsidePrinted(false);
  }
}
