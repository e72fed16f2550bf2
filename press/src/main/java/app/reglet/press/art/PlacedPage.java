package app.reglet.press.art;

import app.reglet.press.reading.FileBytes;
import java.awt.geom.Rectangle2D;

/**
 * A page of a PDF, placed as it is.
 *
 * @param sha the SHA-256 of the file
 * @param file the file
 * @param page counted from 0
 * @param pixels across it where nothing but pictures is on it; 0 where there is more, or nobody
 *     knows
 * @param photos how many pixels its pictures have that are packed with loss
 * @param opaque whether it is known to hide all that lies below it
 * @param part what of it is seen at most, in the unit square with its top left corner at 0, 0
 */
public record PlacedPage(
    String sha,
    FileBytes file,
    int page,
    double pixels,
    Photos photos,
    boolean opaque,
    Rectangle2D part) {
  /** The part of a page that is all of it. */
  public static final Rectangle2D WHOLE = new Rectangle2D.Double(0, 0, 1, 1);

  /**
   * Pixels of pictures that are packed with loss, those of all of them together.
   *
   * @param all in whatever colours
   * @param ofScreen in red, green and blue, which are separated for a press
   */
  public record Photos(long all, long ofScreen) {
    public static final Photos NONE = new Photos(0, 0);
  }

  /** One of which nothing is known. */
  public PlacedPage(String sha, FileBytes file, int page) {
    this(sha, file, page, 0, Photos.NONE, false, WHOLE);
  }

  /** A part of it, cut by what it lies in. */
  public PlacedPage seen(Rectangle2D other) {
    return new PlacedPage(sha, file, page, pixels, photos, opaque, other.createIntersection(WHOLE));
  }

  /** Whether all of it may be seen. */
  public boolean isWhole() {
    return part.contains(WHOLE);
  }
}
