package app.reglet.press.golden;

import app.reglet.press.art.Artwork;
import app.reglet.press.picture.PixelRow;
import app.reglet.press.raster.ArtworkRaster;
import app.reglet.press.svg.ArtworkSvg;
import app.reglet.testing.Chromium;
import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import javax.imageio.ImageIO;

/**
 * Draws covers with programs that know nothing of Reglet, at 192 pixels to the inch, and halves
 * them: where a renderer puts glyphs on whole pixels, that matters less.
 */
final class Painters {
  static final int PPI = 192;

  private static final Executor POOL =
      Executors.newFixedThreadPool(
          2,
          r -> {
            Thread t = new Thread(r, "painter");
            t.setDaemon(true);
            return t;
          });

  private Painters() {}

  static BufferedImage raster(Artwork art) {
    return half(ArtworkRaster.render(art, PPI));
  }

  /** The mean of every four pixels. */
  private static BufferedImage half(BufferedImage whole) {
    int w = whole.getWidth() / 2;
    int h = whole.getHeight() / 2;
    int[] upper = new int[whole.getWidth()];
    int[] lower = new int[whole.getWidth()];
    int[] out = new int[w];
    PixelRow from = new PixelRow(whole);
    BufferedImage half = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    PixelRow to = new PixelRow(half);
    for (int y = 0; y < h; y++) {
      from.read(2 * y, upper);
      from.read(2 * y + 1, lower);
      for (int x = 0; x < w; x++) {
        int rgb = 0;
        for (int shift = 0; shift <= 16; shift += 8) {
          int sum =
              (upper[2 * x] >> shift & 0xff)
                  + (upper[2 * x + 1] >> shift & 0xff)
                  + (lower[2 * x] >> shift & 0xff)
                  + (lower[2 * x + 1] >> shift & 0xff);
          rgb |= (sum + 2) / 4 << shift;
        }
        out[x] = rgb;
      }
      to.write(y, out);
    }
    return half;
  }

  private interface Drawing {
    BufferedImage draw() throws IOException;
  }

  /** The names of the programs that know nothing of Reglet. */
  static final List<String> INDEPENDENT = List.of("chromium", "poppler", "mupdf", "ghostscript");

  /** By all of them, each drawing under its program's name. */
  static Map<String, BufferedImage> independent(Artwork art, Path pdf) {
    return independent(art, pdf, INDEPENDENT);
  }

  /**
   * By programs that know nothing of Reglet, two at once.
   *
   * @param names some of {@link #INDEPENDENT}
   * @return each drawing under its program's name
   */
  static Map<String, BufferedImage> independent(Artwork art, Path pdf, List<String> names) {
    Map<String, Drawing> how = new LinkedHashMap<>();
    how.put("chromium", () -> chromium(art));
    how.put("poppler", () -> poppler(pdf));
    how.put("mupdf", () -> mupdf(pdf));
    how.put("ghostscript", () -> ghostscript(pdf));
    how.keySet().retainAll(names);
    Map<String, CompletableFuture<BufferedImage>> begun = new LinkedHashMap<>();
    how.forEach(
        (name, drawing) ->
            begun.put(
                name,
                CompletableFuture.supplyAsync(
                    () -> {
                      try {
                        return drawing.draw();
                      } catch (IOException e) {
                        throw new UncheckedIOException(e);
                      }
                    },
                    POOL)));
    Map<String, BufferedImage> drawn = new LinkedHashMap<>();
    begun.forEach((name, image) -> drawn.put(name, image.join()));
    return drawn;
  }

  static BufferedImage poppler(Path pdf) throws IOException {
    Path out = pdf.resolveSibling("poppler");
    Tool.ok("pdftoppm", "-r", "" + PPI, "-png", "-singlefile", pdf.toString(), out.toString());
    return half(ImageIO.read(Path.of(out + ".png").toFile()));
  }

  static BufferedImage mupdf(Path pdf) throws IOException {
    Path out = pdf.resolveSibling("mupdf.png");
    Tool.ok("mutool", "draw", "-q", "-r", "" + PPI, "-o", out.toString(), pdf.toString());
    return half(ImageIO.read(out.toFile()));
  }

  static BufferedImage ghostscript(Path pdf) throws IOException {
    Path out = pdf.resolveSibling("gs.png");
    Tool.ok(
        "gs",
        "-q",
        "-dNOPAUSE",
        "-dBATCH",
        "-sDEVICE=png16m",
        "-dTextAlphaBits=4",
        "-dGraphicsAlphaBits=4",
        "-r" + PPI,
        "-sOutputFile=" + out,
        pdf.toString());
    return half(ImageIO.read(out.toFile()));
  }

  /** The SVG, one px of a screen for one px of CSS. */
  static BufferedImage chromium(Artwork art) throws IOException {
    return chromium(
        ArtworkSvg.document(art, Golden.ADDRESSES),
        art.wrap().sheet().width().toPixels(PPI / 2),
        art.wrap().sheet().height().toPixels(PPI / 2));
  }

  /** A page of HTML. */
  static BufferedImage chromium(String body, long width, long height) throws IOException {
    byte[] png = Chromium.picture(body, (int) width, (int) height, 2);
    return half(ImageIO.read(new ByteArrayInputStream(png)));
  }
}
