package app.reglet.core.check;

import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Fold;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a person may have forgotten, and edges that a drift of knife or fold would show: told where
 * a hand rests or a cover is about to be handed over, since on the way much is so for a moment.
 */
public final class PiecesSeen {
  private PiecesSeen() {}

  /** What is found on a side of a wrap. */
  public static List<Finding> find(Composition side, Wrap wrap) {
    List<Finding> found = new ArrayList<>();
    for (Piece p : side.pieces()) {
      Optional<Box> box = p.anchors().on(wrap);
      if (p.hidden()) {
        found.add(
            look(new OfDrawing.PieceHidden(p.name()), p, box, new Remedy.Show(p.id(), p.name())));
      } else if (box.isPresent() && !box.get().overlaps(wrap.sheetBox())) {
        found.add(look(new OfDrawing.PieceOffSheet(p.name()), p, box));
      } else if (p.content() instanceof Words w && w.fact() == null && w.text().isBlank()) {
        found.add(look(new OfDrawing.WordsNone(p.name()), p, box));
      } else if (box.isPresent()
          && p.placement().angle() == 0
          && !wrap.spec().binding().isInPixels()) {
        onFold(p, box.get(), wrap).or(() -> nearTrim(p, box.get(), wrap)).ifPresent(found::add);
      }
    }
    return found;
  }

  /**
   * Locked pieces of which something is found that a remedy would mend; that a piece is locked is
   * nothing to tell by itself, since a ground is locked on purpose.
   *
   * @param found of the side
   */
  public static List<Finding> locked(Composition side, List<Finding> found) {
    List<Finding> locked = new ArrayList<>();
    side.all()
        .filter(p -> isLocked(side, p.id()))
        .forEach(
            p -> {
              List<Finding> concerned =
                  found.stream()
                      .filter(f -> f.piece().filter(p.id()::equals).isPresent())
                      .filter(
                          f -> f.remedies().stream().anyMatch(Remedy.OfDesign.class::isInstance))
                      .toList();
              if (!concerned.isEmpty()) {
                locked.add(
                    new Finding(
                        new OfDrawing.PieceLocked(p.name(), concerned.size()),
                        Finding.Severity.LOOK,
                        concerned.get(0).place(),
                        Optional.of(p.id()),
                        List.of(new Remedy.Unlock(p.id()))));
              }
            });
    return locked;
  }

  /** Whether a piece, or the group that it is in, is locked. */
  public static boolean isLocked(Composition side, String id) {
    String loose = side.looseOf(id);
    return side.all().anyMatch(p -> (p.id().equals(id) || p.id().equals(loose)) && p.locked());
  }

  private static Finding look(Found what, Piece p, Optional<Box> box, Remedy... first) {
    List<Remedy> remedies = new ArrayList<>(List.of(first));
    remedies.add(new Remedy.TakeOff(p.id(), p.name()));
    return new Finding(what, Finding.Severity.LOOK, box, Optional.of(p.id()), remedies);
  }

  /** Areas and pictures; what is only a line has no edge that one sees shifted. */
  private static boolean hasEdges(Content content) {
    return content instanceof Content.Shape s && s.fill() != null
        || content instanceof Content.Picture
        || content instanceof Content.Pattern;
  }

  private static Optional<Finding> onFold(Piece p, Box box, Wrap wrap) {
    Length drift = wrap.rules().safe().drift();
    if (!hasEdges(p.content()) || !drift.isPositive()) {
      return Optional.empty();
    }
    return wrap.folds().stream()
        .filter(f -> isOn(box.left(), f) || isOn(box.right(), f))
        .findFirst()
        .map(
            f ->
                new Finding(
                    new OfDrawing.EdgeOnFold(p.name(), f.between(), f.and(), drift),
                    Finding.Severity.LOOK,
                    Optional.of(box),
                    Optional.of(p.id()),
                    List.of(new Remedy.CarryOver(p.id(), drift))));
  }

  /** Whether an edge lies on a fold, as near as counts. */
  public static boolean isOn(Length edge, Fold fold) {
    return !Tolerance.exceededBy(edge.minus(fold.x()).abs());
  }

  /** Frames that follow the trim of a panel on two sides or more. */
  private static Optional<Finding> nearTrim(Piece p, Box box, Wrap wrap) {
    if (!(p.content() instanceof Content.Shape s)
        || s.stroke() == null
        || s.fill() != null
        || !s.figure().isClosed()) {
      return Optional.empty();
    }
    Length safe = wrap.rules().safe().trim();
    return wrap.panelUnder(box)
        .flatMap(
            panel -> {
              List<Length> near =
                  gaps(box, panel, wrap).filter(g -> g.isPositive() && g.isLessThan(safe)).toList();
              Length most = near.stream().reduce(safe, Length::min);
              return near.size() < 2
                  ? Optional.empty()
                  : Optional.of(
                      new Finding(
                          new OfDrawing.BorderNearTrim(
                              p.name(), most, panel.kind(), wrap.rules().safe()),
                          Finding.Severity.LOOK,
                          Optional.of(box),
                          Optional.of(p.id()),
                          List.of(new Remedy.IntoSafe(p.id()))));
            });
  }

  /** From the edges that are cut: a panel's edge beside another panel is folded. */
  private static Stream<Length> gaps(Box box, Panel panel, Wrap wrap) {
    Box trim = panel.trim();
    List<Length> gaps = new ArrayList<>();
    gaps.add(box.top().minus(trim.top()));
    gaps.add(trim.bottom().minus(box.bottom()));
    if (wrap.folds().stream().noneMatch(f -> isOn(trim.left(), f))) {
      gaps.add(box.left().minus(trim.left()));
    }
    if (wrap.folds().stream().noneMatch(f -> isOn(trim.right(), f))) {
      gaps.add(trim.right().minus(box.right()));
    }
    return gaps.stream();
  }
}
