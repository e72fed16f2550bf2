package app.reglet.core.carry;

import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import java.util.Optional;

/**
 * Keeps a piece that was inside a safe zone inside the other sheet's, and one that was clear of the
 * barcode's area clear of the new one.
 *
 * @param sheets both
 * @param piece as it is on the first
 * @param was where it lies there
 * @param home the panel it lies on
 * @param inProportion whether it keeps its proportion
 */
record Safely(Sheets sheets, Piece piece, Box was, PanelKind home, boolean inProportion) {
  private static final Length AIR = Length.mm("3");

  /**
   * Where it lies safely.
   *
   * @param box where it would lie
   */
  Box box(Box box) {
    return clearOfBarcode(piece.placement().angle() == 0 ? safe(box) : safelyTurned(box));
  }

  /** Inside the safe zone each way in which it was; in its proportion, and in the middle still. */
  private Box safe(Box box) {
    Optional<Box> wasSafe = sheets.from().panel(home).map(Panel::safe).filter(b -> !b.isEmpty());
    Optional<Box> isSafe = sheets.to().panel(home).map(Panel::safe).filter(b -> !b.isEmpty());
    if (wasSafe.isEmpty() || isSafe.isEmpty()) {
      return box;
    }
    Span.Range x = new Span.Range(box.left(), box.right());
    Span.Range y = new Span.Range(box.top(), box.bottom());
    if (within(was.left(), was.right(), wasSafe.get().left(), wasSafe.get().right())) {
      x =
          inside(
              x,
              isSafe.get().left(),
              isSafe.get().right(),
              Fitting.near(was.centreX(), Fitting.trim(sheets.from(), home).centreX()));
    }
    if (within(was.top(), was.bottom(), wasSafe.get().top(), wasSafe.get().bottom())) {
      y =
          inside(
              y,
              isSafe.get().top(),
              isSafe.get().bottom(),
              Fitting.near(was.centreY(), Fitting.trim(sheets.from(), home).centreY()));
    }
    Box clamped = Box.between(x.from(), y.from(), x.to(), y.to());
    return inProportion && !clamped.size().equals(box.size()) ? smaller(box, clamped) : clamped;
  }

  /** A turned piece that lay inside the safe zone is made smaller about its middle till it does. */
  private Box safelyTurned(Box box) {
    Optional<Box> wasSafe = sheets.from().panel(home).map(Panel::safe).filter(b -> !b.isEmpty());
    Optional<Box> isSafe = sheets.to().panel(home).map(Panel::safe).filter(b -> !b.isEmpty());
    if (wasSafe.isEmpty() || isSafe.isEmpty() || share(was, wasSafe.get()) < 1) {
      return box;
    }
    double share = Math.min(1, share(box, isSafe.get()));
    if (share >= 1 || share <= 0) {
      return box;
    }
    Length width = Length.nearMm(box.width().toMm() * share);
    Length height = Length.nearMm(box.height().toMm() * share);
    return new Box(
        box.left().plus(box.width().minus(width).half()),
        box.top().plus(box.height().minus(height).half()),
        width,
        height);
  }

  /** How many times as large a turned box could be about its middle inside another. */
  private double share(Box box, Box within) {
    double angle = Math.toRadians(piece.placement().angle());
    double cos = Math.abs(Math.cos(angle));
    double sin = Math.abs(Math.sin(angle));
    double w = (box.width().toMm() * cos + box.height().toMm() * sin) / 2;
    double h = (box.width().toMm() * sin + box.height().toMm() * cos) / 2;
    double x = box.centreX().toMm();
    double y = box.centreY().toMm();
    double across = Math.min(x - within.left().toMm(), within.right().toMm() - x) / w;
    double down = Math.min(y - within.top().toMm(), within.bottom().toMm() - y) / h;
    return Math.min(across, down) + 1e-6;
  }

  private static boolean within(Length from, Length to, Length start, Length end) {
    return !from.isLessThan(start.minus(Fitting.TOUCHING))
        && !to.isMoreThan(end.plus(Fitting.TOUCHING));
  }

  /** Moved inside, where it has room there; else cut, from both sides alike where it is central. */
  private static Span.Range inside(Span.Range r, Length start, Length end, boolean central) {
    Length before = start.minus(r.from()).max(Length.ZERO);
    Length after = r.to().minus(end).max(Length.ZERO);
    if (central) {
      Length cut = before.max(after);
      Length from = r.from().plus(cut);
      Length to = r.to().minus(cut);
      return to.isLessThan(from) ? new Span.Range(start, end) : new Span.Range(from, to);
    }
    if (r.length().isMoreThan(end.minus(start))) {
      return new Span.Range(start, end);
    }
    Length by = before.minus(after);
    return new Span.Range(r.from().plus(by), r.to().plus(by));
  }

  /** In a box's own proportion inside another, about that one's middle. */
  private static Box smaller(Box box, Box within) {
    boolean byWidth =
        within.width().toMm() * box.height().toMm() <= within.height().toMm() * box.width().toMm();
    Length width = byWidth ? within.width() : box.width().times(within.height(), box.height());
    Length height = byWidth ? box.height().times(within.width(), box.width()) : within.height();
    return new Box(
        within.left().plus(within.width().minus(width).half()),
        within.top().plus(within.height().minus(height).half()),
        width,
        height);
  }

  /** Words that were clear of the barcode's area end above the new one. */
  private Box clearOfBarcode(Box box) {
    Optional<Box> wasAt = sheets.from().box(Region.BARCODE);
    Optional<Box> isAt = sheets.to().box(Region.BARCODE);
    boolean words = piece.content() instanceof Words || piece.content() instanceof Content.Group;
    if (!words
        || home != PanelKind.BACK
        || isAt.isEmpty()
        || !box.overlaps(isAt.get())
        || wasAt.filter(was::overlaps).isPresent()) {
      return box;
    }
    Box area = isAt.get();
    if (inProportion) {
      return above(box, area);
    }
    Length above = area.top().minus(AIR).minus(box.top());
    if (!above.isLessThan(box.height().half())) {
      return new Box(box.left(), box.top(), box.width(), above);
    }
    Length before = area.left().minus(AIR).minus(box.left());
    if (!before.isLessThan(box.width().half())) {
      return new Box(box.left(), box.top(), before, box.height());
    }
    Length after = box.right().minus(area.right()).minus(AIR);
    if (!after.isLessThan(box.width().half())) {
      return new Box(area.right().plus(AIR), box.top(), after, box.height());
    }
    return above(box, area);
  }

  /** Moved up until it ends above an area, where the safe zone has room for that. */
  private Box above(Box box, Box area) {
    Length top = area.top().minus(AIR).minus(box.height());
    Length highest = sheets.to().panel(home).map(p -> p.safe().top()).orElse(top);
    return top.isLessThan(highest) ? box : new Box(box.left(), top, box.width(), box.height());
  }
}
