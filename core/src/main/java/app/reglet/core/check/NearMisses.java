package app.reglet.core.check;

import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * What is nearly centred and nearly aligned: what an eye takes for a mistake (our own judgement of
 * how near that is). Pieces that are turned, locked or in groups are left alone, and those that
 * reach the edge of their panel.
 */
public final class NearMisses {
  /** What nobody sees. */
  private static final Length UNSEEN = Length.mm("0.25");

  /** Further off the middle it is meant. */
  private static final Length MOST_OFF = Length.mm("2.5");

  /** Edges that are further apart are meant to be. */
  private static final Length MOST_APART = Length.mm("1.25");

  private NearMisses() {}

  /** A piece in its place. */
  private record Stands(Piece piece, Box box, Panel panel, Length off) {
    boolean isCentred() {
      return off.abs().isLessThan(UNSEEN);
    }

    boolean isNearlyCentred() {
      return !isCentred() && off.abs().isLessThan(MOST_OFF);
    }
  }

  /** What is found on a side of a wrap. */
  public static List<Finding> find(Composition side, Wrap wrap) {
    List<Stands> all = new ArrayList<>();
    for (Piece p : side.pieces()) {
      boolean plain = !p.hidden() && !p.locked() && p.placement().angle() == 0;
      if (plain && !(p.content() instanceof Content.Barcode)) {
        p.anchors().on(wrap).flatMap(b -> stands(p, b, wrap)).ifPresent(all::add);
      }
    }
    List<Finding> found = new ArrayList<>();
    Set<String> told = new HashSet<>();
    for (Stands s : all) {
      if (s.isNearlyCentred() && wantsMiddle(s.piece()) && told.add(s.piece().id())) {
        found.add(offMiddle(s));
      }
    }
    for (int i = 0; i < all.size(); i++) {
      for (int j = i + 1; j < all.size(); j++) {
        apart(all.get(i), all.get(j))
            .filter(f -> told.add(f.piece().orElseThrow()))
            .ifPresent(found::add);
      }
    }
    return found;
  }

  private static Optional<Stands> stands(Piece p, Box box, Wrap wrap) {
    return wrap.panels().stream()
        .filter(panel -> !panel.kind().isHinge() && panel.kind() != PanelKind.SPINE)
        .filter(panel -> inside(box, panel.trim()))
        .findFirst()
        .map(panel -> new Stands(p, box, panel, box.centreX().minus(panel.trim().centreX())));
  }

  private static boolean inside(Box box, Box trim) {
    return UNSEEN.isLessThan(box.left().minus(trim.left()))
        && UNSEEN.isLessThan(trim.right().minus(box.right()))
        && !box.top().isLessThan(trim.top())
        && !trim.bottom().isLessThan(box.bottom());
  }

  /** Words whose lines are centred, and what has no lines. */
  private static boolean wantsMiddle(Piece p) {
    return !(p.content() instanceof Words w) || w.setting().align() == Setting.Align.CENTRE;
  }

  private static Finding offMiddle(Stands s) {
    return new Finding(
        new NearMiss.OffMiddle(s.piece().name(), s.off(), panel(s)),
        Finding.Severity.LOOK,
        Optional.of(s.box()),
        Optional.of(s.piece().id()),
        List.of(new Remedy.MoveBy(s.piece().id(), s.off().negate())));
  }

  private static String panel(Stands s) {
    return s.panel().kind().title().toLowerCase(Locale.ROOT);
  }

  /** Told of the later one, which lies in front. */
  private static Optional<Finding> apart(Stands a, Stands b) {
    if (a.panel() != b.panel() || a.isCentred() && b.isCentred()) {
      return Optional.empty();
    }
    Length left = b.box().left().minus(a.box().left());
    Length right = b.box().right().minus(a.box().right());
    boolean leftIs = isNear(left) && hasEdge(a, true) && hasEdge(b, true);
    boolean rightIs = isNear(right) && hasEdge(a, false) && hasEdge(b, false);
    boolean aligned =
        left.abs().isLessThan(UNSEEN) && hasEdge(a, true) && hasEdge(b, true)
            || right.abs().isLessThan(UNSEEN) && hasEdge(a, false) && hasEdge(b, false);
    if (aligned || !leftIs && !rightIs) {
      return Optional.empty();
    }
    Length by = leftIs ? left : right;
    return Optional.of(
        new Finding(
            new NearMiss.Apart(a.piece().name(), b.piece().name(), leftIs, by.abs()),
            Finding.Severity.LOOK,
            Optional.of(b.box()),
            Optional.of(b.piece().id()),
            List.of(new Remedy.MoveBy(b.piece().id(), by.negate()))));
  }

  private static boolean isNear(Length by) {
    return !by.abs().isLessThan(UNSEEN) && by.abs().isLessThan(MOST_APART);
  }

  /** Whether an edge of the box is one that is seen: words have it where their lines begin. */
  private static boolean hasEdge(Stands s, boolean left) {
    if (!(s.piece().content() instanceof Words w)) {
      return true;
    }
    return switch (w.setting().align()) {
      case LEFT -> left;
      case RIGHT -> !left;
      case CENTRE -> false;
      default -> true;
    };
  }
}
