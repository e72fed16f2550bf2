package app.reglet.web.docket;

import app.reglet.core.check.Remedy;
import app.reglet.web.titles.EditionEntity;
import java.util.Optional;

/** Carries a remedy of the docket out on an edition's facts; one of the design changes none. */
record MendingFacts(EditionEntity edition) implements Remedy.Visitor<Void> {
  @Override
  public Void usePages(Remedy.UsePages use) {
    edition.setPages(String.valueOf(use.pages()), use.pages());
    return null;
  }

  @Override
  public Void useTrim(Remedy.UseTrim use) {
    edition.setTrim("", use.trim());
    return null;
  }

  @Override
  public Void useFlaps(Remedy.UseFlaps use) {
    edition.setFlaps(Optional.of(use.flaps()));
    return null;
  }

  @Override
  public Void outsideOnly(Remedy.OutsideOnly remedy) {
    edition.setInsidePrinted(false);
    return null;
  }

  @Override
  public Void intoSafe(Remedy.IntoSafe remedy) {
    return null;
  }

  @Override
  public Void fitWords(Remedy.FitWords remedy) {
    return null;
  }

  @Override
  public Void toBleed(Remedy.ToBleed remedy) {
    return null;
  }

  @Override
  public Void clearOfBarcode(Remedy.ClearOfBarcode remedy) {
    return null;
  }

  @Override
  public Void behindBarcode(Remedy.BehindBarcode remedy) {
    return null;
  }

  @Override
  public Void takeOff(Remedy.TakeOff remedy) {
    return null;
  }

  @Override
  public Void placeBarcode(Remedy.PlaceBarcode remedy) {
    return null;
  }
}
