package app.reglet.press.inspect.page;

import app.reglet.core.Refusal;
import app.reglet.press.colour.PixelInks;
import app.reglet.press.picture.ScreenPicture;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.BiConsumer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.rendering.PDFRenderer;

/** Looks at a page of a PDF: reads it, draws it, draws its inks. */
public final class PageLook {
  /** Fine enough to read a barcode at four fifths of its size. */
  private static final double SEEN_PPI = 200;

  private static final double INK_PPI = 100;

  /** Pixels that a drawing has at most, so that it fits the memory of a reader. */
  private static final double MOST_PIXELS = 8_000_000;

  /** Longer side of what a screen is shown. */
  private static final int SCREEN = 2000;

  private static final double MM_PER_INCH = 25.4;

  private PageLook() {}

  /**
   * Notes what is laid on a page.
   *
   * @param number from 1
   * @throws Refusal when that costs more than it may
   */
  public static PageContent read(PDDocument document, int number, Budget budget) {
    return PageReader.read(document.getPage(number - 1), number, budget);
  }

  /** Where a page's picture is put. */
  public static Path seen(Path directory, int number) {
    return directory.resolve("page-" + number + ".png");
  }

  /** Where a page's inks are put. */
  public static Path inks(Path directory, int number) {
    return directory.resolve("page-" + number + ".inks");
  }

  /**
   * Draws a page as a screen shows it, writes that, and reads what barcodes are on it.
   *
   * @param codes told each barcode's number and place
   */
  public static void draw(
      PDDocument document,
      int number,
      Path into,
      Budget budget,
      BiConsumer<String, app.reglet.press.art.Rect> codes)
      throws IOException {
    PDPage page = document.getPage(number - 1);
    double ppi = ppi(page, SEEN_PPI);
    PDFRenderer renderer = new PDFRenderer(document);
    renderer.setAnnotationsFilter(a -> false);
    renderer.setSubsamplingAllowed(true);
    double scale = Math.max(page.getUserUnit(), 0.001) * ppi / 72;
    boolean turned = page.getRotation() % 180 != 0;
    int w = Math.max(1, (int) Math.floor(page.getCropBox().getWidth() * scale));
    int h = Math.max(1, (int) Math.floor(page.getCropBox().getHeight() * scale));
    BufferedImage image =
        new BufferedImage(turned ? h : w, turned ? w : h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, image.getWidth(), image.getHeight());
    renderer.renderPageToGraphics(number - 1, g, (float) scale);
    g.dispose();
    budget.expectTime();
    List<Barcodes.Read> read = Barcodes.of(image, MM_PER_INCH / ppi);
    read.forEach(r -> codes.accept(r.number(), r.place()));
    Files.write(
        seen(into, number), ScreenPicture.png(ScreenPicture.smaller(image, SCREEN)));
  }

  /** Draws the inks of a page and writes them. */
  public static void plates(
      FileBytes file, PDDocument document, int number, Path into, PixelInks screen, Budget budget)
      throws IOException {
    double ppi = ppi(document.getPage(number - 1), INK_PPI);
    InkPixels inks = Plates.of(file, number, ppi, screen, budget);
    PlateFile.write(inks(into, number), inks);
  }

  /** As fine as wanted, or as its size allows. */
  private static double ppi(PDPage page, double wanted) {
    double unit = Math.max(page.getUserUnit(), 0.001);
    double inches =
        page.getCropBox().getWidth() * unit / 72 * page.getCropBox().getHeight() * unit / 72;
    return Math.min(wanted, Math.sqrt(MOST_PIXELS / Math.max(inches, 1e-6)));
  }
}
