package app.reglet.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.Isbn;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.Houses;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Point;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.Test;

public class ChecksTest {
  private static final Book BOOK =
      new Book(
          "The Salt Ledger",
          "",
          "Maren Aldous",
          "Sedge & Samphire",
          "",
          Optional.of(Isbn.parse("9780306406157")),
          "");

  private static Wrap wrap(String trim, int pages) {
    return Measuring.measure(
        Specification.of(
            Binding.PERFECT_BOUND,
            Size.parse(trim, Unit.IN),
            pages,
            "white",
            "black",
            PageTurn.LTR),
        Houses.GANNET);
  }

  private static Box in(String x, String y, String w, String h) {
    return new Box(Length.in(x), Length.in(y), Length.in(w), Length.in(h));
  }

  private static final Laid.Face SPECTRAL = new Laid.Face("spectral", "Spectral", "Spectral", true);

  private static final Laid.Said SAID = new Laid.Said("Words", null, 1);

  static Laid.Words words(Box ink, String pt) {
    return new Laid.Words(
        "w",
        "Title",
        Outline.of(ink),
        Outline.of(ink),
        Length.pt(pt),
        false,
        "",
        SPECTRAL,
        Optional.empty(),
        List.of(),
        List.of(),
        Set.of(),
        SAID,
        Length.pt("20"));
  }

  private static List<String> codes(Wrap wrap, Laid... laid) {
    return Check.run(new Subject(wrap, BOOK, List.of(laid))).stream().map(Finding::code).toList();
  }

  /** A cover with nothing wrong: the barcode in its area and what is given. */
  private static Laid[] with(Wrap wrap, Laid... more) {
    Laid[] all = new Laid[more.length + 1];
    all[more.length] =
        new Laid.Barcode("b", "Barcode", Outline.of(wrap.box(Region.BARCODE).orElseThrow()), 1, 1);
    System.arraycopy(more, 0, all, 0, more.length);
    return all;
  }

  @Test
  public void nothingToSayOfAGoodCover() {
    Wrap w = wrap("6 x 9", 320);
    assertThat(
            codes(
                w,
                with(
                    w,
                    words(in("8", "2", "3", "1"), "30"),
                    new Laid.Area("a", "Ground", Outline.of(w.sheetBox())))))
        .isEmpty();
  }

  @Test
  public void pagesAndTrims() {
    assertThat(codes(wrap("6 x 9", 31))).containsExactly("pages-not-offered");
    Finding odd = Check.run(new Subject(wrap("6 x 9", 31), BOOK, List.of())).get(0);
    assertThat(odd.sentence(Unit.IN)).contains("31").contains("even").contains("30 and 32");
    assertThat(odd.remedies()).containsExactly(new Remedy.UsePages(32), new Remedy.UsePages(30));
    Finding few = Check.run(new Subject(wrap("6 x 9", 10), BOOK, List.of())).get(0);
    assertThat(few.remedies()).containsExactly(new Remedy.UsePages(24));
    Finding trim = Check.run(new Subject(wrap("4 x 50", 100), BOOK, List.of())).get(0);
    assertThat(trim.code()).isEqualTo("trim-not-offered");
    assertThat(trim.sentence(Unit.IN)).contains("4 × 50 in").contains("nearest");
    assertThat(trim.remedies()).hasSize(1).first().isInstanceOf(Remedy.UseTrim.class);
  }

  @Test
  public void wordsOutsideTheSafeZone() {
    Wrap w = wrap("6 x 9", 320);
    // the front's safe zone starts 0.0625 in after the fold and ends 0.125 in before the trim
    assertThat(codes(w, with(w, words(in("8", "0.24", "3", "1"), "30"))))
        .containsExactly("words-outside-safe");
    assertThat(codes(w, with(w, words(in("8", "0.25", "3", "1"), "30")))).isEmpty();
    assertThat(codes(w, with(w, words(in("10", "4", "2.8", "1"), "30"))))
        .containsExactly("words-outside-safe");
    assertThat(codes(w, with(w, words(in("20", "4", "1", "1"), "30"))))
        .containsExactly("words-outside-safe");
  }

  @Test
  public void wordsAcrossAFoldAreToldOnce() {
    Wrap w = wrap("6 x 9", 320);
    assertThat(codes(w, with(w, words(in("6.4", "4", "3", "1"), "30"))))
        .containsExactly("words-across-fold");
  }

  @Test
  public void spineType() {
    // 100 pages: 0.2252 in, less 2 × 0.0625 in leaves 0.1002 in
    Wrap thin = wrap("6 x 9", 100);
    Laid.Words inBand = words(in("6.19", "2", "0.09", "3"), "8");
    assertThat(codes(thin, with(thin, inBand))).isEmpty();
    assertThat(codes(thin, with(thin, words(in("6.15", "2", "0.15", "3"), "12"))))
        .containsExactly("spine-type-too-big");
    assertThat(codes(thin, with(thin, words(in("6.19", "2", "0.05", "3"), "5"))))
        .containsExactly("spine-type-too-small");
    Wrap thinner = wrap("6 x 9", 78);
    assertThat(codes(thinner, with(thinner, words(in("6.19", "2", "0.04", "3"), "7"))))
        .containsExactly("spine-type-not-allowed");
  }

  @Test
  public void artThatEndsAtAnyOneTrimEdgeIsToldWithItsGap() {
    Wrap w = wrap("6 x 9", 320); // sheet 12.97064 × 9.25 in, bleed 0.125 in
    Box sheet = w.sheetBox();
    Box trim = w.trimmed();
    Box[] shortOnOneSide = {
      Box.between(trim.left(), sheet.top(), sheet.right(), sheet.bottom()),
      Box.between(sheet.left(), trim.top(), sheet.right(), sheet.bottom()),
      Box.between(sheet.left(), sheet.top(), trim.right(), sheet.bottom()),
      Box.between(sheet.left(), sheet.top(), sheet.right(), trim.bottom())
    };
    for (Box box : shortOnOneSide) {
      List<Finding> findings =
          Check.run(
              new Subject(w, BOOK, List.of(with(w, new Laid.Area("a", "Band", Outline.of(box))))));
      assertThat(findings)
          .as(box.toString())
          .extracting(Finding::code)
          .contains("bleed-not-reached");
      assertThat(findings.get(0).sentence(Unit.IN))
          .as(box.toString())
          .contains("stops 0.125 in short");
    }
  }

  /** A dragged band is posted with rounded figures, and stopped “0 in short” of the bleed. */
  @Test
  public void aHundredthOfAMillimetreIsNoGap() {
    Wrap w = wrap("6 x 9", 320);
    Box sheet = w.sheetBox();
    Length right = sheet.right();
    for (String[] gap : new String[][] {{"0.0003", ""}, {"0.01", ""}, {"0.0101", "told"}}) {
      Box box =
          Box.between(sheet.left(), sheet.top(), right.minus(Length.mm(gap[0])), sheet.bottom());
      assertThat(codes(w, with(w, new Laid.Area("a", "Band", Outline.of(box)))))
          .as(gap[0])
          .hasSize(gap[1].isEmpty() ? 0 : 1);
    }
    // the front's safe zone ends 0.125 in before the trim
    Length edge = w.trimmed().right().minus(Length.in("0.125"));
    for (String[] out : new String[][] {{"0.01", ""}, {"0.0101", "told"}}) {
      Box ink =
          Box.between(Length.in("8"), Length.in("2"), edge.plus(Length.mm(out[0])), Length.in("3"));
      assertThat(codes(w, with(w, words(ink, "30")))).as(out[0]).hasSize(out[1].isEmpty() ? 0 : 1);
    }
  }

  /** 58 % of red light is enough, less is not; the figure is told. */
  @Test
  public void aBarcodesPanelMustGiveRedLightBack() {
    Wrap w = wrap("6 x 9", 320);
    Outline area = Outline.of(w.box(Region.BARCODE).orElseThrow());
    assertThat(codes(w, new Laid.Barcode("b", "Barcode", area, 1, 0.58))).isEmpty();
    Laid dark = new Laid.Barcode("b", "Barcode", area, 1, 0.57);
    Finding found = Check.run(new Subject(w, BOOK, List.of(dark))).get(0);
    assertThat(found.code()).isEqualTo("barcode-panel-dark");
    assertThat(found.mustMend()).isTrue();
    assertThat(found.sentence(Unit.MM)).contains("57 %").contains("58 %");
    assertThat(found.remedies()).containsExactly(new Remedy.WhitePanel("b"));
  }

  @Test
  public void barcodeArea() {
    Wrap w = wrap("6 x 9", 320);
    assertThat(codes(w, with(w, words(in("4", "8", "1", "0.2"), "9"))))
        .containsExactly("barcode-area-covered");
    // a band in front of the barcode hides it, one behind does not
    Laid band = new Laid.Area("a", "Band", Outline.of(in("3", "7", "3", "1.5")));
    Laid code =
        new Laid.Barcode("b", "Barcode", Outline.of(w.box(Region.BARCODE).orElseThrow()), 1, 1);
    assertThat(codes(w, code, band)).containsExactly("barcode-area-covered");
    assertThat(codes(w, band, code)).isEmpty();
    assertThat(codes(w, words(in("8", "2", "3", "1"), "30"))).containsExactly("barcode-missing");
    assertThat(
            codes(w, new Laid.Barcode("b", "Barcode", Outline.of(in("1", "1", "1.5", "1")), 1, 1)))
        .containsExactly("barcode-out-of-area");
  }

  @Test
  public void artThatStopsAtTheTrim() {
    Wrap w = wrap("6 x 9", 320);
    assertThat(codes(w, with(w, new Laid.Area("a", "Band", Outline.of(w.trimmed())))))
        .containsExactly("bleed-not-reached");
    // clear of the trim by more than the drift: meant to be a panel inside the page
    assertThat(codes(w, with(w, new Laid.Area("a", "Panel", Outline.of(in("8", "1", "3", "3"))))))
        .isEmpty();
    // 0.05 in inside the trim, where the knife may drift 0.0625 in
    assertThat(
            codes(w, with(w, new Laid.Area("a", "Band", Outline.of(in("0.175", "1", "3", "3"))))))
        .containsExactly("bleed-not-reached");
  }

  @Test
  public void pictureResolution() {
    Wrap w = wrap("6 x 9", 320);
    assertThat(codes(w, with(w, new Laid.Picture("p", "Sea", Outline.of(w.sheetBox()), 300, ""))))
        .isEmpty();
    assertThat(codes(w, with(w, new Laid.Picture("p", "Sea", Outline.of(w.sheetBox()), 299.4, ""))))
        .containsExactly("picture-soft");
    assertThat(codes(w, with(w, new Laid.Picture("p", "Sea", Outline.of(w.sheetBox()), 200, ""))))
        .containsExactly("picture-soft");
    assertThat(codes(w, with(w, new Laid.Picture("p", "Sea", Outline.of(w.sheetBox()), 199.9, ""))))
        .containsExactly("picture-too-coarse");
  }

  /** From 60 on nothing is said, and nothing of what is not known to have lost anything. */
  @Test
  public void aPicturePackedWithMuchLossIsToldItsQuality() {
    Wrap w = wrap("6 x 9", 320);
    Outline all = Outline.of(w.sheetBox());
    for (int quality : new int[] {0, 60, 100}) {
      assertThat(codes(w, with(w, new Laid.Picture("p", "Sea", all, 300, "", quality)))).isEmpty();
    }
    for (int quality : new int[] {1, 59}) {
      Laid sea = new Laid.Picture("p", "Sea", all, 300, "", quality);
      List<Finding> found = Check.run(new Subject(w, BOOK, List.of(with(w, sea))));
      assertThat(found).extracting(Finding::code).containsExactly("picture-artefacts");
      assertThat(found.get(0).sentence(Unit.IN))
          .contains("“Sea” was saved as a JPEG at a quality of about " + quality + " of 100")
          .contains("from 60 on");
    }
  }

  private static Outline polygon(String... inches) {
    List<Point> points = new java.util.ArrayList<>();
    for (int i = 0; i < inches.length; i += 2) {
      points.add(new Point(Length.in(inches[i]), Length.in(inches[i + 1])));
    }
    return new Outline(List.of(points));
  }

  @Test
  public void turnedWordsThatPassBesideTheBarcodeAreaDoNotStandInIt() {
    Wrap w = wrap("6 x 9", 320);
    Box area = w.box(Region.BARCODE).orElseThrow();
    double x = area.left().toMm() / 25.4;
    double y = area.top().toMm() / 25.4;
    // a triangle whose slanting side passes the area's top left corner, its bounds over the area
    Outline beside =
        polygon(
            String.format("%.4f", x - 1), String.format("%.4f", y - 0.5),
            String.format("%.4f", x + 0.45), String.format("%.4f", y - 0.5),
            String.format("%.4f", x - 1), String.format("%.4f", y + 0.9));
    assertThat(beside.bounds().overlaps(area)).isTrue();
    Laid.Words words =
        new Laid.Words(
            "w",
            "Title",
            beside,
            beside,
            Length.pt("20"),
            false,
            "",
            SPECTRAL,
            Optional.empty(),
            List.of(),
            List.of(),
            Set.of(),
            SAID,
            Length.ZERO);
    assertThat(codes(w, with(w, words))).isEmpty();
    Outline into =
        polygon(
            String.format("%.4f", x - 1), String.format("%.4f", y - 0.5),
            String.format("%.4f", x + 1.5), String.format("%.4f", y - 0.5),
            String.format("%.4f", x - 1), String.format("%.4f", y + 0.9));
    Laid.Words over =
        new Laid.Words(
            "w",
            "Title",
            into,
            into,
            Length.pt("20"),
            false,
            "",
            SPECTRAL,
            Optional.empty(),
            List.of(),
            List.of(),
            Set.of(),
            SAID,
            Length.ZERO);
    assertThat(codes(w, with(w, over))).containsExactly("barcode-area-covered");
  }

  @Test
  public void wordsOverTheBarcodeAreaCanBeMovedClearOfIt() {
    Wrap w = wrap("6 x 9", 320);
    Finding f =
        Check.run(new Subject(w, BOOK, List.of(with(w, words(in("4", "8", "1", "0.2"), "9")))))
            .get(0);
    assertThat(f.remedies())
        .containsExactly(new Remedy.ClearOfBarcode("w"), new Remedy.TakeOff("w", "Title"));
  }

  private static Laid.Words naming(Laid.Words w, List<String> empty, List<String> unknown) {
    return new Laid.Words(
        w.piece(),
        w.name(),
        w.outline(),
        w.ink(),
        w.size(),
        false,
        "",
        w.face(),
        Optional.empty(),
        empty,
        unknown,
        Set.of(),
        SAID,
        w.largest());
  }

  private static Laid.Words in(Laid.Words w, Laid.Face face, String missing, Laid.Face instead) {
    return new Laid.Words(
        w.piece(),
        w.name(),
        w.outline(),
        w.ink(),
        w.size(),
        false,
        missing,
        face,
        Optional.ofNullable(instead),
        List.of(),
        List.of(),
        Set.of(),
        SAID,
        w.largest());
  }

  @Test
  public void wordsThatLackLettersAreOfferedAFaceThatHasThem() {
    Wrap w = wrap("6 x 9", 320);
    Laid.Words title = words(in("8", "2", "2", "0.5"), "30");
    Laid.Face vollkorn = new Laid.Face("vollkorn", "Vollkorn", "Vollkorn", true);
    Finding f =
        Check.run(new Subject(w, BOOK, List.of(with(w, in(title, SPECTRAL, "ж", vollkorn)))))
            .get(0);
    assertThat(f.code()).isEqualTo("glyph-missing");
    assertThat(f.remedies()).containsExactly(new Remedy.SetIn("w", vollkorn));
    assertThat(f.remedies().get(0).label(Unit.MM)).isEqualTo("Set it in Vollkorn");
  }

  @Test
  public void aFourthFamilyOfTypeIsTold() {
    Wrap w = wrap("6 x 9", 320);
    Laid.Words title = words(in("8", "2", "2", "0.5"), "30");
    List<Laid> laid = new ArrayList<>(List.of(with(w)));
    for (String family : List.of("Spectral", "Karla", "Rye")) {
      laid.add(in(title, new Laid.Face("f", family + " Bold", family, true), "", null));
    }
    assertThat(Check.run(new Subject(w, BOOK, laid))).isEmpty();
    laid.add(in(title, new Laid.Face("f", "Jost Italic", "Jost", false), "", null));
    Finding f = Check.run(new Subject(w, BOOK, laid)).get(0);
    assertThat(f.mustMend()).isFalse();
    assertThat(f.sentence(Unit.MM))
        .isEqualTo(
            "Words stand in 4 families of type: Spectral, Karla, Rye, Jost. A cover holds together with 3 at most.");
  }

  @Test
  public void namesInBracesThatAreNoFactsOrNotStatedAreTold() {
    Wrap w = wrap("6 x 9", 320);
    Laid.Words t = words(in("8", "2", "2", "0.5"), "30");
    Laid.Words named = naming(t, List.of("{price}"), List.of("{tittle}"));
    List<Finding> found = Check.run(new Subject(w, BOOK, List.of(with(w, named))));
    assertThat(found.stream().map(f -> f.sentence(Unit.MM)))
        .containsExactly(
            "“Title” has {tittle}, which is no fact of the book: it prints so.",
            "“Title” has {price}, which the docket leaves empty.");
    assertThat(found.stream().map(Finding::mustMend)).containsExactly(false, false);
  }
}
