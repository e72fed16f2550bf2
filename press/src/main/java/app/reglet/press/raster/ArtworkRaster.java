package app.reglet.press.raster;

import app.reglet.core.design.Colour;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Coarser;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.function.Function;

/** Draws {@link Artwork} as pixels in sRGB, from the same marks as screen and press file. */
public final class ArtworkRaster {
  private static final double MM_PER_INCH = 25.4;

  private ArtworkRaster() {}

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
    Graphics2D g = graphics(image);
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, image.getWidth(), image.getHeight());
    g.scale(ppi / MM_PER_INCH, ppi / MM_PER_INCH);
    new RasterPainter(image, g, ArtworkRaster::colour, null, FinePixels.onScreen()::taken)
        .paint(Coarser.forPixels(ppi).of(artwork.marks()));
    g.dispose();
    return image;
  }

  /** A part of the sheet as a picture of this width; its height follows. */
  public static BufferedImage render(Artwork artwork, Rect part, int width) {
    return white(
        Coarser.forPixels(width * MM_PER_INCH / part.width()).of(artwork.marks()),
        part,
        width,
        FinePixels.onScreen()::taken);
  }

  /**
   * The same with pictures of other fineness than their files'.
   *
   * @param pictures the pixels of stored pictures, treated, as their files lie
   */
  public static BufferedImage render(
      Artwork artwork, Rect part, int width, Function<Pixels.Stored, BufferedImage> pictures) {
    return white(artwork.marks(), part, width, pictures);
  }

  /**
   * Marks on white: this part of them, so many pixels wide and as high as follows.
   *
   * @param pictures the pixels of stored pictures, treated, as their files lie
   */
  static BufferedImage white(
      List<? extends Mark> marks,
      Rect part,
      int width,
      Function<Pixels.Stored, BufferedImage> pictures) {
    BufferedImage image =
        new BufferedImage(
            width,
            Math.max(1, (int) Math.round(part.height() * width / part.width())),
            BufferedImage.TYPE_INT_RGB);
    Graphics2D g = graphics(image);
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, image.getWidth(), image.getHeight());
    g.scale(image.getWidth() / part.width(), image.getHeight() / part.height());
    g.translate(-part.x(), -part.y());
    new RasterPainter(image, g, ArtworkRaster::colour, null, pictures).paint(marks);
    g.dispose();
    return image;
  }

  /** Marks on nothing, ARGB. */
  public static BufferedImage clear(List<Mark> marks, Rect area, double perMm) {
    BufferedImage image =
        new BufferedImage(
            Math.max(1, (int) Math.ceil(area.width() * perMm)),
            Math.max(1, (int) Math.ceil(area.height() * perMm)),
            BufferedImage.TYPE_INT_ARGB);
    Graphics2D g = graphics(image);
    g.scale(image.getWidth() / area.width(), image.getHeight() / area.height());
    g.translate(-area.x(), -area.y());
    new RasterPainter(image, g, ArtworkRaster::colour, null).paint(marks);
    g.dispose();
    return image;
  }

  /** What marks cover, roughly: never less than they do. */
  public static Rectangle2D bounds(List<Mark> marks) {
    BoundsPainter bounds = new BoundsPainter();
    bounds.paint(marks);
    return bounds.all();
  }

  static Graphics2D graphics(BufferedImage image) {
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    return g;
  }

  private static Color colour(Colour.Solid colour) {
    return new Color(colour.onScreen());
  }
}
