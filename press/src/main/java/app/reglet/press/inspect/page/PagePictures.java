package app.reglet.press.inspect.page;

import app.reglet.press.reading.Budget;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDPage;

/**
 * The pictures of a page that may be placed elsewhere, in its own size.
 *
 * @param all each time one is laid, in their order
 * @param alone whether nothing else is drawn, and they are upright, uncut and of even pixels: then
 *     the page is no finer than they are
 */
public record PagePictures(List<OnPage> all, boolean alone) {
  /** More would be no page of a cover; the first are kept. */
  private static final int MOST = 500;

  public PagePictures {
    all = all == null ? List.of() : List.copyOf(all.subList(0, Math.min(MOST, all.size())));
  }

  /**
   * One as it lies on the page, as seen: shares of the page's width and height, from its top left.
   *
   * @param ppi pixels per inch in the direction in which it has fewer, in the page's own size
   * @param quality at which it was packed with loss, 1 to 100; 0 where it was not, or nobody knows
   */
  public record OnPage(double x, double y, double width, double height, double ppi, int quality) {}

  /**
   * Reads them off a page.
   *
   * @throws app.reglet.core.Refusal when that costs more than it may
   */
  public static PagePictures of(PDPage page, Budget budget) {
    return PageReader.pictures(page, budget);
  }

  /** Pixels per inch of the finest, where there is nothing but pictures; else 0. */
  public double finest() {
    return alone ? all.stream().mapToDouble(OnPage::ppi).max().orElse(0) : 0;
  }
}
