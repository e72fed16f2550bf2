package app.reglet.core.design;

import app.reglet.core.Refusal;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;

/**
 * A colour of the design, in sRGB (IEC 61966-2-1), 8 bits a channel.
 *
 * @param rgb 0xRRGGBB
 */
public record Colour(int rgb) {
  public static final Colour WHITE = new Colour(0xffffff);
  public static final Colour BLACK = new Colour(0x000000);

  /**
   * Reads {@code #rrggbb} or {@code #rgb}.
   *
   * @throws Refusal when it is neither
   */
  @JsonCreator
  public static Colour parse(String text) {
    String hex = text == null ? "" : text.strip().toLowerCase(Locale.ROOT);
    if (hex.matches("#?[0-9a-f]{3}")) {
      hex = hex.replace("#", "").replaceAll("(.)", "$1$1");
    }
    if (!hex.matches("#?[0-9a-f]{6}")) {
      throw new Refusal(
          "“" + text + "” is no colour: write # and six digits from 0 to f, such as #2b3f4a.");
    }
    return new Colour(Integer.parseInt(hex.replace("#", ""), 16));
  }

  @JsonValue
  public String hex() {
    return String.format(Locale.ROOT, "#%06x", rgb);
  }

  public double red() {
    return (rgb >> 16 & 0xff) / 255.0;
  }

  public double green() {
    return (rgb >> 8 & 0xff) / 255.0;
  }

  public double blue() {
    return (rgb & 0xff) / 255.0;
  }
}
