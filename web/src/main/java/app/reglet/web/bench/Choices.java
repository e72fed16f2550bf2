package app.reglet.web.bench;

import app.reglet.core.Refusal;
import java.util.Locale;

/** Reads choices as forms and scripts write them: in any case, with hyphens or underscores. */
final class Choices {
  private Choices() {}

  /**
   * The choice that was meant.
   *
   * @throws Refusal when it is none of these
   */
  static <E extends Enum<E>> E of(E[] all, String wanted) {
    String name = wanted == null ? "" : wanted.replace('-', '_').toUpperCase(Locale.ROOT);
    for (E e : all) {
      if (e.name().equals(name)) {
        return e;
      }
    }
    throw new Refusal(
        "“" + wanted + "” is none of the choices here: reload the page and choose again.");
  }
}
