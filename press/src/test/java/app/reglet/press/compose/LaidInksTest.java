package app.reglet.press.compose;

import static app.reglet.press.compose.LaidPages.piece;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.OfFile;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.inspect.HandPdf;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * What the inks of a laid page tell on the cover where it lies. Every page here is as large as the
 * sheet or 200 × 200 pt, and every figure follows from what is written in it.
 */
public class LaidInksTest {
  private static final Wrap WRAP = LaidPages.WRAP;
  private static final double POINTS = 72 / 25.4;
  private static final String SHA = "cd".repeat(32);
  private static final Ground PAPER = Ground.plain(Colour.WHITE);

  /** A page as large as a sheet, drawn from its top left corner in mm. */
  private static LaidPages.Kept sheet(Wrap wrap, String drawn) throws IOException {
    double w = wrap.sheet().width().toMm() * POINTS;
    double h = wrap.sheet().height().toMm() * POINTS;
    return LaidPages.Kept.of(
        new HandPdf()
            .page(
                String.format(Locale.ROOT, "/MediaBox [0 0 %.4f %.4f]", w, h),
                "",
                String.format(
                    Locale.ROOT, "%.6f 0 0 %.6f 0 %.4f cm %s", POINTS, -POINTS, h, drawn)));
  }

  private static String box(String inks, double x, double y, double width, double height) {
    return String.format(Locale.ROOT, "%s k %.3f %.3f %.3f %.3f re f ", inks, x, y, width, height);
  }

  private static Wrap wrap(String house, String trim, String paper) {
    return Measuring.measure(
        Specification.of(
            Binding.PERFECT_BOUND, Size.parse(trim, Unit.IN), 200, paper, "black", PageTurn.LTR),
        Specimen.house(house));
  }

  private static Piece whole(Wrap wrap, Content content) {
    return new Piece(
        "page",
        "page",
        Anchors.hung(Region.SHEET, Span.Hold.START, Span.Hold.START, wrap.sheetBox(), wrap),
        content);
  }

  private static List<Finding> found(Pictures files, Wrap wrap, Ground ground, Piece... pieces) {
    Artwork art =
        new Composer(Specimen.TYPEFACES)
            .compose(
                new Design(Map.of(), new Composition(ground, List.of(pieces)), Composition.BLANK),
                wrap,
                Specimen.BOOK,
                files);
    return Check.run(new Subject(wrap, Specimen.BOOK, art.laid()));
  }

  private static <T> List<T> of(Class<T> kind, List<Finding> all) {
    return all.stream().map(Finding::found).filter(kind::isInstance).map(kind::cast).toList();
  }

  /** The house takes 260 %; what is meant for a screen is drawn with 300. */
  @DataProvider
  Object[][] inks() {
    String screen = "1 0 0 rg 5 5 10 10 re f ";
    return new Object[][] {
      {"four inks in full", "1 1 1 1", "", 400},
      {"above what is let pass for rounding", "0.7 0.7 0.7 0.65", "", 275},
      {"as much as the house takes", "0.65 0.65 0.65 0.65", "", 0},
      {"black of a screen, which is separated for this house", "", "0 0 0 rg ", 0},
      {"four inks beside colours of a screen", "1 1 1 1", screen, 400},
      {"no more than colours of a screen may have", "0.7 0.7 0.7 0.65", screen, 0}
    };
  }

  @Test(dataProvider = "inks")
  public void moreInkThanTheHouseTakesIsToldOfThePartThatHasIt(
      String what, String dark, String screen, int most) throws IOException {
    LaidPages.Kept kept =
        LaidPages.Kept.of(
            new HandPdf()
                .page(
                    "/MediaBox [0 0 200 200]",
                    "",
                    "0 0 0 0.2 k 0 0 200 200 re f "
                        + screen
                        + (dark.isEmpty() ? "" : dark + " k ")
                        + "20 100 40 50 re f"));
    List<Finding> found =
        found(
            kept,
            wrap("osier-row", "135 x 216 mm", "offset-100"),
            PAPER,
            LaidPages.cutting("left", 20, 50, 100, 0, 0.5),
            LaidPages.cutting("right", 70, 50, 100, 0.5, 1));
    List<OfFile.InkLowered> lowered = of(OfFile.InkLowered.class, found);
    if (most == 0) {
      assertThat(lowered).as(what).isEmpty();
      return;
    }
    assertThat(lowered).as(what).hasSize(1);
    assertThat(lowered.get(0).found()).isCloseTo(most, within(1));
    assertThat(lowered.get(0).most()).isEqualTo(260);
    assertThat(lowered.get(0).above()).isEqualTo(screen.isEmpty() ? 260 : 300);
    // 40 × 50 of the 100 × 200 points that the left part shows
    assertThat(lowered.get(0).share()).isCloseTo(0.1, within(0.003));
    Finding told =
        found.stream().filter(f -> f.found() instanceof OfFile.InkLowered).findFirst().get();
    assertThat(told.piece()).contains("left");
    assertThat(told.severity()).isEqualTo(Finding.Severity.LOOK);
    // 20 to 60 points of 200 from the left, 50 to 100 from the top, at half a mm a point
    Box place = told.place().orElseThrow();
    assertThat(place.centreX().toMm()).isBetween(29.5, 50.5);
    assertThat((place.top().toMm() + place.bottom().toMm()) / 2).isBetween(44.5, 70.5);
  }

  @Test
  public void whatAnotherPageHidesIsNotTold() throws IOException {
    LaidPages.Kept kept = sheet(WRAP, box("1 1 1 1", -5, -5, 500, 500));
    Content page = new Content.Page(SHA, 1);
    List<Finding> once = found(kept, WRAP, PAPER, whole(WRAP, page));
    assertThat(of(OfFile.InkLowered.class, once)).hasSize(1);
    Piece upper = whole(WRAP, page);
    List<Finding> twice =
        found(
            kept,
            WRAP,
            PAPER,
            whole(WRAP, page),
            new Piece("upper", "upper", upper.anchors(), page));
    assertThat(
            twice.stream().filter(f -> f.found() instanceof OfFile.InkLowered).map(Finding::piece))
        .containsExactly(Optional.of("upper"));
  }

  @DataProvider
  Object[][] middles() {
    return new Object[][] {{0.0, 0}, {0.6, 0}, {1.2, 1}, {-1.2, 1}};
  }

  @Test(dataProvider = "middles")
  public void whatStandsOffTheSpinesMiddleIsToldInFigures(double off, int times)
      throws IOException {
    Box spine = WRAP.panel(PanelKind.SPINE).orElseThrow().trim();
    double middle = spine.centreX().toMm() + off;
    LaidPages.Kept kept =
        sheet(
            WRAP,
            box("0.2 0.1 0 0", -5, -5, 500, 500)
                + box("0 0 0 1", middle - 1.5, spine.top().toMm() + 30, 3, 100));
    List<OfFile.SpineOff> told =
        of(OfFile.SpineOff.class, found(kept, WRAP, PAPER, whole(WRAP, new Content.Page(SHA, 1))));
    assertThat(told).hasSize(times);
    told.forEach(t -> assertThat(t.off().toMm()).isCloseTo(off, within(0.15)));
  }

  /** Art that ends at the trim on the left. */
  @Test
  public void aBleedThatIsWhiteIsToldWhereNothingElseIsPrintedThere() throws IOException {
    Box trim = WRAP.trimmed();
    LaidPages.Kept clear = sheet(WRAP, box("0.5 0.4 0 0.2", trim.left().toMm(), -5, 500, 500));
    LaidPages.Kept white =
        sheet(
            WRAP,
            box("0 0 0 0", -5, -5, 500, 500)
                + box("0.5 0.4 0 0.2", trim.left().toMm(), -5, 500, 500));
    Piece page = whole(WRAP, new Content.Page(SHA, 1));
    Ground blue = Ground.plain(new Colour.Rgb(0x24404e));
    assertThat(of(OfFile.WhiteEdge.class, found(clear, WRAP, blue, page))).isEmpty();
    for (List<Finding> found :
        List.of(found(clear, WRAP, PAPER, page), found(white, WRAP, blue, page))) {
      List<OfFile.WhiteEdge> told = of(OfFile.WhiteEdge.class, found);
      assertThat(told).hasSize(1);
      assertThat(told.get(0).side()).isEqualTo("left");
      assertThat(told.get(0).along().toMm()).isCloseTo(trim.height().toMm(), within(2.0));
    }
    // a shape below it is printed there
    Piece below = piece("below", WRAP.sheetBox(), Content.Shape.band(new Colour.Rgb(0x24404e)));
    assertThat(of(OfFile.WhiteEdge.class, found(clear, WRAP, PAPER, below, page))).isEmpty();
  }

  @Test
  public void aBleedThatIsDrawnOutOfThePageMirroredIsNotWhite() throws IOException {
    LaidPages.Kept kept =
        LaidPages.Kept.of(
            new HandPdf()
                .page("/MediaBox [0 0 200 200]", "", "0.5 0.4 0 0.2 k 0.72 0 200 200 re f"));
    // the page has 1.2 mm of white on its left, one pixel, and is drawn out by 2.3 mm
    double share = 0.007;
    Piece page = whole(WRAP, new Content.Cutting(SHA, 1, -share, -share, 1 + share, 1 + share));
    assertThat(of(OfFile.WhiteEdge.class, found(kept, WRAP, PAPER, page))).isEmpty();
  }

  @Test
  public void aDarkPlaceIsToldWhereTheHousePrintsItsBarcode() throws IOException {
    Wrap wrap = wrap("whimbrel-digital", "6 x 9 in", "cream");
    Piece page = whole(wrap, new Content.Page(SHA, 1));
    LaidPages.Kept dark = sheet(wrap, box("0 0 0 1", -5, -5, 500, 500));
    LaidPages.Kept pale = sheet(wrap, box("0 0 0.1 0", -5, -5, 500, 500));
    assertThat(of(OfFile.DarkInBarcodeArea.class, found(dark, wrap, PAPER, page)))
        .extracting(OfFile.DarkInBarcodeArea::share)
        .containsExactly(1.0);
    assertThat(of(OfFile.DarkInBarcodeArea.class, found(pale, wrap, PAPER, page))).isEmpty();
    // a house that wants the barcode in the art has nobody print it later
    assertThat(
            of(
                OfFile.DarkInBarcodeArea.class,
                found(
                    sheet(WRAP, box("0 0 0 1", -5, -5, 500, 500)),
                    WRAP,
                    PAPER,
                    whole(WRAP, new Content.Page(SHA, 1)))))
        .isEmpty();
    // the house separates, and says nothing of how much ink it takes
    assertThat(of(OfFile.InkLowered.class, found(dark, wrap, PAPER, page))).isEmpty();
  }

  /** Beside a page that is turned there is nothing of it, also within the box round it. */
  @Test
  public void ofATurnedPageOnlyWhatIsSeenCounts() throws IOException {
    LaidPages.Kept kept =
        LaidPages.Kept.of(
            new HandPdf()
                .page(
                    "/MediaBox [0 0 200 200]",
                    "",
                    "1 1 1 1 k 0 0 200 200 re f 0 0 0 0.2 k 100 0 100 200 re f"));
    Piece level =
        piece(
            "page",
            new Box(LaidPages.mm(60), LaidPages.mm(60), LaidPages.mm(80), LaidPages.mm(80)),
            new Content.Page(SHA, 1));
    Piece turned = level.withPlacement(level.placement().withAngle(45));
    for (Piece p : List.of(level, turned)) {
      List<OfFile.InkLowered> told = of(OfFile.InkLowered.class, found(kept, WRAP, PAPER, p));
      assertThat(told).hasSize(1);
      assertThat(told.get(0).share()).isCloseTo(0.5, within(0.01));
    }
  }
}
