package app.reglet.core.design;

import app.reglet.core.Refusal;

/**
 * How a picture lies in its box: turned by quarters, then mirrored, then as large as covers the box
 * or stands whole in it, enlarged further, and moved so that its focus stays in sight.
 *
 * @param focus the point of the picture, as its file has it, that stays in sight
 * @param zoom how many times larger than its fit, 1 to {@link #MOST_ZOOM}
 * @param quarters how many quarter turns clockwise, 0 to 3
 * @param mirrored whether left and right change places, as it is seen after turning
 */
public record Framing(Focus focus, double zoom, Fit fit, int quarters, boolean mirrored) {
  /** How large a picture is before it is enlarged. */
  public enum Fit {
    /** As small as still covers its box, cut at two sides. */
    COVER,
    /** As large as is seen whole, with the ground beside it. */
    WHOLE
  }

  public static final double MOST_ZOOM = 20;

  public static final Framing PLAIN = of(Focus.MIDDLE);

  public Framing {
    if (!(zoom >= 1 && zoom <= MOST_ZOOM)) {
      throw new Refusal(
          "zoom",
          "A picture is enlarged 1 to " + (int) MOST_ZOOM + " times; this would be " + zoom + ".");
    }
    if (quarters < 0 || quarters > 3) {
      throw new Refusal("quarters", "A picture is turned by 0 to 3 quarters; this is " + quarters);
    }
  }

  /** Covering its box, upright. */
  public static Framing of(Focus focus) {
    return new Framing(focus, 1, Fit.COVER, 0, false);
  }

  public Framing withFocus(Focus other) {
    return new Framing(other, zoom, fit, quarters, mirrored);
  }

  /**
   * The focus as the picture is seen, turned and then mirrored: from its left edge and its top edge
   * on the sheet.
   */
  public Focus seenFocus() {
    double x = focus.x();
    double y = focus.y();
    for (int i = 0; i < quarters; i++) {
      double turned = 1 - y;
      y = x;
      x = turned;
    }
    return new Focus(mirrored ? 1 - x : x, y);
  }

  /** The same with the focus at a point of the picture as it is seen, turned and then mirrored. */
  public Framing withSeenFocus(Focus seen) {
    double x = mirrored ? 1 - seen.x() : seen.x();
    double y = seen.y();
    for (int i = 0; i < quarters; i++) {
      double back = 1 - x;
      x = y;
      y = back;
    }
    return withFocus(new Focus(x, y));
  }
}
