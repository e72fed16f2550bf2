package app.reglet.press.type;

import java.util.Arrays;

/** The classes that families of type are listed by. */
public enum Classification {
  SERIF("serif"),
  DISPLAY_SERIF("display serif"),
  SLAB("slab"),
  GROTESQUE("grotesque"),
  CONDENSED("condensed"),
  SCRIPT("script"),
  HANDWRITING("handwriting"),
  BLACKLETTER("blackletter"),
  TYPEWRITER("typewriter"),
  STENCIL("stencil"),
  /** Letters of dots, to be traced by hand. */
  DOTTED("dotted"),
  ORNAMENTAL("ornamental"),
  /** Families that people bring. */
  BROUGHT("brought");

  private final String title;

  Classification(String title) {
    this.title = title;
  }

  /** As people read it and as the list of families has it. */
  public String title() {
    return title;
  }

  /** Whether letters of this class have fine strokes; what is not known of has not. */
  public boolean isFine() {
    return switch (this) {
      case SERIF, DISPLAY_SERIF, SCRIPT, HANDWRITING, BLACKLETTER, ORNAMENTAL -> true;
      default -> false;
    };
  }

  static Classification of(String title) {
    return Arrays.stream(values())
        .filter(c -> c.title.equals(title))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("no classification " + title));
  }
}
