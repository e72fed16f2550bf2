package app.reglet.core.check;

import app.reglet.core.measure.Unit;
import java.util.List;
import java.util.Locale;

/** Tells what was found in a sentence: the one place where findings become words. */
public final class FindingText implements Found.Visitor<String> {
  private final Unit unit;

  private FindingText(Unit unit) {
    this.unit = unit;
  }

  /**
   * The sentence.
   *
   * @param unit of its figures; type is always told in points
   */
  public static String of(Found found, Unit unit) {
    return found.accept(new FindingText(unit));
  }

  static String quoted(String name) {
    return "“" + name + "”";
  }

  private static String low(String title) {
    return title.toLowerCase(Locale.ROOT);
  }

  private static String ppi(double ppi) {
    return String.format(Locale.ROOT, "%.0f ppi", Math.floor(ppi));
  }

  private static String why(Unoffered.PagesNotOffered f) {
    String has =
        f.pages() + (f.bound() == f.pages() ? "" : ", with its blank side " + f.bound()) + ".";
    String binds = f.house() + " binds " + low(f.binding().title());
    return switch (f.why()) {
      case ODD -> f.house() + " binds no odd counts, and this has " + f.pages() + " pages.";
      case TOO_FEW -> binds + " from " + f.limit() + " pages; this has " + has;
      case TOO_MANY ->
          binds + " up to " + f.limit() + " pages in this trim and paper; this has " + has;
      case NO_MULTIPLE ->
          f.pages()
              + " pages can't be bound: the count must be "
              + (f.limit() == 2 ? "even" : "a multiple of " + f.limit())
              + ".";
      case NO_ROW -> f.house() + "'s spine table has no row for " + f.pages() + " pages.";
    };
  }

  private static String nearest(List<Integer> counts) {
    return switch (counts.size()) {
      case 0 -> "";
      case 1 -> " The nearest that works is " + counts.get(0) + ".";
      default -> " The nearest that work are " + counts.get(0) + " and " + counts.get(1) + ".";
    };
  }

  private String spineTypeFrom(Found.SpineTypeNotAllowed f) {
    int least = f.rule().leastPages();
    boolean tooFew = f.pages() < least;
    String has = tooFew ? f.pages() + " pages" : f.spine().brief(unit);
    String from =
        least == Integer.MAX_VALUE
            ? "in no book"
            : (tooFew ? "from " + least + " pages" : "from " + f.rule().leastWidth().brief(unit))
                + " only";
    return from + "; this one has " + has + ".";
  }

  @Override
  public String trimNotOffered(Unoffered.TrimNotOffered f) {
    return f.house()
        + " does not offer "
        + f.trim().brief(unit)
        + " in "
        + low(f.binding().title())
        + "; the nearest it offers is "
        + f.nearest().brief(unit)
        + (f.reset() ? ", for which the inside must be re-set." : ".");
  }

  @Override
  public String pagesNotOffered(Unoffered.PagesNotOffered f) {
    return why(f) + nearest(f.nearest());
  }

  @Override
  public String noFlap(Unoffered.NoFlap f) {
    return "Both flaps are 0, but "
        + low(f.binding().title())
        + " has at least one: give one a width, or choose a binding without flaps.";
  }

  @Override
  public String flapNotOffered(Unoffered.FlapNotOffered f) {
    return "A flap of "
        + f.flap().print(unit)
        + " isn't folded by "
        + f.house()
        + ": from "
        + f.least().print(unit)
        + " to "
        + f.most().print(unit)
        + ", or none.";
  }

  @Override
  public String insideNotOffered(Unoffered.InsideNotOffered f) {
    return f.house() + " does not print the inside of a " + low(f.binding().title()) + " cover.";
  }

  @Override
  public String wordsOverflow(Found.WordsOverflow f) {
    return quoted(f.name())
        + " at "
        + f.size().brief(Unit.PT)
        + " needs more room than its box of "
        + f.box().brief(unit)
        + ".";
  }

  @Override
  public String spineTypeNotAllowed(Found.SpineTypeNotAllowed f) {
    return quoted(f.name())
        + " stands on the spine, where "
        + f.house()
        + " prints words "
        + spineTypeFrom(f);
  }

  @Override
  public String spineTypeTooSmall(Found.SpineTypeTooSmall f) {
    return quoted(f.name())
        + " comes out at "
        + f.size().brief(Unit.PT)
        + "; "
        + f.house()
        + " prints spine words from "
        + f.least().brief(Unit.PT)
        + ".";
  }

  @Override
  public String spineTypeTooBig(Found.SpineTypeTooBig f) {
    return quoted(f.name())
        + " is "
        + f.across().brief(unit)
        + " across at "
        + f.size().brief(Unit.PT)
        + "; the spine leaves "
        + f.band().brief(unit)
        + " between its safe lines"
        + (f.largest().isPositive() ? ", room for " + f.largest().brief(Unit.PT) + "." : ".");
  }

  @Override
  public String pictureTooCoarse(Found.PictureTooCoarse f) {
    return quoted(f.name())
        + " has "
        + ppi(f.ppi())
        + " at printed size; below "
        + f.least()
        + " ppi its pixels show.";
  }

  @Override
  public String onGlue(Found.OnGlue f) {
    return quoted(f.name())
        + " lies "
        + f.by().brief(unit)
        + " wide on the strip of "
        + f.strip().brief(unit)
        + " that is glued to the book: ink there keeps the glue from holding. Move it off.";
  }

  @Override
  public String fontsMissing(Found.FontsMissing f) {
    return quoted(f.name())
        + " is set in "
        + (f.fonts().size() == 1 ? "a font" : f.fonts().size() + " fonts")
        + " that its file does not bring: "
        + String.join(", ", f.fonts())
        + ". The press would set others in their place: have them embedded where the page was made, and place it anew.";
  }

  @Override
  public String ofWords(OfWords f) {
    return f.accept(new WordsFindingText());
  }

  @Override
  public String ofEdition(OfEdition f) {
    return f.told();
  }

  @Override
  public String ofFile(OfFile f) {
    return f.told(unit);
  }

  @Override
  public String ofDrawing(OfDrawing f) {
    return f.accept(new DrawingFindingText(unit));
  }

  @Override
  public String pictureFine(Found.PictureFine f) {
    return quoted(f.name())
        + " has "
        + ppi(f.ppi())
        + " at printed size; beyond "
        + f.wanted()
        + " ppi nobody sees more, and the file is larger than it need be.";
  }

  @Override
  public String nearMiss(NearMiss f) {
    if (f instanceof NearMiss.OffMiddle m) {
      return quoted(m.name())
          + " stands "
          + m.off().abs().brief(unit)
          + (m.off().isNegative() ? " left" : " right")
          + " of the middle of the "
          + m.panel()
          + ".";
    }
    NearMiss.Apart a = (NearMiss.Apart) f;
    return "The "
        + (a.left() ? "left" : "right")
        + " edges of "
        + quoted(a.name())
        + " and "
        + quoted(a.and())
        + " are "
        + a.by().brief(unit)
        + " apart: nearly in line.";
  }

  @Override
  public String ofPicture(OfPicture f) {
    return f.accept(new PictureFindingText());
  }

  @Override
  public String pictureSoft(Found.PictureSoft f) {
    return quoted(f.name())
        + " has "
        + ppi(f.ppi())
        + " at printed size; "
        + f.wanted()
        + " ppi is wanted, "
        + f.least()
        + " the floor for soft pictures.";
  }

  @Override
  public String wordsAcrossFold(Found.WordsAcrossFold f) {
    return quoted(f.name())
        + " runs across the fold between "
        + low(f.between().title())
        + " and "
        + low(f.and().title())
        + ", by "
        + f.by().brief(unit)
        + ".";
  }

  @Override
  public String barcodeMissing(OfBarcode.BarcodeMissing f) {
    String expected =
        f.expected()
            ? f.house() + " expects the ISBN barcode in the art; "
            : "The cover has a place for the barcode; ";
    return f.noIsbn()
        ? expected + "there are no bars, since the docket has no sound ISBN: give it there."
        : expected + "it is not on the cover.";
  }

  @Override
  public String barcodeOutOfArea(OfBarcode.BarcodeOutOfArea f) {
    return "The barcode with its quiet zones, "
        + f.barcode().brief(unit)
        + ", does not lie in the barcode area of "
        + f.area().brief(unit)
        + ".";
  }

  @Override
  public String wordsInBarcodeArea(OfBarcode.WordsInBarcodeArea f) {
    return quoted(f.name()) + " stands in the barcode area of " + f.area().brief(unit) + ".";
  }

  @Override
  public String barcodePanelDark(OfBarcode.BarcodePanelDark f) {
    return "The barcode's panel gives "
        + Math.round(f.reflected() * 100)
        + " % of a scanner's red light back; it needs "
        + Math.round(f.least() * 100)
        + " %.";
  }

  @Override
  public String overBarcode(OfBarcode.OverBarcode f) {
    return quoted(f.name()) + " lies over the barcode: send it behind or move it.";
  }

  @Override
  public String bleedNotReached(Found.BleedNotReached f) {
    return quoted(f.name())
        + " stops "
        + f.gap().brief(unit)
        + " short of the "
        + (f.turnIn() ? "turn-in" : "bleed")
        + " edge: a drift of the knife would leave a white line.";
  }

  @Override
  public String wordsOutsideSafe(Found.WordsOutsideSafe f) {
    return quoted(f.name())
        + " stands "
        + f.out().brief(unit)
        + " outside the safe zone of the "
        + low(f.panel().title())
        + (f.cut() ? " and past its edge." : ".");
  }

  @Override
  public String wordsOffCover(Found.WordsOffCover f) {
    return quoted(f.name()) + " lies off the cover.";
  }

  @Override
  public String paleEdge(Found.PaleEdge f) {
    return Math.round(100 * f.share())
        + " % of the cover’s edge is nearly white: on a shop’s white page it has no edge.";
  }
}
