package app.reglet.press.inks;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * Marks of which nothing shows through anything, that look as those given: for files that take no
 * transparency (ISO 15930-4, 6.3; how it is done is ours).
 *
 * <p>A page is taken as layers, each an outline and what is seen in it, of which the last at a
 * place is seen there. What is translucent is laid over each layer below it, and what comes of that
 * is a layer again, with the outlines of both. So letters above stay what they are, and letters
 * below keep their outlines: only what is within an outline becomes pixels, and where a flat colour
 * lies over a flat colour not even that.
 */
public final class Flattening {
  /** Where a placed page or a pattern lies below or above, whose fine forms become pixels. */
  private static final double FINE_PPI = 600;

  /** Where a picture does. */
  private static final double PICTURE_PPI = 300;

  /** Where there are only colours that run: shadows and gradients have nothing finer. */
  private static final double SMOOTH_PPI = 200;

  private static final Rectangle2D UNIT = new Rectangle2D.Double(0, 0, 1, 1);

  /** Larger than any sheet, mm: what is drawn is cut by its outlines. */
  private static final Rectangle2D WIDE = new Rectangle2D.Double(-5000, -5000, 10_000, 10_000);

  private static final Colour.Cmyk PAPER = new Colour.Cmyk(0, 0, 0, 0);

  private final Predicate<Pixels.Stored> clear;
  private final UnaryOperator<Colour.Cmyk> within;
  private final boolean all;
  private final List<Layer> page = new ArrayList<>();

  private Flattening(
      Rectangle2D sheet,
      Predicate<Pixels.Stored> clear,
      UnaryOperator<Colour.Cmyk> within,
      boolean all) {
    this.clear = clear;
    this.within = within;
    this.all = all;
    page.add(Layer.of(List.of(sheet), List.of(everywhere(Fill.of(PAPER))), true));
  }

  /**
   * Flattens marks.
   *
   * @param marks in inks
   * @param sheet all that is printed, mm
   * @param clear whether something shows through a stored picture
   * @param within a mixed colour within the total of ink
   */
  public static List<Mark> of(
      List<? extends Mark> marks,
      Rect sheet,
      Predicate<Pixels.Stored> clear,
      UnaryOperator<Colour.Cmyk> within) {
    return new Flattening(sheet.shape(), clear, within, true)
        .emit(marks, new AffineTransform(), List.of());
  }

  /**
   * Flattens only what multiplies, since that alone comes to more ink than what it is made of: a
   * mean of two colours within the total is within it.
   */
  public static List<Mark> ofMultiplied(
      List<? extends Mark> marks,
      Rect sheet,
      Predicate<Pixels.Stored> clear,
      UnaryOperator<Colour.Cmyk> within) {
    return new Flattening(sheet.shape(), clear, within, false)
        .emit(marks, new AffineTransform(), List.of());
  }

  private static boolean multiplies(Mark mark) {
    return mark instanceof Mark.Group g
        && (g.effects().blend() == Appearance.Blend.MULTIPLY
            || g.marks().stream().anyMatch(Flattening::multiplies));
  }

  private List<Mark> emit(List<? extends Mark> marks, AffineTransform t, List<Shape> clips) {
    List<Mark> out = new ArrayList<>();
    for (Mark mark : marks) {
      if (mark instanceof Mark.Group g && !g.effects().isApart()) {
        out.add(
            new Mark.Group(
                g.name(),
                g.effects(),
                emit(g.marks(), inner(t, g.effects()), inner(t, clips, g.effects()))));
        continue;
      }
      List<Layer> own = layers(mark, t, clips);
      List<Layer> made = laid(page, own);
      page.addAll(made);
      boolean live = !all && !multiplies(mark);
      if (live || own.stream().allMatch(Layer::opaque) || isPattern(mark)) {
        out.add(mark);
      } else {
        List<Mark> flat = made.stream().map(this::drawn).toList();
        if (!flat.isEmpty()) {
          out.add(new Mark.Group("", Effects.NONE.withTransform(inverse(t)), flat));
        }
        out.addAll(unseen(mark));
      }
    }
    return out;
  }

  /** A pattern of opaque marks is painted as it is, though paper shows between them. */
  private boolean isPattern(Mark mark) {
    return mark instanceof Mark.Tiled t
        && layers(t.motif(), new AffineTransform(), List.of()).stream().allMatch(Layer::opaque);
  }

  /** Letters that became part of pixels, to be found and copied still. */
  private static List<Mark> unseen(Mark mark) {
    List<Mark> out = new ArrayList<>();
    if (mark instanceof Mark.Glyphs g) {
      out.add(g.unseen());
    } else if (mark instanceof Mark.Group g) {
      List<Mark> in = new ArrayList<>();
      g.marks().forEach(m -> in.addAll(unseen(m)));
      if (!in.isEmpty()) {
        out.add(new Mark.Group("", Effects.NONE.withTransform(g.effects().transform()), in));
      }
    }
    return out;
  }

  /**
   * Layers of one mark, of which the last is seen, laid over what was there before it.
   *
   * @param below what was there
   */
  private static List<Layer> laid(List<Layer> below, List<Layer> own) {
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
  private List<Layer> layers(List<? extends Mark> marks, AffineTransform t, List<Shape> clips) {
    List<Layer> stack = new ArrayList<>();
    for (Mark mark : marks) {
      List<Layer> below = List.copyOf(stack);
      for (Layer l : layers(mark, t, clips)) {
        if (!l.opaque()) {
          stack.add(l); // where there is nothing below
        }
        stack.addAll(laid(below, List.of(l)));
      }
    }
    return stack;
  }

  private List<Layer> layers(Mark mark, AffineTransform t, List<Shape> clips) {
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
    if (mark instanceof Mark.Tiled tiled) {
      return List.of(Layer.of(with(clips, moved(t, tiled.area())), placed(t, tiled), false));
    }
    if (mark instanceof Mark.Group g) {
      Effects e = g.effects();
      List<Layer> own = layers(g.marks(), inner(t, e), inner(t, clips, e));
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

  private static Mark everywhere(Fill fill) {
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

  /** A layer as a mark: a path where it is one colour, else pixels within its outlines. */
  private Mark drawn(Layer l) {
    Colour.Cmyk flat = flat(l.marks());
    Rect box =
        new Rect(
            l.bounds().getX(), l.bounds().getY(), l.bounds().getWidth(), l.bounds().getHeight());
    Mark mark =
        flat != null
            ? new Mark.Path(l.bounds(), Fill.of(within.apply(flat)), null)
            : new Pixels.Drawn(l.marks(), box, ppi(l.marks()), true).image();
    for (Shape clip : l.clips()) {
      if (!(clip instanceof Rectangle2D r && r.contains(l.bounds()))) {
        mark = Mark.Group.clipped(clip, mark);
      }
    }
    return mark;
  }

  /** The colour that flat ones over each other come to; null where they are not flat. */
  private static Colour.Cmyk flat(List<Mark> marks) {
    double[] under = null;
    for (Mark mark : marks) {
      double share = 1;
      boolean multiplied = false;
      Mark in = mark;
      while (in instanceof Mark.Group g && g.marks().size() == 1 && g.effects().mask().isEmpty()) {
        share *= g.effects().opacity();
        multiplied |= g.effects().blend() == Appearance.Blend.MULTIPLY;
        in = g.marks().get(0);
      }
      if (!(in instanceof Mark.Path p
          && p.pen() == null
          && p.fill() instanceof Fill.Flat f
          && f.colour() instanceof Colour.Cmyk c)) {
        return null;
      }
      double[] over = {c.cyan() / 100, c.magenta() / 100, c.yellow() / 100, c.black() / 100};
      if (under == null) {
        under = over;
        continue;
      }
      for (int i = 0; i < under.length; i++) {
        double mixed = multiplied ? 1 - (1 - over[i]) * (1 - under[i]) : over[i];
        under[i] = under[i] * (1 - share) + mixed * share;
      }
    }
    return under == null
        ? null
        : new Colour.Cmyk(
            percent(under[0]), percent(under[1]), percent(under[2]), percent(under[3]));
  }

  private static double percent(double share) {
    return Math.round(Math.max(0, Math.min(1, share)) * 10_000) / 100.0;
  }

  private static double ppi(List<Mark> marks) {
    double most = SMOOTH_PPI;
    for (Mark mark : marks) {
      if (mark instanceof Mark.Group g) {
        most = Math.max(most, ppi(g.marks()));
      } else if (mark instanceof Mark.Image i) {
        most = Math.max(most, ppi(i.pixels()));
      } else if (!(mark instanceof Mark.Path)) {
        most = FINE_PPI;
      }
    }
    return most;
  }

  private static double ppi(Pixels pixels) {
    return pixels instanceof Pixels.Drawn d
        ? d.ppi()
        : pixels instanceof Pixels.Stored ? PICTURE_PPI : SMOOTH_PPI;
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

  private static AffineTransform inner(AffineTransform t, Effects e) {
    AffineTransform there = new AffineTransform(t);
    there.concatenate(e.transform());
    return there;
  }

  private static List<Shape> inner(AffineTransform t, List<Shape> clips, Effects e) {
    return e.clip() == null ? clips : with(clips, moved(inner(t, e), e.clip()));
  }

  private static AffineTransform inverse(AffineTransform t) {
    try {
      return t.createInverse();
    } catch (NoninvertibleTransformException e) {
      throw new IllegalStateException(e); // turns and mirrors can always be undone
    }
  }
}
