package app.reglet.core.design;

/**
 * The point of a picture that stays in sight when it is cropped.
 *
 * @param x 0 left to 1 right
 * @param y 0 top to 1 bottom
 */
public record Focus(double x, double y) {
  public static final Focus MIDDLE = new Focus(0.5, 0.5);

  public Focus {
    if (!(x >= 0 && x <= 1 && y >= 0 && y <= 1)) {
      throw new IllegalArgumentException("focus outside the picture: " + x + ", " + y);
    }
  }
}
