package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Carries arrangements out on loose pieces. Turned pieces are laid by what they take turned. */
final class Arranging implements Arrangement.Kinds<Design> {
  private static final Length BESIDE = Length.mm("4");

  private final Design design;
  private final Wrap wrap;
  private final Placing placing;

  Arranging(Design design, Wrap wrap) {
    this.design = design;
    this.wrap = wrap;
    this.placing = new Placing(design, wrap);
  }

  private List<Piece> loose(List<String> ids) {
    List<Piece> pieces = new ArrayList<>();
    for (String id : ids) {
      Piece p =
          design.side(PrintedSide.of(wrap)).pieces().stream()
              .filter(q -> q.id().equals(id))
              .findFirst()
              .orElseThrow(
                  () ->
                      new Refusal("Only loose pieces can be arranged: ungroup the others first."));
      if (p.anchors().on(wrap).isEmpty()) {
        throw new Refusal("“" + p.name() + "” is not on this cover and can't be arranged here.");
      }
      pieces.add(p);
    }
    return pieces;
  }

  private Box extent(Piece p) {
    return Together.extent(p, wrap);
  }

  private Panel panel(Piece p) {
    return wrap.panelUnder(extent(p))
        .orElseThrow(() -> new Refusal("“" + p.name() + "” lies on no panel."));
  }

  private Box reference(Piece p, List<Piece> all, Arrangement.Against against) {
    return switch (against) {
      case PANEL -> panel(p).trim();
      case PART -> wrap.box(p.anchors().across().region()).orElseGet(() -> panel(p).trim());
      case SELECTION -> all.stream().map(this::extent).reduce(Together::round).orElseThrow();
    };
  }

  @Override
  public Design align(Arrangement.Align e) {
    List<Piece> all = loose(e.pieces());
    if (e.against() == Arrangement.Against.SELECTION && all.size() < 2) {
      throw new Refusal("To align pieces with each other takes two or more; chosen is 1.");
    }
    Design aligned = design;
    for (Piece p : all) {
      Box to = reference(p, all, e.against());
      Box from = extent(p);
      Length by =
          switch (e.edge()) {
            case LEFT -> to.left().minus(from.left());
            case CENTRE -> to.centreX().minus(from.centreX());
            case RIGHT -> to.right().minus(from.right());
            case TOP -> to.top().minus(from.top());
            case MIDDLE -> to.centreY().minus(from.centreY());
            case BOTTOM -> to.bottom().minus(from.bottom());
          };
      Piece moved =
          e.edge().isAcross()
              ? placing.moved(p, by, Length.ZERO)
              : placing.moved(p, Length.ZERO, by);
      Piece laid =
          e.against() == Arrangement.Against.PANEL ? held(moved, panel(p), e.edge()) : moved;
      aligned = aligned.changed(p.id(), q -> laid);
    }
    return aligned;
  }

  /** What is aligned with its panel hangs so from then: another page count leaves it aligned. */
  private Piece held(Piece p, Panel panel, Arrangement.Edge edge) {
    Box box = p.anchors().on(wrap).orElseThrow();
    Region trim = Region.trim(panel.kind());
    Span.Hold hold =
        switch (edge) {
          case LEFT, TOP -> Span.Hold.START;
          case CENTRE, MIDDLE -> Span.Hold.MIDDLE;
          case RIGHT, BOTTOM -> Span.Hold.END;
        };
    boolean across = edge.isAcross();
    Span now = across ? p.anchors().across() : p.anchors().down();
    if (now.hold() == Span.Hold.BOTH) {
      return p; // it goes from edge to edge
    }
    Anchors hung = Anchors.hung(trim, hold, hold, box, wrap);
    return p.withAnchors(
        across
            ? new Anchors(hung.across(), p.anchors().down())
            : new Anchors(p.anchors().across(), hung.down()));
  }

  @Override
  public Design spread(Arrangement.Spread e) {
    List<Piece> all = new ArrayList<>(loose(e.pieces()));
    int least = e.against() == Arrangement.Against.SELECTION ? 3 : 2;
    if (all.size() < least) {
      throw new Refusal(
          "To spread pieces evenly takes " + least + " or more; chosen is " + all.size() + ".");
    }
    Comparator<Piece> order =
        Comparator.comparing(p -> e.across() ? extent(p).centreX() : extent(p).centreY());
    all.sort(order);
    Box in = reference(all.get(0), all, e.against());
    Length room = e.across() ? in.width() : in.height();
    for (Piece p : all) {
      room = room.minus(size(p, e.across()));
    }
    Length gap = room.dividedBy(all.size() - 1);
    Length at = e.across() ? in.left() : in.top();
    Design spread = design;
    for (Piece p : all) {
      Box from = extent(p);
      Length by = at.minus(e.across() ? from.left() : from.top());
      Piece moved =
          e.across() ? placing.moved(p, by, Length.ZERO) : placing.moved(p, Length.ZERO, by);
      spread = spread.changed(p.id(), q -> moved);
      at = at.plus(size(p, e.across())).plus(gap);
    }
    return spread;
  }

  private Length size(Piece p, boolean across) {
    return across ? extent(p).width() : extent(p).height();
  }

  @Override
  public Design stretch(Arrangement.Stretch e) {
    return new Together(design, wrap).stretched(loose(e.pieces()), e);
  }

  @Override
  public Design swing(Arrangement.Swing e) {
    return new Together(design, wrap).swung(loose(e.pieces()), e.by());
  }

  @Override
  public Design snap(Arrangement.Snap e) {
    Piece p = loose(e.pieces()).get(0);
    Piece there = placing.snapped(p, e);
    return design.changed(p.id(), q -> there);
  }

  @Override
  public Design paste(Arrangement.Paste e) {
    Set<String> taken = taken();
    Design pasted = design;
    for (Piece p : new Pasting(design, wrap).here(e)) {
      Piece named = renumbered(p.locked(false), taken);
      pasted = pasted.changed(PrintedSide.of(wrap), c -> c.plus(named));
    }
    return pasted;
  }

  private Set<String> taken() {
    Set<String> taken = new HashSet<>();
    for (PrintedSide side : PrintedSide.values()) {
      design.side(side).all().map(Piece::id).forEach(taken::add);
    }
    return taken;
  }

  @Override
  public Design copy(Arrangement.Copy e) {
    Set<String> taken = taken();
    Design copied = design;
    for (Piece p : loose(e.pieces())) {
      Piece there = e.to().isEmpty() ? beside(p) : on(p, e.to().get(), e.mirrored());
      Piece named = renumbered(there.locked(false), taken);
      copied = copied.changed(PrintedSide.of(wrap), c -> c.plus(named));
    }
    return copied;
  }

  /** A little to the right and down; to the left and up where it would leave the sheet. */
  private Piece beside(Piece p) {
    Box box = extent(p);
    Box sheet = wrap.sheetBox();
    Length right = box.right().plus(BESIDE).isMoreThan(sheet.right()) ? BESIDE.negate() : BESIDE;
    Length down = box.bottom().plus(BESIDE).isMoreThan(sheet.bottom()) ? BESIDE.negate() : BESIDE;
    return placing.moved(p, right, down);
  }

  private Piece on(Piece p, PanelKind to, boolean mirrored) {
    Panel target =
        wrap.panel(to)
            .orElseThrow(
                () ->
                    new Refusal("This cover has no " + to.title().toLowerCase(Locale.ROOT) + "."));
    Box from = panel(p).trim();
    Box box = p.anchors().on(wrap).orElseThrow();
    Length left = box.left().minus(from.left());
    Length x =
        mirrored
            ? target.trim().right().minus(left).minus(box.width())
            : target.trim().left().plus(left);
    Box there =
        new Box(
            x, target.trim().top().plus(box.top().minus(from.top())), box.width(), box.height());
    Region.Bounds bounds = p.anchors().across().region().bounds();
    Region region =
        new Region(
            bounds == Region.Bounds.SAFE || bounds == Region.Bounds.BLEED
                ? bounds
                : Region.Bounds.TRIM,
            to);
    Span.Hold across = p.anchors().across().hold();
    Span.Hold held =
        !mirrored || across == Span.Hold.MIDDLE || across == Span.Hold.BOTH
            ? across
            : across == Span.Hold.START ? Span.Hold.END : Span.Hold.START;
    Placement placement = p.placement();
    if (mirrored) {
      placement = placement.withAngle(-placement.angle());
      placement = isReadable(p) ? placement : placement.withFlip(placement.flip().across());
    }
    return p.withPlacement(
        placement.withAnchors(Anchors.hung(region, held, p.anchors().down().hold(), there, wrap)));
  }

  /** Whether it must not be mirrored: it has words or a barcode. */
  private static boolean isReadable(Piece piece) {
    return new Composition(Composition.EMPTY.ground(), List.of(piece))
        .all()
        .anyMatch(p -> p.content() instanceof Words || p.content() instanceof Content.Barcode);
  }

  /** With ids that nothing has yet, those of pieces in groups too. */
  private static Piece renumbered(Piece piece, Set<String> taken) {
    String stem = piece.id().replaceFirst("-\\d+$", "");
    int n = 1;
    while (!taken.add(stem + "-" + n)) {
      n++;
    }
    Piece named = piece.withId(stem + "-" + n);
    return piece.content() instanceof Content.Group g
        ? named.withContent(
            g.withPieces(g.pieces().stream().map(p -> renumbered(p, taken)).toList()))
        : named;
  }
}
