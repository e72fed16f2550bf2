package app.reglet.press.golden;

import java.awt.geom.AffineTransform;
import java.awt.geom.GeneralPath;
import java.awt.geom.Path2D;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;

/**
 * What a press file holds, told from its objects: boxes as they stand in the page's dictionary (a
 * reader's defaults would hide a missing one), output intents, and what its operators paint, in mm
 * from the top left corner of the MediaBox, however the operators are nested.
 */
public final class FileContents extends PDFGraphicsStreamEngine {
  private static final double MM_PER_POINT = 25.4 / 72;
  private static final String[] BOXES = {"MediaBox", "CropBox", "BleedBox", "TrimBox", "ArtBox"};

  private final List<String> lines = new ArrayList<>();
  private final GeneralPath path = new GeneralPath();
  private final double height;
  private Glyphs run;

  private FileContents(PDPage page) {
    super(page);
    this.height = page.getMediaBox().getHeight();
  }

  /** One line for each thing. */
  public static List<String> of(Path pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      List<String> all = new ArrayList<>();
      all.add("PDF " + document.getVersion() + ", " + document.getNumberOfPages() + " page");
      PDPage page = document.getPage(0);
      COSDictionary dictionary = page.getCOSObject();
      for (String box : BOXES) {
        if (dictionary.getDictionaryObject(COSName.getPDFName(box)) instanceof COSArray a) {
          all.add(box + numbers(a));
        }
      }
      for (PDOutputIntent intent : document.getDocumentCatalog().getOutputIntents()) {
        all.add(
            "OutputIntent "
                + ((COSDictionary) intent.getCOSObject()).getNameAsString(COSName.S)
                + " "
                + intent.getOutputConditionIdentifier()
                + ", profile of "
                + ((COSDictionary) intent.getDestOutputIntent()).getInt(COSName.N)
                + " channels");
      }
      for (COSName space : page.getResources().getColorSpaceNames()) {
        all.add(
            "Space " + space.getName() + " " + page.getResources().getColorSpace(space).getName());
      }
      for (COSName font : page.getResources().getFontNames()) {
        PDFont f = page.getResources().getFont(font);
        all.add("Font " + f.getName() + (f.isEmbedded() ? ", embedded" : ", not embedded"));
      }
      FileContents contents = new FileContents(page);
      contents.processPage(page);
      contents.endRun();
      all.addAll(contents.lines);
      return all;
    }
  }

  private static String numbers(COSArray array) {
    StringBuilder out = new StringBuilder();
    for (COSBase each : array) {
      out.append(' ').append(figure(((COSNumber) each).floatValue()));
    }
    return out.toString();
  }

  private static String figure(double value) {
    return String.format(Locale.ROOT, "%.3f", value + 0.0);
  }

  private String place(double x, double y) {
    return figure(x * MM_PER_POINT) + " " + figure((height - y) * MM_PER_POINT);
  }

  private String box(Rectangle2D r) {
    return place(r.getMinX(), r.getMaxY()) + " to " + place(r.getMaxX(), r.getMinY());
  }

  private static String colour(PDColor colour) {
    StringBuilder out = new StringBuilder(colour.getColorSpace().getName());
    for (float c : colour.getComponents()) {
      out.append(' ').append(figure(c));
    }
    return out.toString();
  }

  /** The clip in force, or nothing when it is the page. */
  private String clip() {
    Rectangle2D clip = getGraphicsState().getCurrentClippingPath().getBounds2D();
    Rectangle2D page = getPage().getMediaBox().toGeneralPath().getBounds2D();
    return clip.contains(page) ? "" : ", cut to " + box(clip);
  }

  private String fill() {
    double alpha = getGraphicsState().getNonStrokeAlphaConstant();
    return colour(getGraphicsState().getNonStrokingColor())
        + (alpha == 1 ? "" : ", opacity " + figure(alpha))
        + clip();
  }

  @Override
  public void appendRectangle(Point2D p0, Point2D p1, Point2D p2, Point2D p3) {
    path.moveTo(p0.getX(), p0.getY());
    path.lineTo(p1.getX(), p1.getY());
    path.lineTo(p2.getX(), p2.getY());
    path.lineTo(p3.getX(), p3.getY());
    path.closePath();
  }

  @Override
  public void drawImage(PDImage image) throws IOException {
    endRun();
    Matrix m = getGraphicsState().getCurrentTransformationMatrix();
    lines.add(
        "Image "
            + image.getWidth()
            + " × "
            + image.getHeight()
            + " "
            + image.getColorSpace().getName()
            + (image instanceof PDImageXObject x && x.getSoftMask() != null ? ", soft mask" : "")
            + " bottom left "
            + corner(m, 0, 0)
            + " bottom right "
            + corner(m, 1, 0)
            + " top left "
            + corner(m, 0, 1)
            + clip());
  }

  private String corner(Matrix m, float x, float y) {
    Point2D.Float p = m.transformPoint(x, y);
    return place(p.x, p.y);
  }

  @Override
  public void clip(int rule) {
    path.setWindingRule(rule);
    getGraphicsState().intersectClippingPath(new GeneralPath(path));
  }

  @Override
  public void moveTo(float x, float y) {
    path.moveTo(x, y);
  }

  @Override
  public void lineTo(float x, float y) {
    path.lineTo(x, y);
  }

  @Override
  public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
    path.curveTo(x1, y1, x2, y2, x3, y3);
  }

  @Override
  public Point2D getCurrentPoint() {
    return path.getCurrentPoint();
  }

  @Override
  public void closePath() {
    path.closePath();
  }

  @Override
  public void endPath() {
    path.reset();
  }

  @Override
  public void strokePath() {
    endRun();
    lines.add(
        "Stroke "
            + colour(getGraphicsState().getStrokingColor())
            + ", width "
            + figure(transformWidth(getGraphicsState().getLineWidth()) * MM_PER_POINT)
            + " round "
            + box(path.getBounds2D()));
    path.reset();
  }

  @Override
  public void fillPath(int rule) {
    endRun();
    lines.add("Fill " + fill() + " over " + box(path.getBounds2D()) + " area " + area());
    path.reset();
  }

  /** Of the path as a polygon, mm²: a shape with the same box and another outline shows. */
  private String area() {
    double sum = 0;
    double[] c = new double[6];
    Point2D start = new Point2D.Double();
    Point2D last = new Point2D.Double();
    for (var p = path.getPathIterator(new AffineTransform(), 0.01); !p.isDone(); p.next()) {
      int kind = p.currentSegment(c);
      Point2D to =
          kind == java.awt.geom.PathIterator.SEG_CLOSE ? start : new Point2D.Double(c[0], c[1]);
      if (kind == java.awt.geom.PathIterator.SEG_MOVETO) {
        start = to;
      } else {
        sum += last.getX() * to.getY() - to.getX() * last.getY();
      }
      last = to;
    }
    return figure(Math.abs(sum) / 2 * MM_PER_POINT * MM_PER_POINT);
  }

  @Override
  public void fillAndStrokePath(int rule) {
    Path2D kept = new GeneralPath(path);
    fillPath(rule);
    path.append(kept, false);
    strokePath();
  }

  @Override
  public void shadingFill(COSName name) throws IOException {
    endRun();
    lines.add("Shading " + getResources().getShading(name).getShadingType() + clip());
  }

  @Override
  protected void showGlyph(Matrix m, PDFont font, int code, Vector moved) throws IOException {
    String says = font.toUnicode(code);
    double angle = Math.toDegrees(Math.atan2(m.getShearY(), m.getScaleX()));
    Glyphs next =
        new Glyphs(
            font.getName().replaceAll("^[A-Z]{6}\\+", ""),
            m.getScalingFactorX() * MM_PER_POINT,
            angle,
            fill(),
            m.getTranslateX(),
            m.getTranslateY());
    if (run == null || !run.goesOnIn(next)) {
      endRun();
      run = next;
    }
    run.add(says == null ? "?" : says, m);
    super.showGlyph(m, font, code, moved);
  }

  private void endRun() {
    if (run != null) {
      lines.add(
          String.format(
              Locale.ROOT,
              "Glyphs “%s” %s %s mm at %s° %s from %s to %s",
              run.text,
              run.font,
              figure(run.size),
              figure(run.angle),
              run.fill,
              place(run.x, run.y),
              place(run.lastX, run.lastY)));
      run = null;
    }
  }

  /** Glyphs of one face, size and colour on one baseline. */
  private static final class Glyphs {
    private final String font;
    private final double size;
    private final double angle;
    private final String fill;
    private final double x;
    private final double y;
    private final StringBuilder text = new StringBuilder();
    private double lastX;
    private double lastY;

    Glyphs(String font, double size, double angle, String fill, double x, double y) {
      this.font = font;
      this.size = size;
      this.angle = angle;
      this.fill = fill;
      this.x = x;
      this.y = y;
    }

    void add(String says, Matrix m) {
      text.append(says);
      lastX = m.getTranslateX();
      lastY = m.getTranslateY();
    }

    boolean goesOnIn(Glyphs n) {
      double along = Math.cos(Math.toRadians(angle));
      double up = Math.sin(Math.toRadians(angle));
      double off = -(n.x - x) * up + (n.y - y) * along;
      double on = (n.x - lastX) * along + (n.y - lastY) * up;
      return n.font.equals(font)
          && Math.abs(n.size - size) < 1e-3
          && Math.abs(n.angle - angle) < 1e-3
          && n.fill.equals(fill)
          && Math.abs(off) < 0.05
          && on > 0;
    }
  }
}
