package app.reglet.press.art;

import app.reglet.core.design.Colour;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.Treating;
import java.awt.image.BufferedImage;

/** Where an image's pixels come from. */
public sealed interface Pixels {
  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** What can be done with each kind. */
  interface Visitor<R> {
    R stored(Stored stored);

    R made(Made made);
  }

  /**
   * A picture that somebody brought.
   *
   * @param under the flat colour that shows through it; null where it lies on other art, and its
   *     transparency stays
   * @param treating how it is seen other than its file has it
   */
  record Stored(Picture picture, Colour.Solid under, Treating treating) implements Pixels {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.stored(this);
    }
  }

  /**
   * Pixels made by the composer: a shadow, a soft edge.
   *
   * @param image ARGB or gray, upright
   */
  record Made(BufferedImage image) implements Pixels {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.made(this);
    }
  }
}
