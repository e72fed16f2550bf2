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

  private static final Colour.Cmyk PAPER = new Colour.Cmyk(0, 0, 0, 0);

  private final Layers layers;
  private final UnaryOperator<Colour.Cmyk> within;
  private final boolean all;
  private final List<Layer> page = new ArrayList<>();

  private Flattening(
      Rectangle2D sheet,
      Predicate<Pixels.Stored> clear,
      UnaryOperator<Colour.Cmyk> within,
      boolean all) {
    this.layers = new Layers(clear);
    this.within = within;
    this.all = all;
    page.add(Layer.of(List.of(sheet), List.of(Layers.everywhere(Fill.of(PAPER))), true));
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
                emit(
                    g.marks(), Layers.inner(t, g.effects()), Layers.inner(t, clips, g.effects()))));
        continue;
      }
      List<Layer> own = layers.of(mark, t, clips);
      List<Layer> made = Layers.laid(page, own);
      page.addAll(made);
      boolean live = !all && !multiplies(mark);
      if (live || own.stream().allMatch(Layer::opaque) || isPainted(mark)) {
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

  /**
   * A pattern of opaque marks is painted as it is, though paper shows between them, and so is a
   * placed page, which is none where something shows through it.
   */
  private boolean isPainted(Mark mark) {
    return mark instanceof Mark.Page
        || mark instanceof Mark.Tiled t
            && layers.of(t.motif(), new AffineTransform(), List.of()).stream()
                .allMatch(Layer::opaque);
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

  /**
   * Pixels per inch that a layer needs: those of what is finest in it. What is flat all over it
   * needs none, so that a coarse picture on a ground gets no pixels that it does not have.
   */
  private static double ppi(List<Mark> marks) {
    double most = finest(marks);
    return most == 0 ? SMOOTH_PPI : most;
  }

  private static double finest(List<Mark> marks) {
    double most = 0;
    for (Mark mark : marks) {
      if (mark instanceof Mark.Group g) {
        most = Math.max(most, finest(g.marks()));
        most = g.effects().mask().isEmpty() ? most : Math.max(most, SMOOTH_PPI);
      } else if (mark instanceof Mark.Image i) {
        most = Math.max(most, ppi(i.pixels()));
      } else if (mark instanceof Mark.Path p) {
        boolean flat = p.pen() == null && (p.fill() == null || p.fill() instanceof Fill.Flat);
        most = Math.max(most, flat ? 0 : SMOOTH_PPI);
      } else {
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

  private static AffineTransform inverse(AffineTransform t) {
    try {
      return t.createInverse();
    } catch (NoninvertibleTransformException e) {
      throw new IllegalStateException(e); // turns and mirrors can always be undone
    }
  }
}
