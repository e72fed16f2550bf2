package app.reglet.core.check;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What is found of a file that somebody made for a house, wherever it was made. */
public sealed interface OfFile extends Found {
  /**
   * The sentence.
   *
   * @param unit of its figures
   */
  String told(Unit unit);

  @Override
  default <R> R accept(Found.Visitor<R> visitor) {
    return visitor.ofFile(this);
  }

  /** A finding of it that has no place. */
  default Finding found(Finding.Severity severity) {
    return new Finding(this, severity, Optional.empty(), Optional.empty(), List.of());
  }

  private static String listed(List<String> all) {
    int most = 4;
    return String.join(", ", all.subList(0, Math.min(most, all.size())))
        + (all.size() > most ? " and " + (all.size() - most) + " more" : "");
  }

  private static String percent(double share) {
    return share >= 0.1 || share == 0
        ? Math.round(share * 100) + " %"
        : String.format(Locale.ROOT, "%.1f %%", share * 100);
  }

  /** What is measured of every file. */
  enum Measure {
    PAGE_COUNT,
    INSIDE_SIZE,
    SHEET_SIZE,
    TRIM_BOX,
    FONTS,
    PIXELS;

    /** The code of a finding about it: that of the comparison. */
    public String code() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /**
   * Its size, boxes, pages or fonts are other than the edition needs.
   *
   * @param sentence with figures
   */
  record NotAsMeasured(Measure measure, String sentence) implements OfFile {
    @Override
    public String code() {
      return measure.code();
    }

    @Override
    public String told(Unit unit) {
      return sentence;
    }
  }

  /**
   * The file has more bytes than the house takes.
   *
   * @param megabytes of a million bytes
   */
  record TooLarge(double megabytes, int most, String house) implements OfFile {
    @Override
    public String code() {
      return "file-large";
    }

    @Override
    public String told(Unit unit) {
      return String.format(
          Locale.ROOT,
          "The file has %.1f MB; %s takes up to %d MB: pack its pictures more tightly, or make them coarser.",
          megabytes,
          house,
          most);
    }
  }

  /** The house takes other kinds of file. */
  record KindOther(String kind, String house, List<String> takes) implements OfFile {
    @Override
    public String code() {
      return "kind-other";
    }

    @Override
    public String told(Unit unit) {
      return "This is a " + kind + "; " + house + " takes " + String.join(", ", takes) + ".";
    }
  }

  /**
   * It does not keep the standard that the house wants.
   *
   * @param unkept what is not kept, in words
   */
  record StandardUnkept(String standard, String house, List<String> unkept) implements OfFile {
    @Override
    public String code() {
      return "standard-unkept";
    }

    @Override
    public String told(Unit unit) {
      return house
          + " takes "
          + standard
          + ", and "
          + unkept.size()
          + (unkept.size() == 1 ? " point of it is" : " points of it are")
          + " not kept: "
          + listed(unkept)
          + ".";
    }
  }

  /** Colours of a screen, where the house wants inks. */
  record ColoursOfScreen(List<String> spaces, String house) implements OfFile {
    @Override
    public String code() {
      return "colours-of-screen";
    }

    @Override
    public String told(Unit unit) {
      return house
          + " takes inks, and this has colours of a screen ("
          + listed(spaces)
          + "): convert them for its printing condition where the file is made.";
    }
  }

  /** Inks, where the house wants sRGB. */
  record ColoursInInks(List<String> spaces, String house) implements OfFile {
    @Override
    public String code() {
      return "colours-in-inks";
    }

    @Override
    public String told(Unit unit) {
      return house
          + " converts from sRGB itself, and this has inks already ("
          + listed(spaces)
          + "): they may be converted a second time.";
    }
  }

  /** It says no printing condition. */
  record ConditionMissing(String wanted) implements OfFile {
    @Override
    public String code() {
      return "condition-missing";
    }

    @Override
    public String told(Unit unit) {
      return "The file says no printing condition its inks are meant for; the house prints on "
          + wanted
          + ".";
    }
  }

  /** It is made for another printing condition. */
  record ConditionOther(String found, String wanted) implements OfFile {
    @Override
    public String code() {
      return "condition-other";
    }

    @Override
    public String told(Unit unit) {
      return "Its inks are meant for "
          + FindingText.quoted(found)
          + "; the house prints on "
          + wanted
          + ": separate it for that.";
    }
  }

  /**
   * More ink in one place than the paper dries.
   *
   * @param found at the worst place, percent
   * @param most that the house allows, percent
   * @param share of the page where there is more
   */
  record InkHeavy(int found, int most, double share) implements OfFile {
    @Override
    public String code() {
      return "ink-heavy";
    }

    @Override
    public String told(Unit unit) {
      return "Up to "
          + found
          + " % of ink lies in one place, and more than the "
          + most
          + " % that the house allows on "
          + percent(share)
          + " of the page.";
    }
  }

  /**
   * More ink in one place of a file that is laid on a cover than the paper dries: the press file is
   * made with less there.
   *
   * @param found at the worst place, percent
   * @param above the least that was told apart, percent: what the house allows, or more where the
   *     file has colours of a screen too, which are separated for that house
   * @param most that the house allows, percent
   * @param share of what is seen of the file where there is more than {@code above}
   */
  record InkLowered(int found, int above, int most, double share) implements OfFile {
    @Override
    public String code() {
      return "ink-lowered";
    }

    @Override
    public String told(Unit unit) {
      return "Up to "
          + found
          + " % of ink lies in one place of this file, and more than "
          + above
          + " % on "
          + percent(share)
          + " of it. The house allows "
          + most
          + " %: the press file is made with no more, which may look lighter.";
    }
  }

  /** Something shows through, and the house's standard has nothing of the kind. */
  record ShowsThrough(List<String> what, String standard) implements OfFile {
    @Override
    public String code() {
      return "shows-through";
    }

    @Override
    public String told(Unit unit) {
      return "Something shows through ("
          + listed(what)
          + "), which "
          + standard
          + " has not: flatten it where the file is made.";
    }
  }

  /** Inks beside the four. */
  record InksBeside(List<String> names) implements OfFile {
    @Override
    public String code() {
      return "inks-beside";
    }

    @Override
    public String told(Unit unit) {
      return "It is printed in "
          + (names.size() == 1 ? "a further ink: " : names.size() + " further inks: ")
          + listed(names)
          + ". A house that prints four makes them of those.";
    }
  }

  /** Something overprints. */
  record Overprints() implements OfFile {
    @Override
    public String code() {
      return "overprints";
    }

    @Override
    public String told(Unit unit) {
      return "Something is set to overprint: it mixes with what is below it on press, and a screen does not show that. The ink figures here are of a page where it knocks out.";
    }
  }

  /** What a file can carry that no press uses. */
  enum Cargo {
    NOTES,
    LAYERS,
    FORM,
    SCRIPTS,
    FILES,
    MARKS
  }

  /**
   * It carries what no press uses.
   *
   * @param what {@code 3 annotations}, with names where it has some
   */
  record Carries(Cargo cargo, String what) implements OfFile {
    @Override
    public String code() {
      return "carries-" + cargo.name().toLowerCase(Locale.ROOT);
    }

    @Override
    public String told(Unit unit) {
      return "The file carries " + what + ": save it without, as a plain page.";
    }
  }

  /** It is encrypted. */
  record Locked(List<String> forbidden) implements OfFile {
    @Override
    public String code() {
      return "file-locked";
    }

    @Override
    public String told(Unit unit) {
      return "The file is locked"
          + (forbidden.isEmpty() ? "" : " against " + listed(forbidden))
          + ": save it without protection, or the house can't work on it.";
    }
  }

  /**
   * White where ink should go on to the edge.
   *
   * @param side of the sheet, {@code left}
   * @param along how much of it
   */
  record WhiteEdge(String side, Length along, boolean turnIn) implements OfFile {
    @Override
    public String code() {
      return "edge-white";
    }

    @Override
    public String told(Unit unit) {
      return "On the "
          + side
          + " the art ends at the trim along "
          + along.brief(unit)
          + ", and the "
          + (turnIn ? "turn-in" : "bleed")
          + " is white: a drift of the knife would leave a white line.";
    }
  }

  /** A barcode was looked for, and none could be read. */
  record BarcodeUnread(String house) implements OfFile {
    @Override
    public String code() {
      return "barcode-unread";
    }

    @Override
    public String told(Unit unit) {
      return house
          + " expects the ISBN barcode in the art, and none can be read on the page: it is missing, too pale, too small or has no quiet zone.";
    }
  }

  /** The barcode says another number. */
  record BarcodeOther(String found, String isbn) implements OfFile {
    @Override
    public String code() {
      return "barcode-other";
    }

    @Override
    public String told(Unit unit) {
      return "The barcode reads " + found + "; this edition's ISBN is " + isbn + ".";
    }
  }

  /**
   * The area that the house prints its barcode in is not clear.
   *
   * @param share of it that is dark
   */
  record DarkInBarcodeArea(double share) implements OfFile {
    @Override
    public String code() {
      return "barcode-area-dark";
    }

    @Override
    public String told(Unit unit) {
      return percent(share)
          + " of the area where the house prints the barcode is dark: a scanner may not read it there, unless the house prints a white panel.";
    }
  }

  /**
   * What stands on the spine stands off its middle.
   *
   * @param off to the right, or the left where it is negative
   */
  record SpineOff(Length off, Length spine) implements OfFile {
    @Override
    public String code() {
      return "spine-off-middle";
    }

    @Override
    public String told(Unit unit) {
      return "What stands on the spine of "
          + spine.brief(unit)
          + " stands "
          + off.abs().brief(unit)
          + (off.isNegative() ? " left" : " right")
          + " of its middle: the file may be for another spine.";
    }
  }

  /** No letters to be measured. */
  record WordsUntold() implements OfFile {
    @Override
    public String code() {
      return "words-untold";
    }

    @Override
    public String told(Unit unit) {
      return "There is no type in the file, only outlines or pixels: how far its words keep from trim and folds, and how large they are, can't be told.";
    }
  }

  /** A page's drawing breaks off. */
  record DrawingBroken(String why) implements OfFile {
    @Override
    public String code() {
      return "drawing-broken";
    }

    @Override
    public String told(Unit unit) {
      return "Not all of the page could be read: " + why + ". Make the file anew.";
    }
  }

  /**
   * What the file would fit, where it does not fit this.
   *
   * @param sentence with figures
   */
  record WouldFit(String sentence) implements OfFile {
    @Override
    public String code() {
      return "would-fit";
    }

    @Override
    public String told(Unit unit) {
      return sentence;
    }
  }
}
