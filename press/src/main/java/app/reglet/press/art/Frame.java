package app.reglet.press.art;

import app.reglet.core.measure.Box;

/**
 * A rectangle in mm, origin top left of the sheet, x right, y down: a {@link Box} for renderers.
 */
public record Frame(double x, double y, double width, double height) {
  public static Frame of(Box box) {
    return new Frame(box.x().toMm(), box.y().toMm(), box.width().toMm(), box.height().toMm());
  }

  public double right() {
    return x + width;
  }

  public double bottom() {
    return y + height;
  }
}
