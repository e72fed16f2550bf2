package app.reglet.press.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Line;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Span;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.testng.annotations.Test;

public class BalanceTest {
  private static final Wrap WRAP = Specimen.wrap(200);

  private static Piece box(String id, String left, String top, String w, String h, int rgb) {
    return new Piece(
        id,
        id,
        new Anchors(
            new Span.Hung(
                new Line(Region.trim(PanelKind.FRONT), Line.Edge.LEFT),
                Span.Part.START,
                Length.mm(left),
                Length.mm(w)),
            new Span.Hung(
                new Line(Region.trim(PanelKind.FRONT), Line.Edge.TOP),
                Span.Part.START,
                Length.mm(top),
                Length.mm(h))),
        Content.Shape.band(new Colour.Rgb(rgb)));
  }

  private static List<Balance> balance(Piece... pieces) {
    Design design =
        Design.EMPTY.changed(
            PrintedSide.OUTSIDE,
            c -> c.withGround(Ground.plain(Colour.WHITE)).withPieces(List.of(pieces)));
    return Balance.of(
        new Composer(Specimen.TYPEFACES).compose(design, WRAP, Specimen.BOOK, Pictures.NONE),
        RasterPainter::decoded);
  }

  private static Balance front(Piece... pieces) {
    return balance(pieces).stream()
        .filter(b -> b.panel() == PanelKind.FRONT)
        .findFirst()
        .orElseThrow();
  }

  @Test
  public void theMiddleOfOneBoxIsItsOwnAndTheMarginsAreRoundIt() {
    Balance b = front(box("a", "20", "30", "40", "60", 0x000000));
    assertThat(b.x()).isCloseTo(40, within(0.7));
    assertThat(b.y()).isCloseTo(60, within(0.7));
    double[] free = {20, 30, 152.4 - 60, 228.6 - 90};
    for (int i = 0; i < 4; i++) {
      assertThat(b.free().get(i)).isCloseTo(free[i], within(1.0));
    }
  }

  /** (3 · black at 30 + 1 · gray of a third at 120): the lever's law by lightness and area. */
  @Test
  public void whatIsDarkerWeighsMore() {
    Balance b =
        front(
            box("a", "20", "100", "20", "20", 0x000000),
            box("b", "110", "100", "20", "20", 0xaaaaaa));
    assertThat(b.x()).isCloseTo((255.0 * 30 + 85.0 * 120) / 340, within(1.0));
    assertThat(b.y()).isCloseTo(110, within(0.7));
  }

  @Test
  public void lightOnDarkWeighsToo() {
    Balance b =
        front(
            box("all", "0", "0", "152.4", "228.6", 0x102030),
            box("a", "100", "150", "30", "30", 0xffffff));
    assertThat(b.x()).isCloseTo(115, within(0.7));
    assertThat(b.y()).isCloseTo(165, within(0.7));
  }

  @Test
  public void theHeaviestCellIsWhereTheBoxIs() {
    Balance b = front(box("a", "128", "13", "10", "10", 0x000000));
    int heaviest =
        IntStream.range(0, b.cells().size())
            .boxed()
            .max(Comparator.comparing(b.cells()::get))
            .orElseThrow();
    assertThat(b.cells().get(heaviest)).isEqualTo(1);
    assertThat(heaviest % b.across()).isEqualTo(10);
    assertThat(heaviest / b.across()).isEqualTo(1);
  }

  @Test
  public void aPanelWithNothingOnItHasNone() {
    assertThat(balance()).isEmpty();
  }
}
