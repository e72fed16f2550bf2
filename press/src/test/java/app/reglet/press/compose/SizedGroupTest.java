package app.reglet.press.compose;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Panel;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Tiling;
import app.reglet.core.design.Words;
import app.reglet.core.edit.Edit;
import app.reglet.core.edit.Editing;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Rect;
import app.reglet.press.raster.ArtworkRaster;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A group that is sized is the same picture in another size: lines, corners and effects too. */
public class SizedGroupTest {
  private static final Wrap WRAP = Specimen.wrap(320);
  private static final Size NATURAL = new Size(Length.mm("80"), Length.mm("60"));
  private static final Colour RED = new Colour.Rgb(0xb8452f);
  private static final Colour BLUE = new Colour.Rgb(0x123456);

  private static Length mm(String figure) {
    return Length.mm(figure);
  }

  private static Anchors at(String left, String top, String right, String bottom) {
    return Anchors.stretched(Region.GROUP, mm(left), mm(top), mm(right), mm(bottom));
  }

  private static Stroke line(Colour colour, String width, String... dashes) {
    return new Stroke(
        new Paint.Flat(colour),
        mm(width),
        List.of(dashes).stream().map(Length::mm).toList(),
        Stroke.Side.CENTRED);
  }

  private static Words words() {
    return Words.of(null, "Tide", "spectral", Length.pt("40"), BLUE);
  }

  @DataProvider
  Object[][] pieces() {
    return new Object[][] {
      {
        "dashed edge with round corners",
        new Piece(
            "p",
            "p",
            at("10", "10", "10", "10"),
            new Content.Shape(
                new Figure.Rectangle(mm("12"), mm("12"), mm("12"), mm("12")),
                null,
                line(RED, "4", "9", "5")))
      },
      {
        "words with an outline",
        new Piece(
            "p",
            "p",
            at("5", "10", "5", "10"),
            new Words(
                null,
                "Tide",
                words().type(),
                words().setting(),
                words().paint(),
                line(RED, "2"),
                null,
                null,
                null))
      },
      {
        "words on a panel",
        new Piece(
            "p",
            "p",
            at("5", "10", "5", "10"),
            words().withPanel(new Panel(new Paint.Flat(RED), 1, mm("5"), mm("6"), mm("4"))))
      },
      {
        "shadow",
        new Piece(
                "p",
                "p",
                at("20", "20", "20", "20"),
                new Content.Shape(
                    new Figure.Rectangle(mm("0"), mm("0"), mm("0"), mm("0")),
                    new Paint.Flat(BLUE),
                    null))
            .withAppearance(
                new Appearance(
                    1,
                    Appearance.PLAIN.blend(),
                    Optional.of(new Appearance.Shadow(mm("6"), mm("8"), mm("4"), RED, 0.8)),
                    Optional.empty()))
      },
      {
        "pattern",
        new Piece(
            "p",
            "p",
            at("5", "5", "5", "5"),
            new Content.Pattern(
                new Motif.Drawn("leaf", List.of(RED)),
                new Tiling(mm("14"), mm("3"), mm("3"), Tiling.Stagger.NONE, 0)))
      },
    };
  }

  private static Design grouped(Piece piece, Size size) {
    Box front = WRAP.panel(PanelKind.FRONT).orElseThrow().trim();
    Length side = front.width().minus(size.width()).half();
    Piece group =
        new Piece(
            "g",
            "g",
            Anchors.stretched(
                Region.trim(PanelKind.FRONT),
                side,
                mm("20"),
                side,
                front.height().minus(mm("20")).minus(size.height())),
            new Content.Group(NATURAL, List.of(piece)));
    return Specimen.on(Ground.plain(Colour.WHITE)).changed(PrintedSide.OUTSIDE, c -> c.plus(group));
  }

  private static BufferedImage picture(Design design, Size size) {
    Artwork art =
        new Composer(Specimen.TYPEFACES).compose(design, WRAP, Specimen.BOOK, Pictures.NONE);
    Box front = WRAP.panel(PanelKind.FRONT).orElseThrow().trim();
    double left = front.centreX().toMm() - size.width().toMm() / 2;
    double top = front.top().toMm() + 20;
    return ArtworkRaster.render(
        art, new Rect(left, top, size.width().toMm(), size.height().toMm()), 640);
  }

  private static double difference(BufferedImage a, BufferedImage b) {
    long sum = 0;
    for (int y = 0; y < a.getHeight(); y++) {
      for (int x = 0; x < a.getWidth(); x++) {
        for (int shift = 0; shift < 24; shift += 8) {
          sum += Math.abs((a.getRGB(x, y) >> shift & 255) - (b.getRGB(x, y) >> shift & 255));
        }
      }
    }
    return sum / 3.0 / a.getWidth() / a.getHeight();
  }

  @Test(dataProvider = "pieces")
  public void aGroupSizedToHalfIsTheSamePictureHalfAsLarge(String what, Piece piece) {
    Size half = new Size(NATURAL.width().half(), NATURAL.height().half());
    BufferedImage whole = picture(grouped(piece, NATURAL), NATURAL);
    BufferedImage small = picture(grouped(piece, half), half);
    BufferedImage blank = picture(Specimen.on(Ground.plain(Colour.WHITE)), NATURAL);
    assertThat(difference(whole, blank)).as("it is seen: " + what).isGreaterThan(5);
    assertThat(difference(whole, small)).as(what).isLessThan(1.2);
  }

  @Test(dataProvider = "pieces")
  public void whatIsTakenOutOfASizedGroupStaysAsItWas(String what, Piece piece) {
    Size half = new Size(NATURAL.width().half(), NATURAL.height().half());
    Design grouped = grouped(piece, half);
    Design loose = Editing.apply(new Edit.Ungroup("g"), grouped, WRAP, Specimen.BOOK);
    assertThat(loose.piece("g")).isEmpty();
    assertThat(difference(picture(grouped, half), picture(loose, half))).as(what).isLessThan(0.2);
  }

  /** A spine that is nothing yet, or a panel that is gone, may leave a group no height. */
  @Test(dataProvider = "pieces")
  public void aGroupSquashedFlatDoesNotKeepTheCoverFromBeingDrawn(String what, Piece piece) {
    Size flat = new Size(NATURAL.width(), Length.ZERO);
    Artwork art =
        new Composer(Specimen.TYPEFACES)
            .compose(grouped(piece, flat), WRAP, Specimen.BOOK, Pictures.NONE);
    assertThat(art.parts()).as(what).isNotEmpty();
  }
}
