package app.reglet.core.carry;

import app.reglet.core.design.Content;
import app.reglet.core.design.DesignLimits;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.Optional;

/**
 * Where a piece lies on the other sheet: in the proportion it has, in the middle where it was in
 * the middle, inside the safe zone where it was inside, at the edge where it reached it.
 *
 * @param sheets both
 * @param piece as it is on the first
 * @param was where it lies there
 */
record Fitting(Sheets sheets, Piece piece, Box was) {
  private static final Length TOUCHING = Length.mm("0.01");
  private static final Length AIR = Length.mm("3");

  /**
   * The box on the other sheet.
   *
   * @param hung where its lines put it there
   */
  Box box(Box hung) {
    Optional<PanelKind> home = sheets.home(was);
    Box box = piece.content() instanceof Content.Barcode ? asLarge(hung) : hung;
    if (keepsProportion()) {
      box = inProportion(box);
    }
    box = atLeast(box);
    box = home.isPresent() ? centred(box, home.get()) : box;
    if (home.isPresent() && staysSafe()) {
      box = isTurned() ? safelyTurned(box, home.get()) : safe(box, home.get());
      box = clearOfBarcode(box, home.get());
    }
    return atLeast(keepsProportion() ? box : bled(box));
  }

  /** Whether it would be another thing in another proportion. */
  private boolean keepsProportion() {
    boolean turned = piece.placement().angle() % 90 != 0;
    Content c = piece.content();
    if (c instanceof Content.Group g) {
      return g.row() == null;
    }
    if (c instanceof Content.Shape s) {
      return turned
          || !(s.figure() instanceof Figure.Rectangle || s.figure() instanceof Figure.Line);
    }
    if (c instanceof Content.Picture p) {
      return turned
          || p.cutOut().isPresent()
          || piece
              .appearance()
              .mask()
              .filter(m -> !(m.figure() instanceof Figure.Rectangle))
              .isPresent();
    }
    if (c instanceof Words w) {
      return turned || w.curve() != null;
    }
    return turned;
  }

  private boolean staysSafe() {
    Content c = piece.content();
    return c instanceof Words
        || c instanceof Content.Ornament
        || c instanceof Content.Page
        || c instanceof Content.Picture
        || c instanceof Content.Group;
  }

  private boolean isTurned() {
    return piece.placement().angle() != 0;
  }

  /** Bars have a size of their own. */
  private Box asLarge(Box hung) {
    boolean fills =
        piece.anchors().across().hold() == Span.Hold.BOTH
            && piece.anchors().down().hold() == Span.Hold.BOTH;
    return fills ? hung : held(hung, was.width(), was.height());
  }

  /** As large as the lesser of both ratios makes it; as the greater, where it reached the bleed. */
  private Box inProportion(Box hung) {
    boolean byWidth =
        hung.width().toMm() * was.height().toMm() <= hung.height().toMm() * was.width().toMm();
    if (reachedBleed()) {
      byWidth = !byWidth;
    }
    return byWidth
        ? held(hung, hung.width(), was.height().times(hung.width(), was.width()))
        : held(hung, was.width().times(hung.height(), was.height()), hung.height());
  }

  private boolean reachedBleed() {
    Box sheet = sheets.from().sheetBox();
    return !was.left().isMoreThan(sheet.left().plus(TOUCHING))
        || !was.top().isMoreThan(sheet.top().plus(TOUCHING))
        || !was.right().isLessThan(sheet.right().minus(TOUCHING))
        || !was.bottom().isLessThan(sheet.bottom().minus(TOUCHING));
  }

  /** So large, held where it hangs. */
  private Box held(Box box, Length width, Length height) {
    return new Box(
        held(piece.anchors().across().hold(), box.left(), box.width(), width),
        held(piece.anchors().down().hold(), box.top(), box.height(), height),
        width,
        height);
  }

  private static Length held(Span.Hold hold, Length start, Length room, Length size) {
    return switch (hold) {
      case START -> start;
      case MIDDLE, BOTH -> start.plus(room.minus(size).half());
      case END -> start.plus(room.minus(size));
    };
  }

  private Box centred(Box box, PanelKind home) {
    Box wasOn = trim(sheets.from(), home);
    Box isOn = trim(sheets.to(), home);
    Length dx =
        near(was.centreX(), wasOn.centreX()) ? isOn.centreX().minus(box.centreX()) : Length.ZERO;
    Length dy =
        near(was.centreY(), wasOn.centreY()) ? isOn.centreY().minus(box.centreY()) : Length.ZERO;
    return box.moved(dx, dy);
  }

  private static Box trim(Wrap wrap, PanelKind panel) {
    return wrap.panel(panel).map(Panel::trim).orElse(wrap.trimmed());
  }

  private static boolean near(Length a, Length b) {
    return !a.minus(b).abs().isMoreThan(TOUCHING);
  }

  /** Inside the safe zone each way in which it was; in its proportion, and in the middle still. */
  private Box safe(Box box, PanelKind home) {
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
              near(was.centreX(), trim(sheets.from(), home).centreX()));
    }
    if (within(was.top(), was.bottom(), wasSafe.get().top(), wasSafe.get().bottom())) {
      y =
          inside(
              y,
              isSafe.get().top(),
              isSafe.get().bottom(),
              near(was.centreY(), trim(sheets.from(), home).centreY()));
    }
    Box clamped = Box.between(x.from(), y.from(), x.to(), y.to());
    return keepsProportion() && !clamped.size().equals(box.size())
        ? smaller(box, clamped)
        : clamped;
  }

  /** A turned piece that lay inside the safe zone is made smaller about its middle till it does. */
  private Box safelyTurned(Box box, PanelKind home) {
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
    return !from.isLessThan(start.minus(TOUCHING)) && !to.isMoreThan(end.plus(TOUCHING));
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
  private Box clearOfBarcode(Box box, PanelKind home) {
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
    if (keepsProportion()) {
      return above(box, area, home);
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
    return above(box, area, home);
  }

  /** Moved up until it ends above an area, where the safe zone has room for that. */
  private Box above(Box box, Box area, PanelKind home) {
    Length top = area.top().minus(AIR).minus(box.height());
    Length highest = sheets.to().panel(home).map(p -> p.safe().top()).orElse(top);
    return top.isLessThan(highest) ? box : new Box(box.left(), top, box.width(), box.height());
  }

  /** To the sheet's edge wherever it reached the sheet's edge. */
  private Box bled(Box box) {
    Box wasSheet = sheets.from().sheetBox();
    Box sheet = sheets.to().sheetBox();
    Length left = box.left();
    Length top = box.top();
    Length right = box.right();
    Length bottom = box.bottom();
    if (!was.left().isMoreThan(wasSheet.left().plus(TOUCHING))) {
      left = left.min(sheet.left());
    }
    if (!was.top().isMoreThan(wasSheet.top().plus(TOUCHING))) {
      top = top.min(sheet.top());
    }
    if (!was.right().isLessThan(wasSheet.right().minus(TOUCHING))) {
      right = right.max(sheet.right());
    }
    if (!was.bottom().isLessThan(wasSheet.bottom().minus(TOUCHING))) {
      bottom = bottom.max(sheet.bottom());
    }
    return Box.between(left, top, right, bottom);
  }

  private static Box atLeast(Box box) {
    Length width = box.width().max(DesignLimits.LEAST_PIECE);
    Length height = box.height().max(DesignLimits.LEAST_PIECE);
    return new Box(
        box.left().minus(width.minus(box.width()).half()),
        box.top().minus(height.minus(box.height()).half()),
        width,
        height);
  }
}
