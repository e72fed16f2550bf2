package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Scope;
import app.reglet.core.design.Span;
import app.reglet.core.design.Turns;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Regions;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Makes loose pieces one piece, and a group loose pieces again, each where it lies. */
final class Grouping {
  private Grouping() {}

  static Design group(Design design, Wrap wrap, List<String> ids) {
    if (ids.size() < 2) {
      throw new Refusal("A group takes two pieces or more; chosen is " + ids.size() + ".");
    }
    PrintedSide side = design.sideOf(ids.get(0));
    Composition all = design.side(side);
    List<Piece> members = all.pieces().stream().filter(p -> ids.contains(p.id())).toList();
    if (members.size() != ids.size()) {
      throw new Refusal("Only loose pieces of one side can be grouped: ungroup the others first.");
    }
    Box box = null;
    for (Piece p : members) {
      Box one =
          p.anchors()
              .on(wrap)
              .orElseThrow(
                  () ->
                      new Refusal(
                          "“" + p.name() + "” is not on this cover and can't be grouped here."));
      box = box == null ? one : around(box, one);
    }
    Region region = members.get(0).anchors().across().region();
    String id = design.freeId("group");
    Piece group =
        new Piece(
            id,
            "Group " + id.substring("group-".length()),
            Anchors.hung(region, Span.Hold.START, Span.Hold.START, box, wrap),
            new Content.Group(box.size(), inside(members, box, wrap)));
    int top = all.pieces().indexOf(members.get(members.size() - 1));
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < all.pieces().size(); i++) {
      Piece p = all.pieces().get(i);
      if (!ids.contains(p.id())) {
        pieces.add(p);
      }
      if (i == top) {
        pieces.add(group);
      }
    }
    return design.with(side, all.withPieces(pieces));
  }

  private static List<Piece> inside(List<Piece> members, Box box, Wrap wrap) {
    Box whole = new Box(Length.ZERO, Length.ZERO, box.width(), box.height());
    Regions lines = r -> r.equals(Region.GROUP) ? Optional.of(whole) : Optional.empty();
    return members.stream()
        .map(
            p -> {
              Box at = p.anchors().on(wrap).orElseThrow().moved(box.x().negate(), box.y().negate());
              return p.withAnchors(
                  Anchors.hung(Region.GROUP, Span.Hold.START, Span.Hold.START, at, lines));
            })
        .toList();
  }

  private static Box around(Box a, Box b) {
    return Box.between(
        a.left().min(b.left()),
        a.top().min(b.top()),
        a.right().max(b.right()),
        a.bottom().max(b.bottom()));
  }

  static Design ungroup(Design design, Wrap wrap, Piece group) {
    if (!(group.content() instanceof Content.Group content)) {
      throw new Refusal("“" + group.name() + "” is no group.");
    }
    PrintedSide side = design.sideOf(group.id());
    Composition all = design.side(side);
    if (!all.isLoose(group.id())) {
      throw new Refusal("“" + group.name() + "” is in a group itself: ungroup that one first.");
    }
    Scope scope = Scope.of(wrap);
    Box box = scope.place(group).orElse(wrap.trimmed());
    Scope in = scope.inside(group, content, box);
    List<Piece> pieces = new ArrayList<>();
    for (Piece p : all.pieces()) {
      if (p.id().equals(group.id())) {
        content.pieces().forEach(m -> pieces.add(loose(m, in, group, box, wrap)));
      } else {
        pieces.add(p);
      }
    }
    return design.with(side, all.withPieces(pieces));
  }

  private static Piece loose(Piece member, Scope in, Piece group, Box box, Wrap wrap) {
    Box upright = in.place(member).orElse(box);
    Turns t = Turns.of(group.placement());
    double right = upright.centreX().toMm() - box.centreX().toMm();
    double down = upright.centreY().toMm() - box.centreY().toMm();
    Box there =
        t.isNone()
            ? upright
            : upright.moved(
                Length.nearMm(t.xx() * right + t.xy() * down - right),
                Length.nearMm(t.yx() * right + t.yy() * down - down));
    Placement of = group.placement();
    boolean mirrored = of.flip() == Placement.Flip.ACROSS || of.flip() == Placement.Flip.DOWN;
    Placement.Flip flip = member.placement().flip();
    flip = of.flip().isAcross() ? flip.across() : flip;
    flip = of.flip().isDown() ? flip.down() : flip;
    double angle = of.angle() + (mirrored ? -1 : 1) * member.placement().angle();
    Region region = group.anchors().across().region();
    Anchors anchors = Anchors.hung(region, Span.Hold.START, Span.Hold.START, there, wrap);
    return scaled(member, in.typeScale()).withPlacement(new Placement(anchors, angle, flip));
  }

  private static Piece scaled(Piece member, double scale) {
    return scale != 1 && member.content() instanceof Words w
        ? member.withContent(w.withSize(Length.nearMm(w.size().toMm() * scale), w.fit()))
        : member;
  }
}
