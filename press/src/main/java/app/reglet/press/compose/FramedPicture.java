package app.reglet.press.compose;

import app.reglet.core.check.Laid;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.CutOut;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Framing;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import app.reglet.press.picture.Contours;
import app.reglet.press.picture.JpegQuality;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.Treating;
import java.awt.Shape;
import java.awt.geom.AffineTransform;

/**
 * A picture as it lies in a box.
 *
 * @param picture the file
 * @param content how it is framed and treated
 * @param box on the sheet, mm
 */
public record FramedPicture(Picture picture, Content.Picture content, Rect box) {
  private static final double MM_PER_INCH = 25.4;

  private Framing framing() {
    return content.framing();
  }

  /** From the upright picture's unit square to that of the picture as it is turned and mirrored. */
  private AffineTransform turned() {
    AffineTransform t = new AffineTransform();
    if (framing().mirrored()) {
      t.concatenate(new AffineTransform(-1, 0, 0, 1, 1, 0));
    }
    for (int i = 0; i < framing().quarters(); i++) {
      t.concatenate(new AffineTransform(0, 1, -1, 0, 1, 0));
    }
    return t;
  }

  private boolean onSide() {
    return framing().quarters() % 2 == 1;
  }

  /** Millimetres of one pixel. */
  private double scale() {
    double across = box.width() / (onSide() ? picture.height() : picture.width());
    double down = box.height() / (onSide() ? picture.width() : picture.height());
    return framing().zoom()
        * (framing().fit() == Framing.Fit.COVER ? Math.max(across, down) : Math.min(across, down));
  }

  /** Pixels per inch at which it is printed. */
  public double ppi() {
    return MM_PER_INCH / scale();
  }

  /** Where all of it lies, what is cut off too. */
  private Rect whole() {
    double w = scale() * (onSide() ? picture.height() : picture.width());
    double h = scale() * (onSide() ? picture.width() : picture.height());
    Focus focus = framing().seenFocus();
    return new Rect(
        box.x() - (w - box.width()) * focus.x(), box.y() - (h - box.height()) * focus.y(), w, h);
  }

  /** What of the box it covers. */
  public Rect seen() {
    Rect w = whole();
    double x = Math.max(w.x(), box.x());
    double y = Math.max(w.y(), box.y());
    return new Rect(
        x, y, Math.min(w.right(), box.right()) - x, Math.min(w.bottom(), box.bottom()) - y);
  }

  /** From the upright picture's unit square to the sheet. */
  AffineTransform place() {
    Rect w = whole();
    AffineTransform t = new AffineTransform(w.width(), 0, 0, w.height(), w.x(), w.y());
    t.concatenate(turned());
    return t;
  }

  private Treating treating(Fills fills) {
    Rect seen = seen();
    AffineTransform inSeen =
        new AffineTransform(
            1 / seen.width(),
            0,
            0,
            1 / seen.height(),
            -seen.x() / seen.width(),
            -seen.y() / seen.height());
    inSeen.concatenate(place());
    return Treating.of(content.treatment(), fills::solid, inSeen);
  }

  /**
   * As it is drawn, cut to its box.
   *
   * @param under the flat colour that shows through it; null where it lies on other art
   */
  Mark mark(Fills fills, Colour.Solid under) {
    Mark image = new Mark.Image(new Pixels.Stored(picture, under, treating(fills)), place());
    return Mark.Group.clipped(
        box.shape(),
        content
            .cutOut()
            .map(c -> Effecting.cut(image, outline(c), seen(), c.soft()))
            .orElse(image));
  }

  private Shape outline(CutOut c) {
    return place().createTransformedShape(Contours.path(c.contours()));
  }

  /** What checks are told of it. */
  Laid laid(String piece, String name, AffineTransform toSheet) {
    return new Laid.Picture(
        piece,
        name,
        Outlines.hull(seen().shape(), toSheet),
        ppi(),
        picture.sha(),
        JpegQuality.of(picture));
  }
}
