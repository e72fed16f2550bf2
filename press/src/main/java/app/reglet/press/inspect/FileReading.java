package app.reglet.press.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.press.inspect.page.PageContent;
import app.reglet.press.inspect.page.PageLook;
import app.reglet.press.picture.IccProfile;
import app.reglet.press.picture.JpegQuality;
import app.reglet.press.picture.OwnColours;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.stream.ImageInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/** Reads a file that somebody brought to be inspected: a PDF or a picture. */
public final class FileReading {
  /** Time for drawing a page twice, as if for so many bytes of pixels. */
  private static final long DRAWING = 900_000_000;

  private static final int SCREEN = 2000;
  private static final double MM_PER_INCH = 25.4;

  /** A picture that says no resolution is as large as on a screen of old. */
  private static final double NO_PPI = 72;

  private FileReading() {}

  /**
   * Reads one.
   *
   * @param into a directory for what its pages look like and their inks, {@link PageLook}
   * @throws Refusal when it can't be read, or costs more than it may
   */
  public static FileFacts read(FileBytes file, Path into, Budget budget) {
    try {
      return isPicture(file.first(16)) ? picture(file, into, budget) : pdf(file, into, budget);
    } catch (IOException e) {
      throw new Refusal("file", "This file can't be read: choose it again.");
    }
  }

  private static boolean isPicture(byte[] first) {
    if (first.length < 4) {
      return false;
    }
    int a = first[0] & 0xff;
    int b = first[1] & 0xff;
    return a == 0xff && b == 0xd8
        || a == 0x89 && b == 'P'
        || a == 'I' && b == 'I'
        || a == 'M' && b == 'M';
  }

  private static FileFacts pdf(FileBytes file, Path into, Budget budget) throws IOException {
    PdfFacts facts = PdfFacts.read(file, budget);
    List<PageContent> contents = new ArrayList<>();
    List<FileFacts.Code> codes = new ArrayList<>();
    FileTraits traits;
    int drawn = Math.min(FileFacts.MOST_DRAWN, facts.pages());
    budget.allowUnpacked(DRAWING * drawn);
    try (PDDocument document = Loader.loadPDF(file.pdf(budget))) {
      traits = TraitsReader.read(document, budget);
      for (int n = 1; n <= Math.min(FileFacts.MOST_PAGES, facts.pages()); n++) {
        contents.add(PageLook.read(document, n, budget));
      }
      for (int n = 1; n <= drawn; n++) {
        int page = n;
        if (isDrawable(document, n)) {
          PageContent seen =
              PageLook.draw(
                  file,
                  document,
                  contents.get(n - 1),
                  into,
                  budget,
                  (number, place, module, reflected) ->
                      codes.add(new FileFacts.Code(page, number, place, module, reflected)));
          contents.set(n - 1, seen);
        }
      }
    } catch (RuntimeException | IOException e) {
      for (Throwable t = e; t != null; t = t.getCause()) {
        if (t instanceof Refusal r) {
          throw r;
        }
      }
      throw new Refusal(
          "file", "This PDF is damaged and can't be drawn: make it anew and try again.");
    }
    return new FileFacts(
        "PDF",
        file.sha(),
        facts,
        traits,
        List.copyOf(contents),
        List.copyOf(codes),
        Optional.empty());
  }

  /** Whether a page has a size that can be drawn: one inch of sixteen metres can't. */
  private static boolean isDrawable(PDDocument document, int number) {
    var box = document.getPage(number - 1).getCropBox();
    return box.getWidth() > 0.5
        && box.getHeight() > 0.5
        && Math.max(box.getWidth(), box.getHeight())
            < 200 * Math.min(box.getWidth(), box.getHeight());
  }

  private static FileFacts picture(FileBytes file, Path into, Budget budget) throws IOException {
    PictureReader.Shown shown = PictureReader.shown(file, budget, SCREEN);
    Files.write(PageLook.seen(into, 1), shown.screen());
    Picture p = shown.picture();
    double ppi = ppi(file, budget);
    double as = ppi == 0 ? NO_PPI : ppi;
    Size size = new Size(length(p.width(), as), length(p.height(), as));
    Optional<OwnColours> own = OwnColours.of(p);
    return new FileFacts(
        p.format().name(),
        file.sha(),
        new PdfFacts(
            "",
            1,
            new PdfFacts.Page(size, List.of(), 0),
            List.of(),
            List.of(),
            "",
            Math.toIntExact(file.length())),
        FileTraits.NONE,
        List.of(),
        List.of(),
        Optional.of(
            new FileFacts.PictureFacts(
                p.width(),
                p.height(),
                ppi,
                own.map(OwnColours::channels).orElse(3),
                own.map(o -> IccProfile.name(o.profile())).orElse(""),
                JpegQuality.of(p))));
  }

  private static Length length(int pixels, double ppi) {
    return Length.of(
        BigDecimal.valueOf(pixels * MM_PER_INCH / ppi).setScale(4, RoundingMode.HALF_EVEN),
        Unit.MM);
  }

  /** The resolution that a picture says it has; 0 for none, or another across than down. */
  private static double ppi(FileBytes file, Budget budget) {
    try (ImageInputStream in = file.image(budget)) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        return 0;
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, false);
        IIOMetadata said = reader.getImageMetadata(0);
        Element tree = (Element) said.getAsTree("javax_imageio_1.0");
        double across = mm(tree, "HorizontalPixelSize");
        double down = mm(tree, "VerticalPixelSize");
        return across > 0 && Math.abs(across - down) < across / 100 ? MM_PER_INCH / across : 0;
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException e) {
      if (e instanceof Refusal r) {
        throw r;
      }
      return 0;
    }
  }

  private static double mm(Element tree, String name) {
    NodeList all = tree.getElementsByTagName(name);
    return all.getLength() == 0
        ? 0
        : Double.parseDouble(((Element) all.item(0)).getAttribute("value"));
  }
}
