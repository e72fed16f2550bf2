package app.reglet.press.vector;

import com.github.weisj.jsvg.renderer.output.Output;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Image;
import java.awt.Paint;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.Stroke;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.ImageObserver;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Writes down what an SVG draws: areas and what they are filled with. Lines become areas. */
final class Recorder implements Output {
  private final Recording sheet;
  private AffineTransform transform;
  private Area clip;
  private Paint paint = Color.BLACK;
  private Stroke stroke = new BasicStroke();
  private float opacity = 1;

  private Recorder(Recording sheet, AffineTransform transform) {
    this.sheet = sheet;
    this.transform = transform;
  }

  Recorder(Rectangle2D page, Recording recording) {
    this(recording, new AffineTransform());
    this.clip = new Area(page);
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
    sheet.add(transform.createTransformedShape(shape), paint, opacity, transform, clip);
  }

  @Override
  public void drawShape(Shape shape) {
    sheet.expectTime();
    sheet.add(
        transform.createTransformedShape(stroke.createStrokedShape(shape)),
        paint,
        opacity,
        transform,
        clip);
  }

  @Override
  public void drawImage(BufferedImage image) {
    sheet.leftOut("picture");
  }

  @Override
  public void drawImage(Image image, ImageObserver observer) {
    sheet.leftOut("picture");
  }

  @Override
  public void drawImage(Image image, AffineTransform at, ImageObserver observer) {
    sheet.leftOut("picture");
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
    sheet.expectTime();
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
