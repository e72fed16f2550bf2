package app.reglet.press.drawing;

import app.reglet.press.art.Frame;
import java.util.List;

/**
 * One thing in a technical drawing of a sheet: a line, a hatched area, a label. In mm, origin top
 * left of the sheet, x right, y down. Items know no output format; each renderer draws them.
 */
public sealed interface Item {
  /** The group it belongs to, {@code fold}; renderers keep groups apart by this name. */
  String layer();

  /**
   * Lines in the drawing's ink, or areas filled with it.
   *
   * @param shapes runs of points, x and y in turn
   * @param closed whether the runs are closed
   * @param weight width of the line, zero for a filled area
   * @param dashes lengths drawn and left out in turn, empty for a solid line
   * @param halo whether a light line lies under it, to be read on any art
   */
  record Path(
      String layer,
      List<double[]> shapes,
      boolean closed,
      double weight,
      List<Double> dashes,
      boolean halo)
      implements Item {
    public Path {
      shapes = List.copyOf(shapes);
      dashes = List.copyOf(dashes);
    }

    public boolean filled() {
      return weight == 0;
    }
  }

  /**
   * An area hatched with parallel lines.
   *
   * @param outer the area
   * @param inner what is left out of it, null for nothing
   * @param step from line to line
   * @param angle of the lines: 0 upright, 90 level, turning clockwise
   * @param weight of the lines
   */
  record Hatch(String layer, Frame outer, Frame inner, double step, int angle, double weight)
      implements Item {}

  /**
   * A line of text.
   *
   * @param x where it is anchored
   * @param y its baseline
   * @param size type size
   * @param turn clockwise round the anchor, degrees
   * @param figures whether it is set in the face for figures
   * @param halo whether a light outline lies under it
   * @param kind what it is, for styles: {@code panel-name}, {@code figure}, {@code guide-label}
   */
  record Label(
      String layer,
      String text,
      double x,
      double y,
      Anchor anchor,
      double size,
      int turn,
      boolean figures,
      boolean halo,
      String kind)
      implements Item {}

  /** Which part of a label stands at its anchor. */
  enum Anchor {
    START,
    MIDDLE,
    END
  }
}
