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
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Regions;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Predicate;

/** Makes pieces one piece, and a group its pieces again, each where it lies, at any depth. */
final class Grouping {
  private Grouping() {}

  static Design group(Design design, Wrap wrap, List<String> ids) {
    if (ids.size() < 2) {
      throw new Refusal("A group takes two pieces or more; chosen is " + ids.size() + ".");
    }
    PrintedSide side = design.sideOf(ids.get(0));
    Composition all = design.side(side);
    List<Piece> grouped =
        among(
                all.pieces(),
                wrap,
                siblings ->
                    siblings.stream().filter(p -> ids.contains(p.id())).count() == ids.size(),
                (siblings, lines) -> grouped(siblings, lines, ids, design.freeId("group")))
            .orElseThrow(
                () ->
                    new Refusal(
                        "Only pieces that lie together can be grouped: all loose on one side, or all in one group."));
    return design.with(side, all.withPieces(grouped));
  }

  /** What is done to pieces that lie together, and the lines they hang on. */
  private interface Way extends BiFunction<List<Piece>, Regions, List<Piece>> {}

  /** Does something among the pieces that are meant, wherever they lie; empty when nowhere. */
  private static Optional<List<Piece>> among(
      List<Piece> pieces, Regions lines, Predicate<List<Piece>> meant, Way way) {
    if (meant.test(pieces)) {
      return Optional.of(way.apply(pieces, lines));
    }
    for (int i = 0; i < pieces.size(); i++) {
      Piece p = pieces.get(i);
      if (p.content() instanceof Content.Group g) {
        Optional<List<Piece>> inside = among(g.pieces(), Regions.ofGroup(g.natural()), meant, way);
        if (inside.isPresent()) {
          List<Piece> changed = new ArrayList<>(pieces);
          changed.set(i, p.withContent(g.withPieces(inside.get())));
          return Optional.of(changed);
        }
      }
    }
    return Optional.empty();
  }

  private static List<Piece> grouped(
      List<Piece> siblings, Regions lines, List<String> ids, String id) {
    List<Piece> members = siblings.stream().filter(p -> ids.contains(p.id())).toList();
    Box box = null;
    for (Piece p : members) {
      Box one =
          p.anchors()
              .on(lines)
              .orElseThrow(
                  () ->
                      new Refusal(
                          "“" + p.name() + "” is not on this cover and can't be grouped here."));
      box = box == null ? one : around(box, one);
    }
    Region region = members.get(0).anchors().across().region();
    Piece group =
        new Piece(
            id,
            "Group " + id.substring("group-".length()),
            Anchors.hung(region, Span.Hold.START, Span.Hold.START, box, lines),
            new Content.Group(box.size(), inside(members, box, lines)));
    int top = siblings.indexOf(members.get(members.size() - 1));
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < siblings.size(); i++) {
      Piece p = siblings.get(i);
      if (!ids.contains(p.id())) {
        pieces.add(p);
      }
      if (i == top) {
        pieces.add(group);
      }
    }
    return pieces;
  }

  private static List<Piece> inside(List<Piece> members, Box box, Regions from) {
    Regions lines = Regions.ofGroup(box.size());
    return members.stream()
        .map(
            p -> {
              Box at = p.anchors().on(from).orElseThrow().moved(box.x().negate(), box.y().negate());
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
    List<Piece> ungrouped =
        among(
                all.pieces(),
                wrap,
                siblings -> siblings.stream().anyMatch(p -> p.id().equals(group.id())),
                (siblings, lines) -> {
                  Box box = group.anchors().on(lines).orElse(wrap.trimmed());
                  Scope in = new Scope(lines, null, null, Turns.NONE).inside(group, content, box);
                  List<Piece> pieces = new ArrayList<>();
                  for (Piece p : siblings) {
                    if (p.id().equals(group.id())) {
                      content.pieces().forEach(m -> pieces.add(loose(m, in, group, box, lines)));
                    } else {
                      pieces.add(p);
                    }
                  }
                  return pieces;
                })
            .orElseThrow();
    return design.with(side, all.withPieces(ungrouped));
  }

  private static Piece loose(Piece member, Scope in, Piece group, Box box, Regions lines) {
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
    Anchors anchors = Anchors.hung(region, Span.Hold.START, Span.Hold.START, there, lines);
    return in.sized(member).withPlacement(new Placement(anchors, angle, flip));
  }
}
