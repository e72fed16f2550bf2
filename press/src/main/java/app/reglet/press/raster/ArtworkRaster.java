package app.reglet.press.raster;

import app.reglet.press.art.Artwork;
import app.reglet.press.art.Frame;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Paint;
import app.reglet.press.picture.Orientation;
import app.reglet.press.picture.PictureReader;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;

/** Draws {@link Artwork} as pixels in sRGB, from the same marks as screen and press file. */
public final class ArtworkRaster {
  private static final double MM_PER_INCH = 25.4;

  /** Of a picture as it is decoded: more than any screen or shop shows. */
  private static final long MOST_PIXELS = 24_000_000;

  private final Graphics2D g;

  private ArtworkRaster(Graphics2D g) {
    this.g = g;
  }

  /**
   * The whole sheet.
   *
   * @param ppi pixels per inch; the size is rounded to whole pixels
   */
  public static BufferedImage render(Artwork artwork, int ppi) {
    BufferedImage image =
        new BufferedImage(
            (int) artwork.wrap().sheet().width().toPixels(ppi),
            (int) artwork.wrap().sheet().height().toPixels(ppi),
            BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, image.getWidth(), image.getHeight());
    g.scale(ppi / MM_PER_INCH, ppi / MM_PER_INCH);
    ArtworkRaster raster = new ArtworkRaster(g);
    artwork.marks().forEach(raster::draw);
    g.dispose();
    return image;
  }

  private void draw(Mark mark) {
    if (mark instanceof Mark.Area a) {
      g.setColor(colour(a.paint()));
      g.fill(rectangle(a.frame()));
    } else if (mark instanceof Mark.Glyphs run) {
      glyphs(run);
    } else if (mark instanceof Mark.Image i) {
      image(i);
    }
  }

  private void glyphs(Mark.Glyphs run) {
    g.setColor(colour(run.paint()));
    for (int i = 0; i < run.glyphs().length; i++) {
      AffineTransform at = new AffineTransform(run.place());
      at.translate(run.x()[i], 0);
      at.scale(run.size(), run.size());
      g.fill(at.createTransformedShape(run.face().outline(run.glyphs()[i])));
    }
  }

  private void image(Mark.Image i) {
    BufferedImage pixels = PictureReader.pixels(i.picture(), MOST_PIXELS);
    var before = g.getClip();
    g.clip(rectangle(i.clip()));
    Frame w = i.whole();
    AffineTransform t = new AffineTransform(w.width(), 0, 0, w.height(), w.x(), w.y());
    t.concatenate(Orientation.upright(i.picture().orientation()));
    t.scale(1.0 / pixels.getWidth(), 1.0 / pixels.getHeight());
    g.drawImage(pixels, t, null);
    g.setClip(before);
  }

  private static Rectangle2D rectangle(Frame f) {
    return new Rectangle2D.Double(f.x(), f.y(), f.width(), f.height());
  }

  private static Color colour(Paint paint) {
    return paint instanceof Paint.Rgb rgb
        ? new Color(
            (float) rgb.colour().red(), (float) rgb.colour().green(), (float) rgb.colour().blue())
        : Color.BLACK;
  }
}
