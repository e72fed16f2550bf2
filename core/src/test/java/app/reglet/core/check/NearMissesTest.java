package app.reglet.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Book;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Mending;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class NearMissesTest {
  private static final Wrap WRAP = Wraps.sixByNine(320);
  private static final Box FRONT = WRAP.panel(PanelKind.FRONT).orElseThrow().trim();
  private static final Region TRIM = Region.trim(PanelKind.FRONT);

  /** A piece so far from the left edge of the front and so wide, mm. */
  private static Piece piece(String id, String left, String width, Content content) {
    Box box =
        new Box(
            FRONT.left().plus(Length.mm(left)),
            FRONT.top().plus(Length.mm("30")),
            Length.mm(width),
            Length.mm("20"));
    return new Piece(
        id,
        id.toUpperCase(java.util.Locale.ROOT),
        Anchors.hung(TRIM, Span.Hold.START, Span.Hold.START, box, WRAP),
        content);
  }

  private static Content band() {
    return Content.Shape.band(Colour.BLACK);
  }

  private static Content words(Setting.Align align) {
    return Words.of(null, "Words", "anton", Length.pt("20"), Colour.BLACK)
        .aligned(align, Setting.VerticalAlign.TOP);
  }

  private static Design design(Piece... pieces) {
    return Design.EMPTY.changed(PrintedSide.OUTSIDE, c -> c.withPieces(List.of(pieces)));
  }

  private static List<String> told(Design design) {
    return NearMisses.find(design.outside(), WRAP).stream().map(f -> f.sentence(Unit.MM)).toList();
  }

  /** The front is 152.4 mm wide: 52.4 wide from 50 on is in the middle. */
  @DataProvider
  Object[][] offMiddle() {
    return new Object[][] {
      {"50", band(), null},
      {"50.2", band(), null},
      {"51.8", band(), "“A” stands 1.8 mm right of the middle of the front."},
      {"48", band(), "“A” stands 2 mm left of the middle of the front."},
      {"53", band(), null},
      {"51.8", words(Setting.Align.CENTRE), "“A” stands 1.8 mm right of the middle of the front."},
      {"51.8", words(Setting.Align.LEFT), null},
    };
  }

  @Test(dataProvider = "offMiddle")
  public void whatStandsBesideTheMiddleIsToldAndMoved(
      String left, Content content, String sentence) {
    Design design = design(piece("a", left, "52.4", content));
    assertThat(told(design)).isEqualTo(sentence == null ? List.of() : List.of(sentence));
    for (Finding f : NearMisses.find(design.outside(), WRAP)) {
      Design mended = Mending.apply((Remedy.OfDesign) f.remedies().get(0), design, WRAP);
      assertThat(told(mended)).isEmpty();
      assertThat(mended.piece("a").orElseThrow().anchors().on(WRAP).orElseThrow().left())
          .isEqualTo(FRONT.left().plus(Length.mm("50")));
    }
  }

  @DataProvider
  Object[][] edges() {
    Content left = words(Setting.Align.LEFT);
    Content right = words(Setting.Align.RIGHT);
    Content centred = words(Setting.Align.CENTRE);
    return new Object[][] {
      {piece("a", "20", "40", left), piece("b", "20", "70", left), null},
      {
        piece("a", "20", "40", left),
        piece("b", "20.8", "70", left),
        "The left edges of “A” and “B” are 0.8 mm apart: nearly in line."
      },
      {piece("a", "20", "40", left), piece("b", "22", "70", left), null},
      {piece("a", "20", "40", left), piece("b", "20.8", "70", right), null},
      {piece("a", "20", "40", left), piece("b", "20.8", "70", centred), null},
      {
        piece("a", "20", "60", right),
        piece("b", "30", "49.2", band()),
        "The right edges of “A” and “B” are 0.8 mm apart: nearly in line."
      },
      // the left edges are in line: the right ones are as they come
      {piece("a", "20", "60", band()), piece("b", "20", "60.8", band()), null},
      // one in the middle, the other far from it
      {
        piece("a", "50", "52.4", band()),
        piece("b", "50.5", "30", band()),
        "The left edges of “A” and “B” are 0.5 mm apart: nearly in line."
      },
      // both in the middle: their edges are as they come
      {piece("a", "50", "52.4", band()), piece("b", "50.5", "51.4", band()), null},
    };
  }

  @Test(dataProvider = "edges")
  public void edgesThatAreNearlyInLineAreToldAndBroughtThere(Piece a, Piece b, String sentence) {
    Design design = design(a, b);
    assertThat(told(design)).isEqualTo(sentence == null ? List.of() : List.of(sentence));
    for (Finding f : NearMisses.find(design.outside(), WRAP)) {
      assertThat(f.mustMend()).isFalse();
      Design mended = Mending.apply((Remedy.OfDesign) f.remedies().get(0), design, WRAP);
      assertThat(told(mended)).isEmpty();
    }
  }

  @Test
  public void startingLayoutsHaveNone() {
    Book book =
        new Book("The Salt Ledger", "A novel", "Maren Aldous", "", "Words.", Optional.empty(), "");
    for (StartingLayout layout : StartingLayout.values()) {
      for (int pages : new int[] {60, 320, 600}) {
        Wrap wrap = Wraps.sixByNine(pages);
        Composition side = layout.on(wrap, book, Design.EMPTY).outside();
        assertThat(NearMisses.find(side, wrap)).as(layout + " " + pages).isEmpty();
      }
    }
  }

  @Test
  public void turnedLockedAndHiddenPiecesAreLeftAlone() {
    Piece a = piece("a", "51.8", "52.4", band());
    assertThat(told(design(a.locked(true)))).isEmpty();
    assertThat(told(design(a.hidden(true)))).isEmpty();
  }
}
