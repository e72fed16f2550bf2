package app.reglet.press.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.check.Contrast;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Remedy;
import app.reglet.core.check.Seen;
import app.reglet.core.check.WordsStandOut;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.LinearLight;
import app.reglet.core.design.Mending;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Panel;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

public class ContrastMeterTest {
  private static final Wrap WRAP = Specimen.wrap(200);
  private static final int PPI = 100;

  private static Colour.Rgb rgb(int rgb) {
    return new Colour.Rgb(rgb);
  }

  private static Piece words(int ink, String pt) {
    return new Piece(
        "w",
        "Words",
        Anchors.fromTop(Region.safe(PanelKind.FRONT), Length.mm("40"), Length.mm("40")),
        Words.of(null, "WHAT LIES BEHIND THESE WORDS", "work-sans", Length.pt(pt), rgb(ink)));
  }

  private static Design design(Ground ground, Piece... pieces) {
    return Design.EMPTY.changed(
        PrintedSide.OUTSIDE, c -> c.withGround(ground).withPieces(List.of(pieces)));
  }

  private static Artwork art(Design design, Pictures pictures) {
    return new Composer(Specimen.TYPEFACES).compose(design, WRAP, Specimen.BOOK, pictures);
  }

  private static List<Seen> measured(Design design, Pictures pictures) {
    return ContrastMeter.measure(
        art(design, pictures),
        PPI,
        s ->
            s.treating()
                .ofStored(PictureReader.pixels(s.picture(), 1_000_000), s.picture().orientation()));
  }

  private static Seen only(Design design) {
    List<Seen> seen = measured(design, Pictures.NONE);
    assertThat(seen).hasSize(1);
    return seen.get(0);
  }

  @Test
  public void wordsOnOneColourHaveItsRatioAllOver() {
    for (int[] c : new int[][] {{0x1d2327, 0xfbf8f1}, {0x777777, 0xffffff}, {0xe0d8c0, 0x305048}}) {
      for (String pt : new String[] {"7", "11", "60"}) {
        Seen seen = only(design(Ground.plain(rgb(c[1])), words(c[0], pt)));
        double ratio = Contrast.ratio(c[0], c[1]);
        assertThat(seen.median()).as(pt).isCloseTo(ratio, within(0.01));
        assertThat(seen.worst()).isCloseTo(ratio, within(0.01));
        assertThat(seen.ink()).isEqualTo(c[0]);
        assertThat(seen.darkest()).isCloseTo(LinearLight.luminance(c[1]), within(1e-9));
      }
    }
  }

  @Test
  public void aPanelAndWhatFadesCountAsTheyAreSeen() {
    Piece plain = words(0xffffff, "24");
    Words w = (Words) plain.content();
    Piece panelled =
        plain.withContent(
            w.withPanel(
                new Panel(
                    Paint.of(Colour.BLACK), 0.5, Length.ZERO, Length.mm("3"), Length.mm("3"))));
    Ground light = Ground.plain(Colour.WHITE);
    assertThat(only(design(light, plain)).median()).isEqualTo(1);
    assertThat(only(design(light, panelled)).median())
        .isCloseTo(Contrast.ratio(0xffffff, 0x808080), within(0.05));
    Piece faded = words(0x000000, "24").withAppearance(Appearance.PLAIN.withOpacity(0.5));
    assertThat(only(design(light, faded)).median())
        .isCloseTo(Contrast.ratio(0x808080, 0xffffff), within(0.05));
  }

  @Test
  public void whatLiesInFrontOfWordsIsNotBehindThem() {
    Piece band =
        new Piece(
            "b",
            "Band",
            Anchors.filling(Region.SHEET),
            new Content.Shape(Figure.RECTANGLE, Paint.of(Colour.BLACK), null));
    Piece words = words(0xffffff, "24");
    assertThat(only(design(Ground.plain(Colour.WHITE), band, words)).median())
        .isCloseTo(21, within(0.01));
    assertThat(only(design(Ground.plain(Colour.WHITE), words, band)).median()).isEqualTo(1);
  }

  /** A picture dark on its left and light on its right, behind words across its middle. */
  @Test
  public void onAPictureTheWorstIsTheLightHalfAndTheRemediesMend() {
    BufferedImage halves = new BufferedImage(900, 600, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = halves.createGraphics();
    g.setColor(new Color(0x202830));
    g.fillRect(0, 0, 700, 600);
    g.setColor(new Color(0xf0e8d8));
    g.fillRect(700, 0, 200, 600);
    g.dispose();
    Picture picture = Specimen.picture(halves, "png");
    Pictures pictures = sha -> Optional.of(picture);
    Design design =
        design(Ground.plain(Colour.WHITE).withPicture(picture.sha()), words(0xffffff, "40"));
    Seen seen = measured(design, pictures).get(0);
    assertThat(seen.worst()).isCloseTo(Contrast.ratio(0xffffff, 0xf0e8d8), within(0.1));
    assertThat(seen.lightest()).isCloseTo(LinearLight.luminance(0xf0e8d8), within(0.02));
    assertThat(seen.darkest()).isCloseTo(LinearLight.luminance(0x202830), within(0.02));
    List<Finding> found = WordsStandOut.find(art(design, pictures).laid(), List.of(seen));
    assertThat(found).hasSize(1);
    assertThat(found.get(0).sentence(Unit.MM))
        .matches(
            "“Words” stands out by [\\d.]+ to 1 from what lies behind it, 1\\.2 at its worst; words of its size want 3\\.0\\.");
    for (Remedy remedy : found.get(0).remedies()) {
      Design mended = Mending.apply((Remedy.OfDesign) remedy, design, WRAP);
      Seen after = measured(mended, pictures).get(0);
      assertThat(WordsStandOut.find(art(mended, pictures).laid(), List.of(after)))
          .as(remedy.label(Unit.MM))
          .isEmpty();
    }
  }

  @Test
  public void wordsInTheGroundsOwnColourMustBeMended() {
    Design design = design(Ground.plain(rgb(0x305048)), words(0x305048, "30"));
    Seen seen = only(design);
    List<Finding> found = WordsStandOut.find(art(design, Pictures.NONE).laid(), List.of(seen));
    assertThat(found).hasSize(1);
    assertThat(found.get(0).mustMend()).isTrue();
    assertThat(found.get(0).remedies().get(0)).isInstanceOf(Remedy.Recolour.class);
  }

  private static Appearance.Shadow shadow(String by, String blur, int rgb) {
    return new Appearance.Shadow(
        Length.mm(by), Length.mm(by), Length.mm(blur), rgb(rgb), by.equals("0") ? 0.9 : 0.5);
  }

  private static Piece under(Piece piece, Appearance.Shadow shadow) {
    return piece.withAppearance(Appearance.PLAIN.withShadow(shadow));
  }

  private static Piece edged(Piece piece, int rgb, String width) {
    Words w = (Words) piece.content();
    return piece.withContent(
        new Words(
            w.fact(),
            w.text(),
            w.type(),
            w.setting(),
            w.paint(),
            new Stroke(Paint.of(rgb(rgb)), Length.mm(width), List.of(), Stroke.Side.OUTSIDE),
            w.curve(),
            w.panel(),
            w.through()));
  }

  private static Piece grouped(Piece piece, Appearance look) {
    return new Piece(
        "g",
        "Group",
        Placement.upright(Anchors.filling(Region.safe(PanelKind.FRONT))),
        look,
        new Content.Group(
            new Size(
                WRAP.box(Region.safe(PanelKind.FRONT)).orElseThrow().width(),
                WRAP.box(Region.safe(PanelKind.FRONT)).orElseThrow().height()),
            List.of(piece.withAnchors(Anchors.filling(Region.GROUP)))),
        false,
        false);
  }

  /** The shadow that the bench gives, and what the same words have without one. */
  @Test
  public void aShadowOfTheirOwnTakesNothingFromWords() {
    Ground ground = Ground.plain(rgb(0xb9a27c));
    for (String pt : new String[] {"11", "24", "60"}) {
      Piece plain = words(0x2a2018, pt);
      double ratio = only(design(ground, plain)).median();
      Appearance.Shadow usual = shadow("0.8", "1.2", 0x000000);
      for (Piece shaded :
          List.of(under(plain, usual), grouped(plain, Appearance.PLAIN.withShadow(usual)))) {
        Seen seen = only(design(ground, shaded));
        assertThat(seen.median()).as(shaded.id() + pt).isCloseTo(ratio, within(0.05));
        assertThat(seen.worst()).as(shaded.id() + pt).isCloseTo(ratio, within(0.05));
      }
    }
  }

  @Test
  public void aLineOrShadowAllRoundLettersMakesThemStandOut() {
    Ground white = Ground.plain(Colour.WHITE);
    Piece plain = words(0xffffff, "40");
    assertThat(only(design(white, edged(plain, 0x000000, "0.8"))).worst()).isGreaterThan(15);
    Seen haloed = only(design(white, under(plain, shadow("0", "1", 0x000000))));
    assertThat(haloed.worst()).isGreaterThan(1.3);
    // on one side alone it leaves the other side unseen
    Seen beside = only(design(white, under(plain, shadow("0.8", "0", 0x000000))));
    assertThat(beside.worst()).isLessThan(1.1);
    // nor does a line of the letters' own colour hide a ground that they stand out from
    assertThat(only(design(Ground.plain(Colour.BLACK), edged(plain, 0xffffff, "0.8"))).worst())
        .isCloseTo(21, within(0.1));
  }

  /** What lies between the shadow and the letters still lies behind them. */
  @Test
  public void aPanelInTheLettersColourHidesThemThoughTheyHaveAShadow() {
    Piece plain = words(0x202020, "24");
    Piece panelled =
        plain.withContent(
            ((Words) plain.content())
                .withPanel(
                    new Panel(
                        Paint.of(rgb(0x202020)), 1, Length.ZERO, Length.mm("3"), Length.mm("3"))));
    Seen seen =
        only(design(Ground.plain(Colour.WHITE), under(panelled, shadow("0.8", "1.2", 0x000000))));
    assertThat(seen.median()).isCloseTo(1, within(0.01));
  }

  /** Lines to write on, a hair wide, run behind the letters. */
  @Test
  public void thinLinesBehindWordsTakeLittleFromThemAndBarsMuch() {
    Piece words = words(0x1d2327, "24");
    for (String width : new String[] {"0.35", "8"}) {
      Piece[] pieces = new Piece[13];
      for (int i = 0; i < 12; i++) {
        pieces[i] =
            new Piece(
                "rule" + i,
                "Rule",
                Anchors.stretched(
                    Region.SHEET,
                    Length.ZERO,
                    Length.mm("40").plus(Length.mm("4.3").times(i)),
                    Length.ZERO,
                    Length.mm("40")),
                new Content.Shape(
                    Figure.RECTANGLE,
                    null,
                    new Stroke(
                        Paint.of(rgb(0x1d2327)),
                        Length.mm(width),
                        List.of(),
                        Stroke.Side.CENTRED)));
      }
      pieces[12] = words;
      Seen seen = measured(design(Ground.plain(Colour.WHITE), pieces), Pictures.NONE).get(0);
      if (width.equals("8")) {
        assertThat(seen.worst()).isLessThan(1.1);
      } else {
        assertThat(seen.worst()).isGreaterThan(Contrast.least(Length.pt("24")));
        assertThat(seen.median()).isGreaterThan(10);
      }
    }
  }
}
