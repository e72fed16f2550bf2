package app.reglet.press.art;

import app.reglet.core.design.Colour;
import app.reglet.press.picture.Picture;
import app.reglet.press.type.Typeface;
import java.awt.geom.AffineTransform;

/** One thing drawn on the sheet, in mm, origin top left, x right, y down. */
public sealed interface Mark {
  /** The id of the piece it belongs to, {@code background} for what lies behind all. */
  String piece();

  /** A filled rectangle. */
  record Area(String piece, Frame frame, Paint paint) implements Mark {}

  /**
   * A run of glyphs on one baseline.
   *
   * @param face the typeface
   * @param size type size in mm
   * @param glyphs the font file's glyph ids
   * @param x where each glyph starts along the baseline, mm
   * @param chars index in the text of the first character each glyph stands for
   * @param place from the run's own coordinates (x along the baseline, y down) to the sheet
   * @param paint its colour
   * @param text what it says, for readers and searches
   */
  record Glyphs(
      String piece,
      Typeface face,
      double size,
      int[] glyphs,
      double[] x,
      int[] chars,
      AffineTransform place,
      Paint paint,
      String text)
      implements Mark {}

  /**
   * A picture, cut to a frame.
   *
   * @param picture the file
   * @param clip what of it shows
   * @param whole where the whole upright picture would lie
   * @param under the flat colour it lies on, which shows through it
   */
  record Image(String piece, Picture picture, Frame clip, Frame whole, Colour under)
      implements Mark {}
}
