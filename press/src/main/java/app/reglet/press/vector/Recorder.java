package app.reglet.press.vector;

import app.reglet.core.Refusal;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.ornament.Tint;
import app.reglet.press.reading.Budget;
import com.github.weisj.jsvg.renderer.output.Output;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Image;
import java.awt.LinearGradientPaint;
import java.awt.MultipleGradientPaint;
import java.awt.Paint;
import java.awt.RadialGradientPaint;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.Stroke;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.PathIterator;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.ImageObserver;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** Writes down what an SVG draws: areas and what they are filled with. Lines become areas. */
final class Recorder implements Output {
  private static final int MOST_POINTS = 200_000;
  private static final int MOST_PARTS = 5_000;

  /** What all of its children write into. */
  private static final class Sheet {
    final Map<Integer, Integer> inks = new LinkedHashMap<>();
    final Map<String, Integer> lost;
    final Budget budget;
    final Deque<Layer> open = new ArrayDeque<>(List.of(new Layer(1)));
    int points;
    int areas;

    Sheet(Map<String, Integer> lost, Budget budget) {
      this.lost = lost;
      this.budget = budget;
    }

    void open(double opacity) {
      Layer inner = new Layer(opacity);
      open.peek().laid.add(inner);
      open.push(inner);
    }

    void close() {
      if (open.size() > 1) {
        open.pop();
      }
    }
  }

  /** What is laid down as one: areas and other layers. */
  private static final class Layer {
    final double opacity;
    final List<Object> laid = new ArrayList<>();

    Layer(double opacity) {
      this.opacity = opacity;
    }

    List<Ornament.Part> parts() {
      return laid.stream().flatMap(Layer::parts).toList();
    }

    private static Stream<Ornament.Part> parts(Object laid) {
      return laid instanceof Layer layer ? layer.made() : Stream.of((Ornament.Area) laid);
    }

    /** A single area fades by itself. */
    private Stream<Ornament.Part> made() {
      List<Ornament.Part> parts = parts();
      if (parts.size() == 1 && parts.get(0) instanceof Ornament.Area a) {
        return Stream.of(new Ornament.Area(a.shape(), a.tint().times(opacity), a.clip()));
      }
      return parts.isEmpty() ? Stream.empty() : Stream.of(new Ornament.Faded(opacity, parts));
    }
  }

  private final Sheet sheet;
  private AffineTransform transform;
  private Area clip;
  private Paint paint = Color.BLACK;
  private Stroke stroke = new BasicStroke();
  private float opacity = 1;

  private Recorder(Sheet sheet, AffineTransform transform) {
    this.sheet = sheet;
    this.transform = transform;
  }

  Recorder(Rectangle2D page, Map<String, Integer> lost, Budget budget) {
    this(new Sheet(lost, budget), new AffineTransform());
    this.clip = new Area(page);
  }

  List<Ornament.Part> parts() {
    return sheet.open.getLast().parts();
  }

  List<Integer> inks() {
    return List.copyOf(sheet.inks.keySet());
  }

  @Override
  public void fillShape(Shape shape) {
    OptionalDouble begins = Layers.begins(shape);
    if (begins.isPresent()) {
      sheet.open(begins.getAsDouble());
      return;
    }
    if (Layers.ends(shape)) {
      sheet.close();
      return;
    }
    add(transform.createTransformedShape(shape));
  }

  @Override
  public void drawShape(Shape shape) {
    sheet.budget.expectTime();
    add(transform.createTransformedShape(stroke.createStrokedShape(shape)));
  }

  private void add(Shape shape) {
    count(shape);
    Rectangle2D bounds = shape.getBounds2D();
    if (bounds.isEmpty() || clip != null && !clip.intersects(bounds)) {
      return;
    }
    Tint tint = tint();
    if (tint != null && tint.opacity() > 0) {
      boolean whole = clip == null || clip.contains(bounds);
      sheet.areas++;
      sheet.open.peek().laid.add(new Ornament.Area(shape, tint, whole ? null : new Area(clip)));
    }
  }

  private void count(Shape shape) {
    sheet.budget.object();
    for (PathIterator i = shape.getPathIterator(null); !i.isDone(); i.next()) {
      sheet.points++;
    }
    if (sheet.points > MOST_POINTS || sheet.areas >= MOST_PARTS) {
      throw new Refusal(
          "file",
          String.format(
              Locale.ROOT,
              "This drawing has more than %s, more than a cover can carry: simplify it, or save it as a picture of 300 ppi.",
              sheet.points > MOST_POINTS
                  ? String.format(Locale.ROOT, "%,d points", MOST_POINTS)
                  : String.format(Locale.ROOT, "%,d areas", MOST_PARTS)));
    }
  }

  private Tint tint() {
    Paint unwrapped = Paints.unwrapped(paint);
    if (unwrapped instanceof Color c) {
      return new Tint.Flat(ink(c), opacity * c.getAlpha() / 255.0);
    }
    if (unwrapped instanceof MultipleGradientPaint g) {
      return gradient(g);
    }
    sheet.lost.merge("fill of a pattern", 1, Integer::sum);
    return null;
  }

  private int ink(Color c) {
    return sheet.inks.computeIfAbsent(c.getRGB() & 0xffffff, k -> sheet.inks.size());
  }

  private Tint gradient(MultipleGradientPaint g) {
    List<Tint.Stop> stops = new ArrayList<>();
    double sum = 0;
    boolean fades = false;
    for (int i = 0; i < g.getColors().length; i++) {
      Color c = g.getColors()[i];
      stops.add(new Tint.Stop(g.getFractions()[i], ink(c)));
      sum += c.getAlpha() / 255.0;
      fades |= c.getAlpha() != g.getColors()[0].getAlpha();
    }
    if (fades) {
      sheet.lost.merge("fading of a gradient", 1, Integer::sum);
    }
    if (g.getCycleMethod() != MultipleGradientPaint.CycleMethod.NO_CYCLE) {
      sheet.lost.merge("repeating of a gradient", 1, Integer::sum);
    }
    double alpha = opacity * sum / stops.size();
    AffineTransform to = new AffineTransform(transform);
    to.concatenate(g.getTransform());
    if (g instanceof LinearGradientPaint l) {
      return Paints.linear(l.getStartPoint(), l.getEndPoint(), to, stops, alpha);
    }
    RadialGradientPaint r = (RadialGradientPaint) g;
    Point2D middle = r.getCenterPoint();
    to.translate(middle.getX(), middle.getY());
    to.scale(r.getRadius(), r.getRadius());
    if (r.getFocusPoint().distance(middle) > r.getRadius() / 100) {
      sheet.lost.merge("focus of a round gradient", 1, Integer::sum);
    }
    return new Tint.Radial(to, stops, alpha);
  }

  @Override
  public void drawImage(BufferedImage image) {
    sheet.lost.merge("picture", 1, Integer::sum);
  }

  @Override
  public void drawImage(Image image, ImageObserver observer) {
    sheet.lost.merge("picture", 1, Integer::sum);
  }

  @Override
  public void drawImage(Image image, AffineTransform at, ImageObserver observer) {
    sheet.lost.merge("picture", 1, Integer::sum);
  }

  @Override
  public void setPaint(Paint p) {
    paint = p;
  }

  @Override
  public void setPaint(Supplier<Paint> p) {
    paint = p.get();
  }

  @Override
  public void setStroke(Stroke s) {
    stroke = s;
  }

  @Override
  public Stroke stroke() {
    return stroke;
  }

  @Override
  public void applyClip(Shape shape) {
    sheet.budget.expectTime();
    Area more = new Area(transform.createTransformedShape(shape));
    if (clip != null) {
      more.intersect(clip);
    }
    clip = more;
  }

  @Override
  public void setClip(Shape shape) {
    clip = shape == null ? null : new Area(transform.createTransformedShape(shape));
  }

  @Override
  public Optional<Float> contextFontSize() {
    return Optional.empty();
  }

  @Override
  public Output createChild() {
    Recorder child = new Recorder(sheet, new AffineTransform(transform));
    child.clip = clip;
    child.paint = paint;
    child.stroke = stroke;
    child.opacity = opacity;
    return child;
  }

  @Override
  public void dispose() {
    // nothing is held
  }

  @Override
  public void debugPaint(Consumer<Graphics2D> painter) {
    // not for print
  }

  @Override
  public Rectangle2D clipBounds() {
    try {
      return transform.createInverse().createTransformedShape(clip).getBounds2D();
    } catch (java.awt.geom.NoninvertibleTransformException e) {
      return new Rectangle2D.Double();
    }
  }

  @Override
  public RenderingHints renderingHints() {
    return new RenderingHints(Map.of());
  }

  @Override
  public Object renderingHint(RenderingHints.Key key) {
    return null;
  }

  @Override
  public void setRenderingHint(RenderingHints.Key key, Object value) {
    // vectors have none
  }

  @Override
  public AffineTransform transform() {
    return new AffineTransform(transform);
  }

  @Override
  public void setTransform(AffineTransform t) {
    transform = new AffineTransform(t);
  }

  @Override
  public void applyTransform(AffineTransform t) {
    transform.concatenate(t);
  }

  @Override
  public void rotate(double angle) {
    transform.rotate(angle);
  }

  @Override
  public void scale(double x, double y) {
    transform.scale(x, y);
  }

  @Override
  public void translate(double x, double y) {
    transform.translate(x, y);
  }

  @Override
  public float currentOpacity() {
    return opacity;
  }

  @Override
  public void applyOpacity(float o) {
    opacity *= o;
  }

  @Override
  public SafeState safeState() {
    AffineTransform t = new AffineTransform(transform);
    Area c = clip;
    Paint p = paint;
    Stroke s = stroke;
    float o = opacity;
    return () -> {
      transform = t;
      clip = c;
      paint = p;
      stroke = s;
      opacity = o;
    };
  }

  @Override
  public boolean supportsFilters() {
    return false;
  }

  @Override
  public boolean supportsColors() {
    return true;
  }
}
