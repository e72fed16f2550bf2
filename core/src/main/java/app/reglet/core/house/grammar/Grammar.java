package app.reglet.core.house.grammar;

import static app.reglet.core.house.grammar.Common.*;
import static app.reglet.core.house.grammar.Field.may;
import static app.reglet.core.house.grammar.Field.need;

import app.reglet.core.house.grammar.Kind.Choice;
import app.reglet.core.house.grammar.Kind.Count;
import app.reglet.core.house.grammar.Kind.Flag;
import app.reglet.core.house.grammar.Kind.Many;
import app.reglet.core.house.grammar.Kind.One;
import app.reglet.core.house.grammar.Kind.Option;
import app.reglet.core.house.grammar.Kind.Prices;
import app.reglet.core.house.grammar.Kind.Several;
import java.util.List;
import java.util.Optional;

/**
 * Every field of a rule sheet, once: format {@code reglet-rule-sheet/1}. The reader, the form and
 * the JSON Schema are made from it. What no single field says (papers that are named must be
 * listed, rows must ascend, examples must come out) the reader says by itself.
 */
public final class Grammar {
  /** The value of the field {@code format}. */
  public static final String FORMAT = "reglet-rule-sheet/1";

  /** Most items of a list: a table with a row for every even count of a thick book has 1000. */
  public static final int MOST_ITEMS = 2000;

  /** Above this no book is bound in one piece. */
  public static final int MOST_PAGES = 20_000;

  private static final PartType PRESS =
      PartType.of(
          "press",
          may("standard", choice("plain", "a plain PDF", "x1a", "PDF/X-1a:2003", "x4", "PDF/X-4"))
              .label("Press file")
              .otherwise("plain"),
          may("colours", choice("rgb", "sRGB, converted there", "cmyk", "inks (CMYK)"))
              .label("Colours")
              .otherwise("rgb"),
          may("condition", ID)
              .label("Printing condition")
              .hint("coated")
              .help(
                  "coated, uncoated, web-coated, or the short name of a profile that was added here.")
              .otherwise("coated"),
          may("intent", choice("relative", "keeping colours", "perceptual", "keeping relations"))
              .label("Colours out of reach are fitted")
              .help("The rendering intent of the ICC profile: relative colorimetric or perceptual.")
              .otherwise("relative"),
          may("blackPoint", choice("on", "kept apart", "off", "clipped"))
              .label("Darks below the press's black are")
              .help("Black-point compensation: whether black becomes the darkest that is printed.")
              .otherwise("on"),
          may("mostInk", new Count(100, 400))
              .label("Total ink at most, %")
              .hint("300")
              .otherwise("300"),
          may("richBlack", WORDS)
              .label("Rich black of grounds")
              .hint("60/40/40/100")
              .otherwise("cmyk(60, 40, 40, 100)"),
          may("outlines", new Flag()).label("Letters as outlines").otherwise("false"),
          may("mostPpi", new Count(0, 2400))
              .label("Pictures no finer than, ppi")
              .hint("450")
              .help("Finer pictures are made coarser; 0 leaves them.")
              .otherwise("0"),
          may("asPicture", new Count(0, 1200))
              .label("Whole sheet as one picture, ppi")
              .hint("300")
              .help("For an intake that stumbles over vectors; 0 for none.")
              .otherwise("0"),
          may("names", WORDS)
              .label("Files named")
              .hint("{isbn}_{kind}_{date}")
              .help("Words in braces: {" + String.join("}, {", FileNamePattern.WORDS) + "}.")
              .otherwise(FileNamePattern.USUAL.text()));

  private static final PartType FILES =
      PartType.of(
          "files",
          need("tolerance", LENGTH)
              .label("Sheet tolerance, either way")
              .hint("0.02 in", "0.5 mm")
              .help("How far a page may differ from the exact sheet, either way."),
          may("sheetRounding", new One(ROUNDING, false)).label("Sheet stated to"),
          may("pageSize", choice("exact", "the exact size", "stated", "the stated, rounded size"))
              .label("The file's page has")
              .help(
                  "Whether the page is made in the exact size or in the stated, rounded one; the"
                      + " difference lies in the bleed.")
              .otherwise("exact"),
          may("wantedPpi", new Count(50, 2400))
              .label("Pictures wanted, ppi")
              .hint("300")
              .otherwise("300"),
          may("leastPpi", new Count(50, 2400)).label("at least, ppi").hint("200").otherwise("200"),
          may("mostMegabytes", new Count(0, 100_000))
              .label("Largest file, MB")
              .hint("40")
              .help("Largest upload; 0 when not stated.")
              .otherwise("0"),
          may(
                  "formats",
                  new Several(
                      List.of(
                          new Option("pdf", "PDF"),
                          new Option("jpeg", "JPEG"),
                          new Option("tiff", "TIFF"),
                          new Option("png", "PNG"))))
              .label("Takes (none ticked: PDF)"),
          may("stops", WORDS)
              .label("Findings that stop a file here")
              .hint("picture-soft, words-faint")
              .help(
                  "Codes of findings that must be mended at this house, though elsewhere they only"
                      + " advise."),
          may("advises", WORDS)
              .label("Findings that only advise here")
              .hint("barcode-missing")
              .help("Codes of findings that may be as they are at this house."),
          may("press", new One(PRESS, false))
              .under("Press file")
              .help("How the press file is made."));

  private static final PartType EXAMPLE =
      PartType.of(
              "example",
              need("binding", bindingNames()).label("Binding"),
              need("trim", SIZE).label("Trim").hint("6 x 9 in", "A5"),
              need("pages", PAGES).of(PAPER).label("Pages").hint("240", "320"),
              may("stock", new Kind.Name("stocks")).asked(PAPER).label("Paper"),
              may("ink", new Kind.Name("inks")).asked(PAPER).label("Ink"),
              may("turn", choice("ltr", "left to right", "rtl", "right to left"))
                  .asked(PAPER)
                  .label("Pages turn")
                  .otherwise("ltr"),
              may("frontFlap", LENGTH).asked(FLAPPED).label("Front flap").otherwise("0"),
              may("backFlap", LENGTH).asked(FLAPPED).label("Back flap").otherwise("0"),
              may("toldSpine", LENGTH).asked(PAPER).label("Spine as told"),
              may("spine", WORDS)
                  .asked(PAPER)
                  .label("Spine printed there")
                  .hint("0.6141 in", "23.5 mm"),
              may("sheet", WORDS)
                  .label("Sheet printed there")
                  .hint("13.05 x 9.25 in", "325.5 x 216 mm"),
              may("source", WORDS).label("Where it stands").hint("Cover guide, page 4"))
          .by("binding")
          .anyOf("spine", "sheet");

  /** The whole document. */
  public static final PartType SHEET =
      PartType.of(
          "sheet",
          need("format", new Choice(List.of(new Option(FORMAT, FORMAT)))),
          need("name", WORDS).label("Name").hint("as people say it"),
          need("id", ID).label("Short name").hint("small letters, digits, hyphens"),
          need("unit", choice("in", "inches", "mm", "millimetres", "px", "pixels (an ebook shop)"))
              .label("States figures in")
              .help("The unit the house states figures in; px for an ebook shop (1 px = 1/96 in)."),
          may("about", WORDS).label("About").hint("a line for people"),
          may(
                  "stocks",
                  new Many(
                      PartType.of(
                          "stock",
                          need("id", ID).label("Short name").hint("cream"),
                          need("name", WORDS).label("Name").hint("Cream, 60 lb"),
                          may(
                                  "shade",
                                  choice(
                                      "white", "white",
                                      "cream", "cream",
                                      "coated", "coated",
                                      "other", "other"))
                              .label("Kind")
                              .otherwise("other")),
                      0,
                      MOST_ITEMS))
              .help("Inside papers. Shade tells which papers of different houses are alike."),
          may(
                  "inks",
                  new Many(
                      PartType.of(
                          "ink",
                          need("id", ID).label("Short name").hint("black"),
                          need("name", WORDS).label("Name").hint("Black")),
                      0,
                      MOST_ITEMS))
              .help("Inside inks."),
          need("bindings", new Many(BindingFields.BINDING, 1, MOST_ITEMS)),
          need("files", new One(FILES, false)),
          need("examples", new Many(EXAMPLE, 1, MOST_ITEMS))
              .help(
                  "Worked cases from the house's own guide. Every printed figure must come out."));

  private Grammar() {}

  /**
   * The field at a place, its path written without the numbers of list items: {@code
   * bindings.spine.perPage}. Prices by name are the field that holds them.
   */
  public static Optional<Field> at(String path) {
    PartType type = SHEET;
    String[] names = path.split("\\.");
    for (int i = 0; i < names.length; i++) {
      Optional<Field> found = type.field(names[i]);
      if (found.isEmpty()) {
        return found;
      }
      Kind kind = found.get().kind();
      if (i == names.length - 1 || kind instanceof Prices) {
        return found;
      }
      if (kind instanceof One one) {
        type = one.type();
      } else if (kind instanceof Many many) {
        type = many.type();
      } else {
        return Optional.empty();
      }
    }
    return Optional.empty();
  }

  /** The kind of object that lies at a place, as {@link #at} writes places. */
  public static PartType type(String path) {
    Kind kind = at(path).map(Field::kind).orElse(null);
    if (kind instanceof One one) {
      return one.type();
    }
    if (kind instanceof Many many) {
      return many.type();
    }
    throw new IllegalArgumentException("no object of a rule sheet: " + path);
  }
}
