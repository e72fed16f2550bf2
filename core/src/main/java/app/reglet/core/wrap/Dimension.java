package app.reglet.core.wrap;

import app.reglet.core.measure.Length;

/**
 * A dimension line of the drawing.
 *
 * @param axis along which it measures
 * @param row 0 next to the sheet, larger further out
 * @param from where it begins on the sheet
 * @param to where it ends
 * @param what the thing measured, {@code front}
 */
public record Dimension(Axis axis, int row, Length from, Length to, String what) {
  /** Along the width or along the height. */
  public enum Axis {
    ACROSS,
    DOWN
  }

  public Length length() {
    return to.minus(from);
  }
}
