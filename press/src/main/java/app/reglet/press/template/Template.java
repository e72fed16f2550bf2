package app.reglet.press.template;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.BlockPage;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import app.reglet.press.drawing.Guides;
import app.reglet.press.drawing.PageGuides;
import app.reglet.press.raster.DrawingRaster;
import app.reglet.press.svg.DrawingSvg;
import app.reglet.press.type.Typeface;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The guides of one page at their own size, for people who draw elsewhere: as SVG with named groups
 * or as PNG on transparent ground. {@code TemplatePdf} makes all pages as one PDF.
 */
public final class Template {
  /** The least and the most pixels per inch a template is made in. */
  public static final int LEAST_PPI = 36;

  public static final int MOST_PPI = 1200;

  /** Line weights are in this many mm: a line comes out at a little over half a point. */
  private static final double PX = 0.25;

  private static final Map<String, String> LAYERS = new LinkedHashMap<>();

  static {
    LAYERS.put("bleed", "Bleed: art runs to the edge of the sheet");
    LAYERS.put("turn-in", "Turn-in: folded round the board");
    LAYERS.put("hinge", "Hinge: nothing to read here");
    LAYERS.put("glue", "Glue strip: stays unprinted");
    LAYERS.put("gutter", "Gutter: nothing to read here");
    LAYERS.put("safe", "Safe zone: words and faces inside");
    LAYERS.put("barcode", "Barcode area");
    LAYERS.put("fold", "Folds");
    LAYERS.put("trim", "Trim");
    LAYERS.put("centres", "Centres of the trimmed panels");
    LAYERS.put("names", "Names and sizes of the panels");
  }

  private Template() {}

  /** The guides of a page with the names of its panels, in mm from its top left. */
  public static List<Mark.Group> marks(Wrap page, Unit unit) {
    double px = page.spec().binding().isInPixels() ? PX * 4 : PX;
    List<Mark.Group> marks = new ArrayList<>(Guides.of(page, unit, px, false));
    List<Mark> names = new ArrayList<>();
    for (Panel p : page.panels()) {
      if (!p.kind().isHinge()) {
        names.add(name(page, p, unit, px));
      }
    }
    marks.add(Mark.Group.named("names", names));
    return marks;
  }

  /**
   * A panel's name and size: at its head on the left, or upright beside the middle where narrow.
   */
  private static Mark name(Wrap page, Panel p, Unit unit, double px) {
    Rect trim = Rect.of(p.trim());
    Rect safe = p.safe().isEmpty() ? trim : Rect.of(p.safe());
    String text = page.nameOf(p.kind()) + "  " + p.trim().size().brief(unit);
    boolean level = safe.width() > text.length() * 6 * px;
    return new Mark.Label(
        text,
        level ? safe.x() + 5 * px : trim.x() + trim.width() / 2 - 4 * px,
        level ? safe.y() + 15 * px : safe.y() + 8 * px,
        level ? Mark.Label.Anchor.START : Mark.Label.Anchor.END,
        10 * px,
        level ? 0 : -90,
        false,
        "panel-name");
  }

  /** The template of one page as an SVG document: user unit 1 mm, each kind of guide a group. */
  public static String svg(Wrap page, Unit unit) {
    return DrawingSvg.document(
        page.sheet().width().toMm(),
        page.sheet().height().toMm(),
        page.page().title() + ", " + page.sheet().print(unit),
        marks(page, unit),
        LAYERS);
  }

  /** The guides of a page of the inside, in mm from its top left. */
  public static List<Mark.Group> marks(BlockPage page, Unit unit) {
    return PageGuides.of(page, unit, PX);
  }

  /** The template of a page of the inside as an SVG document. */
  public static String svg(BlockPage page, Unit unit) {
    return DrawingSvg.document(
        page.sheet().width().toMm(),
        page.sheet().height().toMm(),
        page.title() + ", " + page.sheet().print(unit),
        marks(page, unit),
        LAYERS);
  }

  /**
   * The template of a page of the inside as a PNG.
   *
   * @throws Refusal when the ppi is out of range or the picture would be too large
   */
  public static byte[] png(BlockPage page, Unit unit, int ppi, Typeface face) {
    return png(page.sheet(), marks(page, unit), ppi, face);
  }

  /**
   * The template of one page as a PNG, whole pixels to the nearest.
   *
   * @throws Refusal when the ppi is out of range or the picture would be too large
   */
  public static byte[] png(Wrap page, Unit unit, int ppi, Typeface face) {
    return png(page.sheet(), marks(page, unit), ppi, face);
  }

  private static byte[] png(Size sheet, List<Mark.Group> marks, int ppi, Typeface face) {
    if (ppi < LEAST_PPI || ppi > MOST_PPI) {
      throw new Refusal(
          "ppi",
          ppi
              + " ppi is out of range: from "
              + LEAST_PPI
              + " to "
              + MOST_PPI
              + " pixels per inch.");
    }
    return DrawingRaster.png(
        sheet.width().toPixels(ppi), sheet.height().toPixels(ppi), ppi, marks, face);
  }
}
