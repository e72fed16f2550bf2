package app.reglet.core.wrap;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.Houses;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

/** Which lines of dimension stand round a page, and which panel lies under a box. */
public class DimensionTest {
  private static List<String> lines(Wrap wrap) {
    return lines(wrap.dimensions());
  }

  private static List<String> lines(List<Dimension> all) {
    return all.stream()
        .map(d -> d.axis() + " " + d.row() + " " + d.what() + " " + d.length().brief(Unit.IN))
        .toList();
  }

  /** 6 × 9 in, 320 pages of 0.002252 in, bleed 0.125 in. */
  @Test
  public void aPaperbackHasBleedPanelsTrimAndSheet() {
    assertThat(lines(Wraps.sixByNine(320)))
        .containsExactly(
            "ACROSS 0 bleed 0.125 in",
            "DOWN 0 bleed 0.125 in",
            "ACROSS 0 back 6 in",
            "ACROSS 0 spine 0.7206 in",
            "ACROSS 0 front 6 in",
            "DOWN 0 trimmed height 9 in",
            "ACROSS 1 sheet 12.9706 in",
            "DOWN 1 sheet 9.25 in");
  }

  @Test
  public void aCaseHasATurnInInThePlaceOfBleed() {
    Wrap boards =
        Measuring.measure(
            Specification.of(
                Binding.CASE_LAMINATE,
                Size.parse("6 x 9", Unit.IN),
                300,
                "white",
                "black",
                PageTurn.LTR),
            Houses.DUNLIN);
    assertThat(lines(boards).get(0)).startsWith("ACROSS 0 turn-in ");
    assertThat(lines(boards)).noneMatch(l -> l.contains("bleed"));
  }

  private static List<Dimension> page(Box trimmed) {
    return Dimension.of(new Size(Length.mm("100"), Length.mm("80")), trimmed, List.of(), "bleed");
  }

  private static Box box(String x, String y, String w, String h) {
    return new Box(Length.mm(x), Length.mm(y), Length.mm(w), Length.mm(h));
  }

  /** A page that is cut at its left fold has its bleed at the right; a screen has none. */
  @Test
  public void theMarginIsMeasuredWhereThereIsOne() {
    assertThat(page(box("0", "0", "97", "80")).get(0))
        .isEqualTo(
            new Dimension(Dimension.Axis.ACROSS, 0, Length.mm("97"), Length.mm("100"), "bleed"));
    assertThat(page(box("0", "0", "97", "80"))).hasSize(3);
    assertThat(page(box("3", "0", "97", "80")).get(0).to()).isEqualTo(Length.mm("3"));
    assertThat(page(box("0", "2", "100", "78")))
        .extracting(Dimension::what)
        .containsExactly("bleed", "trimmed height", "sheet");
    assertThat(page(box("0", "0", "100", "80")))
        .extracting(Dimension::axis)
        .containsExactly(Dimension.Axis.DOWN);
  }

  @Test
  public void aBoxLiesOnThePanelThatHasMostOfIt() {
    Wrap wrap = Wraps.sixByNine(320);
    Box spine = wrap.panel(PanelKind.SPINE).orElseThrow().trim();
    double left = spine.left().toMm();
    double right = spine.right().toMm();
    assertThat(under(wrap, left - 30, 50, 40, 20)).contains(PanelKind.BACK);
    assertThat(under(wrap, left - 5, 50, 16, 20)).contains(PanelKind.SPINE);
    assertThat(under(wrap, right - 5, 50, 16, 20)).contains(PanelKind.FRONT);
    assertThat(under(wrap, right + 20, -10, 20, 11)).contains(PanelKind.FRONT);
    assertThat(under(wrap, right + 20, -10, 20, 10)).isEmpty();
    assertThat(under(wrap, -20, 50, 20, 20)).isEmpty();
  }

  private static Optional<PanelKind> under(Wrap wrap, double x, double y, double w, double h) {
    return wrap.panelUnder(
            new Box(Length.nearMm(x), Length.nearMm(y), Length.nearMm(w), Length.nearMm(h)))
        .map(Panel::kind);
  }
}
