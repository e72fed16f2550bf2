package app.reglet.press.type;

import java.util.List;

/**
 * Words set into lines, in a frame of their own: origin top left, x along the lines, y down, mm.
 *
 * @param size type size in mm
 * @param lines the lines with the start of their baselines
 * @param overflowing whether they need more room than the frame
 */
public record SetWords(double size, List<PlacedLine> lines, boolean overflowing) {
  /** A line and where its baseline starts. */
  public record PlacedLine(ShapedLine line, double x, double baseline) {}
}
