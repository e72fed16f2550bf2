package app.reglet.core.carry;

import app.reglet.core.design.Content;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Framing;
import app.reglet.core.measure.Box;

/**
 * A picture that covered a larger box, framed so that a smaller one shows what that part of it
 * showed: the front of a whole sheet.
 *
 * @param proportions of the pictures
 */
record Recropping(Proportions proportions) {
  /**
   * The picture for the part alone.
   *
   * @param whole the box it covered
   * @param part of it, that is seen further
   * @param there the box that the part becomes
   */
  Content.Picture of(Content.Picture picture, Box whole, Box part, Box there) {
    Framing f = picture.framing();
    var known = proportions.of(picture.sha());
    if (known.isEmpty() || f.fit() != Framing.Fit.COVER) {
      return picture;
    }
    boolean onSide = f.quarters() % 2 == 1;
    double ratio = onSide ? 1 / known.getAsDouble() : known.getAsDouble();
    // as wide and high as all of it lies over the whole box
    double w = f.zoom() * Math.max(whole.width().toMm(), whole.height().toMm() * ratio);
    double h = w / ratio;
    double[] focus = seen(f);
    double left = whole.left().toMm() - (w - whole.width().toMm()) * focus[0];
    double top = whole.top().toMm() - (h - whole.height().toMm()) * focus[1];
    // what the part's box is to all of it decides how far it must be enlarged over its new box
    double scale =
        Math.min(
            there.width().toMm() / part.width().toMm(),
            there.height().toMm() / part.height().toMm());
    double least = Math.max(there.width().toMm(), there.height().toMm() * ratio);
    double zoom = Math.min(Framing.MOST_ZOOM, Math.max(1, w * scale / least));
    double nw = least * zoom;
    double nh = nw / ratio;
    double cx = (part.centreX().toMm() - left) / w;
    double cy = (part.centreY().toMm() - top) / h;
    return picture.withFraming(
        new Framing(
            file(f, along(cx, there.width().toMm() / nw), along(cy, there.height().toMm() / nh)),
            zoom,
            f.fit(),
            f.quarters(),
            f.mirrored()));
  }

  /** The focus that puts a point of the picture in the middle of what a share of it shows. */
  private static double along(double middle, double share) {
    return share >= 1 ? 0.5 : Math.max(0, Math.min(1, (middle - share / 2) / (1 - share)));
  }

  /** The focus as the picture is seen, turned and then mirrored. */
  private static double[] seen(Framing f) {
    double x = f.focus().x();
    double y = f.focus().y();
    for (int i = 0; i < f.quarters(); i++) {
      double turned = 1 - y;
      y = x;
      x = turned;
    }
    return new double[] {f.mirrored() ? 1 - x : x, y};
  }

  /** The focus as the file has it. */
  private static Focus file(Framing f, double seenX, double seenY) {
    double x = f.mirrored() ? 1 - seenX : seenX;
    double y = seenY;
    for (int i = 0; i < f.quarters(); i++) {
      double back = 1 - x;
      x = y;
      y = back;
    }
    return new Focus(Math.max(0, Math.min(1, x)), Math.max(0, Math.min(1, y)));
  }
}
