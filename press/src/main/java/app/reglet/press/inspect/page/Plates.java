package app.reglet.press.inspect.page;

import app.reglet.core.Refusal;
import app.reglet.press.colour.PixelInks;
import app.reglet.press.pageinks.PageInks;
import app.reglet.press.picture.PixelRow;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.rendering.PDFRenderer;

/**
 * The inks of a page of any PDF, pixel by pixel: what is written in inks as it is written, what is
 * meant for a screen as a press's table prints it. What overprints knocks out here.
 */
public final class Plates {
  private static final long MOST_READ = 11_500_000;

  /** As thick as lines are, wherever they lie among the pixels. */
  private static final RenderingHints HINTS =
      new RenderingHints(
          Map.of(
              RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC,
              RenderingHints.KEY_RENDERING, RenderingHints.VALUE_RENDER_QUALITY,
              RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON,
              RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE));

  private Plates() {}

  /**
   * Draws the inks of a page: its crop box, turned as it says.
   *
   * @param number of the page, from 1
   * @param ppi pixels per inch of the page
   * @param screen inks of what is meant for a screen
   * @throws Refusal when it can't be drawn, or costs more than it may
   */
  public static InkPixels of(
      FileBytes file, int number, double ppi, PixelInks screen, Budget budget) throws IOException {
    BufferedImage coloured = half(file, number, ppi, screen, false, budget);
    BufferedImage black = half(file, number, ppi, screen, true, budget);
    int w = coloured.getWidth();
    int h = coloured.getHeight();
    byte[] inks = new byte[4 * w * h];
    int[] row = new int[w];
    int[] dark = new int[w];
    PixelRow colours = new PixelRow(coloured);
    PixelRow blacks = new PixelRow(black);
    for (int y = 0; y < h; y++) {
      colours.read(y, row);
      blacks.read(y, dark);
      for (int x = 0; x < w; x++) {
        int at = 4 * (y * w + x);
        inks[at] = (byte) (255 - (row[x] >> 16 & 0xff));
        inks[at + 1] = (byte) (255 - (row[x] >> 8 & 0xff));
        inks[at + 2] = (byte) (255 - (row[x] & 0xff));
        inks[at + 3] = (byte) (255 - (dark[x] & 0xff));
      }
    }
    return new InkPixels(w, h, inks, null);
  }

  private static BufferedImage half(
      FileBytes file, int number, double ppi, PixelInks screen, boolean black, Budget budget)
      throws IOException {
    try (PDDocument document = Loader.loadPDF(file.pdf(budget))) {
      PDPage page = document.getPage(number - 1);
      PDFRenderer renderer = PageInks.half(document, number - 1, screen, black, MOST_READ, budget);
      renderer.setSubsamplingAllowed(true);
      renderer.setRenderingHints(HINTS);
      double unit = Math.max(page.getUserUnit(), 0.001);
      PDPage fresh = document.getPage(number - 1);
      int w = Math.max(1, (int) Math.floor(fresh.getCropBox().getWidth() * unit * ppi / 72));
      int h = Math.max(1, (int) Math.floor(fresh.getCropBox().getHeight() * unit * ppi / 72));
      boolean turned = page.getRotation() % 180 != 0;
      BufferedImage image =
          new BufferedImage(turned ? h : w, turned ? w : h, BufferedImage.TYPE_INT_RGB);
      Graphics2D g = image.createGraphics();
      g.setColor(Color.WHITE);
      g.setBackground(Color.WHITE); // what the renderer clears the page with
      g.fillRect(0, 0, image.getWidth(), image.getHeight());
      renderer.renderPageToGraphics(number - 1, g, (float) (unit * ppi / 72));
      g.dispose();
      return image;
    }
  }
}
