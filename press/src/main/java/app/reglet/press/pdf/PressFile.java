package app.reglet.press.pdf;

import app.reglet.core.book.Book;
import app.reglet.core.house.PressRules;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Mark;
import app.reglet.press.art.PlacedPage;
import app.reglet.press.art.Rect;
import java.awt.geom.AffineTransform;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.zip.CRC32;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.io.MemoryUsageSetting;
import org.apache.pdfbox.io.RandomAccessStreamCache.StreamCacheCreateFunction;
import org.apache.pdfbox.pdfwriter.compress.CompressParameters;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDStream;

/**
 * The press file: a page of the sheet's size, and one for the inside where that is printed, from
 * the same display list as the screen.
 *
 * <p>Boxes as {@link PageBoxes} has them. Type stays live with embedded subsets unless the house
 * wants outlines; bars are in black ink only (DeviceCMYK 0 0 0 1); other colours are sRGB or inks,
 * as {@link PressMaking} says. The same artwork, book, making and time give the same bytes.
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
    return make(pages, book, made, PressMaking.SCREEN);
  }

  /** Makes a file of several pages as a house wants it. */
  public static byte[] make(List<Page> pages, Book book, Instant made, PressMaking making) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      write(pages, book, made, making, Progress.none(), out, IOUtils.createMemoryOnlyStreamCache());
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
   * @param making how
   * @param progress told how far it is
   * @param out where to; not closed
   * @param scratch directory for what doesn't fit the memory while it is made
   * @throws IOException when it can't be written
   */
  public static void write(
      List<Page> pages,
      Book book,
      Instant made,
      PressMaking making,
      Progress progress,
      OutputStream out,
      Path scratch)
      throws IOException {
    write(
        pages,
        book,
        made,
        making,
        progress,
        out,
        MemoryUsageSetting.setupMixed(IN_MEMORY).setTempDir(scratch.toFile()).streamCache);
  }

  /**
   * Writes a file of a part of a cover alone, without bleed: the front for sign-off, the flat
   * spread.
   *
   * @param part of the sheet, which is the page
   * @param making how
   * @param progress told how far it is
   * @param out where to; not closed
   * @param scratch directory for what doesn't fit the memory while it is made
   * @throws IOException when it can't be written
   */
  public static void writePart(
      Artwork artwork,
      Box part,
      Book book,
      Instant made,
      PressMaking making,
      Progress progress,
      OutputStream out,
      Path scratch)
      throws IOException {
    leaves(
        List.of(new Leaf(artwork, part, PageBoxes.trimmed(part.size()), List.of(), 0)),
        book,
        made,
        making,
        progress,
        out,
        MemoryUsageSetting.setupMixed(IN_MEMORY).setTempDir(scratch.toFile()).streamCache);
  }

  /**
   * A page to be filled with what of the artwork lies there.
   *
   * @param marks the printer's, round it
   * @param around how much wider it is than the place, on every side, mm
   */
  private record Leaf(Artwork artwork, Box place, PDPage page, List<Mark> marks, double around) {
    static Leaf of(Page p, PrintersMarks asked) {
      double around = asked.isNone() ? 0 : PrintersMarks.AROUND;
      return new Leaf(
          p.artwork(),
          p.wrap().place(),
          PageBoxes.page(p.wrap(), Length.nearMm(around)),
          asked.of(p.wrap()),
          around);
    }
  }

  private static void write(
      List<Page> pages,
      Book book,
      Instant made,
      PressMaking making,
      Progress progress,
      OutputStream out,
      StreamCacheCreateFunction cache)
      throws IOException {
    leaves(
        pages.stream().map(p -> Leaf.of(p, making.marks())).toList(),
        book,
        made,
        making,
        progress,
        out,
        cache);
  }

  private static void leaves(
      List<Leaf> leaves,
      Book book,
      Instant made,
      PressMaking making,
      Progress progress,
      OutputStream out,
      StreamCacheCreateFunction cache)
      throws IOException {
    try (PDDocument document = new PDDocument(cache)) {
      document.setVersion(making.isX1a() ? 1.4f : 1.6f);
      Described described = new Described(document, making);
      described.intent();
      CRC32 seed = new CRC32();
      PressMarks marks = new PressMarks(making);
      List<List<Mark>> ready = new ArrayList<>();
      try (PdfParts parts = parts(document, making, marks, described, progress)) {
        for (Leaf each : leaves) {
          List<Mark> all =
              new ArrayList<>(marks.of(each.artwork().marks(), each.place(), parts::stays));
          progress.expect(Weight.of(all, making.isInks()).pixels());
          all.addAll(each.marks());
          ready.add(all);
        }
        for (int i = 0; i < leaves.size(); i++) {
          Leaf each = leaves.get(i);
          PDPage page = each.page();
          document.addPage(page);
          PDResources resources = parts.resources();
          page.setResources(resources);
          byte[] content =
              PdfPainter.write(
                  parts, resources, null, toPage(each.place(), each.around()), ready.get(i));
          page.setContents(
              new PDStream(document, new ByteArrayInputStream(content), COSName.FLATE_DECODE));
          if (making.isX4()) {
            parts.mix(page);
          }
          seed.update(content);
        }
        parts.fonts().finish();
        seed.update(making.toSeed());
        described.write(book, made, seed.getValue());
        document.setDocumentId(seed.getValue());
        // objects packed into streams are of PDF 1.5, and not every intake reads them
        document.save(
            out,
            making.rules().standard() == PressRules.Standard.PLAIN
                ? CompressParameters.DEFAULT_COMPRESSION
                : CompressParameters.NO_COMPRESSION);
      }
    }
  }

  /** About how large a file would be. */
  public static Weight weight(List<Page> pages, PressMaking making) {
    PressMarks marks = new PressMarks(making);
    Predicate<PlacedPage> stays = LaidForms.maybe(making);
    return pages.stream()
        .map(
            p -> Weight.of(marks.of(p.artwork().marks(), p.wrap().place(), stays), making.isInks()))
        .reduce(Weight::and)
        .orElseThrow();
  }

  /**
   * What placed pages have for which they become pixels in a file, letters and all: a page that is
   * nothing but pixels is not counted.
   *
   * @return each reason once, as "a page has ..." goes on; empty where all of them stay what they
   *     are
   */
  public static List<String> hindrances(List<Page> pages, PressMaking making) {
    if (making.rules().asPicture() > 0) {
      return List.of();
    }
    Set<PlacedPage> placed = new LinkedHashSet<>();
    pages.forEach(p -> placed(p.artwork().marks(), placed));
    return placed.stream()
        .filter(p -> p.pixels() == 0)
        .flatMap(p -> LaidForms.hindered(p, making).stream())
        .distinct()
        .toList();
  }

  private static void placed(List<? extends Mark> marks, Set<PlacedPage> found) {
    for (Mark mark : marks) {
      if (mark instanceof Mark.Page p) {
        found.add(p.page().seen(PlacedPage.WHOLE));
      } else if (mark instanceof Mark.Group g) {
        placed(g.marks(), found);
      } else if (mark instanceof Mark.Tiled t) {
        placed(t.motif(), found);
      }
    }
  }

  private static PdfParts parts(
      PDDocument document,
      PressMaking making,
      PressMarks marks,
      Described described,
      Progress progress)
      throws IOException {
    return making.isInks()
        ? PdfParts.inInks(
            document,
            making,
            new InkImages(document, making.inks(), marks.pixels(), making.quality(), progress))
        : new PdfParts(document, described.srgb(), progress);
  }

  /** From mm on the sheet, y down, to points on a page that lies there, y up. */
  private static AffineTransform toPage(Box place, double around) {
    Rect r = Rect.of(place);
    return new AffineTransform(
        POINTS_PER_MM,
        0,
        0,
        -POINTS_PER_MM,
        (around - r.x()) * POINTS_PER_MM,
        (around + r.bottom()) * POINTS_PER_MM);
  }
}
