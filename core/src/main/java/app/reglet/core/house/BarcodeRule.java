package app.reglet.core.house;

import app.reglet.core.measure.Length;
import java.util.Locale;

/**
 * Where the ISBN barcode goes on the back, and who prints it.
 *
 * @param width of the area kept for it
 * @param height of the area kept for it
 * @param fromSide clear of the spine fold or, in the outer corner, of the fore-edge
 * @param fromTail clear of the lower trim
 * @param corner which lower corner
 * @param supplier who puts it there
 */
public record BarcodeRule(
    Length width,
    Length height,
    Length fromSide,
    Length fromTail,
    Corner corner,
    Supplier supplier) {
  /** A lower corner of the back. */
  public enum Corner {
    SPINE,
    FORE_EDGE;

    public String id() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /** Who prints the barcode: the designer's art, the house over the art, or whichever is there. */
  public enum Supplier {
    DESIGNER("you supply it, in its area"),
    HOUSE("the house prints it over the art: keep words and faces out of its area"),
    EITHER("yours is kept if it is there, else the house prints one over the art");

    private final String sentence;

    Supplier(String sentence) {
      this.sentence = sentence;
    }

    /** In a word: {@code you}. */
    public String who() {
      return switch (this) {
        case DESIGNER -> "you";
        case HOUSE -> "house";
        case EITHER -> "either";
      };
    }

    /** What it means for whoever makes the cover. */
    public String sentence() {
      return sentence;
    }

    public String id() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
