package app.reglet.press.font;

import java.math.BigDecimal;

/**
 * An axis of a variable font (ISO/IEC 14496-22, 7.3.3).
 *
 * @param tag {@code wght}, {@code wdth}, {@code opsz} … or the font's own
 * @param name as people read it
 * @param least in the axis's own figures, as are the others
 */
public record Axis(String tag, String name, double least, double usual, double most) {
  /** A figure of an axis as people write it, to a hundredth. */
  public static String plain(double figure) {
    return BigDecimal.valueOf(Math.round(figure * 100) / 100.0)
        .stripTrailingZeros()
        .toPlainString();
  }

  /** Where it is as usual, as people write it. */
  public String usualFigure() {
    return plain(usual);
  }

  /** Its ends: {@code 100 to 900}. */
  public String ends() {
    return plain(least) + " to " + plain(most);
  }
}
