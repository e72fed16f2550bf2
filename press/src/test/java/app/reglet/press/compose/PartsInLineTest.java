package app.reglet.press.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.PageTurn;
import app.reglet.core.check.Laid;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Row;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Span;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Regions;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.pdf.PressFile;
import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The parts of a line share its length, whatever their words; seen in the inks that are laid. */
public class PartsInLineTest {
  private static final Wrap WRAP = Specimen.wrap(320);
  private static final Box SAFE = WRAP.panel(PanelKind.SPINE).orElseThrow().safe();

  private static Piece words(String id, String text, String pt, Type.Fit fit) {
    Words w =
        Words.of(null, text, "spectral", Length.pt(pt), Colour.BLACK)
            .aligned(Setting.Align.LEFT, Setting.VerticalAlign.CAPITALS);
    return new Piece(id, id, Anchors.filling(Region.GROUP), w.withType(w.type().withFit(fit)));
  }

  private static Piece leaf(Size size) {
    return new Piece(
        "leaf",
        "leaf",
        Anchors.fromTop(Region.GROUP, Length.ZERO, size.height()),
        new Content.Ornament(new Motif.Drawn("leaf", List.of(Colour.BLACK))));
  }

  private static Artwork laid(Row row, Piece... parts) {
    Piece line =
        new Piece(
            "line",
            "line",
            Anchors.filling(Region.safe(PanelKind.SPINE)),
            new Content.Group(SAFE.size(), List.of(parts), row));
    Design design =
        Specimen.on(Ground.plain(Colour.WHITE)).changed(PrintedSide.OUTSIDE, c -> c.plus(line));
    return new Composer(Specimen.TYPEFACES).compose(design, WRAP, Specimen.BOOK, Pictures.NONE);
  }

  private static List<Laid.Words> wordsOf(Artwork art) {
    return art.laid().stream()
        .filter(Laid.Words.class::isInstance)
        .map(Laid.Words.class::cast)
        .toList();
  }

  /** The inks of words down the spine, from top to bottom: mm from the top of the safe zone. */
  private static List<double[]> down(Artwork art) {
    return wordsOf(art).stream()
        .filter(w -> !w.ink().isEmpty())
        .map(w -> w.ink().bounds())
        .map(
            b ->
                new double[] {
                  b.top().minus(SAFE.top()).toMm(), b.bottom().minus(SAFE.top()).toMm()
                })
        .sorted((a, b) -> Double.compare(a[0], b[0]))
        .toList();
  }

  @Test
  public void inksReachBothEndsAndTheGapsBetweenThemAreAlike() {
    Artwork art =
        laid(
            Row.OF_SPINE,
            words("author", "Maren Aldous", "14", Type.Fit.SIZE),
            words("title", "The Salt Ledger", "16", Type.Fit.SIZE),
            words("series", "II", "9", Type.Fit.SIZE),
            words("imprint", "Sedge & Samphire", "9", Type.Fit.SIZE));
    List<double[]> inks = down(art);
    assertThat(inks).hasSize(4);
    assertThat(inks.get(0)[0]).isCloseTo(0, within(0.001));
    assertThat(inks.get(3)[1]).isCloseTo(SAFE.height().toMm(), within(0.001));
    double gap = inks.get(1)[0] - inks.get(0)[1];
    assertThat(gap).isGreaterThan(5);
    assertThat(inks.get(2)[0] - inks.get(1)[1]).isCloseTo(gap, within(0.001));
    assertThat(inks.get(3)[0] - inks.get(2)[1]).isCloseTo(gap, within(0.001));
    assertThat(wordsOf(art))
        .extracting(w -> w.size().toMm() * 72 / 25.4)
        .allSatisfy(pt -> assertThat(pt).isCloseTo(Math.round(pt), within(1e-4)));
  }

  @Test
  public void upwardsTheFirstPartIsAtTheFoot() {
    Piece first = words("first", "First", "12", Type.Fit.SIZE);
    Piece second = words("second", "Then", "12", Type.Fit.SIZE);
    for (Row.Run run : List.of(Row.Run.DOWN, Row.Run.UP)) {
      List<Laid.Words> laid = wordsOf(laid(new Row(run, false), first, second));
      boolean firstAbove =
          laid.get(0).ink().bounds().top().isLessThan(laid.get(1).ink().bounds().top());
      assertThat(laid.get(0).name()).isEqualTo("first");
      assertThat(firstAbove).isEqualTo(run == Row.Run.DOWN);
    }
  }

  /** On a book that is read from the right a level line begins on the right. */
  @Test
  public void aLevelLineBeginsWhereTheBookIsReadFrom() {
    Piece first = words("first", "First", "8", Type.Fit.SIZE);
    Piece second = words("second", "Then", "8", Type.Fit.SIZE);
    for (PageTurn turn : PageTurn.values()) {
      Wrap wrap = Measuring.measure(WRAP.spec().withTurn(turn), WRAP.house());
      Piece line =
          new Piece(
              "line",
              "line",
              Anchors.filling(Region.safe(PanelKind.FRONT)),
              new Content.Group(
                  SAFE.size(), List.of(first, second), new Row(Row.Run.LEVEL, false)));
      Design design =
          Specimen.on(Ground.plain(Colour.WHITE)).changed(PrintedSide.OUTSIDE, c -> c.plus(line));
      List<Laid.Words> laid =
          wordsOf(
              new Composer(Specimen.TYPEFACES).compose(design, wrap, Specimen.BOOK, Pictures.NONE));
      Box front = wrap.panel(PanelKind.FRONT).orElseThrow().safe();
      Box one = laid.get(0).ink().bounds();
      double away =
          turn == PageTurn.LTR
              ? one.left().minus(front.left()).toMm()
              : front.right().minus(one.right()).toMm();
      assertThat(away).as("%s", turn).isCloseTo(0, within(0.001));
    }
  }

  @Test
  public void aLineThatIsTooLongIsMadeSmallerTogetherAndStaysOneLine() {
    String longTitle =
        "The Salt Ledger, or How the Customs Office of the Flats Was Closed for Good";
    Artwork art =
        laid(
            Row.OF_SPINE,
            words("author", "Maren Aldous", "10", Type.Fit.SIZE),
            words("title", longTitle + "\nand what came of it", "20", Type.Fit.SIZE));
    List<Laid.Words> laid = wordsOf(art);
    assertThat(laid.get(1).size().toMm()).isCloseTo(laid.get(0).size().toMm() * 2, within(1e-5));
    assertThat(laid.get(1).size()).isLessThan(Length.pt("20"));
    List<double[]> inks = down(art);
    assertThat(inks.get(0)[0]).isCloseTo(0, within(0.001));
    assertThat(inks.get(1)[1]).isCloseTo(SAFE.height().toMm(), within(0.001));
    double gap = inks.get(1)[0] - inks.get(0)[1];
    assertThat(gap).isCloseTo(laid.get(1).size().toMm() / 2, within(0.01));
  }

  @Test
  public void asLargeAsFitsFillsTheLineOrTheRoomAcrossIt() {
    Row largest = new Row(Row.Run.DOWN, true);
    Laid.Words high = wordsOf(laid(largest, words("a", "HEIX", "9", Type.Fit.SIZE))).get(0);
    assertThat(high.ink().bounds().width().toMm()).isCloseTo(SAFE.width().toMm(), within(0.01));
    Artwork art =
        laid(
            largest,
            words(
                "a",
                "A title that is so long that it fills the whole of the spine",
                "9",
                Type.Fit.SIZE),
            words("b", "And an author with a long name", "9", Type.Fit.SIZE));
    List<double[]> inks = down(art);
    assertThat(inks.get(1)[0] - inks.get(0)[1])
        .isCloseTo(wordsOf(art).get(0).size().toMm() / 2, within(0.01));
    assertThat(wordsOf(art).get(0).size()).isGreaterThan(Length.pt("9"));
  }

  @Test
  public void emptyAndHiddenPartsTakeNoRoomAndOneAloneStandsInTheMiddle() {
    Artwork art =
        laid(
            Row.OF_SPINE,
            words("none", "", "12", Type.Fit.SIZE),
            words("only", "Only", "12", Type.Fit.SIZE),
            words("hidden", "Hidden", "12", Type.Fit.SIZE).hidden(true));
    List<double[]> inks = down(art);
    assertThat(inks).hasSize(1);
    assertThat(inks.get(0)[0] + inks.get(0)[1]).isCloseTo(SAFE.height().toMm(), within(0.001));
  }

  @Test
  public void anOrnamentBetweenWordsHasTheSameGapOnBothSides() {
    Size size = new Size(SAFE.width(), Length.mm("6"));
    Artwork art =
        laid(
            Row.OF_SPINE,
            words("a", "Maren Aldous", "12", Type.Fit.SIZE),
            leaf(size),
            words("b", "The Salt Ledger", "12", Type.Fit.SIZE));
    List<double[]> inks = down(art);
    Box box =
        art.placed().stream().filter(p -> p.piece().equals("leaf")).findFirst().orElseThrow().box();
    double before = box.top().minus(SAFE.top()).toMm() - inks.get(0)[1];
    double after = inks.get(1)[0] - box.bottom().minus(SAFE.top()).toMm();
    assertThat(before).isCloseTo(after, within(0.001)).isGreaterThan(1);
    assertThat(box.height()).isEqualTo(Length.mm("6"));
  }

  @Test
  public void whatIsNoWordsKeepsItsProportionInTheMiddleOfTheLine() {
    Size size = new Size(Length.mm("4"), Length.mm("6"));
    Piece disc =
        new Piece(
            "disc",
            "disc",
            Anchors.hung(
                Region.GROUP,
                Span.Hold.START,
                Span.Hold.START,
                new Box(Length.ZERO, Length.ZERO, size.width(), size.height()),
                Regions.ofGroup(SAFE.size())),
            new Content.Shape(new Figure.Ellipse(), Paint.of(Colour.BLACK), null));
    Artwork art = laid(Row.OF_SPINE, words("a", "Maren Aldous", "12", Type.Fit.SIZE), disc);
    Box box =
        art.placed().stream().filter(p -> p.piece().equals("disc")).findFirst().orElseThrow().box();
    assertThat(box.width().toMm()).isCloseTo(4, within(1e-5));
    assertThat(box.height().toMm()).isCloseTo(6, within(1e-5));
    assertThat(box.centreX().toMm()).isCloseTo(SAFE.centreX().toMm(), within(1e-5));
    assertThat(box.bottom().toMm()).isCloseTo(SAFE.bottom().toMm(), within(1e-5));
  }

  @DataProvider
  Object[][] letters() {
    return new Object[][] {
      {"HEIX", Setting.VerticalAlign.CAPITALS}, {"xzvx", Setting.VerticalAlign.SMALL_LETTERS}
    };
  }

  /** At 1200 pixels to the inch a pixel is 0.021 mm. */
  @Test(dataProvider = "letters")
  public void lettersStandInTheMiddleOfTheSpineInTheRenderedPressFile(
      String letters, Setting.VerticalAlign by) throws Exception {
    Piece piece = words("a", letters, "12", Type.Fit.SIZE);
    Words w = ((Words) piece.content()).aligned(Setting.Align.CENTRE, by);
    Artwork art = laid(Row.OF_SPINE, piece.withContent(w));
    Path pdf =
        Tool.file(
            "spine.pdf",
            PressFile.make(art, WRAP, Specimen.BOOK, Instant.parse("2026-01-01T00:00:00Z")));
    double perMm = 1200 / 25.4;
    // without printer's marks the sheet is the page
    int x = (int) Math.round(SAFE.left().toMm() * perMm);
    int y = (int) Math.round((SAFE.centreY().toMm() - 15) * perMm);
    int width = (int) Math.round(SAFE.width().toMm() * perMm);
    int height = (int) Math.round(30 * perMm);
    Path out = pdf.resolveSibling("spine");
    Tool.ok(
        "pdftoppm",
        "-r",
        "1200",
        "-png",
        "-singlefile",
        "-x",
        "" + x,
        "-y",
        "" + y,
        "-W",
        "" + width,
        "-H",
        "" + height,
        pdf.toString(),
        out.toString());
    BufferedImage image = ImageIO.read(out.resolveSibling("spine.png").toFile());
    int least = width;
    int most = -1;
    for (int i = 0; i < width; i++) {
      for (int j = 0; j < height; j++) {
        if ((image.getRGB(i, j) & 0xff) < 128) {
          least = Math.min(least, i);
          most = Math.max(most, i);
        }
      }
    }
    double middle = (x + (least + most + 1) / 2.0) / perMm;
    assertThat(most - least).isGreaterThan(50);
    assertThat(middle).isCloseTo(SAFE.centreX().toMm(), within(0.05));
  }
}
