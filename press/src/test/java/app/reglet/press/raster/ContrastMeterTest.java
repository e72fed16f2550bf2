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
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
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
}
