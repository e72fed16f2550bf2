package app.reglet.core.wrap;

import app.reglet.core.house.InsideRule;
import app.reglet.core.house.PartsRule;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Edges;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The pages that a cover is handed over as: one wrap, or front, spine and back apart; and the
 * inside where it is printed. Each is a {@link Wrap} of its own, measured from the outside's.
 */
public final class FilePages {
  private FilePages() {}

  /** The pages of a measured outside, in the order in which they are handed over. */
  public static List<Wrap> of(Wrap outside) {
    List<Wrap> pages = new ArrayList<>();
    Optional<PartsRule> parts = outside.rules().parts();
    if (parts.isPresent()) {
      pages.addAll(parts(outside, parts.get()));
    } else {
      pages.add(outside);
    }
    inside(outside).ifPresent(pages::add);
    return pages;
  }

  /**
   * Front, spine and back of a measured outside as files of their own, though the house takes them
   * in one: where it says nothing of a bleed past the fold, they have none there.
   */
  public static List<Wrap> apart(Wrap outside) {
    return parts(outside, outside.rules().parts().orElse(new PartsRule(Length.ZERO)));
  }

  /**
   * The inside of the cover, the mirror image of the outside: of a book whose pages turn left to
   * right the inside front lies on the left. Empty when it isn't printed or the house doesn't offer
   * it.
   */
  public static Optional<Wrap> inside(Wrap outside) {
    return outside.spec().insidePrinted()
        ? outside.rules().inside().map(rule -> inside(outside, rule))
        : Optional.empty();
  }

  private static Wrap inside(Wrap w, InsideRule rule) {
    Length width = w.sheet().width();
    List<Panel> panels = new ArrayList<>();
    for (int i = w.panels().size() - 1; i >= 0; i--) {
      Panel p = w.panels().get(i);
      PanelKind left = i + 1 < w.panels().size() ? w.panels().get(i + 1).kind() : null;
      PanelKind right = i > 0 ? w.panels().get(i - 1).kind() : null;
      panels.add(
          new Panel(
              p.kind(),
              p.trim().mirrored(width),
              p.art().mirrored(width),
              clearOfGlue(p, width, rule, left, right)));
    }
    List<Fold> folds = new ArrayList<>();
    for (int i = w.folds().size() - 1; i >= 0; i--) {
      Fold f = w.folds().get(i);
      folds.add(new Fold(width.minus(f.x()), f.and(), f.between()));
    }
    List<Zone> zones = new ArrayList<>();
    for (Panel p : panels) {
      if (!p.safe().isEmpty()) {
        zones.add(new Zone(Zone.Kind.SAFE, p.kind(), p.safe()));
      }
      glue(p, panels, rule).ifPresent(zones::add);
    }
    for (Zone z : w.zones()) {
      if (z.kind() == Zone.Kind.HINGE) {
        zones.add(new Zone(z.kind(), z.panel(), z.box().mirrored(width)));
      }
    }
    Box trimmed = w.trimmed().mirrored(width);
    return page(
        w,
        FilePage.INSIDE,
        w.sheetBox(),
        trimmed,
        w.margin().mirrored(),
        panels,
        folds,
        zones,
        w.width(),
        w.height());
  }

  private static Box clearOfGlue(
      Panel p, Length width, InsideRule rule, PanelKind left, PanelKind right) {
    Box safe = p.safe().mirrored(width);
    if (rule.glue().isZero()) {
      return safe;
    }
    if (p.kind() == PanelKind.SPINE) {
      return new Box(safe.centreX(), safe.centreY(), Length.ZERO, Length.ZERO);
    }
    Box trim = p.trim().mirrored(width);
    Length from =
        left == PanelKind.SPINE ? safe.left().max(trim.left().plus(rule.glue())) : safe.left();
    Length to =
        right == PanelKind.SPINE ? safe.right().min(trim.right().minus(rule.glue())) : safe.right();
    return to.isLessThan(from)
        ? new Box(safe.centreX(), safe.centreY(), Length.ZERO, Length.ZERO)
        : Box.between(from, safe.top(), to, safe.bottom());
  }

  /** The part of the glue strip on a panel: the whole spine, and so much of what lies beside it. */
  private static Optional<Zone> glue(Panel p, List<Panel> panels, InsideRule rule) {
    if (rule.glue().isZero()) {
      return Optional.empty();
    }
    Box b = p.trim();
    if (p.kind() == PanelKind.SPINE) {
      return Optional.of(new Zone(Zone.Kind.GLUE, p.kind(), b));
    }
    Length wide = rule.glue().min(b.width());
    int at = panels.indexOf(p);
    if (at > 0 && panels.get(at - 1).kind() == PanelKind.SPINE) {
      return Optional.of(
          new Zone(Zone.Kind.GLUE, p.kind(), new Box(b.left(), b.top(), wide, b.height())));
    }
    if (at + 1 < panels.size() && panels.get(at + 1).kind() == PanelKind.SPINE) {
      return Optional.of(
          new Zone(
              Zone.Kind.GLUE, p.kind(), new Box(b.right().minus(wide), b.top(), wide, b.height())));
    }
    return Optional.empty();
  }

  private static List<Wrap> parts(Wrap w, PartsRule rule) {
    List<Panel> front = new ArrayList<>();
    List<Panel> spine = new ArrayList<>();
    List<Panel> back = new ArrayList<>();
    for (Panel p : w.panels()) {
      switch (p.kind()) {
        case FRONT, FRONT_HINGE, FRONT_FLAP -> front.add(p);
        case SPINE -> spine.add(p);
        case BACK, BACK_HINGE, BACK_FLAP -> back.add(p);
      }
    }
    List<Wrap> parts = new ArrayList<>();
    parts.add(part(w, FilePage.FRONT, front, rule.foldBleed()));
    if (!spine.isEmpty()) {
      parts.add(part(w, FilePage.SPINE, spine, Length.ZERO));
    }
    parts.add(part(w, FilePage.BACK, back, rule.foldBleed()));
    return parts;
  }

  private static Wrap part(Wrap w, FilePage page, List<Panel> of, Length foldBleed) {
    Box trim =
        Box.between(
            of.get(0).trim().left(),
            w.trimmed().top(),
            of.get(of.size() - 1).trim().right(),
            w.trimmed().bottom());
    boolean outerRight = trim.right().equals(w.trimmed().right());
    boolean outerLeft = trim.left().equals(w.trimmed().left());
    List<Sum.Term> across = new ArrayList<>();
    for (Panel p : of) {
      across.add(
          new Sum.Term(1, p.trim().width(), p.kind().title().toLowerCase(Locale.ROOT) + " width"));
    }
    Length left = outerLeft ? w.margin().left() : foldBleed;
    Length right = outerRight ? w.margin().right() : foldBleed;
    String edge = w.turnIn() ? "turn-in" : "bleed";
    if (left.equals(right)) {
      across.add(new Sum.Term(2, left, edge));
    } else {
      across.add(new Sum.Term(1, outerRight ? right : left, edge));
      across.add(new Sum.Term(1, foldBleed, "bleed past the fold"));
    }
    // what rounding adds to a part lies past the fold, where the neighbour's art goes on; a part
    // without bleed there stays exact
    StatedPage stated = StatedPage.of(w.house(), w.spec().binding());
    if (stated.applies() && foldBleed.isPositive()) {
      Length more = stated.term(across, "bleed past the fold");
      left = outerLeft ? left : left.plus(more);
      right = outerLeft ? right.plus(more) : right;
    }
    Edges margin = new Edges(w.margin().top(), right, w.margin().bottom(), left);
    Box place = trim.outset(margin);
    Length dx = place.left().negate();
    Length dy = place.top().negate();
    List<Panel> panels = new ArrayList<>();
    for (int i = 0; i < of.size(); i++) {
      Panel p = of.get(i);
      Box box = p.trim().moved(dx, dy);
      Box art =
          box.outset(
              new Edges(
                  margin.top(),
                  i == of.size() - 1 ? margin.right() : Length.ZERO,
                  margin.bottom(),
                  i == 0 ? margin.left() : Length.ZERO));
      panels.add(new Panel(p.kind(), box, art, p.safe().moved(dx, dy)));
    }
    List<Zone> zones = new ArrayList<>();
    for (Zone z : w.zones()) {
      if (panels.stream().anyMatch(p -> p.kind() == z.panel())) {
        zones.add(new Zone(z.kind(), z.panel(), z.box().moved(dx, dy)));
      }
    }
    List<Fold> folds =
        w.folds().stream()
            .filter(f -> f.x().isMoreThan(trim.left()) && f.x().isLessThan(trim.right()))
            .map(f -> new Fold(f.x().plus(dx), f.between(), f.and()))
            .toList();
    Sum width = Sum.of("sheet width", across);
    return page(
        w, page, place, trim.moved(dx, dy), margin, panels, folds, zones, width, w.height());
  }

  private static Wrap page(
      Wrap of,
      FilePage page,
      Box place,
      Box trimmed,
      Edges margin,
      List<Panel> panels,
      List<Fold> folds,
      List<Zone> zones,
      Sum width,
      Sum height) {
    Size sheet = place.size();
    return new Wrap(
        page,
        place,
        of.house(),
        of.rules(),
        of.spec(),
        of.spine(),
        sheet,
        of.house().files().sheetRounding().apply(sheet),
        trimmed,
        margin,
        of.turnIn(),
        panels,
        folds,
        zones,
        Dimension.of(sheet, trimmed, panels, of.turnIn() ? "turn-in" : "bleed"),
        width,
        height);
  }
}
