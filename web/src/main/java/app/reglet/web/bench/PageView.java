package app.reglet.web.bench;

import app.reglet.core.design.Content;
import app.reglet.core.measure.Unit;
import app.reglet.press.compose.Pictures;
import app.reglet.press.inspect.PdfFacts.FontFact;
import app.reglet.press.inspect.PdfPage;
import java.util.stream.Collectors;

/**
 * A placed page of a PDF, as the title block shows it.
 *
 * @param size its own size and that of its trim, in words
 * @param fonts which it is set in, and whether its file brings them
 */
public record PageView(int number, int pages, String size, String fonts) {
  static PageView of(Content.Page page, Pictures pictures, Unit unit) {
    return pictures
        .page(page.sha(), page.number())
        .map(p -> of(p.about(), unit))
        .orElse(new PageView(page.number(), page.number(), "not here", ""));
  }

  private static PageView of(PdfPage about, Unit unit) {
    String size = about.size().print(unit);
    String trim = about.trim().print(unit);
    return new PageView(
        about.number(),
        about.pages(),
        size.equals(trim) ? size : size + ", trimmed " + trim,
        about.fonts().isEmpty()
            ? "no type in it"
            : about.fonts().stream().map(PageView::font).collect(Collectors.joining(", ")));
  }

  private static String font(FontFact f) {
    return f.name() + (f.embedded() ? "" : " (not in the file)");
  }
}
