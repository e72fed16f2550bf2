package app.reglet.press.art;

import app.reglet.core.check.Laid;
import app.reglet.core.wrap.Wrap;
import java.util.List;

/**
 * A cover as a display list: what the bench shows as SVG and the press gets as PDF is this one
 * list. Guides are no part of it.
 *
 * @param wrap the sheet it lies on
 * @param marks from back to front
 * @param laid the pieces as laid, for the checks
 * @param absent names of pieces that hang on a part this wrap doesn't have
 */
public record Artwork(Wrap wrap, List<Mark> marks, List<Laid> laid, List<String> absent) {
  /** The piece id of what lies behind all pieces. */
  public static final String BACKGROUND = "background";

  public Artwork {
    marks = List.copyOf(marks);
    laid = List.copyOf(laid);
    absent = List.copyOf(absent);
  }
}
