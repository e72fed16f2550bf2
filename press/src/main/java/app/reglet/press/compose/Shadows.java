package app.reglet.press.compose;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import app.reglet.press.raster.ArtworkRaster;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;

/** The shadow of marks: their form in one colour, moved, its edge faded. */
final class Shadows {
  private Shadows() {}

  /**
   * The shadow, in the marks' own coordinates.
   *
   * @param turn from these to the sheet: a shadow falls the same way whichever way its piece is
   *     turned
   */
  static Mark of(
      List<Mark> marks, Appearance.Shadow shadow, Colour.Solid colour, AffineTransform turn) {
    double soft = shadow.blur().toMm();
    Rectangle2D bounds = ArtworkRaster.bounds(marks);
    Rect area =
        new Rect(
            bounds.getX() - soft,
            bounds.getY() - soft,
            Math.max(0.1, bounds.getWidth() + 2 * soft),
            Math.max(0.1, bounds.getHeight() + 2 * soft));
    double perMm = Softening.perMm(area.width(), area.height(), Math.max(soft, 0.16));
    BufferedImage image = ArtworkRaster.clear(marks, area, perMm);
    int rgb = colour.onScreen();
    var raster = image.getRaster();
    Softening.blur(raster, 3, soft * perMm);
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        int alpha = raster.getSample(x, y, 3);
        image.setRGB(x, y, alpha << 24 | rgb);
      }
    }
    double[] by = {shadow.right().toMm(), shadow.down().toMm()};
    try {
      turn.createInverse().deltaTransform(by, 0, by, 0, 1);
    } catch (NoninvertibleTransformException e) {
      throw new IllegalStateException(e); // turns and mirrors can always be undone
    }
    return new Mark.Group(
        "",
        new Effects(
            new AffineTransform(), shadow.opacity(), Appearance.Blend.NORMAL, null, List.of()),
        List.of(
            new Mark.Image(
                new Pixels.Made(image),
                new AffineTransform(
                    area.width(), 0, 0, area.height(), area.x() + by[0], area.y() + by[1]))));
  }
}
