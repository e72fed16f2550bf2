package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.DesignLimits;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Scope;
import app.reglet.core.design.Span;
import app.reglet.core.design.Turns;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.Optional;

/** Lays pieces elsewhere. What is moved onto another panel hangs on that one's lines from then. */
final class Placing {
  private final Design design;
  private final Wrap wrap;
  private final Unit unit;

  /** One that speaks the house's unit. */
  Placing(Design design, Wrap wrap) {
    this(design, wrap, wrap.house().unit());
  }

  /**
   * @param unit of the figures in what is said
   */
  Placing(Design design, Wrap wrap, Unit unit) {
    this.design = design;
    this.wrap = wrap;
    this.unit = unit;
  }

  /** The scope that a piece lies in. */
  Scope scopeOf(Piece piece) {
    for (PrintedSide side : PrintedSide.values()) {
      Optional<Scope> found = find(design.side(side).pieces(), Scope.of(wrap), piece.id());
      if (found.isPresent()) {
        return found.get();
      }
    }
    return Scope.of(wrap);
  }

  private Optional<Scope> find(List<Piece> pieces, Scope scope, String id) {
    for (Piece p : pieces) {
      if (p.id().equals(id)) {
        return Optional.of(scope);
      }
      if (p.content() instanceof Content.Group g) {
        Box box = scope.place(p).orElse(wrap.trimmed());
        Optional<Scope> found = find(g.pieces(), scope.inside(p, g, box), id);
        if (found.isPresent()) {
          return found;
        }
      }
    }
    return Optional.empty();
  }

  /** Moved by a distance on the sheet, exactly. */
  Piece moved(Piece piece, Length right, Length down) {
    Scope scope = scopeOf(piece);
    Length[] by = scope.turns().inwards(right, down);
    Optional<Box> box = scope.place(piece);
    Box there = box.orElse(wrap.trimmed()).moved(by[0], by[1]);
    boolean elsewhere = box.isEmpty() || changesPanel(piece, scope, there);
    if (scope.natural() == null && !elsewhere) {
      onSheet(there);
      return piece.withAnchors(piece.anchors().movedBy(by[0], by[1]));
    }
    return laid(piece, scope, there);
  }

  Piece resized(Piece piece, Edit.Resize e) {
    Scope scope = scopeOf(piece);
    Box box = scope.place(piece).orElse(wrap.trimmed());
    Length left = box.left().plus(e.left());
    Length top = box.top().plus(e.top());
    Length right = box.right().plus(e.right());
    Length bottom = box.bottom().plus(e.bottom());
    if (right.isLessThan(left) || bottom.isLessThan(top)) {
      throw new Refusal("So resized, “" + piece.name() + "” would be turned inside out.");
    }
    return laid(piece, scope, held(piece, box, Box.between(left, top, right, bottom)));
  }

  /**
   * A turned piece turns about its middle, which another size moves: laid so that the corner that
   * is not pulled stays where it is on the sheet.
   */
  private static Box held(Piece piece, Box before, Box after) {
    Turns t = Turns.of(piece.placement());
    if (t.isNone()) {
      return after;
    }
    double dx = after.centreX().toMm() - before.centreX().toMm();
    double dy = after.centreY().toMm() - before.centreY().toMm();
    return after.moved(
        Length.nearMm(t.xx() * dx + t.xy() * dy - dx),
        Length.nearMm(t.yx() * dx + t.yy() * dy - dy));
  }

  /** Laid by typed figures; one that isn't given stays as exact as it is. */
  Piece placed(Piece piece, Edit.Place e) {
    Scope scope = scopeOf(piece);
    Box origin =
        wrap.box(e.from())
            .orElseThrow(() -> new Refusal("This cover has no such part to measure from."));
    Box box = scope.place(piece).orElse(wrap.trimmed());
    Length width = e.width().orElse(box.width());
    Length height = e.height().orElse(box.height());
    if (!width.isPositive() || !height.isPositive()) {
      throw new Refusal(
          "Width and height must be above zero; typed were "
              + width.print(unit)
              + " and "
              + height.print(unit)
              + ".");
    }
    Length left = e.left().map(l -> origin.left().plus(l)).orElse(box.left());
    Length top = e.top().map(t -> origin.top().plus(t)).orElse(box.top());
    return laid(piece, scope, new Box(left, top, width, height));
  }

  /** Hung on other lines: it stays where it is, or goes to the panel that is asked for. */
  Piece hung(Piece piece, Edit.Hang e) {
    Scope scope = scopeOf(piece);
    Box lines =
        scope
            .regions()
            .box(e.region())
            .orElseThrow(
                () ->
                    new Refusal(
                        "This cover has no " + e.region().id().replace('.', ' ') + " to hang on."));
    PanelKind from = piece.anchors().across().region().panel();
    PanelKind to = e.region().panel();
    Anchors anchors = piece.anchors();
    if (from != null && to != null && from != to) {
      Anchors there = anchors.onPanel(to);
      anchors = there.on(scope.regions()).isPresent() ? there : Anchors.filling(e.region());
    }
    Box box = anchors.on(scope.regions()).orElse(lines);
    return piece.withAnchors(Anchors.hung(e.region(), e.across(), e.down(), box, scope.regions()));
  }

  /** Upright from edge to edge of its panel with the bleed, or of the whole sheet. */
  Piece filling(Piece piece) {
    Scope scope = scopeOf(piece);
    PanelKind on = piece.anchors().across().region().panel();
    Region region = on == null ? Region.SHEET : new Region(Region.Bounds.BLEED, on);
    if (scope.regions().box(region).isEmpty()) {
      throw new Refusal(
          "A piece in a group fills no panel: take it out of its group, or size the group.");
    }
    return piece.withPlacement(piece.placement().withAnchors(Anchors.filling(region)).withAngle(0));
  }

  /** Moved, and hung from then on what it was laid on; what goes from edge to edge goes on so. */
  Piece snapped(Piece piece, Arrangement.Snap e) {
    Piece there = moved(piece, e.right(), e.down());
    Box box = there.anchors().on(wrap).orElseThrow();
    Anchors a = there.anchors();
    return there.withAnchors(
        new Anchors(
            e.across().map(h -> hung(a.across(), h, box, true)).orElse(a.across()),
            e.along().map(h -> hung(a.down(), h, box, false)).orElse(a.down())));
  }

  private Span hung(Span now, Arrangement.Hanging on, Box box, boolean across) {
    if (now.hold() == Span.Hold.BOTH || wrap.box(on.region()).isEmpty()) {
      return now;
    }
    Anchors hung = Anchors.hung(on.region(), on.hold(), on.hold(), box, wrap);
    return across ? hung.across() : hung.down();
  }

  Piece laid(Piece piece, Scope scope, Box box) {
    if (box.width().isLessThan(DesignLimits.LEAST_PIECE)
        || box.height().isLessThan(DesignLimits.LEAST_PIECE)) {
      throw new Refusal(
          "A piece is at least "
              + DesignLimits.LEAST_PIECE.brief(unit)
              + " wide and high; this would be "
              + box.size().brief(unit)
              + ".");
    }
    onSheet(box);
    if (piece.anchors().on(scope.regions()).isEmpty() || changesPanel(piece, scope, box)) {
      Region region = piece.anchors().across().region();
      Region.Bounds bounds =
          region.bounds() == Region.Bounds.BARCODE || region.panel() == null
              ? Region.Bounds.SAFE
              : region.bounds();
      PanelKind under = wrap.panelUnder(box).map(Panel::kind).orElse(PanelKind.FRONT);
      Region there = new Region(bounds, under.isHinge() ? PanelKind.FRONT : under);
      return piece.withAnchors(
          Anchors.hung(
              there, piece.anchors().across().hold(), piece.anchors().down().hold(), box, wrap));
    }
    return piece.withAnchors(piece.anchors().placed(scope.regions(), scope.fromSheet(box)));
  }

  private boolean changesPanel(Piece piece, Scope scope, Box box) {
    if (scope.natural() != null) {
      return false;
    }
    PanelKind panel = piece.anchors().across().region().panel();
    PanelKind under = wrap.panelUnder(box).map(Panel::kind).orElse(null);
    return panel != null && under != null && under != panel;
  }

  private void onSheet(Box box) {
    if (!box.overlaps(wrap.sheetBox())) {
      throw new Refusal(
          "There it would lie off the sheet of "
              + wrap.sheet().brief(wrap.house().unit())
              + ", where nobody could take hold of it again.");
    }
  }
}
