package app.reglet.press.svg;

import app.reglet.press.art.Mark;
import app.reglet.press.type.ShapedLine;
import app.reglet.press.type.Typeface;
import java.awt.geom.AffineTransform;

/** A few words set in a face, to choose it by: the face's own outlines on one line. */
public final class SpecimenSvg {
  /** More letters than these are not needed to know a face. */
  public static final int LONGEST = 30;

  private static final int EM = 1000;
  private static final double ABOVE = 1.05;
  private static final double BELOW = 0.4;

  private SpecimenSvg() {}

  /**
   * The first line of a text, cut after {@link #LONGEST} letters, as an SVG element that takes its
   * colour from the page; its height is 1.45 em.
   */
  public static String of(Typeface face, String text) {
    String line = text.strip().lines().findFirst().orElse("").strip();
    if (line.codePointCount(0, line.length()) > LONGEST) {
      line = line.substring(0, line.offsetByCodePoints(0, LONGEST)).strip() + "…";
    }
    ShapedLine shaped = face.shape(line, 0);
    Mark.Glyphs run =
        new Mark.Glyphs(
            face,
            1,
            shaped.glyphs(),
            shaped.x(),
            shaped.y(),
            Mark.Glyphs.UPRIGHT,
            shaped.chars(),
            new AffineTransform(),
            null,
            null,
            line);
    double left = Math.min(0, shaped.ink().getMinX());
    double right = Math.max(shaped.advance(), shaped.ink().getMaxX());
    return new Svg()
        .open(
            "svg",
            "class",
            "specimen",
            "aria-hidden",
            "true",
            "viewBox",
            Math.round(left * EM)
                + " "
                + Math.round(-ABOVE * EM)
                + " "
                + Math.round((right - left) * EM)
                + " "
                + Math.round((ABOVE + BELOW) * EM))
        .empty("path", "d", SvgPath.run(run, EM))
        .close("svg")
        .toString();
  }
}
