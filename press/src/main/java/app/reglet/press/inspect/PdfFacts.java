package app.reglet.press.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType3Font;
import org.apache.pdfbox.pdmodel.graphics.PDXObject;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;

/**
 * What a PDF says of itself, whoever made it.
 *
 * @param version of the PDF format
 * @param pages how many there are
 * @param first the first page
 * @param otherSizes numbers of the pages that differ from the first in size, in order
 * @param fonts on all pages, each once, by name
 * @param title from its metadata
 * @param bytes size of the file
 */
public record PdfFacts(
    String version,
    int pages,
    Page first,
    List<Integer> otherSizes,
    List<FontFact> fonts,
    String title,
    int bytes) {
  /** Largest file that is looked at. */
  public static final int MOST_BYTES = 200_000_000;

  /** Pages whose fonts are looked at, and whose sizes are. */
  private static final int MOST_PAGES_SEARCHED = 2000;

  private static final int MOST_PAGES_READ = 20_000;
  private static final int DEEPEST_FORM = 8;

  /**
   * A page's boxes as seen, after its rotation and user unit.
   *
   * @param boxes media, bleed and trim box and so on, only those that are written in the file
   * @param rotated degrees clockwise
   */
  public record Page(Size media, List<NamedBox> boxes, int rotated) {
    /** The box of this name, or the media box when it isn't written. */
    public Size size(String name) {
      return boxes.stream()
          .filter(b -> b.name().equals(name))
          .map(NamedBox::size)
          .findFirst()
          .orElse(media);
    }

    public boolean has(String name) {
      return boxes.stream().anyMatch(b -> b.name().equals(name));
    }
  }

  /**
   * A page box.
   *
   * @param left from the media box's left edge, as written, not rotated
   * @param bottom from the media box's bottom edge, as written
   */
  public record NamedBox(String name, Size size, Length left, Length bottom) {}

  /** A font and whether it is in the file. */
  public record FontFact(String name, String type, boolean embedded, boolean subset) {}

  /**
   * Reads a PDF.
   *
   * @throws Refusal when it is no PDF, is damaged, or wants a password
   */
  public static PdfFacts read(byte[] file) {
    if (file.length == 0) {
      throw new Refusal("file", "The file is empty: choose a PDF.");
    }
    if (file.length > MOST_BYTES) {
      throw new Refusal(
          "file",
          "The file has "
              + file.length / 1_000_000
              + " MB; Reglet inspects up to "
              + MOST_BYTES / 1_000_000
              + " MB.");
    }
    if (!startsLikePdf(file)) {
      throw new Refusal("file", "This file is no PDF: it does not start with %PDF.");
    }
    try (PDDocument document = Loader.loadPDF(file)) {
      return of(document, file.length);
    } catch (InvalidPasswordException e) {
      throw new Refusal("file", "This PDF wants a password: save it without one and try again.");
    } catch (IOException | RuntimeException e) {
      if (e instanceof Refusal r) {
        throw r;
      }
      throw new Refusal(
          "file", "This PDF is damaged and can't be read: make it anew and try again.");
    }
  }

  private static boolean startsLikePdf(byte[] file) {
    int most =
        Math.min(file.length - 4, 1024); // readers look for the header in the first 1024 bytes
    for (int i = 0; i < most; i++) {
      if (file[i] == '%' && file[i + 1] == 'P' && file[i + 2] == 'D' && file[i + 3] == 'F') {
        return true;
      }
    }
    return false;
  }

  private static PdfFacts of(PDDocument document, int bytes) throws IOException {
    int pages = document.getNumberOfPages();
    if (pages == 0) {
      throw new Refusal("file", "This PDF has no page.");
    }
    Page first = page(document.getPage(0));
    Map<String, FontFact> fonts = new TreeMap<>();
    List<Integer> others = new ArrayList<>();
    int number = 0;
    for (PDPage page : document.getPages()) {
      if (++number > MOST_PAGES_READ) {
        break;
      }
      if (number > 1 && !near(page(page).media(), first.media())) {
        others.add(number);
      }
      if (number <= MOST_PAGES_SEARCHED) {
        fonts(page.getResources(), fonts, 0);
      }
    }
    String title = document.getDocumentInformation().getTitle();
    return new PdfFacts(
        String.valueOf(document.getVersion()),
        pages,
        first,
        List.copyOf(others),
        List.copyOf(fonts.values()),
        title == null ? "" : title,
        bytes);
  }

  private static boolean near(Size a, Size b) {
    Length hair = Length.pt("0.01");
    return !a.width().minus(b.width()).abs().isMoreThan(hair)
        && !a.height().minus(b.height()).abs().isMoreThan(hair);
  }

  private static Page page(PDPage page) {
    PDRectangle media = page.getMediaBox();
    int rotation = Math.floorMod(page.getRotation(), 360);
    boolean swap = rotation == 90 || rotation == 270;
    double unit = 1;
    COSBase userUnit = page.getCOSObject().getDictionaryObject(COSName.getPDFName("UserUnit"));
    if (userUnit instanceof org.apache.pdfbox.cos.COSNumber n && n.floatValue() > 0) {
      unit = n.floatValue();
    }
    List<NamedBox> boxes = new ArrayList<>();
    add(boxes, "MediaBox", page, media, media, swap, unit);
    add(boxes, "CropBox", page, page.getCropBox(), media, swap, unit);
    add(boxes, "BleedBox", page, page.getBleedBox(), media, swap, unit);
    add(boxes, "TrimBox", page, page.getTrimBox(), media, swap, unit);
    add(boxes, "ArtBox", page, page.getArtBox(), media, swap, unit);
    return new Page(size(media, swap, unit), List.copyOf(boxes), rotation);
  }

  private static void add(
      List<NamedBox> boxes,
      String name,
      PDPage page,
      PDRectangle r,
      PDRectangle media,
      boolean swap,
      double unit) {
    if (page.getCOSObject().getDictionaryObject(COSName.getPDFName(name)) == null
        && !name.equals("MediaBox")) {
      return;
    }
    boxes.add(
        new NamedBox(
            name,
            size(r, swap, unit),
            points((r.getLowerLeftX() - media.getLowerLeftX()) * unit),
            points((r.getLowerLeftY() - media.getLowerLeftY()) * unit)));
  }

  private static Size size(PDRectangle r, boolean swap, double unit) {
    Length w = points(r.getWidth() * unit);
    Length h = points(r.getHeight() * unit);
    return swap ? new Size(h, w) : new Size(w, h);
  }

  /** Points, to a thousandth: a PDF's numbers are floats of some seven digits. */
  private static Length points(double points) {
    return Length.of(BigDecimal.valueOf(points).setScale(3, RoundingMode.HALF_EVEN), Unit.PT);
  }

  private static void fonts(PDResources resources, Map<String, FontFact> found, int depth)
      throws IOException {
    if (resources == null || depth > DEEPEST_FORM) {
      return;
    }
    for (COSName name : resources.getFontNames()) {
      PDFont font = resources.getFont(name);
      if (font != null) {
        String fontName = font.getName() == null ? "(unnamed)" : font.getName();
        boolean subset = fontName.matches("[A-Z]{6}\\+.*");
        boolean embedded = font.isEmbedded() || font instanceof PDType3Font;
        found.putIfAbsent(
            fontName + embedded,
            new FontFact(
                subset ? fontName.substring(7) : fontName, font.getSubType(), embedded, subset));
      }
    }
    for (COSName name : resources.getXObjectNames()) {
      if (resources.isImageXObject(name)) {
        continue;
      }
      PDXObject object = resources.getXObject(name);
      if (object instanceof PDFormXObject form) {
        fonts(form.getResources(), found, depth + 1);
      }
    }
  }
}
