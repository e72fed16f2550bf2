package app.reglet.press.pdf;

import app.reglet.core.book.Book;
import app.reglet.core.measure.Box;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Rect;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.geom.AffineTransform;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Calendar;
import java.util.GregorianCalendar;
import java.util.List;
import java.util.Locale;
import java.util.TimeZone;
import java.util.zip.CRC32;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.io.MemoryUsageSetting;
import org.apache.pdfbox.io.RandomAccessStreamCache.StreamCacheCreateFunction;
import org.apache.pdfbox.pdfwriter.compress.CompressParameters;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDMetadata;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.apache.xmpbox.XMPMetadata;
import org.apache.xmpbox.schema.DublinCoreSchema;
import org.apache.xmpbox.schema.XMPBasicSchema;
import org.apache.xmpbox.xml.XmpSerializer;

/**
 * The press file: a page of the sheet's size, and one for the inside where that is printed, from
 * the same display list as the screen.
 *
 * <p>Boxes as {@link PageBoxes} has them. Type stays live with embedded subsets; bars are in black
 * ink only (DeviceCMYK 0 0 0 1); other colours are sRGB. The same artwork, book and time give the
 * same bytes.
 */
public final class PressFile {
  private static final double POINTS_PER_MM = 72 / 25.4;
  private static final long IN_MEMORY = 8_000_000;

  private PressFile() {}

  /**
   * Makes the file.
   *
   * @param artwork what is printed
   * @param book for title and author
   * @param made the time written into the file, to the second
   */
  public static byte[] make(Artwork artwork, Book book, Instant made) {
    return make(artwork, artwork.wrap(), book, made);
  }

  /**
   * Makes the file of one page of a cover: of the whole, or of front, spine or back alone.
   *
   * @param artwork what is printed, laid on the whole sheet
   * @param wrap the page
   * @param book for title and author
   * @param made the time written into the file, to the second
   */
  public static byte[] make(Artwork artwork, Wrap wrap, Book book, Instant made) {
    return make(List.of(new Page(artwork, wrap)), book, made);
  }

  /**
   * Makes a file of several pages.
   *
   * @param pages in their order
   */
  public static byte[] make(List<Page> pages, Book book, Instant made) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      write(pages, book, made, out, IOUtils.createMemoryOnlyStreamCache());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  /**
   * A page of the file.
   *
   * @param artwork what is printed, laid on the whole sheet
   * @param wrap what of the sheet the page is
   */
  public record Page(Artwork artwork, Wrap wrap) {}

  /**
   * Writes a file.
   *
   * @param pages in their order
   * @param out where to; not closed
   * @param scratch directory for what doesn't fit the memory while it is made
   * @throws IOException when it can't be written
   */
  public static void write(
      List<Page> pages, Book book, Instant made, OutputStream out, Path scratch)
      throws IOException {
    write(
        pages,
        book,
        made,
        out,
        MemoryUsageSetting.setupMixed(IN_MEMORY).setTempDir(scratch.toFile()).streamCache);
  }

  /**
   * Writes a file of a part of a cover alone, without bleed: the front for sign-off, the flat
   * spread.
   *
   * @param part of the sheet, which is the page
   * @param out where to; not closed
   * @param scratch directory for what doesn't fit the memory while it is made
   * @throws IOException when it can't be written
   */
  public static void writePart(
      Artwork artwork, Box part, Book book, Instant made, OutputStream out, Path scratch)
      throws IOException {
    leaves(
        List.of(new Leaf(artwork, part, PageBoxes.trimmed(part.size()))),
        book,
        made,
        out,
        MemoryUsageSetting.setupMixed(IN_MEMORY).setTempDir(scratch.toFile()).streamCache);
  }

  /** A page to be filled with what of the artwork lies there. */
  private record Leaf(Artwork artwork, Box place, PDPage page) {}

  private static void write(
      List<Page> pages, Book book, Instant made, OutputStream out, StreamCacheCreateFunction cache)
      throws IOException {
    leaves(
        pages.stream()
            .map(p -> new Leaf(p.artwork(), p.wrap().place(), PageBoxes.page(p.wrap())))
            .toList(),
        book,
        made,
        out,
        cache);
  }

  private static void leaves(
      List<Leaf> leaves, Book book, Instant made, OutputStream out, StreamCacheCreateFunction cache)
      throws IOException {
    try (PDDocument document = new PDDocument(cache)) {
      document.setVersion(1.6f);
      document.getDocumentCatalog().addOutputIntent(intent(document));
      CRC32 seed = new CRC32();
      try (PdfParts parts = new PdfParts(document, srgb(document))) {
        for (Leaf each : leaves) {
          PDPage page = each.page();
          document.addPage(page);
          PDResources resources = parts.resources();
          page.setResources(resources);
          byte[] content =
              PdfPainter.write(
                  parts, resources, null, toPage(each.place()), each.artwork().marks());
          page.setContents(
              new PDStream(document, new ByteArrayInputStream(content), COSName.FLATE_DECODE));
          seed.update(content);
        }
        parts.fonts().finish();
        describe(document, book, made);
        document.setDocumentId(seed.getValue());
        document.save(out, CompressParameters.DEFAULT_COMPRESSION);
      }
    }
  }

  /** From mm on the sheet, y down, to points on a page that lies there, y up. */
  private static AffineTransform toPage(Box place) {
    Rect r = Rect.of(place);
    return new AffineTransform(
        POINTS_PER_MM, 0, 0, -POINTS_PER_MM, -r.x() * POINTS_PER_MM, r.bottom() * POINTS_PER_MM);
  }

  /**
   * The name of a file that is handed over: title, kind, house, trim, pages, revision, number.
   * Letters and digits of any script stay.
   *
   * @param kind what it is, {@code wrap}
   * @param revision of the cover
   * @param number of what was made of the edition: two that differ never share one
   * @param ending {@code pdf}
   */
  public static String name(
      Book book, Wrap wrap, String kind, int revision, int number, String ending) {
    return stem(book, wrap, kind + "_" + wrap.house().id())
        + "_r"
        + revision
        + "_no"
        + number
        + "."
        + ending;
  }

  /** A name for any file of a cover, without revision and ending: title, kind, trim, pages. */
  public static String stem(Book book, Wrap wrap, String kind) {
    var unit = wrap.house().unit();
    String title =
        book.title()
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^\\p{L}\\p{N}]+", "-")
            .replaceAll("^-|-$", "");
    String trim =
        wrap.spec().trim().width().figure(unit, 3)
            + "x"
            + wrap.spec().trim().height().figure(unit, 3)
            + unit.symbol();
    String stem =
        title.isEmpty()
            ? "untitled"
            : title.substring(
                0,
                title.offsetByCodePoints(0, Math.min(60, title.codePointCount(0, title.length()))));
    String pages = !wrap.spec().binding().hasPages() ? "" : "_" + wrap.spec().pages() + "pp";
    return stem + "_" + kind + "_" + trim + pages;
  }

  private static byte[] srgbProfile() {
    return ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
  }

  private static PDICCBased srgb(PDDocument document) throws IOException {
    PDICCBased space = new PDICCBased(document);
    try (var out = space.getPDStream().createOutputStream(COSName.FLATE_DECODE)) {
      out.write(srgbProfile());
    }
    space.getPDStream().getCOSObject().setInt(COSName.N, 3);
    space.getPDStream().getCOSObject().setItem(COSName.ALTERNATE, COSName.DEVICERGB);
    return space;
  }

  private static PDOutputIntent intent(PDDocument document) throws IOException {
    PDOutputIntent intent = new PDOutputIntent(document, new ByteArrayInputStream(srgbProfile()));
    intent.setInfo("sRGB IEC61966-2.1");
    intent.setOutputCondition("sRGB IEC61966-2.1");
    intent.setOutputConditionIdentifier("sRGB IEC61966-2.1");
    intent.setRegistryName("http://www.color.org");
    return intent;
  }

  private static void describe(PDDocument document, Book book, Instant made) throws IOException {
    Calendar when = GregorianCalendar.from(made.atZone(ZoneOffset.UTC));
    when.setTimeZone(TimeZone.getTimeZone("UTC"));
    when.set(Calendar.MILLISECOND, 0);
    PDDocumentInformation info = new PDDocumentInformation();
    info.setTitle(book.title());
    info.setAuthor(book.author());
    info.setCreator("Reglet");
    info.setProducer("Reglet");
    info.setCreationDate(when);
    info.setModificationDate(when);
    document.setDocumentInformation(info);
    try {
      XMPMetadata xmp = XMPMetadata.createXMPMetadata();
      DublinCoreSchema dc = xmp.createAndAddDublinCoreSchema();
      dc.setTitle(book.title());
      if (!book.author().isEmpty()) {
        dc.addCreator(book.author());
      }
      book.isbn().ifPresent(i -> dc.setIdentifier("ISBN " + i.digits()));
      XMPBasicSchema basic = xmp.createAndAddXMPBasicSchema();
      basic.setCreatorTool("Reglet");
      basic.setCreateDate(when);
      basic.setModifyDate(when);
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      new XmpSerializer().serialize(xmp, out, true);
      PDMetadata metadata = new PDMetadata(document);
      metadata.importXMPMetadata(
          out.toString(StandardCharsets.UTF_8).getBytes(StandardCharsets.UTF_8));
      document.getDocumentCatalog().setMetadata(metadata);
    } catch (javax.xml.transform.TransformerException e) {
      throw new IOException(e);
    }
  }
}
