package app.reglet.core.carry;

import app.reglet.core.check.Finding;
import app.reglet.core.check.Laid;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Piece;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.Optional;

/**
 * A side of a cover as it came out.
 *
 * @param wrap its sheet
 * @param side what was composed
 * @param laid as it was laid on the sheet
 * @param findings what checks say of it
 */
public record Seen(Wrap wrap, Composition side, List<Laid> laid, List<Finding> findings) {
  public Seen {
    laid = List.copyOf(laid);
    findings = List.copyOf(findings);
  }

  /** The loose piece of an id, where it is seen. */
  Optional<Piece> piece(String id) {
    return side.pieces().stream()
        .filter(p -> p.id().equals(id) && Carry.isThere(p, wrap))
        .findFirst();
  }

  /** Where a piece lies on the sheet. */
  Box box(Piece piece) {
    return piece.anchors().on(wrap).orElseThrow();
  }

  /**
   * The panel a box lies on alone, but for its bleed; empty for several. A hinge is its board's.
   */
  Optional<PanelKind> panel(Box box) {
    return Sheets.home(wrap, box);
  }

  /** A box from the corner of a panel, or of the trimmed cover where it lies on none. */
  Box on(Optional<PanelKind> panel, Box box) {
    Box corner = panel.flatMap(wrap::panel).map(Panel::trim).orElse(wrap.trimmed());
    return box.moved(corner.left().negate(), corner.top().negate());
  }

  /** The size that words came out at; empty for what is no words. */
  Optional<Length> size(String id) {
    return laid.stream()
        .filter(l -> l.piece().equals(id) && l instanceof Laid.Words)
        .map(l -> ((Laid.Words) l).size())
        .findFirst();
  }
}
