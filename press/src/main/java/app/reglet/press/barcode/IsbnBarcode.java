package app.reglet.press.barcode;

import app.reglet.core.book.Isbn;
import app.reglet.core.design.Content;
import java.util.ArrayList;
import java.util.List;
import uk.org.okapibarcode.backend.Ean;
import uk.org.okapibarcode.backend.EanUpcAddOn;
import uk.org.okapibarcode.backend.Symbol;
import uk.org.okapibarcode.graphics.Rectangle;

/**
 * An ISBN as an EAN-13 symbol in mm, origin top left of its box with quiet zones, the line with the
 * ISBN above it.
 *
 * <p>Dimensions: GS1 General Specifications, figures from memory: X-dimension 0.330 mm at 100 %,
 * 113 X wide with quiet zones of 11 X left and 7 X right, bars 22.85 mm high, 25.93 mm with the
 * digits, magnification 80–200 %. Guard bars reach 5 X lower than the others. A five-digit add-on
 * stands 7 to 12 X (here 9) right of the last bar, is 47 X wide and 21.9 mm high without its
 * digits, which stand above it; its bars end where the guard bars end, and 5 X right of them stay
 * clear. The patterns of bars come from the okapibarcode library. The ISBN in figures above the
 * bars is common practice, no single source.
 *
 * @param isbn the number
 * @param addOn the five digits of the add-on, empty for none
 * @param lined whether the ISBN stands above the bars
 * @param magnification 1 is 100 %
 * @param bars the dark bars
 */
public record IsbnBarcode(
    Isbn isbn, String addOn, boolean lined, double magnification, List<Bar> bars) {
  /** Width of its thinnest bar at the nominal size, mm. */
  public static final double X = 0.330;

  /** Modules of clear panel before its bars. */
  public static final int LEFT_QUIET = 11;

  /** Modules from its first bar to its last. */
  public static final int SYMBOL = 95;

  /** Modules of clear panel after its bars. */
  public static final int RIGHT_QUIET = 7;

  private static final int GAP = 9;
  private static final int ADD_ON = 47;
  private static final int ADD_ON_QUIET = 5;
  private static final double BAR_HEIGHT = 22.85;
  private static final double ADD_ON_HEIGHT = 21.9;
  private static final double HEIGHT = 25.93;
  private static final int GUARD_EXTRA = 5;

  /** What the ISBN's line takes above the bars: figures 2 mm high, and air. */
  private static final double LINE = 3.2;

  private static final double LINE_FIGURES = 2;

  /** A dark bar. */
  public record Bar(double x, double y, double width, double height) {}

  /**
   * Digits spread over a width.
   *
   * @param baseline on which they stand
   * @param height of the figures
   */
  public record Digits(String text, double x, double width, double baseline, double height) {}

  /**
   * The symbol that a piece asks for: as chosen, or as large as a place allows, 80 % at least.
   *
   * @param width room for the symbol with its quiet zones, mm
   * @param height room for bars, digits and line, mm
   */
  public static IsbnBarcode within(Isbn isbn, Content.Barcode asked, double width, double height) {
    boolean more = !asked.addOn().isEmpty();
    double fitting =
        Math.min(width / (modules(more) * X), height / (HEIGHT + (asked.isbnLine() ? LINE : 0)));
    double magnification =
        asked.fit()
            ? Math.max(Content.Barcode.LEAST, Math.min(asked.magnification(), fitting))
            : asked.magnification();
    return of(isbn, asked.addOn(), asked.isbnLine(), magnification);
  }

  private static int modules(boolean withAddOn) {
    return LEFT_QUIET + SYMBOL + (withAddOn ? GAP + ADD_ON + ADD_ON_QUIET : RIGHT_QUIET);
  }

  /** The symbol at a magnification. */
  public static IsbnBarcode of(Isbn isbn, String addOn, boolean lined, double magnification) {
    double module = X * magnification;
    double top = lined ? LINE * magnification : 0;
    List<Bar> bars = new ArrayList<>();
    Ean ean = new Ean(Ean.Mode.EAN13);
    ean.setGuardPatternExtraHeight(GUARD_EXTRA);
    for (Rectangle r : drawn(ean, isbn.digits().substring(0, 12))) { // it adds the check digit
      double guard = r.height > PLAIN_BAR ? GUARD_EXTRA * module : 0;
      bars.add(
          new Bar(
              (LEFT_QUIET + r.x) * module,
              top,
              r.width * module,
              BAR_HEIGHT * magnification + guard));
    }
    if (!addOn.isEmpty()) {
      double foot = top + BAR_HEIGHT * magnification + GUARD_EXTRA * module;
      double height = ADD_ON_HEIGHT * magnification;
      for (Rectangle r : drawn(new EanUpcAddOn(), addOn)) {
        double x = (LEFT_QUIET + SYMBOL + GAP + r.x) * module;
        bars.add(new Bar(x, foot - height, r.width * module, height));
      }
    }
    return new IsbnBarcode(isbn, addOn, lined, magnification, List.copyOf(bars));
  }

  private static final int PLAIN_BAR = 60;

  /** The bars in modules, the first at 0. */
  private static List<Rectangle> drawn(Symbol symbol, String content) {
    symbol.setModuleWidth(1);
    symbol.setBarHeight(PLAIN_BAR);
    symbol.setContent(content);
    List<Rectangle> all = symbol.getRectangles();
    double first = all.stream().mapToDouble(r -> r.x).min().orElseThrow();
    return all.stream().map(r -> new Rectangle(r.x - first, r.y, r.width, r.height)).toList();
  }

  public double width() {
    return modules(!addOn.isEmpty()) * X * magnification;
  }

  public double height() {
    return (HEIGHT + (lined ? LINE : 0)) * magnification;
  }

  /** The digits under the bars, and those over the add-on's. */
  public List<Digits> digits() {
    double m = X * magnification;
    double figures = (HEIGHT - BAR_HEIGHT) * magnification - 0.5 * m;
    String d = isbn.digits();
    List<Digits> all =
        new ArrayList<>(
            List.of(
                new Digits(d.substring(0, 1), 1 * m, 8 * m, height(), figures),
                new Digits(d.substring(1, 7), (LEFT_QUIET + 4) * m, 40 * m, height(), figures),
                new Digits(d.substring(7), (LEFT_QUIET + 51) * m, 40 * m, height(), figures)));
    if (!addOn.isEmpty()) {
      double foot = bars.get(bars.size() - 1).y() - 0.5 * m;
      double top = lined ? LINE * magnification : 0;
      all.add(
          new Digits(
              addOn,
              (LEFT_QUIET + SYMBOL + GAP) * m,
              ADD_ON * m,
              foot,
              Math.min(figures, foot - top)));
    }
    return all;
  }

  /** The line above the bars, as wide as the bars at most; empty text for none. */
  public Digits line() {
    return new Digits(
        lined ? "ISBN " + isbn.print() : "",
        LEFT_QUIET * X * magnification,
        SYMBOL * X * magnification,
        LINE_FIGURES * magnification,
        LINE_FIGURES * magnification);
  }
}
