package app.reglet.core.layout;

import java.util.Locale;
import java.util.Objects;
import java.util.Optional;

/**
 * Typefaces that go together: our own choice among those that ship with Reglet.
 *
 * <p>The ids are of faces (see the list of families in the press module).
 */
public enum TypePair {
  SPECTRAL("Spectral", "spectral-bold", "spectral", "spectral-italic", "spectral"),
  CORMORANT(
      "Cormorant Garamond",
      "cormorant-garamond-bold",
      "cormorant-garamond",
      "cormorant-garamond-italic",
      "cormorant-garamond-semibold"),
  ALEGREYA("Alegreya", "alegreya-bold", "alegreya", "alegreya-italic", "alegreya"),
  PLAYFAIR(
      "Playfair Display and Josefin Sans",
      "playfair-display-bold",
      "josefin-sans",
      "josefin-sans",
      "josefin-sans-semibold"),
  DM_SERIF(
      "DM Serif Display and Work Sans",
      "dm-serif-display",
      "work-sans",
      "dm-serif-display-italic",
      "work-sans-semibold"),
  ABRIL("Abril Fatface and Lora", "abril-fatface", "lora", "lora-italic", "lora-bold"),
  FRAUNCES("Fraunces and Karla", "fraunces-black", "karla", "fraunces-italic", "karla-bold"),
  CINZEL("Cinzel and Alegreya", "cinzel-bold", "alegreya", "alegreya-italic", "cinzel"),
  BASKERVILLE(
      "Libre Baskerville",
      "libre-baskerville-bold",
      "libre-baskerville",
      "libre-baskerville-italic",
      "libre-baskerville"),
  BEBAS("Bebas Neue and Karla", "bebas-neue", "karla", "karla-italic", "karla-bold"),
  OSWALD("Oswald and Spectral", "oswald-semibold", "spectral", "spectral-italic", "oswald"),
  LEAGUE(
      "League Gothic and Crimson Pro",
      "league-gothic",
      "crimson-pro",
      "crimson-pro-italic",
      "league-gothic"),
  ARCHIVO("Archivo", "archivo-black", "archivo", "archivo-italic", "archivo-bold"),
  ZILLA("Zilla Slab", "zilla-slab-bold", "zilla-slab", "zilla-slab-italic", "zilla-slab-bold"),
  JOST("Jost and Lora", "jost-semibold", "lora", "jost-italic", "jost-semibold"),
  AMIRI("Amiri, for Arabic", "amiri-bold", "amiri", "amiri-italic", "amiri-bold"),
  FRANK_RUHL(
      "Frank Ruhl Libre, for Hebrew",
      "frank-ruhl-libre-black",
      "frank-ruhl-libre",
      "frank-ruhl-libre",
      "frank-ruhl-libre-bold");

  private final String title;
  private final String display;
  private final String text;
  private final String italic;
  private final String strong;

  TypePair(String title, String display, String text, String italic, String strong) {
    this.title = title;
    this.display = display;
    this.text = text;
    this.italic = italic;
    this.strong = strong;
  }

  /** The pair that can print a title whose script the others lack; empty where any of them can. */
  static Optional<TypePair> needed(String title) {
    return title
        .codePoints()
        .mapToObj(Character.UnicodeScript::of)
        .map(
            s ->
                switch (s) {
                  case ARABIC -> AMIRI;
                  case HEBREW -> FRANK_RUHL;
                  default -> null;
                })
        .filter(Objects::nonNull)
        .findFirst();
  }

  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** As people read it. */
  public String title() {
    return title;
  }

  /** The face of the title. */
  public String display() {
    return display;
  }

  /** The face of prose. */
  public String text() {
    return text;
  }

  /** The face of a subtitle and of what somebody says. */
  public String italic() {
    return italic;
  }

  /** The face of names. */
  public String strong() {
    return strong;
  }
}
