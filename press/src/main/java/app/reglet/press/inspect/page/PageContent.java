package app.reglet.press.inspect.page;

import app.reglet.press.art.Rect;
import java.util.List;

/**
 * What is drawn on a page of a PDF, whoever made it, as its operators tell. Places are in mm from
 * the top left of the media box as seen, x right, y down.
 *
 * @param number of the page, from 1
 * @param pictures each time one is laid
 * @param words runs of letters of one font, size and direction that follow each other
 * @param lines the thinnest strokes and slivers, no more than {@link #MOST_LINES}
 * @param spaces families of colour spaces that something is painted in, by name
 * @param spots names of inks beside the four
 * @param shownThrough what lets something show through, in words
 * @param overprints whether something is painted to overprint
 * @param annotations lying on it
 * @param cut why not all of it was read, empty when it was
 */
public record PageContent(
    int number,
    List<PlacedPicture> pictures,
    List<WordRun> words,
    List<ThinLine> lines,
    List<String> spaces,
    List<String> spots,
    List<String> shownThrough,
    boolean overprints,
    int annotations,
    String cut) {
  /** So many of the thinnest lines are kept. */
  public static final int MOST_LINES = 200;

  /**
   * A picture as laid.
   *
   * @param place its bounds, clipped
   * @param width pixels
   * @param height pixels
   * @param bits of a sample
   * @param space family of its colour space; empty for a stencil
   * @param ppi pixels per inch in the direction in which it has fewer
   * @param filter how it is packed, {@code DCTDecode}; empty for not
   * @param quality at which it was packed with loss, 1 to 100; 0 where it was not, or nobody knows
   */
  public record PlacedPicture(
      Rect place,
      int width,
      int height,
      int bits,
      String space,
      double ppi,
      String filter,
      int quality) {}

  /**
   * Letters that follow each other.
   *
   * @param text as far as the font tells
   * @param font its name
   * @param size of the letters, points
   * @param ink bounds of their outlines
   * @param angle of the line they stand on, degrees clockwise: 90 reads from top to bottom
   * @param inks percent of cyan, magenta, yellow, black; empty where it is a screen's colour or a
   *     pattern
   * @param rgb the colour as a screen shows it, 0xRRGGBB
   * @param contrast ratio by which they stand out from what is round them, 1 to 21; 0 where that
   *     was not measured
   */
  public record WordRun(
      String text,
      String font,
      double size,
      Rect ink,
      int angle,
      List<Integer> inks,
      int rgb,
      double contrast) {
    /** The same, measured. */
    WordRun standingOutBy(double ratio) {
      return new WordRun(text, font, size, ink, angle, inks, rgb, ratio);
    }
  }

  /**
   * A line.
   *
   * @param place its bounds
   * @param points how thick it is; 0 is as thin as the device can
   */
  public record ThinLine(Rect place, double points) {}

  /** The same with other words and lines. */
  public PageContent with(List<WordRun> otherWords, List<ThinLine> otherLines) {
    return new PageContent(
        number,
        pictures,
        otherWords,
        otherLines,
        spaces,
        spots,
        shownThrough,
        overprints,
        annotations,
        cut);
  }
}
