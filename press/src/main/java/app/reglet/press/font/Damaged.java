package app.reglet.press.font;

import app.reglet.core.Refusal;
import java.util.Locale;

/** What is said of fonts that can't be read. */
final class Damaged {
  private Damaged() {}

  static Refusal font(String what, Object... figures) {
    return new Refusal(
        "file",
        "The font is damaged: "
            + String.format(Locale.ROOT, what, figures)
            + " Get it anew from where it came from.");
  }
}
