package app.reglet.press.carry;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.PageTurn;
import app.reglet.core.carry.Carry;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Framing;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Treatment;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Everywhere;
import app.reglet.press.Specimen;
import app.reglet.press.art.Rect;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.raster.ArtworkRaster;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Carried covers in the pixels that are drawn of them. */
public class CarriedPixelsTest {
  private static final Composer COMPOSER = new Composer(Specimen.TYPEFACES);
  private static final Wrap FROM = Specimen.wrap(312);
  private static final int WIDTH = 500;

  private static BufferedImage drawn(Design design, Wrap wrap, Box part, Pictures pictures) {
    return ArtworkRaster.render(
        COMPOSER.compose(design, wrap, Specimen.BOOK, pictures), Rect.of(part), WIDTH);
  }

  /** The mean difference of two pictures' values, of 255. */
  private static double apart(BufferedImage a, BufferedImage b, boolean flipped) {
    int w = Math.min(a.getWidth(), b.getWidth());
    int h = Math.min(a.getHeight(), b.getHeight());
    long sum = 0;
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int p = a.getRGB(x, y);
        int q = b.getRGB(flipped ? w - 1 - x : x, y);
        for (int shift = 0; shift < 24; shift += 8) {
          sum += Math.abs((p >> shift & 0xff) - (q >> shift & 0xff));
        }
      }
    }
    return sum / (3.0 * w * h);
  }

  /** The largest difference of any value of a picture and another seen in a mirror, of 255. */
  private static int most(BufferedImage a, BufferedImage b) {
    int most = 0;
    for (int y = 0; y < a.getHeight(); y++) {
      for (int x = 0; x < a.getWidth(); x++) {
        int p = a.getRGB(x, y);
        int q = b.getRGB(a.getWidth() - 1 - x, y);
        for (int shift = 0; shift < 24; shift += 8) {
          most = Math.max(most, Math.abs((p >> shift & 0xff) - (q >> shift & 0xff)));
        }
      }
    }
    return most;
  }

  private static Paint gradient(double angle) {
    return new Paint.Linear(
        angle,
        List.of(
            new Paint.Stop(0, new Colour.Rgb(0x203040)),
            new Paint.Stop(1, new Colour.Rgb(0xe0b070))));
  }

  private static Piece piece(String id, PanelKind panel, double x, double y, Content content) {
    Box safe = FROM.panel(panel).orElseThrow().safe();
    Box box =
        new Box(
            safe.left().plus(Length.nearMm(x)),
            safe.top().plus(Length.nearMm(y)),
            Length.mm("45"),
            Length.mm("30"));
    return new Piece(
        id,
        id,
        Anchors.hung(Region.safe(panel), Span.Hold.START, Span.Hold.START, box, FROM),
        content);
  }

  /** Forms have no left and right of their own: the mirror edition's sheet is the sheet flipped. */
  @Test
  public void theFormsOfAMirrorEditionAreTheSheetSeenInAMirror() {
    Figure free =
        new Figure.Free(
            List.of(
                new Figure.Free.Corner(0, 0),
                new Figure.Free.Corner(1, 0.3),
                new Figure.Free.Corner(0.2, 1)));
    Figure uneven = new Figure.Rectangle(Length.mm("12"), Length.ZERO, Length.mm("4"), Length.ZERO);
    Paint red = Paint.of(new Colour.Rgb(0xb03020));
    Stroke line = Stroke.plain(Colour.BLACK, Length.mm("2"));
    Piece star =
        piece(
            "star",
            PanelKind.FRONT,
            60,
            130,
            new Content.Shape(new Figure.Regular(5, 0.4), red, null));
    List<Piece> pieces =
        List.of(
            piece("free", PanelKind.FRONT, 10, 20, new Content.Shape(free, red, null)),
            piece("uneven", PanelKind.BACK, 40, 30, new Content.Shape(uneven, gradient(30), null)),
            piece(
                "rising",
                PanelKind.BACK,
                15,
                90,
                new Content.Shape(new Figure.Line(Figure.Line.Way.RISING), null, line)),
            star.withPlacement(star.placement().withAngle(25)));
    Design design =
        new Design(Map.of(), new Composition(Ground.of(gradient(10)), pieces), Composition.BLANK);
    Wrap mirrored = Measuring.measure(FROM.spec().withTurn(PageTurn.RTL), FROM.house());
    Design carried =
        new Carry(Specimen.BOOK, sha -> OptionalDouble.empty()).of(design, FROM, mirrored);
    BufferedImage was = drawn(design, FROM, FROM.sheetBox(), Pictures.NONE);
    BufferedImage is = drawn(carried, mirrored, mirrored.sheetBox(), Pictures.NONE);
    assertThat(apart(was, is, true)).as("but for the steps of gradients").isLessThan(1);
    assertThat(most(was, is)).isLessThan(8);
    assertThat(apart(was, is, false)).as("it has a left and a right").isGreaterThan(5);
  }

  /** Hues across, lightness down: no two places alike. */
  private static Picture picture() throws Exception {
    BufferedImage image = new BufferedImage(1300, 900, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < 900; y++) {
      for (int x = 0; x < 1300; x++) {
        int wave = (int) (60 + 60 * Math.sin(x / 40.0) * Math.cos(y / 55.0));
        image.setRGB(x, y, x * 255 / 1300 << 16 | y * 255 / 900 << 8 | wave);
      }
    }
    return PictureReader.read(Specimen.encode(image, "png"));
  }

  @DataProvider
  Object[][] framings() {
    return new Object[][] {
      {Framing.PLAIN},
      {new Framing(new Focus(0.8, 0.3), 1.6, Framing.Fit.COVER, 0, false)},
      {new Framing(new Focus(0.3, 0.7), 1.4, Framing.Fit.COVER, 0, true)},
      {new Framing(new Focus(0.2, 0.6), 1.3, Framing.Fit.COVER, 1, false)},
      {new Framing(new Focus(0.7, 0.4), 1.5, Framing.Fit.COVER, 3, true)},
    };
  }

  /** An ebook cover in the proportion of the front shows what the front showed of the ground. */
  @Test(dataProvider = "framings")
  public void anEbookShowsWhatTheFrontShowedOfThePhotographAllOver(Framing framing)
      throws Exception {
    Picture picture = picture();
    Pictures pictures = sha -> Optional.of(picture);
    Content.Picture shown = new Content.Picture(picture.sha(), framing, Treatment.NONE);
    Design design =
        new Design(
            Map.of(),
            new Composition(Ground.plain(Colour.WHITE).withPicture(shown), List.of()),
            Composition.BLANK);
    Wrap ebook =
        Everywhere.wraps(240).stream()
            .filter(w -> w.spec().binding().isInPixels())
            .findFirst()
            .orElseThrow();
    Carry carry =
        new Carry(
            Specimen.BOOK, sha -> OptionalDouble.of((double) picture.width() / picture.height()));
    Design carried = carry.of(design, FROM, ebook);
    Box front = FROM.panel(PanelKind.FRONT).orElseThrow().trim();
    // as much of the front as the ebook's proportion shows of it, about the same middle
    Box part = about(front, ebook.sheet());
    BufferedImage was = drawn(design, FROM, part, pictures);
    BufferedImage is = drawn(carried, ebook, ebook.sheetBox(), pictures);
    assertThat(apart(was, is, false)).isLessThan(4);
    Design left = new Carry(Specimen.BOOK, sha -> OptionalDouble.empty()).of(design, FROM, ebook);
    assertThat(apart(was, drawn(left, ebook, ebook.sheetBox(), pictures), false))
        .as("without knowing the picture it shows another part")
        .isGreaterThan(8);
  }

  private static Box about(Box box, Size shape) {
    double ratio = shape.width().toMm() / shape.height().toMm();
    double width = Math.min(box.width().toMm(), box.height().toMm() * ratio);
    double height = width / ratio;
    return new Box(
        Length.nearMm(box.centreX().toMm() - width / 2),
        Length.nearMm(box.centreY().toMm() - height / 2),
        Length.nearMm(width),
        Length.nearMm(height));
  }

  /** What filled the front to the bleed fills it on every sheet, and little of a flap beside it. */
  @Test
  public void anAreaOverTheFrontToItsBleedReachesEveryEdgeOfEveryFront() {
    Piece area =
        new Piece(
            "area",
            "Area",
            Anchors.hung(
                Region.safe(PanelKind.FRONT),
                Span.Hold.START,
                Span.Hold.START,
                FROM.panel(PanelKind.FRONT).orElseThrow().art(),
                FROM),
            Content.Shape.band(Colour.BLACK));
    Design design =
        new Design(
            Map.of(),
            new Composition(Ground.plain(Colour.WHITE), List.of(area)),
            Composition.BLANK);
    Carry carry = new Carry(Specimen.BOOK, sha -> OptionalDouble.empty());
    int looked = 0;
    List<Wrap> wraps = Everywhere.wraps(240);
    for (int i = 0; i < wraps.size(); i += 5) {
      Wrap to = wraps.get(i);
      Box front = to.panel(PanelKind.FRONT).orElseThrow().art();
      BufferedImage is = drawn(carry.of(design, FROM, to), to, front, Pictures.NONE);
      long light = 0;
      for (int y = 0; y < is.getHeight(); y++) {
        for (int x = 0; x < is.getWidth(); x++) {
          light += (is.getRGB(x, y) & 0xff) > 40 ? 1 : 0;
        }
      }
      // a column or row of pixels may be half covered
      assertThat(light)
          .as(Everywhere.named(to))
          .isLessThanOrEqualTo(2L * (is.getWidth() + is.getHeight()));
      looked++;
    }
    assertThat(looked).isGreaterThan(15);
  }
}
