package app.reglet.press.compose;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.Turns;
import app.reglet.core.measure.Length;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** Placement and appearance of a piece as the effects of its group of marks. */
final class Effecting {
  private Effecting() {}

  /** Mirrored and turned about the middle of its box. */
  static AffineTransform turn(Placement p, Rect box) {
    Turns t = Turns.of(p);
    if (t.isNone()) {
      return new AffineTransform();
    }
    double x = box.x() + box.width() / 2;
    double y = box.y() + box.height() / 2;
    AffineTransform turn = AffineTransform.getTranslateInstance(x, y);
    turn.concatenate(new AffineTransform(t.xx(), t.yx(), t.xy(), t.yy(), 0, 0));
    turn.translate(-x, -y);
    return turn;
  }

  /** A piece's marks as one: cut by its mask, over its shadow, turned, laid over as it says. */
  static Mark.Group group(
      Piece piece,
      List<Mark> content,
      Rect box,
      AffineTransform turn,
      Function<Colour, Colour.Solid> solid) {
    Appearance a = piece.appearance();
    List<Mark> marks = content;
    if (a.mask().isPresent()) {
      marks = List.of(masked(marks, a.mask().get(), box));
    }
    if (a.shadow().isPresent()) {
      List<Mark> over = new ArrayList<>();
      over.add(Shadows.of(marks, a.shadow().get(), solid.apply(a.shadow().get().colour()), turn));
      over.addAll(marks);
      marks = over;
    }
    return new Mark.Group(
        piece.id(), new Effects(turn, a.opacity(), a.blend(), null, List.of()), marks);
  }

  private static Mark masked(List<Mark> marks, Appearance.Mask mask, Rect box) {
    return cut(marks, Figures.in(mask.figure(), box), box, mask.soft());
  }

  /** A mark of which only what is in a figure is seen. */
  static Mark cut(Mark mark, Shape figure, Rect box, Length soft) {
    return cut(List.of(mark), figure, box, soft);
  }

  private static Mark cut(List<Mark> marks, Shape figure, Rect box, Length soft) {
    Effects effects =
        soft.isZero()
            ? Effects.clipped(figure)
            : new Effects(
                new AffineTransform(),
                1,
                Appearance.Blend.NORMAL,
                null,
                List.of(
                    new Mark.Image(
                        new Pixels.Made(Softening.inside(figure, box, soft.toMm())),
                        new AffineTransform(box.width(), 0, 0, box.height(), box.x(), box.y()))));
    return new Mark.Group("", effects, marks);
  }
}
