package app.reglet.press.art;

import app.reglet.core.check.Laid;
import app.reglet.core.measure.Box;
import app.reglet.core.wrap.Wrap;
import java.util.List;

/**
 * A cover as a display list: what the bench shows as SVG and the press gets as PDF is this one
 * tree. Guides are no part of it.
 *
 * @param wrap the sheet it lies on
 * @param marks from back to front: the ground, then a group for each piece
 * @param laid the pieces as laid, for the checks
 * @param placed where the pieces lie, those in groups too, from back to front
 * @param absent names of pieces that hang on a part this wrap doesn't have
 */
public record Artwork(
    Wrap wrap, List<Mark.Group> marks, List<Laid> laid, List<Placed> placed, List<String> absent) {
  /** The name of what lies behind all pieces. */
  public static final String GROUND = "ground";

  public Artwork {
    marks = List.copyOf(marks);
    laid = List.copyOf(laid);
    placed = List.copyOf(placed);
    absent = List.copyOf(absent);
  }

  /**
   * Where a piece lies.
   *
   * @param piece its id
   * @param name what people call it
   * @param group the id of the group it is in, empty for none
   * @param box its box, before it and the groups it is in are turned
   * @param corners of that box on the sheet, as it is turned: x and y of top left, top right,
   *     bottom right, bottom left, mm
   * @param angle clockwise, degrees, of the piece itself
   * @param locked whether it is left alone
   */
  public record Placed(
      String piece,
      String name,
      String group,
      Box box,
      double[] corners,
      double angle,
      boolean locked) {}
}
