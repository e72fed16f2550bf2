package app.reglet.web.bench;

import app.reglet.core.check.Laid;
import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.web.titles.Cover;

/**
 * The chosen piece as the tray shows it.
 *
 * @param kind words, band or barcode
 * @param words its words, null when it has none
 * @param band its colour, null when it is no band
 * @param from id of the region the figures are measured from, the trim of the panel under it
 * @param fromName that panel in words
 * @param left from there
 * @param top from there
 * @param cameOut the type size it was set at, in words
 * @param region id of the region it hangs on
 */
public record Tray(
    String kind,
    Content.Words words,
    Content.Band band,
    String from,
    String fromName,
    String left,
    String top,
    String width,
    String height,
    String cameOut,
    String region) {

  static Tray of(Piece piece, Wrap wrap, Cover cover) {
    if (piece == null) {
      return null;
    }
    Unit unit = cover.unit();
    Box box = piece.pins().on(wrap).orElse(wrap.trimmed());
    Panel panel = wrap.panelUnder(box).orElse(null);
    Region from = panel == null ? Region.SHEET : Region.trim(panel.kind());
    Box origin = wrap.box(from).orElseThrow();
    String cameOut =
        cover.art().orElseThrow().laid().stream()
            .filter(l -> l.piece().equals(piece.id()) && l instanceof Laid.Words)
            .map(l -> ((Laid.Words) l).size().figure(Unit.PT, 1) + " pt")
            .findFirst()
            .orElse("");
    String kind =
        piece.content() instanceof Content.Words
            ? "words"
            : piece.content() instanceof Content.Band ? "band" : "barcode";
    return new Tray(
        kind,
        piece.content() instanceof Content.Words w ? w : null,
        piece.content() instanceof Content.Band b ? b : null,
        from.id(),
        panel == null ? "sheet" : panel.kind().title().toLowerCase(),
        box.left().minus(origin.left()).brief(unit),
        box.top().minus(origin.top()).brief(unit),
        box.width().brief(unit),
        box.height().brief(unit),
        cameOut,
        piece.pins().across().region().id());
  }
}
