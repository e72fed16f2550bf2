package app.reglet.press.inspect.page;

import app.reglet.core.Refusal;
import app.reglet.press.art.Rect;
import app.reglet.press.inspect.page.PageContent.PlacedPicture;
import app.reglet.press.inspect.page.PageContent.ThinLine;
import app.reglet.press.pageinks.SpaceInks;
import app.reglet.press.picture.JpegQuality;
import app.reglet.press.reading.Budget;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.GeneralPath;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.blend.BlendMode;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceN;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.apache.pdfbox.pdmodel.graphics.color.PDIndexed;
import org.apache.pdfbox.pdmodel.graphics.color.PDSeparation;
import org.apache.pdfbox.pdmodel.graphics.form.PDTransparencyGroup;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.state.PDGraphicsState;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;

/** Follows the operators of a page (ISO 32000-1, 8 and 9) and notes what they lay where. */
final class PageReader extends PDFGraphicsStreamEngine {
  static final double MM_PER_POINT = 25.4 / 72;

  /** A line thinner than this is noted, points. */
  private static final double THIN = 0.5;

  /** What is filled and so much longer than thick is a line. */
  private static final double LONG = 8;

  /** Pixels are even when they are so nearly square and upright. */
  private static final double EVEN = 0.05;

  private static final int MOST_PICTURES = 5000;

  /** A clip that lies so far inside the page's edge, points, is one round the page. */
  private static final double EDGE = 0.1;

  private final Budget budget;
  private final AffineTransform sheet;
  private final double unit;
  private final GeneralPath path = new GeneralPath();
  private final List<PlacedPicture> pictures = new ArrayList<>();
  private final LetterRuns letters = new LetterRuns();
  private final List<ThinLine> lines = new ArrayList<>();
  private final Set<String> spaces = new TreeSet<>();
  private final Set<String> spots = new TreeSet<>();
  private final Set<String> shownThrough = new TreeSet<>();
  private boolean overprints;
  private boolean damaged;

  /**
   * Whether there is more than upright pictures of even pixels: letters, lines, areas, a form that
   * cuts a picture, one that is turned or has more pixels one way.
   */
  private boolean drawsMore;

  private PageReader(PDPage page, Budget budget) {
    super(page);
    this.budget = budget;
    PDRectangle media = page.getMediaBox();
    this.unit = page.getUserUnit() > 0 ? page.getUserUnit() : 1;
    this.sheet = seen(media, page.getRotation(), unit);
  }

  /** From the page's own coordinates to mm from the top left as seen. */
  static AffineTransform seen(PDRectangle media, int rotation, double unit) {
    double mm = unit * MM_PER_POINT;
    double w = media.getWidth() * mm;
    double h = media.getHeight() * mm;
    AffineTransform out = new AffineTransform();
    switch (Math.floorMod(rotation, 360)) {
      case 90 -> out.concatenate(new AffineTransform(0, 1, -1, 0, h, 0));
      case 180 -> out.concatenate(new AffineTransform(-1, 0, 0, -1, w, h));
      case 270 -> out.concatenate(new AffineTransform(0, -1, 1, 0, 0, w));
      default -> {
        // as it is
      }
    }
    out.concatenate(new AffineTransform(mm, 0, 0, -mm, 0, h));
    out.translate(-media.getLowerLeftX(), -media.getLowerLeftY());
    return out;
  }

  /**
   * Reads a page.
   *
   * @throws Refusal when that costs more than it may
   */
  static PageContent read(PDPage page, int number, Budget budget) {
    PageReader reader = new PageReader(page, budget);
    String cut = "";
    try {
      reader.processPage(page);
      cut = reader.damaged ? "a part of its drawing is missing or damaged" : "";
    } catch (IOException | RuntimeException | StackOverflowError e) {
      for (Throwable t = e; t != null; t = t.getCause()) {
        if (t instanceof Refusal r) {
          throw r;
        }
      }
      cut = "its drawing breaks off in a part that is damaged";
    }
    COSArray notes = page.getCOSObject().getCOSArray(COSName.ANNOTS);
    List<ThinLine> thinnest = new ArrayList<>(reader.lines);
    thinnest.sort(Comparator.comparingDouble(ThinLine::points));
    return new PageContent(
        number,
        List.copyOf(reader.pictures),
        reader.letters.all(),
        List.copyOf(thinnest.subList(0, Math.min(PageContent.MOST_LINES, thinnest.size()))),
        List.copyOf(reader.spaces),
        List.copyOf(reader.spots),
        List.copyOf(reader.shownThrough),
        reader.overprints,
        notes == null ? 0 : notes.size(),
        cut,
        cut.isEmpty() && !reader.drawsMore && !reader.pictures.isEmpty());
  }

  /** Where what is seen of a page, its crop box, lies: mm from its media box's top left as seen. */
  static Rect crop(PDPage page) {
    PDRectangle crop = page.getCropBox();
    AffineTransform sheet =
        seen(
            page.getMediaBox(),
            page.getRotation(),
            page.getUserUnit() > 0 ? page.getUserUnit() : 1);
    return rect(
        sheet
            .createTransformedShape(
                new Rectangle2D.Double(
                    crop.getLowerLeftX(), crop.getLowerLeftY(), crop.getWidth(), crop.getHeight()))
            .getBounds2D());
  }

  @Override
  protected void processOperator(Operator operator, List<COSBase> operands) throws IOException {
    budget.expectTime();
    super.processOperator(operator, operands);
  }

  /** What cannot be read is passed by, but never a refusal. */
  @Override
  protected void operatorException(Operator operator, List<COSBase> operands, IOException e)
      throws IOException {
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof Refusal r) {
        throw r;
      }
    }
    damaged = true;
  }

  // --- what is painted with ---

  private void painted(PDColorSpace space, double opacity, boolean stroke) {
    note(space);
    PDGraphicsState state = getGraphicsState();
    if (opacity < 1) {
      shownThrough.add("opacity of " + Math.round(opacity * 100) + " %");
    }
    if (state.getSoftMask() != null) {
      shownThrough.add("soft masks");
    }
    BlendMode mode = state.getBlendMode();
    if (mode != null && mode != BlendMode.NORMAL && mode != BlendMode.COMPATIBLE) {
      shownThrough.add("blending by " + mode.getCOSName().getName().toLowerCase(Locale.ROOT));
    }
    overprints |= stroke ? state.isOverprint() : state.isNonStrokingOverprint();
  }

  private void note(PDColorSpace space) {
    if (space == null) {
      return;
    }
    spaces.add(family(space));
    if (space instanceof PDIndexed i) {
      note(i.getBaseColorSpace());
    }
    if (space instanceof PDSeparation s) {
      spot(s.getColorantName());
    }
    if (space instanceof PDDeviceN n) {
      n.getColorantNames().forEach(this::spot);
    }
  }

  private void spot(String name) {
    if (name != null && SpaceInks.process(name) < 0 && !Set.of("All", "None").contains(name)) {
      spots.add(name);
    }
  }

  /** {@code ICC RGB}: what a space is, by its channels where a profile says them. */
  static String family(PDColorSpace space) {
    if (space instanceof PDICCBased i) {
      return switch (i.getNumberOfComponents()) {
        case 1 -> "ICC gray";
        case 3 -> "ICC RGB";
        default -> "ICC CMYK";
      };
    }
    return space.getName();
  }

  private void filled() throws IOException {
    drawsMore = true;
    PDGraphicsState state = getGraphicsState();
    painted(state.getNonStrokingColorSpace(), state.getNonStrokeAlphaConstant(), false);
  }

  @Override
  public void beginMarkedContentSequence(COSName tag, COSDictionary properties) {
    if (properties != null && properties.getString(COSName.ACTUAL_TEXT) != null) {
      letters.says(properties.getString(COSName.ACTUAL_TEXT));
    }
  }

  @Override
  public void endMarkedContentSequence() {
    letters.says(null);
  }

  // --- pictures ---

  @Override
  public void drawImage(PDImage image) throws IOException {
    if (pictures.size() >= MOST_PICTURES) {
      return;
    }
    boolean stencil = image.isStencil();
    PDColorSpace space = stencil ? null : image.getColorSpace();
    if (stencil) {
      filled();
    } else {
      painted(space, getGraphicsState().getNonStrokeAlphaConstant(), false);
    }
    if (image instanceof PDImageXObject x
        && x.getCOSObject().getDictionaryObject(COSName.SMASK) instanceof COSDictionary) {
      shownThrough.add("soft masks");
    }
    Matrix m = getGraphicsState().getCurrentTransformationMatrix();
    double across = Math.hypot(m.getScaleX(), m.getShearY()) * unit / 72;
    double along = Math.hypot(m.getShearX(), m.getScaleY()) * unit / 72;
    double ppi =
        Math.min(
            image.getWidth() / Math.max(across, 1e-6), image.getHeight() / Math.max(along, 1e-6));
    boolean turned =
        Math.abs(m.getShearX()) + Math.abs(m.getShearY()) > EVEN * Math.abs(m.getScaleX());
    double finer =
        Math.max(
            image.getWidth() / Math.max(across, 1e-6), image.getHeight() / Math.max(along, 1e-6));
    drawsMore |= turned || finer > ppi * (1 + EVEN);
    String filter =
        image instanceof PDImageXObject x && !x.getStream().getFilters().isEmpty()
            ? x.getStream().getFilters().get(x.getStream().getFilters().size() - 1).getName()
            : "";
    Rectangle2D place =
        m.createAffineTransform()
            .createTransformedShape(new Rectangle2D.Double(0, 0, 1, 1))
            .getBounds2D();
    clipped(place)
        .ifPresent(
            r ->
                pictures.add(
                    new PlacedPicture(
                        r,
                        image.getWidth(),
                        image.getHeight(),
                        image.getBitsPerComponent(),
                        space == null ? "" : family(space),
                        ppi,
                        filter,
                        filter.equals(COSName.DCT_DECODE.getName())
                            ? quality((PDImageXObject) image)
                            : 0)));
  }

  /** That of a JPEG, whose tables stand before its pixels. */
  private int quality(PDImageXObject image) {
    budget.object();
    try (InputStream in =
        image.getStream().createInputStream(List.of(COSName.DCT_DECODE.getName()))) {
      return JpegQuality.of(in);
    } catch (IOException e) {
      return 0;
    }
  }

  /** What of a place in the page's coordinates is within the clip, as seen. */
  private Optional<Rect> clipped(Rectangle2D place) {
    Rectangle2D clip = getGraphicsState().getCurrentClippingPath().getBounds2D();
    Rectangle2D in = place.createIntersection(clip);
    return in.getWidth() < 0 || in.getHeight() < 0
        ? Optional.empty()
        : Optional.of(rect(sheet.createTransformedShape(in).getBounds2D()));
  }

  static Rect rect(Rectangle2D r) {
    return new Rect(r.getX(), r.getY(), r.getWidth(), r.getHeight());
  }

  // --- letters ---

  @Override
  protected void showGlyph(Matrix at, PDFont font, int code, Vector displacement)
      throws IOException {
    budget.expectTime();
    RenderingMode mode = getGraphicsState().getTextState().getRenderingMode();
    if (mode == RenderingMode.NEITHER || mode == RenderingMode.NEITHER_CLIP) {
      return; // read, not seen
    }
    if (mode.isFill()) {
      filled();
    }
    if (mode.isStroke()) {
      painted(
          getGraphicsState().getStrokingColorSpace(), getGraphicsState().getAlphaConstant(), true);
    }
    PDColor colour =
        mode.isFill()
            ? getGraphicsState().getNonStrokingColor()
            : getGraphicsState().getStrokingColor();
    AffineTransform toSheet = new AffineTransform(sheet);
    toSheet.concatenate(at.createAffineTransform());
    Rectangle2D clip = getGraphicsState().getCurrentClippingPath().getBounds2D();
    letters.add(
        toSheet,
        font,
        code,
        displacement,
        colour,
        isWhole(clip)
            ? Optional.empty()
            : Optional.of(sheet.createTransformedShape(clip).getBounds2D()));
  }

  /** Whether a clip cuts nothing of the page: what runs off its edge was meant to be on it. */
  private boolean isWhole(Rectangle2D clip) {
    PDRectangle crop = getPage().getCropBox();
    return clip.contains(
        crop.getLowerLeftX() + EDGE,
        crop.getLowerLeftY() + EDGE,
        crop.getWidth() - 2 * EDGE,
        crop.getHeight() - 2 * EDGE);
  }

  // --- lines and areas ---

  @Override
  public void strokePath() throws IOException {
    drawsMore = true;
    PDGraphicsState state = getGraphicsState();
    painted(state.getStrokingColorSpace(), state.getAlphaConstant(), true);
    Matrix m = state.getCurrentTransformationMatrix();
    double scale = Math.sqrt(Math.abs(m.createAffineTransform().getDeterminant())) * unit;
    line(state.getLineWidth() * scale, path.getBounds2D());
    path.reset();
  }

  @Override
  public void fillPath(int rule) throws IOException {
    filled();
    Rectangle2D in = path.getBounds2D();
    double thick = Math.min(in.getWidth(), in.getHeight()) * unit;
    if (thick > 0 && Math.max(in.getWidth(), in.getHeight()) * unit > LONG * thick) {
      line(thick, in);
    }
    path.reset();
  }

  @Override
  public void fillAndStrokePath(int rule) throws IOException {
    filled();
    strokePath();
  }

  private void line(double points, Rectangle2D place) {
    if (points < THIN) {
      clipped(place).ifPresent(r -> lines.add(new ThinLine(r, points)));
    }
  }

  @Override
  public void shadingFill(COSName name) throws IOException {
    var shading = getResources().getShading(name);
    if (shading != null) {
      drawsMore = true;
      painted(shading.getColorSpace(), getGraphicsState().getNonStrokeAlphaConstant(), false);
    }
  }

  @Override
  public void showTransparencyGroup(PDTransparencyGroup form) throws IOException {
    painted(null, getGraphicsState().getNonStrokeAlphaConstant(), false);
    super.showTransparencyGroup(form);
  }

  // --- the path ---

  @Override
  public void appendRectangle(Point2D a, Point2D b, Point2D c, Point2D d) {
    path.moveTo((float) a.getX(), (float) a.getY());
    path.lineTo((float) b.getX(), (float) b.getY());
    path.lineTo((float) c.getX(), (float) c.getY());
    path.lineTo((float) d.getX(), (float) d.getY());
    path.closePath();
  }

  @Override
  public void clip(int rule) {
    drawsMore |= !new Area(path).isRectangular();
    path.setWindingRule(rule);
    getGraphicsState().intersectClippingPath((GeneralPath) path.clone());
  }

  @Override
  public void moveTo(float x, float y) {
    path.moveTo(x, y);
  }

  @Override
  public void lineTo(float x, float y) {
    if (path.getCurrentPoint() == null) {
      path.moveTo(x, y);
    }
    path.lineTo(x, y);
  }

  @Override
  public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
    if (path.getCurrentPoint() == null) {
      path.moveTo(x3, y3);
    }
    path.curveTo(x1, y1, x2, y2, x3, y3);
  }

  @Override
  public Point2D getCurrentPoint() {
    return path.getCurrentPoint();
  }

  @Override
  public void closePath() {
    if (path.getCurrentPoint() != null) {
      path.closePath();
    }
  }

  @Override
  public void endPath() {
    path.reset();
  }
}
