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
    Focus focus = f.seenFocus();
    double left = whole.left().toMm() - (w - whole.width().toMm()) * focus.x();
    double top = whole.top().toMm() - (h - whole.height().toMm()) * focus.y();
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
        new Framing(f.focus(), zoom, f.fit(), f.quarters(), f.mirrored())
            .withSeenFocus(
                new Focus(
                    along(cx, there.width().toMm() / nw), along(cy, there.height().toMm() / nh))));
  }

  /** The focus that puts a point of the picture in the middle of what a share of it shows. */
  private static double along(double middle, double share) {
    return share >= 1 ? 0.5 : Math.max(0, Math.min(1, (middle - share / 2) / (1 - share)));
  }
}
