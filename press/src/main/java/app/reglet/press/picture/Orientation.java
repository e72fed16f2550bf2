package app.reglet.press.picture;

import java.awt.geom.AffineTransform;

/**
 * The eight orientations of Exif (CIPA DC-008, tag 0x0112; TIFF 6.0, tag Orientation): how stored
 * rows and columns lie when the picture is seen upright.
 */
public final class Orientation {
  private Orientation() {}

  /** Whether width and height change places. */
  public static boolean swapsSides(int orientation) {
    return orientation >= 5 && orientation <= 8;
  }

  /**
   * From the stored picture's unit square (x right along a row, y down, top left at 0,0) to the
   * upright one's.
   */
  public static AffineTransform upright(int orientation) {
    return switch (orientation) {
      case 2 -> new AffineTransform(-1, 0, 0, 1, 1, 0);
      case 3 -> new AffineTransform(-1, 0, 0, -1, 1, 1);
      case 4 -> new AffineTransform(1, 0, 0, -1, 0, 1);
      case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
      case 6 -> new AffineTransform(0, 1, -1, 0, 1, 0);
      case 7 -> new AffineTransform(0, -1, -1, 0, 1, 1);
      case 8 -> new AffineTransform(0, -1, 1, 0, 0, 1);
      default -> new AffineTransform();
    };
  }
}
