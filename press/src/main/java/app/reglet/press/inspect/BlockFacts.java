package app.reglet.press.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.press.art.Rect;
import app.reglet.press.inspect.page.PageContent;
import app.reglet.press.inspect.page.PageLook;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;

/**
 * What the PDF of a book block says, and what of its pages was looked at: the last ones, whether
 * they are blank, and some all through it, how far their words are from both sides.
 *
 * @param blankAtEnd how many of the last pages paint nothing; no more than {@link #MOST_BLANK}
 * @param margins of the pages that were looked at and have words, in order
 */
public record BlockFacts(PdfFacts pdf, int blankAtEnd, List<Margins> margins) {
  /** So many last pages are looked at. */
  public static final int MOST_BLANK = 64;

  /** So many pages are looked at for their margins. */
  public static final int MOST_LOOKED = 32;

  /** Operators that put something on a page (ISO 32000-2, annex A). */
  private static final Set<String> PAINTING =
      Set.of(
          "S", "s", "f", "F", "f*", "B", "B*", "b", "b*", "sh", "Do", "BI", "ID", "Tj", "TJ", "'",
          "\"");

  /**
   * How far the words of a page are from its sides, as it is trimmed where that is written.
   *
   * @param page from 1
   */
  public record Margins(int page, Length left, Length right) {}

  /**
   * Reads one. What is looked at besides is left out where it costs more than is left, or can't be
   * read: the count and the sizes are told all the same.
   *
   * @throws Refusal when it can't be read, or that costs more than it may
   */
  public static BlockFacts read(FileBytes file, Budget budget) {
    PdfFacts facts = PdfFacts.read(file, budget);
    int blank = 0;
    List<Margins> margins = new ArrayList<>();
    try (PDDocument document = Loader.loadPDF(file.pdf(budget))) {
      int pages = facts.pages();
      while (blank < Math.min(MOST_BLANK, pages - 1)
          && isBlank(document.getPage(pages - 1 - blank), budget)) {
        blank++;
      }
      int looked = Math.min(MOST_LOOKED, pages);
      for (int i = 0; i < looked; i++) {
        int number = 1 + (int) ((long) i * (pages - 1) / Math.max(1, looked - 1));
        margins(document, number, budget).ifPresent(margins::add);
      }
    } catch (IOException | RuntimeException e) {
      // what was seen so far is told
    }
    return new BlockFacts(facts, blank, List.copyOf(margins));
  }

  private static boolean isBlank(PDPage page, Budget budget) throws IOException {
    if (page.hasContents()) {
      PDFStreamParser parser = new PDFStreamParser(page);
      for (Object token = parser.parseNextToken(); token != null; token = parser.parseNextToken()) {
        budget.object();
        if (token instanceof Operator o && PAINTING.contains(o.getName())) {
          return false;
        }
      }
    }
    return page.getAnnotations().isEmpty();
  }

  private static Optional<Margins> margins(PDDocument document, int number, Budget budget) {
    PageContent content = PageLook.read(document, number, budget);
    PDPage page = document.getPage(number - 1);
    if (content.words().isEmpty() || page.getRotation() != 0) {
      return Optional.empty(); // a page that is turned has its spine at another side
    }
    double unit = page.getUserUnit() > 0 ? page.getUserUnit() : 1;
    double mm = unit * 25.4 / 72;
    double left = (page.getTrimBox().getLowerLeftX() - page.getMediaBox().getLowerLeftX()) * mm;
    double right = left + page.getTrimBox().getWidth() * mm;
    double first = content.words().stream().map(w -> w.ink()).mapToDouble(Rect::x).min().orElse(0);
    double last =
        content.words().stream().map(w -> w.ink()).mapToDouble(Rect::right).max().orElse(0);
    return Optional.of(
        new Margins(number, Length.nearMm(first - left), Length.nearMm(right - last)));
  }
}
