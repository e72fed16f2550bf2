package app.reglet.press.art;

import app.reglet.core.design.Appearance;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.util.List;

/**
 * What is done to the marks of a group as one.
 *
 * @param transform from the group's coordinates to those it lies in
 * @param opacity 0 to 1
 * @param blend how it meets what is under it
 * @param clip what of it is seen, in the group's coordinates; null for all
 * @param mask marks whose lightness says how much of it is seen, in the group's coordinates: white
 *     shows, black and nothing hide; empty for all
 */
public record Effects(
    AffineTransform transform,
    double opacity,
    Appearance.Blend blend,
    Shape clip,
    List<Mark> mask) {
  public static final Effects NONE =
      new Effects(new AffineTransform(), 1, Appearance.Blend.NORMAL, null, List.of());

  public Effects {
    transform = new AffineTransform(transform);
    mask = List.copyOf(mask);
  }

  @Override
  public AffineTransform transform() {
    return new AffineTransform(transform);
  }

  public static Effects clipped(Shape clip) {
    return new Effects(new AffineTransform(), 1, Appearance.Blend.NORMAL, clip, List.of());
  }

  /** Whether nothing is done to the group. */
  public boolean isNone() {
    return transform.isIdentity() && clip == null && !isApart();
  }

  /** Whether the group must be made apart before it is laid over what is under it. */
  public boolean isApart() {
    return opacity < 1 || blend != Appearance.Blend.NORMAL || !mask.isEmpty();
  }

  public Effects withTransform(AffineTransform t) {
    return new Effects(t, opacity, blend, clip, mask);
  }
}
