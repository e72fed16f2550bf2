package app.reglet.press.raster;

import app.reglet.core.design.Colour;
import app.reglet.press.art.Mark;
import app.reglet.press.art.PlacedPage;
import app.reglet.press.art.Rect;
import app.reglet.press.colour.PixelInks;
import app.reglet.press.colour.PressInks;
import app.reglet.press.pageinks.PageInks;
import app.reglet.press.picture.PixelRow;
import app.reglet.press.reading.Budget;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;

/**
 * Marks as inks, pixel by pixel. They are drawn twice, once with cyan, magenta and yellow as what
 * they leave of red, green and blue, once with black: so what fades or multiplies does so in inks,
 * as on a press file's page (ISO 32000-1, 11.3.4: subtractive inks are mixed as what they leave).
 *
 * @param width pixels of a row
 * @param height rows
 * @param inks four bytes a pixel, 0 none to 255 full: cyan, magenta, yellow, black
 * @param alpha one byte a pixel; null where nothing shows through
 */
public record InkPixels(int width, int height, byte[] inks, byte[] alpha) {
  private static final double MUCH_LARGER = 1.3;

  /**
   * Threads of the other halves. Not the platform's common ones: while a half waits for a picture,
   * they would take up halves of other files, which wait for theirs.
   */
  private static final Executor OTHER =
      Executors.newCachedThreadPool(
          task -> {
            Thread thread = new Thread(task, "other half");
            thread.setDaemon(true);
            return thread;
          });

  /**
   * Draws marks.
   *
   * @param marks whose colours are inks, but for pixels in sRGB
   * @param area what of them, mm
   * @param width pixels
   * @param height pixels
   * @param pictures the stored pictures
   * @param onPaper whether on bare paper; else on nothing
   */
  public static InkPixels draw(
      List<? extends Mark> marks,
      Rect area,
      int width,
      int height,
      PressInks inks,
      SeparatedPictures pictures,
      boolean onPaper) {
    byte[] out = new byte[4 * width * height];
    byte[] alpha = onPaper ? null : new byte[width * height];
    Consumer<Boolean> half =
        black ->
            take(
                half(marks, area, width, height, inks, pictures, onPaper, black),
                black,
                out,
                alpha);
    CompletableFuture<Void> coloured = CompletableFuture.runAsync(() -> half.accept(false), OTHER);
    try {
      half.accept(true);
    } finally {
      ended(coloured);
    }
    inks.keep(out);
    return new InkPixels(width, height, out, alpha);
  }

  /** Waits for the other half, and throws what it threw. */
  private static void ended(CompletableFuture<Void> half) {
    try {
      half.join();
    } catch (CompletionException e) {
      if (e.getCause() instanceof Error error) {
        throw error;
      }
      throw e.getCause() instanceof RuntimeException own ? own : e;
    }
  }

  private static BufferedImage half(
      List<? extends Mark> marks,
      Rect area,
      int width,
      int height,
      PressInks inks,
      SeparatedPictures pictures,
      boolean onPaper,
      boolean black) {
    BufferedImage image =
        new BufferedImage(
            width, height, onPaper ? BufferedImage.TYPE_INT_RGB : BufferedImage.TYPE_INT_ARGB);
    Graphics2D g = ArtworkRaster.graphics(image);
    if (onPaper) {
      g.setColor(Color.WHITE);
      g.fillRect(0, 0, width, height);
    }
    g.scale(width / area.width(), height / area.height());
    g.translate(-area.x(), -area.y());
    UnaryOperator<BufferedImage> seen = i -> separated(i, inks, black);
    new RasterPainter(
        image, g, c -> light(inks, c, black), null, s -> pictures.of(s, black), seen) {
      /** Where pixels are drawn larger there is nothing sharp to keep, and it takes a third. */
      @Override
      Object interpolation(double larger) {
        return larger > MUCH_LARGER
            ? RenderingHints.VALUE_INTERPOLATION_BILINEAR
            : RenderingHints.VALUE_INTERPOLATION_BICUBIC;
      }

      /** What a page has in inks keeps them. */
      @Override
      PDFRenderer pages(PDDocument document, PlacedPage page) throws IOException {
        return PageInks.half(
            document,
            page.page(),
            inks.table(),
            black,
            Long.MAX_VALUE,
            Budget.forKept(page.file().length()));
      }

      @Override
      BufferedImage paged(BufferedImage drawn) {
        return drawn;
      }
    }.paint(marks);
    g.dispose();
    return image;
  }

  private static Color light(PressInks inks, Colour.Solid colour, boolean black) {
    Colour.Cmyk c = colour instanceof Colour.Cmyk cmyk ? cmyk : inks.of(colour);
    return black
        ? new Color(left(c.black()), left(c.black()), left(c.black()))
        : new Color(left(c.cyan()), left(c.magenta()), left(c.yellow()));
  }

  /** What an ink leaves of the light it takes, 0 to 255. */
  private static int left(double percent) {
    return 255 - (int) Math.round(percent * 2.55);
  }

  /** Pixels in sRGB as what one half of their inks leaves. */
  private static BufferedImage separated(BufferedImage image, PressInks inks, boolean black) {
    return separated(image, inks.table(), false)[black ? 1 : 0];
  }

  /**
   * Pixels as what cyan, magenta and yellow leave of them, and what black leaves. Many at once, on
   * all processors.
   *
   * @param inked whether they are inks, in an ARGB image
   */
  static BufferedImage[] separated(BufferedImage image, PixelInks inks, boolean inked) {
    int w = image.getWidth();
    int type =
        image.getColorModel().hasAlpha() && !inked
            ? BufferedImage.TYPE_INT_ARGB
            : BufferedImage.TYPE_INT_RGB;
    BufferedImage[] halves = {
      new BufferedImage(w, image.getHeight(), type), new BufferedImage(w, image.getHeight(), type)
    };
    PixelRow read = new PixelRow(image);
    PixelRow coloured = new PixelRow(halves[0]);
    PixelRow black = new PixelRow(halves[1]);
    IntStream.range(0, image.getHeight())
        .parallel()
        .forEach(
            y -> {
              int[] row = new int[w];
              int[] other = new int[w];
              read.read(y, row);
              separate(row, other, inks, inked);
              coloured.write(y, row);
              black.write(y, other);
            });
    return halves;
  }

  private static void separate(int[] row, int[] black, PixelInks table, boolean inked) {
    int looked = inked ? -1 : 0xffffff;
    int last = row.length == 0 ? 0 : row[0] & looked;
    int packed = table.packed(last);
    for (int x = 0; x < row.length; x++) {
      int pixel = row[x] & looked;
      if (pixel != last) {
        packed = table.packed(pixel);
        last = pixel;
      }
      int alpha = inked ? 0xff000000 : row[x] & 0xff000000;
      row[x] = alpha | 0xffffff - (packed >>> 8 & 0xffffff);
      black[x] = alpha | 0x010101 * (255 - (packed & 0xff));
    }
  }

  private static void take(BufferedImage image, boolean black, byte[] out, byte[] alpha) {
    int w = image.getWidth();
    int[] row = new int[w];
    PixelRow pixels = new PixelRow(image);
    for (int y = 0; y < image.getHeight(); y++) {
      pixels.read(y, row);
      for (int x = 0; x < w; x++) {
        int at = 4 * (y * w + x);
        if (black) {
          out[at + 3] = (byte) (255 - (row[x] & 0xff));
          if (alpha != null) {
            alpha[at / 4] = (byte) (row[x] >>> 24);
          }
        } else {
          out[at] = (byte) (255 - (row[x] >> 16 & 0xff));
          out[at + 1] = (byte) (255 - (row[x] >> 8 & 0xff));
          out[at + 2] = (byte) (255 - (row[x] & 0xff));
        }
      }
    }
  }

  /** Half as wide and high, each pixel the mean of four. */
  public InkPixels halved() {
    int w = Math.max(1, width / 2);
    int h = Math.max(1, height / 2);
    byte[] out = new byte[4 * w * h];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int here = 4 * (2 * y * width + 2 * x);
        int right = width > 1 ? 4 : 0;
        int below = height > 1 ? 4 * width : 0;
        for (int i = here; i < here + 4; i++) {
          int sum =
              (inks[i] & 0xff)
                  + (inks[i + right] & 0xff)
                  + (inks[i + below] & 0xff)
                  + (inks[i + right + below] & 0xff);
          out[4 * (y * w + x) + i - here] = (byte) ((sum + 2) / 4);
        }
      }
    }
    return new InkPixels(w, h, out, null);
  }

  /** Total ink of a pixel, 0 to 1020. */
  public int total(int x, int y) {
    int at = 4 * (y * width + x);
    return (inks[at] & 0xff)
        + (inks[at + 1] & 0xff)
        + (inks[at + 2] & 0xff)
        + (inks[at + 3] & 0xff);
  }
}
