package app.reglet.press.inspect.page;

import app.reglet.core.Refusal;
import app.reglet.core.house.PressRules;
import app.reglet.press.art.Rect;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.colour.PixelInks;
import app.reglet.press.colour.PressInks;
import app.reglet.press.colour.PressProfile;
import app.reglet.press.colour.ProofTable;
import app.reglet.press.picture.ScreenPicture;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;

/** Looks at a page of a PDF: reads it, draws its inks and what they look like. */
public final class PageLook {
  /** Fine enough to read a barcode at four fifths of its size. */
  private static final double PPI = 200;

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
   * What pages are drawn with.
   *
   * @param screen inks of what is meant for a screen
   * @param proof how inks look
   */
  private record Press(PixelInks screen, ProofTable proof) {
    private static Press of(PressProfile profile) {
      return new Press(
          PressInks.of(profile, PressRules.SCREEN).table(), ProofTable.of(profile, false));
    }
  }

  /** Coated paper: what is meant for a screen is told as it is most often printed. Made once. */
  private static final class Coated {
    static final Press PRESS = Press.of(OutputCondition.COATED.profile());
  }

  /** Is told of barcodes. */
  public interface Codes {
    /**
     * One was read.
     *
     * @param number its digits
     * @param place of its bars, mm from the page's top left as seen
     * @param module width of its thinnest bar, mm
     * @param reflected share of red light that its panel gives back, 0 to 1
     */
    void read(String number, Rect place, double module, double reflected);
  }

  /**
   * Draws a page's inks and what they look like, writes both, reads what barcodes are on it, and
   * measures how its words stand out.
   *
   * @param content what is laid on it
   * @param codes told of each barcode
   * @return what is laid on it, its words measured
   */
  public static PageContent draw(
      FileBytes file,
      PDDocument document,
      PageContent content,
      Path into,
      Budget budget,
      Codes codes)
      throws IOException {
    int number = content.number();
    PDPage page = document.getPage(number - 1);
    Drawn drawn = Drawn.of(file, page, number, budget);
    // beside what follows: its pixels are bounded, and nothing else of the file is read for it
    CompletableFuture<byte[]> picture = CompletableFuture.supplyAsync(() -> picture(drawn.image()));
    drawn.read(codes);
    PlateFile.write(inks(into, number), drawn.inks().halved());
    Files.write(seen(into, number), picture.join());
    boolean whole = page.getCropBox().toString().equals(page.getMediaBox().toString());
    return whole ? drawn.measured(content) : content; // its places are those of the media box
  }

  /**
   * A page that is to be placed elsewhere.
   *
   * @param content what is laid on it, its words measured; places are in mm from the top left of
   *     its crop box as seen
   * @param inks of it
   * @param mm of a pixel of them
   */
  public record Placed(PageContent content, InkPixels inks, double mm) {}

  /**
   * Notes what is laid on a page, draws its inks, reads what barcodes are on it, and measures how
   * its words stand out.
   *
   * @param number from 1
   * @param codes told of each barcode, its place from the same corner
   * @throws Refusal when that costs more than it may
   */
  public static Placed place(
      FileBytes file, PDDocument document, int number, Budget budget, Codes codes)
      throws IOException {
    PDPage page = document.getPage(number - 1);
    Rect crop = PageReader.crop(page);
    PageContent content = read(document, number, budget).from(crop.x(), crop.y());
    Drawn drawn = Drawn.of(file, page, number, budget);
    drawn.read(codes);
    return new Placed(drawn.measured(content), drawn.inks(), drawn.mm());
  }

  /**
   * A drawn page.
   *
   * @param image what its inks look like
   * @param mm of a pixel
   */
  private record Drawn(InkPixels inks, BufferedImage image, double mm) {
    static Drawn of(FileBytes file, PDPage page, int number, Budget budget) throws IOException {
      double ppi = ppi(page);
      InkPixels inks = Plates.of(file, number, ppi, Coated.PRESS.screen(), budget);
      BufferedImage image =
          new BufferedImage(inks.width(), inks.height(), BufferedImage.TYPE_INT_RGB);
      int[] rgb = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
      Coated.PRESS.proof().convert(inks.inks(), rgb);
      budget.expectTime();
      return new Drawn(inks, image, MM_PER_INCH / ppi);
    }

    void read(Codes codes) {
      Barcodes.of(image, mm)
          .forEach(r -> codes.read(r.number(), r.place(), r.module(), r.reflected()));
    }

    PageContent measured(PageContent content) {
      return content.with(
          WordContrast.of(content.words(), image, mm, Coated.PRESS.proof()), content.lines());
    }
  }

  private static byte[] picture(BufferedImage image) {
    try {
      return ScreenPicture.quickPng(ScreenPicture.smaller(image, SCREEN));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** As fine as wanted, or as its size allows. */
  private static double ppi(PDPage page) {
    double unit = Math.max(page.getUserUnit(), 0.001);
    double inches =
        page.getCropBox().getWidth() * unit / 72 * page.getCropBox().getHeight() * unit / 72;
    return Math.min(PPI, Math.sqrt(MOST_PIXELS / Math.max(inches, 1e-6)));
  }
}
