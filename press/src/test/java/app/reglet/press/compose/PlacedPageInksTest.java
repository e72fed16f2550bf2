package app.reglet.press.compose;

import static app.reglet.press.compose.LaidPages.composed;
import static app.reglet.press.compose.LaidPages.cutting;
import static app.reglet.press.compose.LaidPages.laid;
import static app.reglet.press.compose.LaidPages.mm;
import static app.reglet.press.compose.LaidPages.piece;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.Book;
import app.reglet.core.book.Isbn;
import app.reglet.core.check.BarcodePresent;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Found;
import app.reglet.core.check.Laid;
import app.reglet.core.check.OfBarcode;
import app.reglet.core.check.OfDrawing;
import app.reglet.core.check.OfFile;
import app.reglet.core.check.OfWords;
import app.reglet.core.check.OnPages;
import app.reglet.core.check.PageBringsFonts;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.house.PressRules.Standard;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.inspect.HandPdf;
import app.reglet.press.pdf.PressFiles;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A page of somebody's PDF on a cover: what of its colours and of its faults comes with it. */
public class PlacedPageInksTest {
  private static final Wrap WRAP = LaidPages.WRAP;
  private static final double MM_PER_INCH = 25.4;
  private static final int PPI = 100;

  /** The page is 100 × 100 pt and lies 50 × 50 mm large from 20 mm right and down. */
  private static final int AT = 20;

  private static String square(int n, String paint) {
    return paint + " " + n * 20 + " 40 20 20 re f\n";
  }

  @DataProvider
  Object[][] standards() {
    return new Object[][] {{Standard.PLAIN}, {Standard.X4}, {Standard.X1A}};
  }

  /** Numbers of inks as ghostscript prints them: what is black alone stays black alone. */
  @Test(dataProvider = "standards")
  public void whatAPageHasInInksIsPrintedWithThoseNumbersAndAScreensColoursAreSeparated(
      Standard standard) throws IOException {
    HandPdf pdf = new HandPdf();
    pdf.page(
        "/MediaBox [0 0 100 100]",
        "",
        square(0, "0 0 0 1 k")
            + square(1, "0.2 0.4 0.6 0.1 k")
            + square(2, "0.3 g")
            + square(3, "0 0.5 0.2 rg")
            + square(4, "0 0 0 0.05 k"));
    Piece same =
        piece(
            "same",
            new Box(mm(150), mm(AT), mm(20), mm(20)),
            new Content.Shape(
                new Figure.Rectangle(Length.ZERO), Paint.of(new Colour.Rgb(0x008033)), null));
    Artwork art = laid(pdf, new Box(mm(AT), mm(AT), mm(50), mm(50)), same);
    Raster plates =
        PressFiles.plates(
            PressFiles.make(art, PressFiles.making(PressFiles.rules(standard, 300))), PPI);
    expect(plates, 0, 0, 0, 0, 100);
    expect(plates, 1, 20, 40, 60, 10);
    expect(plates, 2, 0, 0, 0, 70);
    int[] shape = at(plates, 160, AT + 10);
    expect(plates, 3, percent(shape[0]), percent(shape[1]), percent(shape[2]), percent(shape[3]));
    expect(plates, 4, 0, 0, 0, 5);
  }

  private static double percent(int of) {
    return of / 2.55;
  }

  private static int[] at(Raster plates, double x, double y) {
    return plates.getPixel(
        (int) (x * PPI / MM_PER_INCH), (int) (y * PPI / MM_PER_INCH), (int[]) null);
  }

  private static void expect(Raster plates, int n, double... percent) {
    int[] is = at(plates, AT + n * 10 + 5, AT + 25);
    for (int i = 0; i < 4; i++) {
      assertThat(percent(is[i]))
          .as("square " + n + ", ink " + i)
          .isCloseTo(percent[i], within(1.5));
    }
  }

  private static String words(double x, double y, double size, String text) {
    return "BT /F " + size + " Tf " + x + " " + y + " Td (" + text + ") Tj ET\n";
  }

  /** A page with words in a font that the file lacks. */
  private static HandPdf lettered(String size, String content) {
    HandPdf pdf = new HandPdf();
    int font = pdf.add("<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>");
    return pdf.page("/MediaBox [0 0 " + size + "]", "/Font << /F " + font + " 0 R >>", content);
  }

  private static HandPdf spoiled() {
    HandPdf pdf = new HandPdf();
    int font = pdf.add("<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>");
    int picture =
        pdf.stream(
            "/Type /XObject /Subtype /Image /Width 20 /Height 20 /BitsPerComponent 8 /ColorSpace /DeviceGray",
            checks());
    return pdf.page(
        "/MediaBox [0 0 300 200]",
        "/Font << /F " + font + " 0 R >> /XObject << /P " + picture + " 0 R >>",
        "0 0 0 1 k "
            + words(60, 150, 14, "WORDS OVER THE FOLD")
            + "0.5 0.4 0.4 0.9 k "
            + words(180, 100, 8, "rich and small")
            + "0 0 0 1 k "
            + words(180, 80, 2, "far too small")
            + "0.1 w 180 60 m 240 60 l S\n"
            + "q 40 0 0 40 220 120 cm /P Do Q\n");
  }

  private static byte[] checks() {
    byte[] out = new byte[400];
    for (int i = 0; i < out.length; i++) {
      out[i] = (byte) (i % 2 == i / 20 % 2 ? 255 : 0);
    }
    return out;
  }

  private static List<Finding> found(Artwork art) {
    return new OnPages().find(new Subject(WRAP, Specimen.BOOK, art.laid()));
  }

  /** 300 × 200 pt in twice its size, so that its words lie over the spine's left fold. */
  @Test
  public void whatIsWrongInAPageIsToldWhereItLiesInTheSizeItHasThere() throws IOException {
    Box spine = WRAP.panel(PanelKind.SPINE).orElseThrow().trim();
    double two = 2 * MM_PER_INCH / 72;
    Box box = new Box(mm(spine.left().toMm() - 100 * two), mm(30), mm(300 * two), mm(200 * two));
    List<Finding> found = found(laid(spoiled(), box));
    assertThat(found).allMatch(f -> f.piece().equals(Optional.of("page")));
    assertThat(found).allMatch(f -> f.remedies().isEmpty());
    Found.WordsAcrossFold across = only(found, Found.WordsAcrossFold.class);
    assertThat(across.name()).isEqualTo("page: WORDS OVER THE FOLD");
    assertThat(only(found, OfWords.TypeSmall.class).size().toMm())
        .isCloseTo(4 * MM_PER_INCH / 72, within(0.02));
    assertThat(only(found, OfDrawing.LineThin.class).width().toMm())
        .isCloseTo(0.2 * MM_PER_INCH / 72, within(0.002));
    assertThat(only(found, Found.PictureTooCoarse.class).ppi()).isBetween(17.0, 20.0);
    // a fold runs through these words 20 % from their left end: the place is that of the sheet
    Finding words = found.stream().filter(f -> f.found() == across).findFirst().orElseThrow();
    assertThat(words.place().orElseThrow().left().toMm())
        .isCloseTo(box.left().toMm() + 61 * two, within(1.0));
  }

  /** The same page a quarter as large on the front, far from folds: what is smaller is told so. */
  @Test
  public void theSamePageSmallerHasFinerPicturesAndThinnerLines() throws IOException {
    Box safe = WRAP.panel(PanelKind.FRONT).orElseThrow().safe();
    double half = 0.5 * MM_PER_INCH / 72;
    List<Finding> found =
        found(laid(spoiled(), new Box(safe.left(), safe.top(), mm(300 * half), mm(200 * half))));
    assertThat(found).noneMatch(f -> f.found() instanceof Found.WordsAcrossFold);
    assertThat(only(found, Found.PictureTooCoarse.class).ppi()).isBetween(70.0, 78.0);
    assertThat(only(found, OfDrawing.LineThin.class).width().toMm())
        .isCloseTo(0.05 * MM_PER_INCH / 72, within(0.002));
  }

  /** The left half beyond its edge, mirrored there, and the right half: a page with letters. */
  @Test
  public void cuttingsOfAPageTakeNoMorePixelsThanTheyShow() throws IOException {
    HandPdf pdf =
        lettered(
            "100 100",
            "0.2 0.1 0 0 k 0 0 100 100 re f 0 0 0 1 k "
                + words(10, 50, 12, "left")
                + words(60, 50, 12, "right"));
    Piece left = cutting("left", AT, 27.5, 50, -0.05, 0.5);
    Piece right = cutting("right", AT + 30, 25, 50, 0.5, 1);
    Artwork art = composed(LaidPages.Kept.of(pdf), List.of(left, right));
    assertThat(new PageBringsFonts().find(new Subject(WRAP, Specimen.BOOK, art.laid())))
        .as("one file lacks its font once")
        .hasSize(1);
    assertThat(namesOn(art, "left")).containsExactly("left: left");
    assertThat(namesOn(art, "right")).containsExactly("right: right");
    for (Standard standard : List.of(Standard.X4, Standard.X1A)) {
      Path made = PressFiles.make(art, PressFiles.making(PressFiles.rules(standard, 300)));
      long pixels =
          LaidPages.pictures(made).stream()
              .mapToLong(c -> Long.parseLong(c[3]) * Long.parseLong(c[4]))
              .sum();
      double shown = 52.5 * 50 * Math.pow(600 / MM_PER_INCH, 2);
      assertThat(pixels / shown).as(standard + ": pixels to those shown").isBetween(1.0, 1.03);
      Raster plates = PressFiles.plates(made, PPI);
      for (double x : new double[] {AT + 0.6, AT + 2, AT + 27, AT + 30.5, AT + 54.5}) {
        int[] p = at(plates, x, AT + 5);
        assertThat(percent(p[0])).as(standard + " at " + x).isCloseTo(20, within(1.5));
        assertThat(percent(p[1])).isCloseTo(10, within(1.5));
        assertThat(p[3]).isZero();
      }
    }
  }

  /** Two parts of a page that meet, at a place that is no whole number of its pixels. */
  @Test
  public void wherePartsOfAPageMeetNoPaperShows() throws IOException {
    String sha = "cd".repeat(32);
    HandPdf pdf = new HandPdf();
    pdf.page("/MediaBox [0 0 100 100]", "", "0.6 0.1 0 0 k 0 0 100 100 re f\n");
    double meet = AT + 12.513;
    Artwork art =
        composed(
            LaidPages.Kept.of(pdf),
            List.of(
                piece(
                    "left",
                    new Box(mm(AT), mm(AT), mm(meet - AT), mm(10)),
                    new Content.Cutting(sha, 1, 0, 0, 0.4, 0.3)),
                piece(
                    "right",
                    new Box(mm(meet), mm(AT), mm(20), mm(10)),
                    new Content.Cutting(sha, 1, 0.4, 0, 1, 0.3))));
    int ppi = 600;
    for (Standard standard : List.of(Standard.X4, Standard.X1A)) {
      Raster plates =
          PressFiles.plates(
              PressFiles.make(art, PressFiles.making(PressFiles.rules(standard, 300))), ppi);
      int y = (int) ((AT + 5) * ppi / MM_PER_INCH);
      for (int x = (int) ((AT + 0.2) * ppi / MM_PER_INCH);
          x < (meet + 19.8) * ppi / MM_PER_INCH;
          x++) {
        assertThat(percent(plates.getPixel(x, y, (int[]) null)[0]))
            .as(standard + " at " + x * MM_PER_INCH / ppi + " mm")
            .isGreaterThan(55);
      }
    }
  }

  /** The spine of a file that is drawn out lies below itself: its words are seen once. */
  @Test
  public void wordsThatLieUnderAnotherPartOfAFileAreNotJudged() throws IOException {
    HandPdf pdf =
        lettered(
            "100 100",
            "0 0 0 0.2 k 0 0 100 100 re f 0.5 0.4 0.4 0.9 k " + words(40, 50, 6, "tiny"));
    LaidPages.Kept opaque = LaidPages.Kept.of(pdf);
    Piece below = cutting("below", AT, 60, 50, 0, 1);
    Piece above = cutting("above", AT + 10, 40, 50, 0, 1);
    assertThat(found(composed(opaque, List.of(below))))
        .anyMatch(f -> f.piece().equals(Optional.of("below")));
    List<Finding> both = found(composed(opaque, List.of(below, above)));
    assertThat(both).isNotEmpty().allMatch(f -> f.piece().equals(Optional.of("above")));
    // what can be seen through hides nothing
    Piece clear = above.withAppearance(Appearance.PLAIN.withOpacity(0.5));
    assertThat(found(composed(opaque, List.of(below, clear))))
        .anyMatch(f -> f.piece().equals(Optional.of("below")));
  }

  /** Letters beside what they are cut to are in the file, and nobody sees them. */
  @Test
  public void wordsThatAreCutAwayAreNotRead() throws IOException {
    HandPdf pdf =
        lettered(
            "300 100",
            "q 0 0 150 100 re W n "
                + words(20, 50, 12, "seen")
                + words(200, 50, 12, "beside")
                + words(120, 20, 12, "half of it")
                + "Q");
    assertThat(LaidPages.Kept.of(pdf).about().content().words())
        .extracting(w -> w.text())
        .containsExactly("seen", "half of ");
  }

  private static List<String> namesOn(Artwork art, String piece) {
    return art.laid().stream()
        .filter(l -> l.piece().equals(piece))
        .flatMap(l -> ((Laid.Page) l).on().stream())
        .map(Laid::name)
        .toList();
  }

  /** Drawn out to twice its height alone: a picture is as coarse as it is that way. */
  @Test
  public void aPartThatIsDrawnOutIsAsCoarseAsItIsTheWayItGrewMost() throws IOException {
    double mm = MM_PER_INCH / 72;
    Box box = new Box(mm(AT), mm(AT), mm(300 * mm), mm(400 * mm));
    Artwork art =
        composed(
            LaidPages.Kept.of(spoiled()),
            List.of(piece("page", box, new Content.Cutting("cd".repeat(32), 1, 0, 0, 1, 1))));
    List<Finding> found = found(art);
    assertThat(only(found, Found.PictureTooCoarse.class).ppi()).isBetween(17.0, 20.0);
    assertThat(only(found, OfDrawing.LineThin.class).width().toMm())
        .isCloseTo(0.1 * mm, within(0.002));
  }

  /** A page turned by a quarter, as on a spine: its level words run downwards there. */
  @Test
  public void wordsOnAPageThatIsTurnedRunAsTheyAreTurned() throws IOException {
    Piece level =
        piece(
            "page",
            new Box(mm(AT), mm(AT), mm(100), mm(100)),
            new Content.Page("cd".repeat(32), 1));
    Piece turned =
        level.withPlacement(new Placement(level.placement().anchors(), 90, Placement.Flip.NONE));
    Artwork art = composed(LaidPages.Kept.of(spoiled()), List.of(turned));
    List<Laid.Words> words =
        art.laid().stream()
            .filter(Laid.Page.class::isInstance)
            .flatMap(l -> ((Laid.Page) l).on().stream())
            .filter(Laid.Words.class::isInstance)
            .map(Laid.Words.class::cast)
            .toList();
    assertThat(words).hasSize(3);
    for (Laid.Words w : words) {
      assertThat(w.said().angle()).isEqualTo(90);
      assertThat(w.inked().height().toMm()).isGreaterThan(2 * w.inked().width().toMm());
    }
  }

  /** Half of the page is empty: what lies below is seen there, and nowhere else. */
  @Test(dataProvider = "standards")
  public void whatAPageDoesNotCoverStaysAsItWas(Standard standard) throws IOException {
    HandPdf pdf = new HandPdf();
    pdf.page("/MediaBox [0 0 100 100]", "", "0 0 0 0.5 k 0 0 50 100 re f\n");
    Piece below =
        piece(
            "below",
            new Box(mm(AT), mm(AT), mm(50), mm(50)),
            new Content.Shape(
                new Figure.Rectangle(Length.ZERO), Paint.of(new Colour.Cmyk(60, 0, 0, 0)), null));
    Artwork art = laid(pdf, new Box(mm(AT), mm(AT), mm(50), mm(50)), below);
    Raster plates =
        PressFiles.plates(
            PressFiles.make(art, PressFiles.making(PressFiles.rules(standard, 300))), PPI);
    int[] covered = at(plates, AT + 12, AT + 25);
    int[] open = at(plates, AT + 38, AT + 25);
    assertThat(new int[] {covered[0], covered[1], covered[2]}).containsOnly(0);
    assertThat(percent(covered[3])).isCloseTo(50, within(1.5));
    assertThat(percent(open[0])).isCloseTo(60, within(1.5));
    assertThat(open[3]).isZero();
  }

  /** A press file with a barcode, laid whole: it needs no second one, and must be the book's. */
  @Test
  public void aBarcodeOnALaidFileIsReadBackAndMustSayTheBooksNumber() throws IOException {
    Artwork barred =
        composed(
            sha -> Optional.empty(),
            List.of(piece("bars", WRAP.box(Region.BARCODE).orElseThrow(), new Content.Barcode())));
    Path file = PressFiles.make(barred, PressFiles.making(PressFiles.rules(Standard.PLAIN, 300)));
    Artwork art = laid(LaidPages.Kept.of(file), WRAP.sheetBox());
    assertThat(new BarcodePresent().find(new Subject(WRAP, Specimen.BOOK, art.laid()))).isEmpty();
    assertThat(found(art)).noneMatch(f -> f.code().startsWith("barcode"));
    // a centimetre and a half higher it stands beside the area that the house keeps for it
    Box sheet = WRAP.sheetBox();
    Box higher = new Box(sheet.x(), mm(-15), sheet.width(), sheet.height());
    Artwork off = laid(LaidPages.Kept.of(file), higher);
    assertThat(new BarcodePresent().find(new Subject(WRAP, Specimen.BOOK, off.laid()))).isEmpty();
    only(found(off), OfBarcode.BarcodeOutOfArea.class);
    Book other =
        new Book("Other", "", "", "", "", Optional.of(Isbn.parse("978-1-86197-271-2")), "");
    List<Finding> told = new OnPages().find(new Subject(WRAP, other, art.laid()));
    assertThat(only(told, OfFile.BarcodeOther.class).isbn()).isEqualTo("9781861972712");
  }

  private static <F extends Found> F only(List<Finding> found, Class<F> kind) {
    List<F> all =
        found.stream().map(Finding::found).filter(kind::isInstance).map(kind::cast).toList();
    assertThat(all).as(kind.getSimpleName()).hasSize(1);
    return all.get(0);
  }
}
