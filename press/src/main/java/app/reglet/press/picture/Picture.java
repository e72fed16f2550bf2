package app.reglet.press.picture;

import app.reglet.press.reading.FileBytes;

/**
 * A stored picture, known by what was found when it came in.
 *
 * @param sha SHA-256 of the file, in hex
 * @param format JPEG, PNG or TIFF
 * @param width pixels across as it is seen, after its orientation
 * @param height pixels down as it is seen
 * @param orientation the Exif orientation, 1 to 8; 1 is upright
 * @param mean mean colour, 0xRRGGBB
 * @param file the bytes as they came in
 */
public record Picture(
    String sha, Format format, int width, int height, int orientation, int mean, FileBytes file) {
  /** File formats that are taken. */
  public enum Format {
    JPEG("image/jpeg"),
    PNG("image/png"),
    TIFF("image/tiff");

    private final String type;

    Format(String type) {
      this.type = type;
    }

    /** The media type. */
    public String type() {
      return type;
    }
  }
}
