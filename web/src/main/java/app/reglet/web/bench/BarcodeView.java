package app.reglet.web.bench;

import app.reglet.core.design.Content;
import app.reglet.web.titles.Cover;

/**
 * A barcode, as the title block shows it.
 *
 * @param magnification percent
 * @param panel colour as text
 * @param onScreen about how that looks, {@code #rrggbb}
 */
public record BarcodeView(
    String magnification,
    boolean fit,
    boolean isbnLine,
    String addOn,
    String panel,
    String onScreen) {
  static BarcodeView of(Content.Barcode b, Cover cover) {
    return new BarcodeView(
        TitleBlock.plain(b.magnification() * 100, 1),
        b.fit(),
        b.isbnLine(),
        b.addOn(),
        b.panel().text(),
        cover.design().solid(b.panel()).hex());
  }
}
