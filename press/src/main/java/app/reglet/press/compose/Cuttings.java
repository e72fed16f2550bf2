package app.reglet.press.compose;

import app.reglet.core.design.Content;
import app.reglet.press.art.Rect;
import app.reglet.press.picture.Picture;
import java.awt.geom.AffineTransform;
import java.util.ArrayList;
import java.util.List;

/** Where the whole of a finished sheet lies so that a cutting of it fills a box. */
final class Cuttings {
  private static final double MM_PER_INCH = 25.4;

  /** What is mirrored lies so far under the whole's edge, mm, so that no gap is seen there. */
  private static final double LAPPED = 0.05;

  private Cuttings() {}

  /**
   * From the whole's unit square to the sheet, mm: once as it is, and once more for each edge and
   * corner that the cutting goes beyond, mirrored there.
   */
  static List<AffineTransform> places(Content.Cutting c, Rect box) {
    double width = box.width() / (c.right() - c.left());
    double height = box.height() / (c.bottom() - c.top());
    List<AffineTransform> places = new ArrayList<>();
    for (int column : tiles(c.left(), c.right())) {
      for (int row : tiles(c.top(), c.bottom())) {
        AffineTransform place =
            new AffineTransform(
                width,
                0,
                0,
                height,
                box.x() - c.left() * width - column * LAPPED,
                box.y() - c.top() * height - row * LAPPED);
        place.concatenate(
            new AffineTransform(mirrored(column), 0, 0, mirrored(row), tile(column), tile(row)));
        places.add(place);
      }
    }
    return places;
  }

  /** From the whole's unit square to the sheet, as it is. */
  static AffineTransform whole(Content.Cutting c, Rect box) {
    double width = box.width() / (c.right() - c.left());
    double height = box.height() / (c.bottom() - c.top());
    return new AffineTransform(
        width, 0, 0, height, box.x() - c.left() * width, box.y() - c.top() * height);
  }

  /** The unit squares, counted from the whole itself, that a stretch goes through; that last. */
  private static List<Integer> tiles(double from, double to) {
    List<Integer> tiles = new ArrayList<>();
    for (int i : new int[] {-1, 1, 0}) {
      if (from < i + 1 && to > i) {
        tiles.add(i);
      }
    }
    return tiles;
  }

  private static double mirrored(int tile) {
    return tile == 0 ? 1 : -1;
  }

  /** Where the unit square begins in its tile: a mirrored one at the far end. */
  private static double tile(int tile) {
    return tile == 0 ? 0 : tile + 1.0;
  }

  /** Pixels per inch at which a picture's cutting is printed, the coarser way. */
  static double ppi(Content.Cutting c, Rect box, Picture picture) {
    return MM_PER_INCH
        * Math.min(
            picture.width() * (c.right() - c.left()) / box.width(),
            picture.height() * (c.bottom() - c.top()) / box.height());
  }
}
