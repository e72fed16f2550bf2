package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Rewriting;
import app.reglet.core.design.Span;
import app.reglet.core.measure.Box;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Puts pieces of another cover on this one. */
final class Pasting {
  private final Design design;
  private final Wrap wrap;

  Pasting(Design design, Wrap wrap) {
    this.design = design;
    this.wrap = wrap;
  }

  /** The pieces as they are here: colours that have no name here stand directly. */
  List<Piece> here(Arrangement.Paste e) {
    if (e.copied().isEmpty()) {
      throw new Refusal("What was copied is not on that cover any more: copy it again.");
    }
    Map<String, Colour.Solid> named = design.palette();
    Composition of = Composition.BLANK.withPieces(e.copied());
    List<Piece> pieces = new ArrayList<>();
    for (Piece p :
        Rewriting.coloured(
                of,
                c ->
                    c instanceof Colour.Swatch s && !named.containsKey(s.name())
                        ? e.palette().get(s.name())
                        : c)
            .pieces()) {
      pieces.add(placed(p));
    }
    return pieces;
  }

  private Piece placed(Piece p) {
    if (p.anchors().on(wrap).filter(b -> b.overlaps(wrap.sheetBox())).isPresent()) {
      return p;
    }
    Anchors front = p.anchors().onPanel(PanelKind.FRONT);
    if (front.on(wrap).filter(b -> b.overlaps(wrap.sheetBox())).isPresent()) {
      return p.withAnchors(front);
    }
    Panel on = wrap.panel(PanelKind.FRONT).orElse(wrap.panels().get(0));
    Box trim = on.trim();
    Box box =
        new Box(
            trim.left().plus(trim.width().dividedBy(4)),
            trim.top().plus(trim.height().dividedBy(4)),
            trim.width().half(),
            trim.height().half());
    return p.withAnchors(
        Anchors.hung(Region.trim(on.kind()), Span.Hold.START, Span.Hold.START, box, wrap));
  }

  PrintedSide side() {
    return PrintedSide.of(wrap);
  }
}
