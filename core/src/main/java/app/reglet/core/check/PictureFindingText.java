package app.reglet.core.check;

import static app.reglet.core.check.FindingText.quoted;

import app.reglet.core.book.Licence;

/** Tells what was found of pictures in a sentence. */
final class PictureFindingText implements OfPicture.Teller<String> {
  @Override
  public String notForGoods(OfPicture.NotForGoods f) {
    return f.licence() == Licence.UNKNOWN
        ? "By what right the picture "
            + quoted(f.name())
            + " is used is not known: say it among the pictures before the book is sold."
        : "The picture "
            + quoted(f.name())
            + " was "
            + f.licence().title()
            + ", and a book is goods for sale: get a licence for goods, or use another.";
  }

  @Override
  public String creditUnsaid(OfPicture.CreditUnsaid f) {
    return "The picture "
        + quoted(f.name())
        + " is free with a credit, and its credit line is empty: type it among the pictures.";
  }

  @Override
  public String creditNotPlaced(OfPicture.CreditNotPlaced f) {
    return "The credit “"
        + f.credit()
        + "” is owed for the picture "
        + quoted(f.name())
        + " and stands nowhere on this side of the cover.";
  }

  @Override
  public String artefacts(OfPicture.Artefacts f) {
    return quoted(f.name())
        + " was saved as a JPEG at a quality of about "
        + f.quality()
        + " of 100: squares of eight pixels and rings round edges may be seen; from "
        + f.least()
        + " on they hardly are. Bring the picture as its maker had it: saving it anew brings nothing back.";
  }
}
