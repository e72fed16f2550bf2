package app.reglet.press.inks;

import app.reglet.core.design.BlackAlone;
import app.reglet.core.design.Colour;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.press.art.Coarser;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pen;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.PlacedPage;
import app.reglet.press.art.Rect;
import app.reglet.press.colour.PressInks;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * A cover's marks with every colour as inks: of letters and lines, areas and grounds as {@link
 * PressInks} has them. Gradients are given in so many steps that they run as on a screen. Pixels
 * stay in sRGB, no finer than they may be; placed pages, whose colours are their own, become
 * pixels, unless they can be given in inks as they are.
 */
public final class Inking {
  /** Steps between two colours of a gradient. */
  private static final int STEPS = 8;

  private static final Rectangle2D UNIT = new Rectangle2D.Double(0, 0, 1, 1);

  private static final double MM_PER_INCH = 25.4;

  /** Of a placed page, whose letters become pixels too. */
  static final double PAGE_PPI = 600;

  private final PressInks inks;
  private final Coarser coarser;
  private final Predicate<PlacedPage> stays;

  /**
   * @param mostPpi pictures finer than this at printed size are made coarser; 0 for none
   * @param wantedPpi what they become
   */
  public Inking(PressInks inks, int mostPpi, int wantedPpi) {
    this(inks, mostPpi, wantedPpi, p -> false);
  }

  /**
   * @param mostPpi pictures finer than this at printed size are made coarser; 0 for none
   * @param wantedPpi what they become
   * @param stays placed pages that whoever writes the marks gives in inks himself
   */
  public Inking(PressInks inks, int mostPpi, int wantedPpi, Predicate<PlacedPage> stays) {
    this.inks = inks;
    this.coarser = new Coarser(mostPpi, wantedPpi);
    this.stays = stays;
  }

  /** The marks in inks. */
  public List<Mark> of(List<? extends Mark> marks) {
    return of(marks, new AffineTransform(), null);
  }

  private List<Mark> of(List<? extends Mark> marks, AffineTransform toSheet, Rectangle2D seen) {
    List<Mark> out = new ArrayList<>();
    marks.forEach(m -> out.add(of(m, toSheet, seen)));
    return out;
  }

  /**
   * @param seen what of the mark is seen at most, in its own coordinates; null for all
   */
  private Mark of(Mark mark, AffineTransform toSheet, Rectangle2D seen) {
    if (mark instanceof Mark.Path p) {
      return new Mark.Path(p.shape(), filled(p), pen(p.pen()));
    }
    if (mark instanceof Mark.Glyphs g) {
      return new Mark.Glyphs(
          g.face(),
          g.size(),
          g.glyphs(),
          g.x(),
          g.y(),
          g.turns(),
          g.chars(),
          g.place(),
          letters(g, toSheet),
          pen(g.outline()),
          g.text());
    }
    if (mark instanceof Mark.Image i) {
      return new Mark.Image(coarser.pixels(i, toSheet), i.place());
    }
    if (mark instanceof Mark.Page p) {
      if (stays.test(p.page())) {
        return p;
      }
      Rect box = seen(p, seen);
      return box.width() <= 0 || box.height() <= 0
          ? new Mark.Group("", Effects.NONE, List.of())
          : new Pixels.Drawn(List.of(p), box, ppi(p), hides(p)).image();
    }
    if (mark instanceof Mark.Tiled t) {
      AffineTransform there = new AffineTransform(toSheet);
      there.concatenate(t.lattice().toSheet());
      return new Mark.Tiled(t.area(), t.lattice(), of(t.motif(), there, null), t.closed());
    }
    if (mark instanceof Mark.Group g) {
      Effects e = g.effects();
      AffineTransform there = new AffineTransform(toSheet);
      there.concatenate(e.transform());
      Rectangle2D in = e.transform().isIdentity() ? seen : null;
      if (e.clip() != null) {
        Rectangle2D clip = e.clip().getBounds2D();
        in = in == null ? clip : in.createIntersection(clip);
      }
      return new Mark.Group(g.name(), e, of(g.marks(), there, in));
    }
    return mark; // labels are of drawings
  }

  /** What of a page is seen, in whole pixels of it: of a cutting no more than is cut. */
  private static Rect seen(Mark.Page p, Rectangle2D seen) {
    Rectangle2D all = p.place().createTransformedShape(UNIT).getBounds2D();
    if (seen == null) {
      return new Rect(all.getX(), all.getY(), all.getWidth(), all.getHeight());
    }
    double pixel = MM_PER_INCH / ppi(p);
    double x = all.getMinX() + before(seen.getMinX() - all.getMinX(), pixel);
    double y = all.getMinY() + before(seen.getMinY() - all.getMinY(), pixel);
    double right = all.getMaxX() - before(all.getMaxX() - seen.getMaxX(), pixel);
    double bottom = all.getMaxY() - before(all.getMaxY() - seen.getMaxY(), pixel);
    return new Rect(x, y, right - x, bottom - y);
  }

  /** How far whole pixels go before a place; none where it lies outside. */
  private static double before(double far, double pixel) {
    return Math.max(0, Math.floor(far / pixel) * pixel);
  }

  /** A page that stands level fills its box, and one that is turned leaves corners. */
  private static boolean hides(Mark.Page p) {
    return p.page().opaque() && p.place().getShearX() == 0 && p.place().getShearY() == 0;
  }

  /** What is nothing but pixels gets no more of them; letters and lines get many. */
  private static double ppi(Mark.Page p) {
    AffineTransform t = p.place();
    double inches = Math.hypot(t.getScaleX(), t.getShearY()) / MM_PER_INCH;
    return p.page().pixels() == 0
        ? PAGE_PPI
        : Math.min(PAGE_PPI, Math.max(1, p.page().pixels() / inches));
  }

  /** An ink of its own stays on its plate. */
  private static boolean isSpot(Fill fill) {
    return fill instanceof Fill.Flat flat && flat.colour() instanceof Colour.Spot;
  }

  private Fill filled(Mark.Path p) {
    if (isSpot(p.fill())) {
      return p.fill();
    }
    if (p.fill() instanceof Fill.Flat flat
        && p.shape() instanceof Rectangle2D r
        && BlackAlone.isGround(
            new Size(Length.nearMm(r.getWidth()), Length.nearMm(r.getHeight())))) {
      return Fill.of(inks.ground(flat.colour()));
    }
    return p.fill() instanceof Fill.Flat flat
        ? Fill.of(inks.area(flat.colour()))
        : p.fill() == null ? null : graded(p.fill(), false);
  }

  private Fill letters(Mark.Glyphs g, AffineTransform toSheet) {
    if (!(g.fill() instanceof Fill.Flat flat) || isSpot(g.fill())) {
      return line(g.fill());
    }
    AffineTransform t = new AffineTransform(toSheet);
    t.concatenate(g.place());
    Length size = Length.nearMm(g.size() * Math.sqrt(Math.abs(t.getDeterminant())));
    return Fill.of(inks.letters(flat.colour(), size));
  }

  private Fill line(Fill fill) {
    if (isSpot(fill)) {
      return fill;
    }
    return fill instanceof Fill.Flat flat
        ? Fill.of(inks.line(flat.colour()))
        : fill == null ? null : graded(fill, isBlack(fill));
  }

  /** Whether all colours of a gradient are black alone as a line is. */
  private static boolean isBlack(Fill fill) {
    List<Fill.Stop> stops =
        fill instanceof Fill.Linear l ? l.stops() : ((Fill.Radial) fill).stops();
    return stops.stream().allMatch(s -> BlackAlone.ofLine(s.colour()));
  }

  private Pen pen(Pen pen) {
    return pen == null ? null : new Pen(line(pen.fill()), pen.width(), pen.dashes());
  }

  /**
   * @param black whether in black alone
   */
  private Fill graded(Fill fill, boolean black) {
    if (fill instanceof Fill.Linear l) {
      return new Fill.Linear(l.x1(), l.y1(), l.x2(), l.y2(), stops(l.stops(), black));
    }
    Fill.Radial r = (Fill.Radial) fill;
    return new Fill.Radial(r.x(), r.y(), r.radius(), stops(r.stops(), black));
  }

  /** Between two colours of the screen so many steps; between inks none. */
  private List<Fill.Stop> stops(List<Fill.Stop> stops, boolean black) {
    UnaryOperator<Colour.Solid> ink = black ? inks::line : inks::of;
    List<Fill.Stop> out = new ArrayList<>();
    for (int i = 0; i < stops.size(); i++) {
      Fill.Stop from = stops.get(i);
      out.add(new Fill.Stop(from.at(), ink.apply(from.colour())));
      if (i + 1 < stops.size()
          && from.colour() instanceof Colour.Rgb a
          && stops.get(i + 1).colour() instanceof Colour.Rgb b) {
        double to = stops.get(i + 1).at();
        for (int step = 1; step < STEPS; step++) {
          double share = step / (double) STEPS;
          out.add(
              new Fill.Stop(
                  from.at() + share * (to - from.at()),
                  ink.apply(between(a.rgb(), b.rgb(), share))));
        }
      }
    }
    return out;
  }

  private static Colour.Rgb between(int a, int b, double share) {
    int rgb = 0;
    for (int shift = 16; shift >= 0; shift -= 8) {
      double value = (a >> shift & 0xff) * (1 - share) + (b >> shift & 0xff) * share;
      rgb = rgb << 8 | (int) Math.round(value);
    }
    return new Colour.Rgb(rgb);
  }
}
