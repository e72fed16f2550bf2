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
  static final Length TOUCHING = Length.mm("0.01");
  private static final Length OVER_FOLD = Length.mm("3");

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
      box = new Safely(sheets, piece, was, home.get(), keepsProportion()).box(box);
    }
    if (keepsProportion()) {
      return atLeast(box);
    }
    return atLeast(bled(home.isPresent() ? edged(box, home.get()) : box, home));
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

  static Box trim(Wrap wrap, PanelKind panel) {
    return wrap.panel(panel).map(Panel::trim).orElse(wrap.trimmed());
  }

  static boolean near(Length a, Length b) {
    return !a.minus(b).abs().isMoreThan(TOUCHING);
  }

  /** On the panel's edges, folds among them, wherever it lay on them. */
  private Box edged(Box box, PanelKind home) {
    Box wasOn = trim(sheets.from(), home);
    Box isOn = trim(sheets.to(), home);
    Length left = near(was.left(), wasOn.left()) ? isOn.left() : box.left();
    Length right = near(was.right(), wasOn.right()) ? isOn.right() : box.right();
    Length top = near(was.top(), wasOn.top()) ? isOn.top() : box.top();
    Length bottom = near(was.bottom(), wasOn.bottom()) ? isOn.bottom() : box.bottom();
    return between(box, left, top, right, bottom);
  }

  /** A box of these edges; where they would cross, of those it had: it hangs far from its panel. */
  private static Box between(Box box, Length left, Length top, Length right, Length bottom) {
    boolean across = left.isLessThan(right);
    boolean down = top.isLessThan(bottom);
    return Box.between(
        across ? left : box.left(),
        down ? top : box.top(),
        across ? right : box.right(),
        down ? bottom : box.bottom());
  }

  /**
   * To the sheet's edge wherever it reached the sheet's edge; where another panel lies there now, a
   * little over the fold: a colour that ends on a fold shows how far that drifts.
   */
  private Box bled(Box box, Optional<PanelKind> home) {
    Box wasSheet = sheets.from().sheetBox();
    Box sheet = sheets.to().sheetBox();
    Box edges = home.flatMap(h -> sheets.to().panel(h)).map(Panel::art).orElse(sheet);
    Length left = box.left();
    Length top = box.top();
    Length right = box.right();
    Length bottom = box.bottom();
    if (!was.left().isMoreThan(wasSheet.left().plus(TOUCHING))) {
      left =
          edges.left().isMoreThan(sheet.left())
              ? edges.left().minus(OVER_FOLD)
              : left.min(sheet.left());
    }
    if (!was.top().isMoreThan(wasSheet.top().plus(TOUCHING))) {
      top = top.min(sheet.top());
    }
    if (!was.right().isLessThan(wasSheet.right().minus(TOUCHING))) {
      right =
          edges.right().isLessThan(sheet.right())
              ? edges.right().plus(OVER_FOLD)
              : right.max(sheet.right());
    }
    if (!was.bottom().isLessThan(wasSheet.bottom().minus(TOUCHING))) {
      bottom = bottom.max(sheet.bottom());
    }
    return between(box, left, top, right, bottom);
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
