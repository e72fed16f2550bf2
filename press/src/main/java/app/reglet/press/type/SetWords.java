package app.reglet.press.type;

import app.reglet.core.check.Laid;
import java.util.List;
import java.util.Set;

/**
 * Words set into lines, in a frame of their own: origin top left, x along the lines, y down, mm.
 *
 * @param size type size in mm; of lines in several sizes, the smallest
 * @param lines the lines with the start of their baselines
 * @param overflowing whether they need more room than the frame
 * @param missing characters that the faces have no glyphs for
 * @param lacks what the family lacks for these words
 */
public record SetWords(
    double size,
    List<PlacedLine> lines,
    boolean overflowing,
    String missing,
    Set<Laid.Lack> lacks) {
  /**
   * A line in its size, mm, and where its baseline starts.
   *
   * @param at index in the words of each of its characters, and last of what follows them
   */
  public record PlacedLine(SetLine line, double size, double x, double baseline, int[] at) {}
}
