package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.book.Fact;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Design;
import app.reglet.core.design.DesignLimits;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Point;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a new piece finds on a cover: panels, free places, the face and the ink in use. */
final class Room {
  private static final Length STEP = Length.mm("4");
  static final String TEXT_FACE = "spectral";

  /** What covers more of a panel is its background. */
  private static final double MOST = 0.6;

  private final Design design;
  private final Wrap wrap;

  Room(Design design, Wrap wrap) {
    this.design = design;
    this.wrap = wrap;
  }

  Panel panel(PanelKind kind) {
    return wrap.panel(kind)
        .orElseThrow(
            () -> new Refusal("This cover has no " + kind.title().toLowerCase(Locale.ROOT) + "."));
  }

  /** Further down as long as another piece lies exactly there. */
  Box free(Box box, Box within) {
    Box at = box;
    while (taken(at)) {
      Box next = at.moved(Length.ZERO, STEP);
      if (next.bottom().isMoreThan(within.bottom())) {
        return at;
      }
      at = next;
    }
    return at;
  }

  /**
   * A box round a point: where something is let go it stands, beside the panel at its edge; else it
   * stands in the middle of the trimmed panel, further down as long as another piece lies exactly
   * there.
   */
  Box round(Box trim, Optional<Point> at, Length width, Length height) {
    Length w = width.max(DesignLimits.LEAST_PIECE);
    Length h = height.max(DesignLimits.LEAST_PIECE);
    Point middle =
        at.map(
                p ->
                    new Point(
                        p.x().max(trim.left()).min(trim.right()),
                        p.y().max(trim.top()).min(trim.bottom())))
            .orElse(new Point(trim.centreX(), trim.centreY()));
    Box box = new Box(middle.x().minus(w.half()), middle.y().minus(h.half()), w, h);
    return at.isPresent() ? box : free(box, trim);
  }

  private Composition side() {
    return design.side(PrintedSide.of(wrap));
  }

  private boolean taken(Box box) {
    return side().pieces().stream()
        .map(p -> p.anchors().on(wrap))
        .flatMap(Optional::stream)
        .anyMatch(b -> b.top().equals(box.top()) && b.overlaps(box));
  }

  /** The face of the first words there are. */
  String face() {
    return words().findFirst().map(w -> w.type().face()).orElse(TEXT_FACE);
  }

  /**
   * Words of this cover that are set as others of their kind should be: those that say the same
   * fact, else prose for prose and a line for a line. A blurb follows no title.
   */
  Optional<Words> like(Fact fact) {
    boolean prose = fact != null && fact.isProse();
    return words()
        .filter(w -> fact != null && w.fact() == fact)
        .findFirst()
        .or(() -> words().filter(w -> isProse(w) == prose).findFirst());
  }

  private static boolean isProse(Words words) {
    return words.fact() != null && words.fact().isProse();
  }

  private Stream<Words> words() {
    return Stream.concat(side().all(), design.outside().all())
        .map(Piece::content)
        .filter(Words.class::isInstance)
        .map(Words.class::cast);
  }

  /**
   * Where there is room for a box: at its place, or further down or up, clear of all pieces but
   * those that lie under most of the panel; where nothing is free, not exactly on another.
   */
  Box clear(Box box, Box within) {
    List<Box> others = occupied(within);
    for (int i = 0; i * STEP.toMm() < within.height().toMm(); i++) {
      for (Length by : List.of(STEP.times(i), STEP.times(i).negate())) {
        Box at = box.moved(Length.ZERO, by);
        if (within.contains(at, Length.ZERO) && others.stream().noneMatch(at::overlaps)) {
          return at;
        }
      }
    }
    return free(box, within);
  }

  /** The highest strip of a panel that nothing lies on, from side to side; empty without one. */
  Optional<Box> gap(Box within) {
    List<Box> others = new ArrayList<>(occupied(within));
    others.sort(Comparator.comparing(Box::top));
    Length from = within.top();
    Box highest = null;
    for (int i = 0; i <= others.size(); i++) {
      // with some air to what lies above and below
      Length to = i < others.size() ? others.get(i).top().minus(STEP) : within.bottom();
      Length top = i == 0 ? from : from.plus(STEP);
      if (to.isMoreThan(top) && (highest == null || to.minus(top).isMoreThan(highest.height()))) {
        highest = Box.between(within.left(), top, within.right(), to);
      }
      from = i < others.size() ? from.max(others.get(i).bottom()) : from;
    }
    return Optional.ofNullable(highest);
  }

  /** Boxes of what lies on a part, but for what lies under most of it. */
  private List<Box> occupied(Box within) {
    double all = within.width().toMm() * within.height().toMm();
    return side().pieces().stream()
        .filter(p -> !p.hidden())
        .map(p -> p.anchors().on(wrap))
        .flatMap(Optional::stream)
        .filter(b -> b.overlaps(within))
        .filter(b -> b.width().toMm() * b.height().toMm() < MOST * all)
        .toList();
  }

  Colour ink() {
    return side()
        .all()
        .filter(p -> p.content() instanceof Words w && w.paint() instanceof Paint.Flat)
        .map(p -> ((Paint.Flat) ((Words) p.content()).paint()).colour())
        .findFirst()
        .orElse(new Colour.Rgb(0x1d2327));
  }
}
