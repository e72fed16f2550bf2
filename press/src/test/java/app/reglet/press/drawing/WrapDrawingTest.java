package app.reglet.press.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Dimension;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Zone;
import app.reglet.press.Everywhere;
import app.reglet.press.Specimen;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import app.reglet.press.pdf.TemplatePdf;
import app.reglet.press.template.Template;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import app.reglet.testing.Tool;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The technical drawing of every shipped house and binding, in both directions. */
public class WrapDrawingTest {
  private static final Typeface FACE = Typefaces.shipped().get("work-sans");

  /** Every page of every cover, the inside too where it is printed. */
  private static List<Wrap> wraps() {
    List<Wrap> pages = new ArrayList<>();
    for (Wrap w : Everywhere.wraps(80, 240, 400)) {
      pages.addAll(FilePages.of(Measuring.measure(w.spec().withInsidePrinted(true), w.house())));
    }
    return pages;
  }

  private static String named(Wrap w) {
    return Everywhere.named(w) + " " + w.page().id();
  }

  private static Rectangle2D box(Mark.Label l) {
    double width = FACE.shape(l.text(), 0).advance() * l.size();
    double height = l.size() * 0.72;
    double x =
        switch (l.anchor()) {
          case START -> l.x();
          case MIDDLE -> l.x() - width / 2;
          case END -> l.x() - width;
        };
    if (l.angle() == -90) {
      return new Rectangle2D.Double(l.x() - height, l.y() - width / 2, height, width);
    }
    return new Rectangle2D.Double(x, l.y() - height, width, height);
  }

  /** No figure stands on another, none outside the picture, whatever the binding. */
  @Test
  public void figuresDoNotCollide() {
    int drawings = 0;
    for (Wrap w : wraps()) {
      for (Unit unit : new Unit[] {Unit.IN, Unit.MM}) {
        WrapDrawing d = WrapDrawing.of(w, w.house().isInPixels() ? Unit.PX : unit);
        List<Mark.Label> figures =
            d.marks().stream()
                .flatMap(g -> g.marks().stream())
                .filter(Mark.Label.class::isInstance)
                .map(Mark.Label.class::cast)
                .filter(l -> l.kind().equals("figure"))
                .toList();
        assertThat(figures).as(named(w)).hasSizeGreaterThanOrEqualTo(2);
        Rectangle2D view =
            new Rectangle2D.Double(d.view().x(), d.view().y(), d.view().width(), d.view().height());
        for (int i = 0; i < figures.size(); i++) {
          Rectangle2D a = box(figures.get(i));
          assertThat(view.contains(a))
              .as(named(w) + ": “" + figures.get(i).text() + "” is in the picture")
              .isTrue();
          for (int j = 0; j < i; j++) {
            assertThat(a.intersects(box(figures.get(j))))
                .as(
                    named(w)
                        + ": “"
                        + figures.get(i).text()
                        + "” on “"
                        + figures.get(j).text()
                        + "”")
                .isFalse();
          }
        }
        drawings++;
      }
    }
    assertThat(drawings).isGreaterThan(150);
  }

  /** The figures along the width add up to the sheet's, to the last decimal that is shown. */
  @Test
  public void figuresAlongTheWidthAddUp() {
    for (Wrap w : wraps()) {
      double margins = w.margin().left().toMm() + w.margin().right().toMm();
      double panels = w.panels().stream().mapToDouble(p -> p.trim().width().toMm()).sum();
      assertThat(panels + margins).as(named(w)).isCloseTo(w.sheet().width().toMm(), within(1e-6));
      double shown =
          w.dimensions().stream()
              .filter(d -> d.axis() == Dimension.Axis.ACROSS && d.row() == 0)
              .mapToDouble(d -> d.length().toMm())
              .sum();
      // both margins are as wide: one of them carries the figure
      boolean twice = w.margin().left().isPositive() && w.margin().right().isPositive();
      assertThat(shown + (twice ? w.margin().right().toMm() : 0))
          .as(named(w))
          .isCloseTo(w.sheet().width().toMm(), within(1e-6));
    }
  }

  private static List<Rectangle2D> bounds(List<Mark.Group> groups, String layer) {
    return groups.stream()
        .filter(g -> g.name().equals(layer))
        .flatMap(g -> g.marks().stream())
        .filter(Mark.Path.class::isInstance)
        .map(m -> ((Mark.Path) m).shape().getBounds2D())
        .toList();
  }

  private static Rectangle2D box(Box box) {
    return Rect.of(box).shape();
  }

  private static void same(Rectangle2D found, Rectangle2D wanted, String what) {
    assertThat(
            Math.abs(found.getMinX() - wanted.getMinX())
                + Math.abs(found.getMinY() - wanted.getMinY())
                + Math.abs(found.getMaxX() - wanted.getMaxX())
                + Math.abs(found.getMaxY() - wanted.getMaxY()))
        .as(what + ": " + found + " for " + wanted)
        .isLessThan(1e-6);
  }

  /** Trim, safe zones, folds and the barcode area are drawn where they were measured. */
  @Test
  public void guidesLieWhereTheyWereMeasured() {
    double px = 0.3;
    for (Wrap w : wraps()) {
      String of = named(w);
      List<Mark.Group> guides = Guides.of(w, Unit.MM, px, false);
      List<Rectangle2D> trim = bounds(guides, "trim");
      same(trim.get(0), box(w.trimmed()), of + " trim");
      Rectangle2D sheet = box(w.sheetBox());
      // the knife's marks begin two and end nine beyond the sheet, on the trim's lines
      same(
          trim.get(1),
          new Rectangle2D.Double(
              -9 * px, -9 * px, sheet.getWidth() + 18 * px, sheet.getHeight() + 18 * px),
          of + " ticks");
      List<Rectangle2D> safe = bounds(guides, "safe");
      List<Box> measured =
          w.panels().stream().map(p -> p.safe()).filter(b -> !b.isEmpty()).toList();
      assertThat(safe).as(of).hasSameSizeAs(measured);
      for (int i = 0; i < safe.size(); i++) {
        same(safe.get(i), box(measured.get(i)), of + " safe");
      }
      List<Rectangle2D> folds = bounds(guides, "fold");
      assertThat(folds).as(of).hasSameSizeAs(w.folds());
      for (int i = 0; i < folds.size(); i++) {
        same(
            folds.get(i),
            new Rectangle2D.Double(
                w.folds().get(i).x().toMm(), -7 * px, 0, sheet.getHeight() + 14 * px),
            of + " fold");
      }
      List<Box> areas =
          w.zones().stream().filter(z -> z.kind() == Zone.Kind.BARCODE).map(z -> z.box()).toList();
      List<Rectangle2D> drawn = bounds(guides, "barcode");
      assertThat(drawn).as(of).hasSize(2 * areas.size());
      for (int i = 0; i < areas.size(); i++) {
        same(drawn.get(2 * i), box(areas.get(i)), of + " barcode area");
      }
      same(bounds(guides, "centres").get(0), box(w.trimmed()), of + " centre lines");
      for (Mark.Group g : guides) {
        if (List.of("hinge", "glue", "bleed", "turn-in").contains(g.name())) {
          assertThat(g.marks()).as(of + " " + g.name()).isNotEmpty();
        }
      }
    }
  }

  /**
   * Each dimension's line runs from one edge of what it measures to the other, between extension
   * lines at those edges, with an arrowhead or dot at each, and its figure is beside that line.
   */
  @Test
  public void dimensionLinesEndAtTheEdgesTheyMeasure() {
    for (Wrap w : wraps()) {
      WrapDrawing d = WrapDrawing.of(w, Unit.MM);
      List<Rectangle2D> lines = bounds(d.marks(), "dimensions");
      List<Mark.Label> labels =
          d.marks().stream()
              .filter(g -> g.name().equals("dimensions"))
              .flatMap(g -> g.marks().stream())
              .filter(Mark.Label.class::isInstance)
              .map(Mark.Label.class::cast)
              .filter(l -> l.kind().equals("figure"))
              .toList();
      for (Dimension dimension : w.dimensions()) {
        boolean across = dimension.axis() == Dimension.Axis.ACROSS;
        String of = named(w) + " " + dimension;
        double a = dimension.from().toMm();
        double b = dimension.to().toMm();
        double edge = across ? w.sheet().height().toMm() : 0;
        for (double at : new double[] {a, b}) {
          assertThat(lines)
              .as(of + ": extension line at " + at)
              .anyMatch(
                  l ->
                      across
                          ? near(l.getMinX(), at) && near(l.getMaxX(), at) && l.getMinY() > edge
                          : near(l.getMinY(), at) && near(l.getMaxY(), at) && l.getMaxX() < edge);
        }
        // the line itself: from edge to edge, or as far beyond each where its arrows stand outside
        List<Rectangle2D> own =
            lines.stream()
                .filter(l -> across ? l.getHeight() < 1e-9 : l.getWidth() < 1e-9)
                .filter(l -> across ? l.getMinY() > edge : l.getMaxX() < edge)
                .filter(
                    l -> {
                      double before = a - (across ? l.getMinX() : l.getMinY());
                      double after = (across ? l.getMaxX() : l.getMaxY()) - b;
                      return before > -1e-6 && near(before, after) && before < (b - a) + 30;
                    })
                .toList();
        assertThat(own).as(of + ": its line").isNotEmpty();
        assertThat(own)
            .as(of + ": heads at both ends, a figure beside it")
            .anyMatch(
                l -> {
                  double y = across ? l.getMinY() : l.getMinX();
                  boolean heads =
                      lines.stream()
                              .filter(h -> h.getWidth() > 0 && h.getHeight() > 0)
                              .filter(h -> near(across ? h.getCenterY() : h.getCenterX(), y))
                              .filter(h -> touches(h, a, across) || touches(h, b, across))
                              .count()
                          >= 2;
                  String text = dimension.length().figure(Unit.MM, Unit.MM.decimals());
                  boolean figure =
                      labels.stream()
                          .filter(f -> f.text().equals(text))
                          .anyMatch(
                              f ->
                                  Math.abs((across ? f.y() : f.x()) - y) < 60 * px(w, d)
                                      && (across ? f.x() : f.y()) > a - 40 * px(w, d)
                                      && (across ? f.x() : f.y()) < b + 40 * px(w, d));
                  return heads && figure;
                });
      }
    }
  }

  /** Width of a pixel of the drawing in mm: the sheet begins 9 pixels below its trim's marks. */
  private static double px(Wrap w, WrapDrawing d) {
    double highest =
        bounds(d.marks(), "trim").stream().mapToDouble(Rectangle2D::getMinY).min().orElseThrow();
    return -highest / 9;
  }

  private static boolean touches(Rectangle2D head, double at, boolean across) {
    double from = across ? head.getMinX() : head.getMinY();
    double to = across ? head.getMaxX() : head.getMaxY();
    return near(from, at) || near(to, at) || near((from + to) / 2, at);
  }

  private static boolean near(double a, double b) {
    return Math.abs(a - b) < 1e-6;
  }

  @Test
  public void everyGuideHasItsLineType() {
    for (Wrap w : wraps()) {
      List<Mark.Group> guides = Guides.of(w, Unit.MM, 0.3, false);
      assertThat(guides.stream().map(Mark.Group::name)).as(named(w)).contains("trim", "centres");
      assertThat(guides.stream().anyMatch(i -> i.name().equals("fold")))
          .isEqualTo(!w.folds().isEmpty());
      assertThat(guides.stream().filter(i -> i.name().equals("turn-in")).count())
          .isEqualTo(w.turnIn() ? 1 : 0);
      for (Mark.Group g : guides) {
        for (Mark m : g.marks()) {
          if (m instanceof Mark.Path p && g.name().equals("trim")) {
            assertThat(p.pen().dashes()).isEmpty(); // trim is continuous
          }
          if (m instanceof Mark.Path p && g.name().equals("fold")) {
            assertThat(p.pen().dashes()).hasSize(4); // long dash and dot
          }
          if (m instanceof Mark.Group hatch) {
            int wanted =
                switch (g.name()) {
                  case "bleed" -> 45;
                  case "turn-in" -> -45;
                  case "hinge" -> 0;
                  default -> 90; // glue
                };
            assertThat(angle(hatch)).as(g.name()).isCloseTo(wanted, within(1e-6));
          }
        }
      }
    }
  }

  /** Of the first line of a hatching: 0 upright, turning clockwise. */
  private static double angle(Mark.Group hatch) {
    double[] a = new double[6];
    double[] b = new double[6];
    var points = ((Mark.Path) hatch.marks().get(0)).shape().getPathIterator(null);
    points.currentSegment(a);
    points.next();
    points.currentSegment(b);
    return Math.toDegrees(Math.atan2(-(b[0] - a[0]), b[1] - a[1]));
  }

  @Test
  public void hatchLinesAreParallelAndEvenlyApart() {
    for (int angle : new int[] {0, 45, -45, 90}) {
      List<double[]> lines = HatchLines.of(new Rect(10, 20, 60, 30), 2.5, angle);
      assertThat(lines.size()).isGreaterThan(10);
      double before = Double.NaN;
      for (double[] l : lines) {
        double dx = l[2] - l[0];
        double dy = l[3] - l[1];
        // 0 is upright, turning clockwise; y points down
        double turned = Math.toDegrees(Math.atan2(-dx, dy));
        assertThat(Math.abs(turned - angle) % 180).isCloseTo(0, within(1e-6));
        double off =
            l[0] * Math.cos(Math.toRadians(angle)) + l[1] * Math.sin(Math.toRadians(angle));
        if (!Double.isNaN(before)) {
          assertThat(off - before).isCloseTo(2.5, within(1e-9));
        }
        before = off;
      }
    }
  }

  @DataProvider
  Object[][] renderers() {
    return new Object[][] {
      {"gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", "white"},
      {"dunlin-casebinders", Binding.CASE_LAMINATE, "6 x 9 in", "white"},
      {"osier-row", Binding.FLAPPED, "A5", "bulky-80"},
    };
  }

  /** The PDF, as poppler draws it, and the PNG are one drawing: ink stands at the same places. */
  @Test(dataProvider = "renderers")
  public void pdfAndPngAreOneDrawing(String id, Binding binding, String trim, String stock)
      throws IOException {
    RuleSheet house = Specimen.house(id);
    Wrap w =
        Measuring.measure(
            Specification.of(binding, Size.parse(trim, Unit.IN), 240, stock, "black", PageTurn.LTR),
            house);
    Path pdf = Tool.file("template.pdf", TemplatePdf.make(w, Unit.IN, FACE));
    Path page = pdf.resolveSibling("page");
    Tool.ok(
        "pdftoppm", "-r", "100", "-gray", "-png", "-singlefile", pdf.toString(), page.toString());
    BufferedImage fromPdf = ImageIO.read(Path.of(page + ".png").toFile());
    BufferedImage fromPng =
        ImageIO.read(new ByteArrayInputStream(Template.png(w, Unit.IN, 100, FACE)));
    int both = 0;
    int onlyOne = 0;
    for (int y = 2; y < fromPng.getHeight() - 2; y++) {
      for (int x = 2; x < fromPng.getWidth() - 2; x++) {
        boolean a = dark(fromPdf, x, y);
        boolean b = fromPng.getRGB(x, y) >>> 24 > 110;
        if (a && b) {
          both++;
        } else if (a && !nearPng(fromPng, x, y) || b && !nearPdf(fromPdf, x, y)) {
          onlyOne++;
        }
      }
    }
    assertThat(both).isGreaterThan(1500);
    assertThat(onlyOne).as("ink in one only, of " + both).isLessThan(both / 50);
  }

  private static boolean dark(BufferedImage image, int x, int y) {
    return (image.getRGB(x, y) & 0xff) < 145;
  }

  private static boolean nearPdf(BufferedImage image, int x, int y) {
    for (int dx = -1; dx <= 1; dx++) {
      for (int dy = -1; dy <= 1; dy++) {
        if ((image.getRGB(x + dx, y + dy) & 0xff) < 215) {
          return true;
        }
      }
    }
    return false;
  }

  private static boolean nearPng(BufferedImage image, int x, int y) {
    for (int dx = -1; dx <= 1; dx++) {
      for (int dy = -1; dy <= 1; dy++) {
        if (image.getRGB(x + dx, y + dy) >>> 24 > 40) {
          return true;
        }
      }
    }
    return false;
  }

  /** Each panel has its name and size where it is, once: level in its safe zone, else upright. */
  @Test
  public void templatesNameEveryPanelInItself() {
    for (Wrap wrap : Everywhere.wraps(120, 400)) {
      for (Wrap page : FilePages.of(wrap)) {
        List<Mark.Label> names =
            Template.marks(page, Unit.MM).stream()
                .filter(g -> g.name().equals("names"))
                .flatMap(g -> g.marks().stream())
                .map(Mark.Label.class::cast)
                .toList();
        var panels = page.panels().stream().filter(p -> !p.kind().isHinge()).toList();
        assertThat(names).as(Everywhere.named(page)).hasSameSizeAs(panels);
        for (int i = 0; i < names.size(); i++) {
          Mark.Label name = names.get(i);
          Rect trim = Rect.of(panels.get(i).trim());
          assertThat(name.text())
              .isEqualTo(
                  page.nameOf(panels.get(i).kind())
                      + "  "
                      + panels.get(i).trim().size().brief(Unit.MM));
          boolean level = name.angle() == 0;
          double wide = name.text().length() * name.size() * 0.6;
          Rect safe = panels.get(i).safe().isEmpty() ? trim : Rect.of(panels.get(i).safe());
          assertThat(level).isEqualTo(safe.width() > wide);
          if (level) {
            assertThat(name.x()).isBetween(safe.x(), safe.x() + name.size());
            assertThat(name.y() - name.size()).isBetween(safe.y(), safe.y() + name.size());
            assertThat(name.anchor()).isEqualTo(Mark.Label.Anchor.START);
          } else {
            // turned so that it runs upwards, its end at the head of the panel
            assertThat(name.angle()).isEqualTo(-90);
            assertThat(name.anchor()).isEqualTo(Mark.Label.Anchor.END);
            assertThat(name.x())
                .isBetween(trim.x() + trim.width() / 2 - name.size(), trim.x() + trim.width() / 2);
            assertThat(name.y()).isBetween(safe.y(), safe.y() + name.size());
          }
        }
      }
    }
  }
}
