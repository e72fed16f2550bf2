package app.reglet.core.check;

import static app.reglet.core.check.FindingText.quoted;

import app.reglet.core.book.Book;
import app.reglet.core.measure.Unit;
import java.util.Locale;

/** Tells what was found of words in a sentence. */
final class WordsFindingText implements OfWords.Teller<String> {
  @Override
  public String glyphMissing(OfWords.GlyphMissing f) {
    return quoted(f.name())
        + " has "
        + (f.missing() + ", which " + f.face())
        + " can't print: choose another typeface or other words.";
  }

  @Override
  public String familiesMany(OfWords.FamiliesMany f) {
    return ("Words stand in " + f.families().size() + " families of type: ")
        + String.join(", ", f.families())
        + (". A cover holds together with " + f.most() + " at most.");
  }

  @Override
  public String factUnknown(OfWords.FactUnknown f) {
    return quoted(f.name()) + " has " + f.fact() + ", which is no fact of the book: it prints so.";
  }

  @Override
  public String factEmpty(OfWords.FactEmpty f) {
    return quoted(f.name())
        + " has "
        + f.fact()
        + (f.fact().equalsIgnoreCase("{" + Book.CREDITS + "}")
            ? ", and no picture on the cover owes a credit that is said."
            : ", which the docket leaves empty.");
  }

  @Override
  public String formsLacking(OfWords.FormsLacking f) {
    return switch (f.lack()) {
      case SMALL_CAPITALS ->
          quoted(f.name())
              + " has drawn small capitals: "
              + f.face()
              + " has none of its own, so smaller capitals stand for them, thinner than the rest.";
      case ITALIC ->
          quoted(f.name())
              + " has emphasis that is not seen: "
              + f.face()
              + " has no italics beside it.";
      case BOLD ->
          quoted(f.name())
              + " has strong emphasis that is not seen: "
              + f.face()
              + " has no bolder face beside it.";
      case TYPEFACE ->
          "The typeface of "
              + quoted(f.name())
              + " is not here: "
              + f.face()
              + " stands for it. Bring the font again, or choose another typeface.";
    };
  }

  @Override
  public String typeSmall(OfWords.TypeSmall f) {
    return quoted(f.name())
        + " comes out at "
        + f.size().brief(Unit.PT)
        + (f.inks() == 0
            ? ", left out of what is printed round it"
            : f.inks() == 1 ? "" : ", in several inks")
        + "; "
        + f.least().brief(Unit.PT)
        + " and more print well.";
  }

  @Override
  public String richBlack(OfWords.RichBlack f) {
    return quoted(f.name())
        + " is black with other inks below it, at "
        + f.size().brief(Unit.PT)
        + ": a drift of the plates frays letters under "
        + f.least().brief(Unit.PT)
        + ". Print them with black alone.";
  }

  @Override
  public String titleFaint(OfWords.TitleFaint f) {
    return quoted(f.name())
        + " comes out at "
        + f.size().brief(Unit.PT)
        + ": where a shop shows the cover "
        + f.pixels()
        + " pixels high it can't be read. From "
        + f.least().brief(Unit.PT)
        + " it can.";
  }

  @Override
  public String titleOther(OfWords.TitleOther f) {
    return quoted(f.name())
        + " says “"
        + f.says()
        + "”, and the docket’s title, which shops list, is “"
        + f.title()
        + "”.";
  }

  @Override
  public String faint(OfWords.Faint f) {
    return String.format(
        Locale.ROOT,
        "%s stands out by %.1f to 1 from what lies behind it, %.1f at its worst; words of its size want %.1f.",
        quoted(f.name()),
        Math.floor(10 * f.median()) / 10,
        Math.floor(10 * f.worst()) / 10,
        f.least());
  }

  @Override
  public String otherWay(OfWords.OtherWay f) {
    return quoted(f.name())
        + " runs from "
        + f.runs().words()
        + " on the spine; "
        + f.house()
        + "’s books are read from "
        + f.runs().other().words()
        + ", and beside them this one stands on its head.";
  }
}
