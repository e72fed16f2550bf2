package app.reglet.press.art;

import app.reglet.core.design.Colour;
import app.reglet.press.type.ShapedLine;
import app.reglet.press.type.Typeface;
import java.awt.geom.AffineTransform;

/** Labels of drawings, set as glyphs where there is no text of the painter's own. */
public final class Labels {
  /** The ink of drawings. */
  public static final Colour.Rgb INK = new Colour.Rgb(0x262b2f);

  private Labels() {}

  /** A label in a face, anchored and turned as it says. */
  public static Mark.Glyphs glyphs(Mark.Label label, Typeface face) {
    ShapedLine line = face.shape(label.text(), 0);
    double size = label.size();
    double back =
        switch (label.anchor()) {
          case START -> 0;
          case MIDDLE -> line.advance() * size / 2;
          case END -> line.advance() * size;
        };
    AffineTransform place = AffineTransform.getTranslateInstance(label.x(), label.y());
    place.rotate(Math.toRadians(label.angle()));
    place.translate(-back, 0);
    return new Mark.Glyphs(
        face,
        size,
        line.glyphs(),
        line.x(size),
        line.y(size),
        Mark.Glyphs.UPRIGHT,
        line.chars(),
        place,
        Fill.of(INK),
        null,
        label.text());
  }
}
