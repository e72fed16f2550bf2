package app.reglet.press.art;

import java.util.List;

/**
 * A line, drawn on both sides of its path, with square ends.
 *
 * @param fill what it is drawn with
 * @param width mm
 * @param dashes lengths drawn and left out in turn, mm; empty for none
 */
public record Pen(Fill fill, double width, List<Double> dashes) {
  public Pen {
    dashes = List.copyOf(dashes);
  }

  public static Pen plain(Fill fill, double width) {
    return new Pen(fill, width, List.of());
  }
}
