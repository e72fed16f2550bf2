package app.reglet.core;

import java.util.Locale;

/** Reads choices as forms and scripts write them: in any case, with hyphens or underscores. */
public final class Choices {
  private Choices() {}

  /**
   * The choice that was meant.
   *
   * @throws Refusal when it is none of these
   */
  public static <E extends Enum<E>> E of(Class<E> kind, String wanted) {
    String name =
        wanted == null ? "" : wanted.replace('-', '_').replace(' ', '_').toUpperCase(Locale.ROOT);
    for (E e : kind.getEnumConstants()) {
      if (e.name().equals(name)) {
        return e;
      }
    }
    throw new Refusal(
        "“" + wanted + "” is none of the choices here: reload the page and choose again.");
  }
}
