package app.reglet.press.inks;

import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/**
 * Marks as layers, each an outline and what is seen in it, of which the last at a place is seen
 * there.
 */
final class Layers {
  private static final Rectangle2D UNIT = new Rectangle2D.Double(0, 0, 1, 1);

  /** Larger than any sheet, mm: what is drawn is cut by its outlines. */
  private static final Rectangle2D WIDE = new Rectangle2D.Double(-5000, -5000, 10_000, 10_000);

  private final Predicate<Pixels.Stored> clear;

  /**
   * @param clear whether something shows through a stored picture
   */
  Layers(Predicate<Pixels.Stored> clear) {
    this.clear = clear;
  }

  /**
   * Layers of one mark, of which the last is seen, laid over what was there before it.
   *
   * @param below what was there
   */
  static List<Layer> laid(List<Layer> below, List<Layer> own) {
    List<Layer> made = new ArrayList<>();
    for (Layer over : own) {
      if (over.isEmpty()) {
        continue;
      }
      if (over.opaque()) {
        made.add(over);
      } else {
        seen(below, over).forEach(l -> made.add(l.under(over)));
      }
    }
    return made;
  }

  /** Those of a stack that can be seen where another lies, from the back. */
  private static List<Layer> seen(List<Layer> stack, Layer over) {
    List<Layer> found = new ArrayList<>();
    List<Rectangle2D> hiding = new ArrayList<>();
    for (int i = stack.size() - 1; i >= 0; i--) {
      Layer l = stack.get(i);
      Rectangle2D both = l.bounds().createIntersection(over.bounds());
      if (both.getWidth() <= 0
          || both.getHeight() <= 0
          || hiding.stream().anyMatch(h -> h.contains(both))) {
        continue;
      }
      found.add(0, l);
      if (l.isBox()) {
        hiding.add(l.bounds());
      }
    }
    return found;
  }

  /** Marks of their own as layers of which the last is seen, over nothing. */
  List<Layer> of(List<? extends Mark> marks, AffineTransform t, List<Shape> clips) {
    List<Layer> stack = new ArrayList<>();
    for (Mark mark : marks) {
      List<Layer> below = List.copyOf(stack);
      for (Layer l : of(mark, t, clips)) {
        if (!l.opaque()) {
          stack.add(l); // where there is nothing below
        }
        stack.addAll(laid(below, List.of(l)));
      }
    }
    return stack;
  }

  List<Layer> of(Mark mark, AffineTransform t, List<Shape> clips) {
    if (mark instanceof Mark.Path p) {
      List<Layer> out = new ArrayList<>();
      if (p.fill() != null) {
        out.add(filled(p.shape(), p.fill(), t, clips));
      }
      if (p.pen() != null) {
        out.add(filled(p.pen().stroke().createStrokedShape(p.shape()), p.pen().fill(), t, clips));
      }
      return out;
    }
    if (mark instanceof Mark.Glyphs g) {
      List<Layer> out = new ArrayList<>();
      Path2D outline = Outlining.outline(g);
      if (g.fill() != null && outline.getCurrentPoint() != null) {
        out.add(filled(outline, g.fill(), t, clips));
        if (g.outline() != null) {
          out.add(
              filled(
                  g.outline().stroke().createStrokedShape(outline), g.outline().fill(), t, clips));
        }
      }
      return out;
    }
    if (mark instanceof Mark.Image i) {
      return List.of(
          Layer.of(with(clips, moved(t, quad(i.place()))), placed(t, i), isOpaque(i.pixels())));
    }
    if (mark instanceof Mark.Page p) {
      return List.of(
          Layer.of(with(clips, moved(t, quad(p.place()))), placed(t, p), p.page().opaque()));
    }
    if (mark instanceof Mark.Tiled tiled) {
      return List.of(Layer.of(with(clips, moved(t, tiled.area())), placed(t, tiled), false));
    }
    if (mark instanceof Mark.Group g) {
      Effects e = g.effects();
      List<Layer> own = of(g.marks(), inner(t, e), inner(t, clips, e));
      return e.isApart() ? own.stream().map(l -> apart(l, e, inner(t, e))).toList() : own;
    }
    throw new IllegalArgumentException("no mark of a press file: " + mark.getClass());
  }

  /** A layer of a group that fades as one. */
  private static Layer apart(Layer l, Effects e, AffineTransform t) {
    List<Mark> mask =
        e.mask().isEmpty()
            ? List.of()
            : List.of(new Mark.Group("", Effects.NONE.withTransform(t), e.mask()));
    Effects here = new Effects(new AffineTransform(), e.opacity(), e.blend(), null, mask);
    return new Layer(l.clips(), l.bounds(), List.of(new Mark.Group("", here, l.marks())), false);
  }

  private static Layer filled(Shape shape, Fill fill, AffineTransform t, List<Shape> clips) {
    return Layer.of(with(clips, moved(t, shape)), placed(t, everywhere(fill)), true);
  }

  static Mark everywhere(Fill fill) {
    return new Mark.Path(WIDE, fill, null);
  }

  private static List<Mark> placed(AffineTransform t, Mark mark) {
    return t.isIdentity() || mark instanceof Mark.Path p && p.fill() instanceof Fill.Flat
        ? List.of(mark)
        : List.of(new Mark.Group("", Effects.NONE.withTransform(t), List.of(mark)));
  }

  private boolean isOpaque(Pixels pixels) {
    return pixels.accept(
        new Pixels.Visitor<>() {
          @Override
          public Boolean stored(Pixels.Stored stored) {
            return !clear.test(stored);
          }

          @Override
          public Boolean made(Pixels.Made made) {
            return !made.image().getColorModel().hasAlpha();
          }

          @Override
          public Boolean drawn(Pixels.Drawn drawn) {
            return drawn.opaque();
          }
        });
  }

  /** The shape of an image; a rectangle where it is one. */
  private static Shape quad(AffineTransform place) {
    return moved(place, UNIT);
  }

  private static Shape moved(AffineTransform t, Shape shape) {
    Shape there = t.createTransformedShape(shape);
    boolean level = t.getShearX() == 0 && t.getShearY() == 0;
    return shape instanceof Rectangle2D && level ? there.getBounds2D() : there;
  }

  private static List<Shape> with(List<Shape> clips, Shape shape) {
    List<Shape> all = new ArrayList<>(clips);
    all.add(shape);
    return all;
  }

  static AffineTransform inner(AffineTransform t, Effects e) {
    AffineTransform there = new AffineTransform(t);
    there.concatenate(e.transform());
    return there;
  }

  static List<Shape> inner(AffineTransform t, List<Shape> clips, Effects e) {
    return e.clip() == null ? clips : with(clips, moved(inner(t, e), e.clip()));
  }
}
