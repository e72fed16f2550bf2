package app.reglet.press.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.press.inspect.PdfFacts.FontFact;
import app.reglet.press.inspect.page.PageContent;
import app.reglet.press.inspect.page.PageContent.PlacedPicture;
import app.reglet.press.inspect.page.PageLook;
import app.reglet.press.picture.ScreenPicture;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/**
 * A page of a PDF that somebody brought to be placed on a cover.
 *
 * @param number of the page, from 1
 * @param pages how many the file has
 * @param size what of the page is placed, as seen: its crop box, turned as it says
 * @param trim its trim box, the size when it has none
 * @param fonts on the page, each once
 * @param annotations that lie on it and are not placed
 * @param content what is drawn on it, places in mm from its top left corner; pictures that are
 *     smooth all over, which need no pixels, are left out. Null where an earlier version noted the
 *     page, which did not look at that
 * @param codes barcodes that were read back on it
 * @param covers whether it hides all that lies below it; null where an earlier version noted it
 */
public record PdfPage(
    int number,
    int pages,
    Size size,
    Size trim,
    List<FontFact> fonts,
    int annotations,
    PageContent content,
    List<FileFacts.Code> codes,
    Boolean covers) {
  public PdfPage {
    codes = codes == null ? List.of() : List.copyOf(codes);
  }

  /** Longest side of a page that can be placed: five metres, longer than any sheet. */
  private static final Length LONGEST = Length.mm("5000");

  private static final Length LEAST = Length.mm("1");

  /** What a page's operators may come to, unpacked. */
  private static final int MOST_CONTENT = 40_000_000;

  /** Time for drawing, beside that for reading, as if for so many bytes of pixels. */
  private static final long DRAWING = 1_800_000_000;

  private static final double MM_PER_INCH = 25.4;

  /** So much of what is on a page is kept. */
  private static final int MOST_PICTURES = 500;

  private static final int MOST_WORDS = 1000;
  private static final int MOST_LETTERS = 100;

  /** Pixels across it of its finest picture, where it has nothing but pictures; else 0. */
  public double pixelsAcross() {
    return content == null || !content.pixels()
        ? 0
        : content.pictures().stream().mapToDouble(PlacedPicture::ppi).max().orElse(0)
            * size.width().toMm()
            / MM_PER_INCH;
  }

  /** Whether nothing below it is seen, wherever it lies. */
  public boolean isOpaque() {
    return Boolean.TRUE.equals(covers);
  }

  private PdfPage with(PageContent drawn, List<FileFacts.Code> read, boolean opaque) {
    return new PdfPage(number, pages, size, trim, fonts, annotations, drawn, read, opaque);
  }

  /** What its file does not bring. */
  public List<String> missing() {
    return fonts.stream().filter(f -> !f.embedded()).map(FontFact::name).sorted().toList();
  }

  /**
   * A page and how it looks.
   *
   * @param screen a PNG, clear where nothing is drawn
   * @param inks of it, at most 100 to the inch
   */
  public record Shown(PdfPage page, byte[] screen, InkPixels inks) {}

  /** What was read of a page, and its inks as fine as they were drawn to read it. */
  private record Looked(PdfPage page, InkPixels inks) {}

  /**
   * Reads and draws a page.
   *
   * @param number from 1
   * @param longest longer side of the picture, pixels
   * @throws Refusal when it is not there, can't be read, or is locked or too large
   */
  public static Shown shown(FileBytes file, int number, int longest, Budget budget) {
    PdfFacts whole = PdfFacts.read(file, budget);
    if (number < 1 || number > whole.pages()) {
      throw new Refusal(
          "page",
          "This PDF has "
              + (whole.pages() == 1 ? "one page" : whole.pages() + " pages")
              + "; there is no page "
              + number
              + ".");
    }
    budget.allowUnpacked(DRAWING);
    try (PDDocument document = Loader.loadPDF(file.pdf(budget))) {
      if (document.isEncrypted()) {
        throw new Refusal(
            "file",
            "This PDF is locked, though it asks for no password: save it without protection and choose it again.");
      }
      PdfPage page = new PdfWalk(document, budget).page(number, whole.pages());
      expectSize(page.size());
      PDPage drawn = document.getPage(number - 1);
      expectContent(drawn, budget);
      BufferedImage screen = picture(document, number - 1, drawn, longest);
      Looked looked = looked(page, file, document, isFull(screen), budget);
      return new Shown(looked.page(), ScreenPicture.png(screen), looked.inks().halved());
    } catch (IOException | RuntimeException e) {
      for (Throwable t = e; t != null; t = t.getCause()) {
        if (t instanceof Refusal r) {
          throw r;
        }
      }
      throw new Refusal(
          "file",
          "Page "
              + number
              + " of this PDF can't be drawn: make the file anew and choose it again.");
    } catch (StackOverflowError | OutOfMemoryError e) {
      throw new Refusal(
          "file",
          "This PDF takes more memory to read than a file of its size may: make it anew and try again.");
    }
  }

  /** The page with what is drawn on it. */
  private static Looked looked(
      PdfPage page, FileBytes file, PDDocument document, boolean opaque, Budget budget)
      throws IOException {
    List<FileFacts.Code> codes = new ArrayList<>();
    PageLook.Placed drawn =
        PageLook.place(
            file,
            document,
            page.number(),
            budget,
            (number, place, module, reflected) ->
                codes.add(new FileFacts.Code(page.number(), number, place, module, reflected)));
    PageContent content = drawn.content().atMost(MOST_PICTURES, MOST_WORDS, MOST_LETTERS);
    PageContent kept =
        content.pixels()
            ? content
            : content.withPictures(p -> !PageOfInks.isSmooth(drawn.inks(), drawn.mm(), p.place()));
    return new Looked(page.with(kept, codes, opaque), drawn.inks());
  }

  /** Whether nothing shows through a picture, but for its outermost pixels, which may be parts. */
  private static boolean isFull(BufferedImage image) {
    int[] row = new int[image.getWidth()];
    for (int y = 1; y < image.getHeight() - 1; y++) {
      image.getRGB(0, y, row.length, 1, row, 0, row.length);
      for (int x = 1; x < row.length - 1; x++) {
        if (row[x] >>> 24 < 255) {
          return false;
        }
      }
    }
    return true;
  }

  private static void expectSize(Size size) {
    Length longest = size.width().max(size.height());
    Length shortest = size.width().min(size.height());
    if (longest.isMoreThan(LONGEST) || LEAST.isMoreThan(shortest)) {
      throw new Refusal(
          "file",
          String.format(
              Locale.ROOT,
              "This page measures %.1f × %.1f mm; one that can be placed measures 1 mm to 5 m: make it anew in its real size.",
              size.width().toMm(),
              size.height().toMm()));
    }
  }

  /** Unpacks the operators and forgets them: what unpacks to gigabytes is not placed. */
  private static void expectContent(PDPage page, Budget budget) throws IOException {
    byte[] buffer = new byte[1 << 16];
    long bytes = 0;
    try (InputStream in = page.getContents()) {
      for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
        budget.expectTime();
        bytes += n;
        if (bytes > MOST_CONTENT) {
          throw new Refusal(
              "file",
              "This page has more than "
                  + MOST_CONTENT / 1_000_000
                  + " MB of drawing in it, more than a cover can carry: save it as a picture of 300 ppi.");
        }
      }
    }
  }

  private static BufferedImage picture(PDDocument document, int index, PDPage page, int longest)
      throws IOException {
    PDFRenderer renderer = new PDFRenderer(document);
    renderer.setAnnotationsFilter(a -> false);
    renderer.setSubsamplingAllowed(true);
    float side = Math.max(page.getCropBox().getWidth(), page.getCropBox().getHeight());
    return renderer.renderImage(index, Math.max(0.05f, longest / side), ImageType.ARGB);
  }
}
