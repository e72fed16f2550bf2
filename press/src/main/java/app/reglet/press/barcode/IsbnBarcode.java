package app.reglet.press.barcode;

import app.reglet.core.book.Isbn;
import java.util.ArrayList;
import java.util.List;
import uk.org.okapibarcode.backend.Ean;
import uk.org.okapibarcode.graphics.Rectangle;

/**
 * An ISBN as an EAN-13 symbol in mm, origin top left of its box with quiet zones.
 *
 * <p>Dimensions: GS1 General Specifications, figures from memory: X-dimension 0.330 mm at 100 %,
 * 113 X wide with quiet zones of 11 X left and 7 X right, bars 22.85 mm high, 25.93 mm with the
 * digits, magnification 80–200 %. Guard bars reach 5 X lower than the others. The pattern of bars
 * comes from the okapibarcode library.
 *
 * @param isbn the number
 * @param magnification 1 is 100 %
 * @param bars the dark bars
 */
public record IsbnBarcode(Isbn isbn, double magnification, List<Bar> bars) {
  private static final double X = 0.330;
  private static final int LEFT_QUIET = 11;
  private static final int MODULES = 113;
  private static final double BAR_HEIGHT = 22.85;
  private static final double HEIGHT = 25.93;
  private static final int GUARD_EXTRA = 5;
  private static final double LEAST = 0.8;
  private static final double MOST = 1.0;

  /** A dark bar, standing on the symbol's top edge. */
  public record Bar(double x, double width, double height) {}

  /** A group of digits, spread over a width. */
  public record Digits(String text, double x, double width) {}

  /**
   * The symbol as large as a place allows: 80 % at least, 100 % at most.
   *
   * @param width room for the symbol with its quiet zones, mm
   * @param height room for bars and digits, mm
   */
  public static IsbnBarcode within(Isbn isbn, double width, double height) {
    double fitting = Math.min(width / (MODULES * X), height / HEIGHT);
    double magnification = Math.max(LEAST, Math.min(MOST, fitting));
    Ean ean = new Ean(Ean.Mode.EAN13);
    ean.setModuleWidth(1);
    ean.setBarHeight(60);
    ean.setGuardPatternExtraHeight(GUARD_EXTRA);
    ean.setContent(isbn.digits().substring(0, 12)); // it adds the check digit itself
    double first = ean.getRectangles().stream().mapToDouble(r -> r.x).min().orElseThrow();
    double module = X * magnification;
    List<Bar> bars = new ArrayList<>();
    for (Rectangle r : ean.getRectangles()) {
      double guard = r.height > 60 ? GUARD_EXTRA * module : 0;
      bars.add(
          new Bar(
              (LEFT_QUIET + r.x - first) * module,
              r.width * module,
              BAR_HEIGHT * magnification + guard));
    }
    return new IsbnBarcode(isbn, magnification, List.copyOf(bars));
  }

  public double width() {
    return MODULES * X * magnification;
  }

  public double height() {
    return HEIGHT * magnification;
  }

  /** Where the digits' baseline stands. */
  public double baseline() {
    return height();
  }

  /** Height of the digits: what is left under the bars, less half a module. */
  public double digitHeight() {
    return (HEIGHT - BAR_HEIGHT) * magnification - 0.5 * X * magnification;
  }

  /** The three groups of digits under the bars. */
  public List<Digits> digits() {
    double m = X * magnification;
    return List.of(
        new Digits(isbn.digits().substring(0, 1), 1 * m, 8 * m),
        new Digits(isbn.digits().substring(1, 7), (LEFT_QUIET + 4) * m, 40 * m),
        new Digits(isbn.digits().substring(7), (LEFT_QUIET + 51) * m, 40 * m));
  }
}
