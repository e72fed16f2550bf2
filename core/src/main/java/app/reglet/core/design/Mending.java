package app.reglet.core.design;

import app.reglet.core.check.Remedy;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;

/** Carries a finding's remedy out on a design. */
public final class Mending {
  private final Wrap wrap;

  private Mending(Wrap wrap) {
    this.wrap = wrap;
  }

  /** The mended design; unchanged when the remedy is not of the design or its piece is gone. */
  public static Design apply(Remedy remedy, Design design, Wrap wrap) {
    Mending mending = new Mending(wrap);
    if (remedy instanceof Remedy.IntoSafe r) {
      return design.piece(r.piece()).map(p -> design.with(mending.intoSafe(p))).orElse(design);
    }
    if (remedy instanceof Remedy.FitWords r) {
      return design.piece(r.piece()).map(p -> design.with(mending.intoSafe(p))).orElse(design);
    }
    if (remedy instanceof Remedy.ToBleed r) {
      return design.piece(r.piece()).map(p -> design.with(mending.toBleed(p))).orElse(design);
    }
    if (remedy instanceof Remedy.TakeOff r) {
      return design.without(r.piece());
    }
    if (remedy instanceof Remedy.PlaceBarcode) {
      return placeBarcode(design);
    }
    return design;
  }

  /** With the barcode filling its area, moved there or put in new. */
  public static Design placeBarcode(Design design) {
    Pins area = Pins.filling(Region.BARCODE);
    return design.pieces().stream()
        .filter(p -> p.content() instanceof Content.Barcode)
        .findFirst()
        .map(p -> design.with(p.withPins(area)))
        .orElseGet(
            () ->
                design.plus(
                    new Piece(design.freeId("barcode"), "Barcode", area, new Content.Barcode())));
  }

  /** The box pushed into a panel's safe zone, cut where it is larger, and the words set to fit. */
  private Piece intoSafe(Piece piece) {
    Piece fitted =
        piece.content() instanceof Content.Words w
            ? piece.withContent(w.withSize(w.size(), true))
            : piece;
    Box box = piece.pins().on(wrap).orElse(wrap.trimmed());
    Panel panel = wrap.panelUnder(box).or(() -> wrap.panel(PanelKind.FRONT)).orElseThrow();
    Box safe = panel.safe();
    Length width = box.width().min(safe.width());
    Length height = box.height().min(safe.height());
    Length x = box.left().max(safe.left()).min(safe.right().minus(width));
    Length y = box.top().max(safe.top()).min(safe.bottom().minus(height));
    return fitted.withPins(
        Pins.hung(
            Region.safe(panel.kind()),
            piece.pins().across().hold(),
            piece.pins().down().hold(),
            new Box(x, y, width, height),
            wrap));
  }

  /** Every side that comes near the trim is taken to the edge of the sheet. */
  private Piece toBleed(Piece piece) {
    Box box = piece.pins().on(wrap).orElse(wrap.trimmed());
    Length drift = wrap.rules().safe().drift();
    Box trim = wrap.trimmed();
    Box sheet = wrap.sheetBox();
    Box reached =
        Box.between(
            box.left().isMoreThan(trim.left().plus(drift)) ? box.left() : sheet.left(),
            box.top().isMoreThan(trim.top().plus(drift)) ? box.top() : sheet.top(),
            box.right().isLessThan(trim.right().minus(drift)) ? box.right() : sheet.right(),
            box.bottom().isLessThan(trim.bottom().minus(drift)) ? box.bottom() : sheet.bottom());
    boolean onePanel = wrap.panels().stream().filter(p -> p.art().overlaps(reached)).count() == 1;
    Region region =
        onePanel
            ? new Region(Region.Frame.BLEED, wrap.panelUnder(reached).orElseThrow().kind())
            : Region.SHEET;
    return piece.withPins(Pins.hung(region, Span.Hold.BOTH, Span.Hold.BOTH, reached, wrap));
  }
}
