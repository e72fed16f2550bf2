package app.reglet.web.bench;

import app.reglet.core.check.Laid;
import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.measure.Unit;
import app.reglet.press.compose.PageOfFile;
import app.reglet.press.compose.Pictures;
import app.reglet.press.inspect.FileTold;
import app.reglet.press.inspect.PdfPage;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;

/**
 * A placed page of a PDF, or what was cut of a finished file, as the title block shows it.
 *
 * @param number of the page; 0 where it can't be another
 * @param size its own size and that of its trim, in words
 * @param fonts which it is set in, and whether its file brings them
 * @param pictures how many are on it, and how fine they are as it lies
 * @param colours what it is painted in
 */
public record PageView(
    int number, int pages, String size, String fonts, String pictures, String colours) {
  /** Null for what is no page. */
  static PageView of(Piece piece, List<Laid> laid, Pictures pictures, Unit unit) {
    if (piece.content() instanceof Content.Page page) {
      return of(page.number(), pictures.page(page.sha(), page.number()), piece, laid, unit);
    }
    return piece.content() instanceof Content.Cutting c && c.page() > 0
        ? of(0, pictures.page(c.sha(), c.page()), piece, laid, unit)
        : null;
  }

  private static PageView of(
      int number, Optional<PageOfFile> file, Piece piece, List<Laid> laid, Unit unit) {
    if (file.isEmpty()) {
      return new PageView(number, number, "not here", "", "", "");
    }
    PdfPage about = file.get().about();
    String size = about.size().print(unit);
    String trim = about.trim().print(unit);
    return new PageView(
        number,
        number == 0 ? 0 : about.pages(),
        size.equals(trim) ? size : size + ", trimmed " + trim,
        FileTold.fonts(about),
        FileTold.pictures(ppi(piece, laid)),
        FileTold.colours(about));
  }

  private static DoubleStream ppi(Piece piece, List<Laid> laid) {
    return laid.stream()
        .filter(l -> l.piece().equals(piece.id()) && l instanceof Laid.Page)
        .flatMap(l -> ((Laid.Page) l).on().stream())
        .filter(Laid.Picture.class::isInstance)
        .mapToDouble(l -> ((Laid.Picture) l).ppi());
  }
}
