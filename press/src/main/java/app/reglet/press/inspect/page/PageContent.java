package app.reglet.press.inspect.page;

import app.reglet.press.art.Rect;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

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
 * @param pixels whether nothing is drawn but pictures that are upright, uncut and of even pixels:
 *     then the page is no finer than they are
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
    String cut,
    boolean pixels) {
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
      int quality) {
    private PlacedPicture at(Rect there) {
      return new PlacedPicture(there, width, height, bits, space, ppi, filter, quality);
    }
  }

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
    private WordRun cut(int letters) {
      return new WordRun(
          first(text, letters), first(font, letters), size, ink, angle, inks, rgb, contrast);
    }

    private static String first(String text, int letters) {
      return text.length() > letters ? text.substring(0, letters) : text;
    }

    private WordRun at(Rect there) {
      return new WordRun(text, font, size, there, angle, inks, rgb, contrast);
    }

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

  /** A page on which nothing is, or was looked for. */
  public static PageContent none(int number) {
    return new PageContent(
        number, List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), false, 0, "",
        false);
  }

  /** The same with other words and lines. */
  public PageContent with(List<WordRun> otherWords, List<ThinLine> otherLines) {
    return with(pictures, otherWords, otherLines);
  }

  /** The same with some of its pictures. */
  public PageContent withPictures(Predicate<PlacedPicture> wanted) {
    return with(pictures.stream().filter(wanted).toList(), words, lines);
  }

  /**
   * The same with no more than its first pictures and words, each run cut to its first letters: as
   * much as a cover has many times over.
   */
  public PageContent atMost(int mostPictures, int mostWords, int letters) {
    return with(
        pictures.stream().limit(mostPictures).toList(),
        words.stream().limit(mostWords).map(w -> w.cut(letters)).toList(),
        lines);
  }

  /** The same with every place told from another corner, so far right and down of this one. */
  PageContent from(double x, double y) {
    UnaryOperator<Rect> there = r -> new Rect(r.x() - x, r.y() - y, r.width(), r.height());
    return with(
        pictures.stream().map(p -> p.at(there.apply(p.place()))).toList(),
        words.stream().map(w -> w.at(there.apply(w.ink()))).toList(),
        lines.stream().map(l -> new ThinLine(there.apply(l.place()), l.points())).toList());
  }

  private PageContent with(
      List<PlacedPicture> otherPictures, List<WordRun> otherWords, List<ThinLine> otherLines) {
    return new PageContent(
        number,
        otherPictures,
        otherWords,
        otherLines,
        spaces,
        spots,
        shownThrough,
        overprints,
        annotations,
        cut,
        pixels);
  }
}
