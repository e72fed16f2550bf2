package app.reglet.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Book;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Mending;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.Direction;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class SpineTypeRunsTest {
  /** Its house has spines read from top to bottom. */
  private static final Wrap WRAP = Wraps.sixByNine(320);

  private static final Book BOOK = new Book("T", "", "A", "", "", Optional.empty(), "");

  private static List<Finding> found(double angle, PanelKind on) {
    Box box = WRAP.panel(on).orElseThrow().safe();
    Laid.Face face = new Laid.Face("spectral", "Spectral", "Spectral", true);
    Laid words =
        new Laid.Words(
            "w",
            "Spine title",
            Outline.of(box),
            Outline.of(box),
            Length.pt("12"),
            false,
            "",
            face,
            Optional.empty(),
            List.of(),
            List.of(),
            Set.of(),
            new Laid.Said("T", null, 1, false, angle),
            Length.pt("20"));
    return new SpineTypeRuns().find(new Subject(WRAP, BOOK, List.of(words)));
  }

  @Test
  public void wordsThatReadUpwardsAreToldWhereTheHouseReadsDownwards() {
    for (double angle : new double[] {0, 90, 180, 100, 224}) {
      assertThat(found(angle, PanelKind.SPINE)).as("" + angle).isEmpty();
    }
    for (double angle : new double[] {270, 260, 300}) {
      Finding f = found(angle, PanelKind.SPINE).get(0);
      assertThat(f.code()).isEqualTo("spine-type-other-way");
      assertThat(f.sentence(Unit.IN))
          .isEqualTo(
              "“Spine title” runs from bottom to top on the spine; Gannet & Gauge’s books are read from top to bottom, and beside them this one stands on its head.");
      assertThat(f.remedies())
          .extracting(r -> r.label(Unit.IN))
          .containsExactly("Run it from top to bottom");
    }
    assertThat(found(270, PanelKind.BACK)).as("on a back they may").isEmpty();
  }

  @DataProvider
  public Object[][] ends() {
    return new Object[][] {
      {Align.LEFT, VerticalAlign.TOP, Align.RIGHT, VerticalAlign.BOTTOM},
      {Align.RIGHT, VerticalAlign.MIDDLE, Align.LEFT, VerticalAlign.MIDDLE},
      {Align.CENTRE, VerticalAlign.CAPITALS, Align.CENTRE, VerticalAlign.CAPITALS},
    };
  }

  @Test(dataProvider = "ends")
  public void turnedRoundTheyStandAtTheSameEndOfTheSpine(
      Align align, VerticalAlign down, Align then, VerticalAlign thenDown) {
    Words up =
        Words.of(null, "T", "spectral", Length.pt("12"), Colour.BLACK)
            .withSetting(Setting.PLAIN.running(Direction.UP).aligned(align, down));
    Piece piece = new Piece("w", "W", Anchors.filling(Region.safe(PanelKind.SPINE)), up);
    Design design = Design.EMPTY.changed(PrintedSide.OUTSIDE, c -> c.withPieces(List.of(piece)));
    Remedy remedy = found(270, PanelKind.SPINE).get(0).remedies().get(0);
    Design mended = Mending.apply((Remedy.OfDesign) remedy, design, WRAP);
    Setting now = ((Words) mended.piece("w").orElseThrow().content()).setting();
    assertThat(now).isEqualTo(Setting.PLAIN.running(Direction.DOWN).aligned(then, thenDown));
    assertThat(mended.piece("w").orElseThrow().anchors()).isEqualTo(piece.anchors());
  }

  @Test
  public void levelWordsThatWereTurnedAreTurnedByHalf() {
    Words level = Words.of(null, "T", "spectral", Length.pt("12"), Colour.BLACK);
    Piece flat = new Piece("w", "W", Anchors.filling(Region.safe(PanelKind.SPINE)), level);
    Piece piece = flat.withPlacement(flat.placement().withAngle(-90));
    Design design = Design.EMPTY.changed(PrintedSide.OUTSIDE, c -> c.withPieces(List.of(piece)));
    Remedy remedy = found(270, PanelKind.SPINE).get(0).remedies().get(0);
    Piece now = Mending.apply((Remedy.OfDesign) remedy, design, WRAP).piece("w").orElseThrow();
    assertThat(now.placement().angle()).isEqualTo(90);
    assertThat(now.content()).isEqualTo(level);
  }
}
