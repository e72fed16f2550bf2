package app.reglet.press.type;

/**
 * How far marks hang out at the ends of lines, as a share of their widths. Common practice, no
 * single source: stops, commas and quotation marks by the most of their width, hyphens and dashes
 * by less, so that the edge of the letters is straight to the eye.
 */
final class Hanging {
  private Hanging() {}

  /** The share of a mark's width that hangs out. */
  static double share(char c) {
    return switch (c) {
      case '.', ',', '\'', '"', '‘', '’', '“', '”', '‚', '„' -> 0.7;
      case '-', '\u00ad', '\u2010', '\u2011' -> 0.6;
      case '‹', '›', '«', '»' -> 0.5;
      case ':', ';', '*', '·', '،', '۔' -> 0.4;
      case '–' -> 0.3;
      case '—' -> 0.2;
      case '!', '?', '(', ')', '[', ']' -> 0.15;
      default -> 0;
    };
  }
}
