package app.reglet.press.art;

import app.reglet.press.reading.FileBytes;

/**
 * A page of a PDF, placed as it is.
 *
 * @param sha the SHA-256 of the file
 * @param file the file
 * @param page counted from 0
 * @param pixels across it where nothing but pictures is on it; 0 where there is more, or nobody
 *     knows
 * @param opaque whether it is known to hide all that lies below it
 */
public record PlacedPage(String sha, FileBytes file, int page, double pixels, boolean opaque) {
  /** One of which nothing is known. */
  public PlacedPage(String sha, FileBytes file, int page) {
    this(sha, file, page, 0, false);
  }
}
