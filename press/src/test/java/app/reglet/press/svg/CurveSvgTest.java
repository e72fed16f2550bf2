package app.reglet.press.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.compare.PageCurve;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Unit;
import app.reglet.press.Specimen;
import java.awt.geom.Rectangle2D;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/** The plot of spine over pages, read back from its SVG. */
public class CurveSvgTest {
  @DataProvider
  Object[][] curves() {
    return new Object[][] {
      {"gannet-and-gauge", Binding.PERFECT_BOUND, "cream", 312},
      {"osier-row", Binding.FLAPPED, "bulky-80", 320},
      {"dunlin-casebinders", Binding.CASE_LAMINATE, "white", 240},
      {"dunlin-casebinders", Binding.DUST_JACKET, "cream", 1000}, // far beyond what is bound
      {"whimbrel-digital", Binding.SADDLE_STITCHED, "cream", 32}, // no spine at all
      {"gannet-and-gauge", Binding.PERFECT_BOUND, "white", 1},
    };
  }

  private static PageCurve curve(String id, Binding binding, String stock, int pages) {
    RuleSheet house = Specimen.house(id);
    Specification spec =
        Specification.of(
            binding,
            house.rules(binding).trims().listed().get(0),
            pages,
            stock,
            "black",
            PageTurn.LTR);
    return PageCurve.of(spec, house);
  }

  private static Document parse(String svg) throws Exception {
    return DocumentBuilderFactory.newInstance()
        .newDocumentBuilder()
        .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
  }

  private static Element only(Document d, String cls) {
    NodeList all = d.getElementsByTagName("*");
    for (int i = 0; i < all.getLength(); i++) {
      Element e = (Element) all.item(i);
      if (e.getAttribute("class").equals(cls)) {
        return e;
      }
    }
    throw new AssertionError("no " + cls);
  }

  @Test(dataProvider = "curves")
  public void theLineStaysInThePlotAndRises(String id, Binding binding, String stock, int pages)
      throws Exception {
    PageCurve curve = curve(id, binding, stock, pages);
    Document d = parse(CurveSvg.of(curve, Unit.IN, pages));
    List<double[]> points = new ArrayList<>();
    Matcher m =
        Pattern.compile("[ML](-?[\\d.]+) (-?[\\d.]+)").matcher(only(d, "bound").getAttribute("d"));
    while (m.find()) {
      points.add(new double[] {Double.parseDouble(m.group(1)), Double.parseDouble(m.group(2))});
    }
    assertThat(points).hasSizeGreaterThan(5);
    for (int i = 0; i < points.size(); i++) {
      assertThat(points.get(i)[0]).isBetween(62.0, 834.0);
      assertThat(points.get(i)[1]).isBetween(0.0, 256.0);
      if (i > 0) {
        assertThat(points.get(i)[0]).isGreaterThan(points.get(i - 1)[0]);
        assertThat(points.get(i)[1]).isLessThanOrEqualTo(points.get(i - 1)[1]);
      }
    }
  }

  @Test(dataProvider = "curves")
  public void theMarkerStandsAtItsCount(String id, Binding binding, String stock, int pages)
      throws Exception {
    PageCurve curve = curve(id, binding, stock, pages);
    assertThat(pages).isBetween(curve.from(), curve.to());
    Element marker = only(parse(CurveSvg.of(curve, Unit.IN, pages)), "marker");
    double x =
        Double.parseDouble(
            ((Element) marker.getElementsByTagName("line").item(0)).getAttribute("x1"));
    double share = (pages - curve.from()) / (double) (curve.to() - curve.from());
    assertThat(x).isCloseTo(62 + share * 772, within(0.01));
    assertThat(marker.getTextContent()).isEqualTo(String.valueOf(pages));
  }

  /** Labels of thresholds close together stand below each other. */
  @Test(dataProvider = "curves")
  public void thresholdLabelsDoNotCollide(String id, Binding binding, String stock, int pages)
      throws Exception {
    Document d = parse(CurveSvg.of(curve(id, binding, stock, pages), Unit.IN, pages));
    NodeList texts = only(d, "thresholds").getElementsByTagName("text");
    List<Rectangle2D> boxes = new ArrayList<>();
    for (int i = 0; i < texts.getLength(); i++) {
      Element t = (Element) texts.item(i);
      double width = t.getTextContent().length() * 7.0;
      boxes.add(
          new Rectangle2D.Double(
              Double.parseDouble(t.getAttribute("x")),
              Double.parseDouble(t.getAttribute("y")) - 9,
              width,
              9));
    }
    for (int i = 0; i < boxes.size(); i++) {
      for (int j = 0; j < i; j++) {
        assertThat(boxes.get(i).intersects(boxes.get(j)))
            .as(texts.item(i).getTextContent() + " on " + texts.item(j).getTextContent())
            .isFalse();
      }
    }
  }

  /** The right axis: 2 × 6 in and bleed on both sides beside the spine's own figure. */
  @Test
  public void theSheetsFiguresStandOnTheRight() throws Exception {
    Document d =
        parse(
            CurveSvg.of(
                curve("gannet-and-gauge", Binding.PERFECT_BOUND, "cream", 312), Unit.IN, 312));
    NodeList texts = only(d, "axes").getElementsByTagName("text");
    List<Double> left = new ArrayList<>();
    List<Double> right = new ArrayList<>();
    for (int i = 0; i < texts.getLength(); i++) {
      Element text = (Element) texts.item(i);
      String figure = text.getTextContent();
      if (figure.matches("[\\d.]+") && text.getAttribute("text-anchor").equals("end")) {
        left.add(Double.parseDouble(figure));
      } else if (figure.matches("[\\d.]+") && text.getAttribute("text-anchor").equals("start")) {
        right.add(Double.parseDouble(figure));
      }
    }
    assertThat(left).hasSizeGreaterThan(2).hasSameSizeAs(right);
    for (int i = 0; i < left.size(); i++) {
      // 5 × 8 in is the first trim: 2 × 5 + 2 × 0.125
      assertThat(right.get(i) - left.get(i)).isCloseTo(10.25, within(1e-6));
    }
  }

  @Test
  public void nothingIsDrawnWhereNothingIsMeasured() throws Exception {
    // the step table begins at 76: no line before it
    PageCurve curve = curve("dunlin-casebinders", Binding.CASE_LAMINATE, "white", 240);
    Document d = parse(CurveSvg.of(curve, Unit.IN, 60));
    double first =
        Double.parseDouble(only(d, "bound").getAttribute("d").replaceFirst("M([\\d.]+) .*", "$1"));
    double share = (76 - curve.from()) / (double) (curve.to() - curve.from());
    assertThat(first).isCloseTo(62 + share * 772, within(0.01));
    // and no spot on a count that has no spine
    assertThat(only(d, "marker").getElementsByTagName("rect").getLength()).isZero();
  }
}
