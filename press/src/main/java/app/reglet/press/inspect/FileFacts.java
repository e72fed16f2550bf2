package app.reglet.press.inspect;

import app.reglet.press.art.Rect;
import app.reglet.press.inspect.page.PageContent;
import java.util.List;
import java.util.Optional;

/**
 * Everything that was found in a file that somebody brought: what it says of itself, what it
 * carries, and what is drawn on its first pages.
 *
 * @param kind {@code PDF}, {@code JPEG}, {@code PNG} or {@code TIFF}
 * @param sha SHA-256 of its bytes, in hex
 * @param pdf pages, boxes and fonts; of a picture its size at its own resolution
 * @param traits what it carries
 * @param pages what is on those that were looked into
 * @param codes barcodes that were read back
 * @param picture what only a picture has
 */
public record FileFacts(
    String kind,
    String sha,
    PdfFacts pdf,
    FileTraits traits,
    List<PageContent> pages,
    List<Code> codes,
    Optional<PictureFacts> picture) {
  /** Pages that are looked into; of more only size and fonts are told. */
  public static final int MOST_PAGES = 12;

  /** Pages that are drawn. */
  public static final int MOST_DRAWN = 4;

  /**
   * A barcode that was read back.
   *
   * @param page it is on, from 1
   * @param place of its bars, mm from the page's top left as seen
   * @param module width of its thinnest bar, mm
   * @param reflected share of red light that its panel gives back, 0 to 1
   */
  public record Code(int page, String number, Rect place, double module, double reflected) {}

  /**
   * What a picture has.
   *
   * @param width pixels
   * @param height pixels
   * @param ppi that it says it has; 0 for none said
   * @param channels of its colours
   * @param profile its profile's name; empty for none
   * @param quality at which it was packed with loss, 1 to 100; 0 where it was not, or nobody knows
   */
  public record PictureFacts(
      int width, int height, double ppi, int channels, String profile, int quality) {}

  /** What is on a page, where it was looked into. */
  public Optional<PageContent> page(int number) {
    return pages.stream().filter(p -> p.number() == number).findFirst();
  }

  /** Whether it is a PDF; a picture has no pages. */
  public boolean hasPages() {
    return kind.equals("PDF");
  }
}
