package app.reglet.press.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.house.PressRules;
import app.reglet.core.house.PressRules.Standard;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.golden.Golden;
import app.reglet.press.picture.Picture;
import app.reglet.testing.Extent;
import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Supplier;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is on the four plates, as ghostscript makes them. */
public class PlatesTest {
  private static final Wrap WRAP = Specimen.wrap(200);
  private static final double MM_PER_INCH = 25.4;
  private static final int PPI = 150;

  private static final Appearance SHADED =
      new Appearance(
          1,
          Appearance.Blend.NORMAL,
          Optional.of(
              new Appearance.Shadow(
                  Length.mm("2"), Length.mm("2"), Length.mm("4"), Colour.BLACK, 0.6)),
          Optional.empty());

  private static final Appearance MULTIPLIED =
      new Appearance(1, Appearance.Blend.MULTIPLY, Optional.empty(), Optional.empty());

  private static Piece piece(String id, int x, int y, int w, int h, Content content) {
    Box box = new Box(mm(x), mm(y), mm(w), mm(h));
    return new Piece(
        id, id, Anchors.hung(Region.SHEET, Span.Hold.START, Span.Hold.START, box, WRAP), content);
  }

  private static Length mm(int n) {
    return Length.mm(String.valueOf(n));
  }

  private static Content shape(Colour colour) {
    return new Content.Shape(new Figure.Rectangle(Length.ZERO), Paint.of(colour), null);
  }

  private static Content words(String text, String size, Colour colour) {
    return Words.of(null, text, "spectral", Length.pt(size), colour);
  }

  private static Artwork art(Ground ground, Picture picture, Piece... pieces) {
    Design design =
        new Design(Map.of(), new Composition(ground, List.of(pieces)), Composition.BLANK);
    return new Composer(Specimen.TYPEFACES)
        .compose(design, WRAP, Specimen.BOOK, sha -> Optional.ofNullable(picture));
  }

  private static Raster plates(Artwork art, Standard standard, int mostInk) throws IOException {
    return PressFiles.plates(
        PressFiles.make(art, PressFiles.making(PressFiles.rules(standard, mostInk))), PPI);
  }

  private static int[] at(Raster plates, double x, double y) {
    return plates.getPixel(
        (int) (x * PPI / MM_PER_INCH), (int) (y * PPI / MM_PER_INCH), (int[]) null);
  }

  private static int total(int[] p) {
    return p[0] + p[1] + p[2] + p[3];
  }

  @DataProvider
  public Object[][] standards() {
    return new Object[][] {{Standard.PLAIN}, {Standard.X4}, {Standard.X1A}};
  }

  /** In a box of the sheet, mm: whether any pixel has black, and any has other ink. */
  private static boolean[] inked(Raster plates, int x, int y, int w, int h) {
    boolean black = false;
    boolean other = false;
    for (double yy = y; yy < y + h; yy += 0.1) {
      for (double xx = x; xx < x + w; xx += 0.1) {
        int[] p = at(plates, xx, yy);
        black |= p[3] > 200;
        other |= p[0] + p[1] + p[2] > 0;
      }
    }
    return new boolean[] {black, other};
  }

  @Test(dataProvider = "standards")
  public void blackTypeAndBarsAreOnTheBlackPlateAlone(Standard standard) throws IOException {
    Raster plates =
        plates(
            art(
                Ground.plain(Colour.WHITE),
                null,
                piece("type", 20, 20, 90, 20, words("Small black type", "9", Colour.BLACK)),
                piece("large", 20, 50, 90, 30, words("Large", "60", new Colour.Rgb(0x202020))),
                piece("navy", 20, 85, 90, 12, words("Nearly black", "9", new Colour.Rgb(0x1a2530))),
                piece("bars", 20, 100, 60, 35, new Content.Barcode())),
            standard,
            300);
    for (int[] box :
        new int[][] {{20, 20, 90, 20}, {20, 50, 90, 30}, {20, 85, 90, 12}, {20, 100, 60, 35}}) {
      assertThat(inked(plates, box[0], box[1], box[2], box[3])).containsExactly(true, false);
    }
  }

  /** 0/0/0 over the sheet is the house's rich black; a dark gray is no blend of four inks. */
  @Test(dataProvider = "standards")
  public void aBlackGroundIsTheHousesRichBlackAndAGrayOneIsBlackAlone(Standard standard)
      throws IOException {
    Raster black = plates(art(Ground.plain(Colour.BLACK), null), standard, 300);
    assertThat(at(black, 50, 50)).containsExactly(153, 102, 102, 255); // 60/40/40/100 of 255
    Raster gray = plates(art(Ground.plain(new Colour.Rgb(0x808080)), null), standard, 300);
    int[] p = at(gray, 50, 50);
    assertThat(p[0] + p[1] + p[2]).isZero();
    assertThat(p[3]).isBetween(110, 170);
  }

  /** A rich black above the limit is made of more black, not clipped. */
  @Test
  public void typedInksAboveTheLimitAreBroughtWithinItByBlack() throws IOException {
    Raster p = plates(art(Ground.plain(new Colour.Cmyk(90, 80, 80, 60)), null), Standard.X4, 240);
    int[] inks = at(p, 50, 50);
    assertThat(total(inks)).isBetween(590, 614); // 240 % is 612
    assertThat(inks[3]).isGreaterThan(153);
    assertThat(inks[0]).isGreaterThan(inks[1] - 20);
  }

  /** Noise of every colour, black shadows on it, a dark gradient: no pixel has more than 240 %. */
  @Test(dataProvider = "standards")
  public void noPixelHasMoreInkThanTheHouseAllows(Standard standard) throws IOException {
    BufferedImage noise = new BufferedImage(600, 420, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(7);
    for (int y = 0; y < 420; y++) {
      for (int x = 0; x < 600; x++) {
        int dark = random.nextInt(4) == 0 ? 0x0f0f0f : 0xffffff;
        noise.setRGB(x, y, random.nextInt(1 << 24) & dark);
      }
    }
    Picture picture = Specimen.picture(noise, "png");
    Raster plates =
        plates(
            art(
                Ground.plain(Colour.WHITE).withPicture(picture.sha()),
                picture,
                piece("card", 30, 30, 60, 60, shape(new Colour.Rgb(0x101830)))
                    .withAppearance(SHADED),
                piece("tint", 60, 60, 90, 60, shape(new Colour.Rgb(0x5a1020)))
                    .withAppearance(MULTIPLIED),
                piece("both", 70, 70, 60, 30, shape(new Colour.Rgb(0x105a20)))
                    .withAppearance(MULTIPLIED)),
            standard,
            240);
    int most = 0;
    int[] p = new int[4];
    for (int y = 0; y < plates.getHeight(); y++) {
      for (int x = 0; x < plates.getWidth(); x++) {
        most = Math.max(most, total(plates.getPixel(x, y, p)));
      }
    }
    assertThat(most).isBetween(500, 612 + 4); // a level of rounding for each ink
  }

  private static Artwork shaded() {
    Picture sky = Specimen.picture(Specimen.sky(1200, 850), "jpg");
    return art(
        Ground.plain(Colour.WHITE).withPicture(sky.sha()),
        sky,
        piece("below", 30, 46, 100, 20, words("Below the shadow", "30", Colour.WHITE)),
        piece("card", 20, 20, 60, 30, shape(new Colour.Rgb(0xc23b22))).withAppearance(SHADED),
        piece("panel", 150, 30, 80, 80, shape(new Colour.Rgb(0xf4ead2)))
            .withAppearance(
                new Appearance(0.6, Appearance.Blend.NORMAL, Optional.empty(), Optional.empty())),
        piece("tint", 170, 60, 80, 80, shape(new Colour.Rgb(0x1f6f8b)))
            .withAppearance(
                new Appearance(0.8, Appearance.Blend.MULTIPLY, Optional.empty(), Optional.empty())),
        piece("above", 25, 35, 100, 20, words("Above the shadow", "20", Colour.BLACK)));
  }

  /** Issue: mean difference under 1 of 255 at 300 ppi. */
  @Test
  public void flattenedAndLivePrintTheSame() throws IOException {
    List<Supplier<Artwork>> covers =
        List.of(() -> shaded(), () -> golden("forms"), () -> golden("brought"));
    for (Supplier<Artwork> cover : Extent.of(1, covers)) {
      Artwork art = cover.get();
      Path live = PressFiles.make(art, PressFiles.making(PressFiles.rules(Standard.X4, 300)));
      Path flat = PressFiles.make(art, PressFiles.making(PressFiles.rules(Standard.X1A, 300)));
      Raster a = PressFiles.plates(live, 300);
      Raster b = PressFiles.plates(flat, 300);
      long sum = 0;
      long far = 0;
      int[] p = new int[4];
      int[] q = new int[4];
      for (int y = 0; y < a.getHeight(); y++) {
        for (int x = 0; x < a.getWidth(); x++) {
          a.getPixel(x, y, p);
          b.getPixel(x, y, q);
          for (int i = 0; i < 4; i++) {
            int apart = Math.abs(p[i] - q[i]);
            sum += apart;
            far += apart > 40 ? 1 : 0;
          }
        }
      }
      double all = 4.0 * a.getWidth() * a.getHeight();
      assertThat(sum / all).as("mean of 255").isLessThan(0.5);
      assertThat(far / all).as("share far apart").isLessThan(0.002);
    }
  }

  private static Artwork golden(String name) {
    return Golden.all().stream()
        .filter(g -> g.name().equals(name))
        .findFirst()
        .orElseThrow()
        .artwork();
  }

  /** At 1200 ppi the edge of a white letter is as sharp under the shadow as beside it. */
  @Test
  public void lettersUnderAShadowKeepTheirOutlinesAndThoseAboveAreType() throws IOException {
    Path pdf = PressFiles.make(shaded(), PressFiles.making(PressFiles.rules(Standard.X1A, 300)));
    try (PDDocument d = Loader.loadPDF(pdf.toFile())) {
      assertThat(new PDFTextStripper().getText(d)).contains("Above the shadow", "Below the shadow");
    }
    // in the shadow, below the card's edge: from a letter to the sky within two pixels
    Path png = pdf.resolveSibling("part");
    Tool.ok(
        "pdftoppm",
        "-r",
        "1200",
        "-x",
        String.valueOf((int) (28 * 1200 / MM_PER_INCH)),
        "-y",
        String.valueOf((int) (51.0 * 1200 / MM_PER_INCH)),
        "-W",
        "2400",
        "-H",
        "40",
        "-gray",
        "-png",
        "-singlefile",
        pdf.toString(),
        png.toString());
    Raster p = ImageIO.read(new java.io.File(png + ".png")).getRaster();
    int sharp = 0;
    for (int x = 0; x < 2390; x++) {
      sharp += Math.abs(p.getSample(x, 20, 0) - p.getSample(x + 2, 20, 0)) > 50 ? 1 : 0;
    }
    assertThat(sharp).isGreaterThan(10);
  }

  /** Nothing overprints: type knocks out, whatever lies under it. */
  @Test
  public void blackTypeOnAColourKnocksItOut() throws IOException {
    Raster plates =
        plates(
            art(
                Ground.plain(new Colour.Cmyk(0, 80, 0, 0)),
                null,
                piece("bar", 20, 20, 60, 20, words("IIIIII", "60", Colour.BLACK))),
            Standard.X4,
            300);
    boolean clean = false;
    for (double x = 20; x < 60; x += 0.2) {
      int[] p = at(plates, x, 30);
      clean |= p[3] == 255 && p[1] == 0;
    }
    assertThat(clean).isTrue();
  }

  @Test(groups = Extent.LONG)
  public void theWholeSheetAsOnePictureHasNoTypeAndLooksTheSame() throws IOException {
    PressRules rules = PressFiles.rules(Standard.X1A, 300).asPicture(300);
    Path pdf = PressFiles.make(shaded(), PressFiles.making(rules));
    try (PDDocument d = Loader.loadPDF(pdf.toFile())) {
      assertThat(new PDFTextStripper().getText(d)).isBlank();
      assertThat(d.getPage(0).getResources().getFontNames()).isEmpty();
      assertThat(d.getPage(0).getResources().getXObjectNames()).hasSize(1);
    }
    Raster a = PressFiles.plates(pdf, 100);
    Raster b =
        PressFiles.plates(
            PressFiles.make(shaded(), PressFiles.making(PressFiles.rules(Standard.X1A, 300))), 100);
    long sum = 0;
    int[] p = new int[4];
    int[] q = new int[4];
    for (int y = 0; y < a.getHeight(); y++) {
      for (int x = 0; x < a.getWidth(); x++) {
        a.getPixel(x, y, p);
        b.getPixel(x, y, q);
        for (int i = 0; i < 4; i++) {
          sum += Math.abs(p[i] - q[i]);
        }
      }
    }
    assertThat(sum / (4.0 * a.getWidth() * a.getHeight())).isLessThan(2);
  }

  /** Parts of a group that fades as one, which fade themselves, and none twice. */
  @Test
  public void whatFadesInAGroupThatFadesPrintsTheSameFlattened() throws IOException {
    Appearance half =
        new Appearance(0.5, Appearance.Blend.NORMAL, Optional.empty(), Optional.empty());
    List<Piece> parts =
        List.of(
            new Piece(
                    "one",
                    "one",
                    Anchors.fromTop(Region.GROUP, mm(30), mm(40)),
                    shape(new Colour.Cmyk(100, 0, 0, 0)))
                .withAppearance(half),
            new Piece(
                    "two",
                    "two",
                    Anchors.fromTop(Region.GROUP, mm(50), mm(40)),
                    shape(new Colour.Cmyk(0, 100, 0, 0)))
                .withAppearance(half));
    Piece group =
        piece("group", 0, 0, 200, 200, new Content.Group(new Size(mm(200), mm(200)), parts))
            .withAppearance(half);
    Artwork art = art(Ground.plain(new Colour.Cmyk(0, 0, 60, 0)), null, group);
    Raster live = plates(art, Standard.X4, 300);
    Raster flat = plates(art, Standard.X1A, 300);
    for (int[] at : new int[][] {{50, 35}, {50, 60}, {50, 80}, {50, 10}}) {
      int[] p = at(live, at[0], at[1]);
      int[] q = at(flat, at[0], at[1]);
      for (int ink = 0; ink < 4; ink++) {
        assertThat(q[ink])
            .as("%d, %d, ink %d", at[0], at[1], ink)
            .isBetween(p[ink] - 3, p[ink] + 3);
      }
    }
    // a quarter of cyan, once
    assertThat(at(flat, 50, 35)[0]).isBetween(60, 68);
  }

  /**
   * On its own plate, none of it on the four; where something translucent meets it, on the four.
   */
  @Test(groups = Extent.LONG)
  public void anInkOfItsOwnHasAPlateOfItsOwnInEveryStandard() throws IOException {
    Colour.Spot sea = new Colour.Spot("Sea green", new Colour.Cmyk(80, 10, 45, 0), 100);
    Artwork art =
        art(
            Ground.plain(Colour.WHITE),
            null,
            piece("full", 20, 20, 60, 40, shape(sea)),
            piece("half", 20, 70, 60, 40, shape(new Colour.Spot(sea.name(), sea.alternate(), 50))),
            piece("type", 100, 20, 90, 20, words("In an ink", "30", sea)));
    for (Standard standard : Standard.values()) {
      Path pdf = PressFiles.make(art, PressFiles.making(PressFiles.rules(standard, 300)));
      assertThat(app.reglet.press.inspect.PressStandard.broken(pdf, standard)).isEmpty();
      try (PDDocument d = Loader.loadPDF(pdf.toFile())) {
        assertThat(d.getPage(0).getResources().getColorSpaceNames()).as("once").hasSize(1);
      }
      Path tif = pdf.resolveSibling("sep.tif");
      Tool.ok(
          "gs",
          "-q",
          "-dNOPAUSE",
          "-dBATCH",
          "-dSAFER",
          "-sDEVICE=tiffsep",
          "-r72",
          "-sOutputFile=" + tif,
          pdf.toString());
      assertThat(gray(tif, "Sea green", 50, 40)).as("full").isZero();
      assertThat(gray(tif, "Sea green", 50, 90)).as("half").isBetween(120, 135);
      assertThat(gray(tif, "Sea green", 5, 5)).as("bare").isEqualTo(255);
      for (String plate : new String[] {"Cyan", "Magenta", "Yellow", "Black"}) {
        assertThat(gray(tif, plate, 50, 40)).as(plate).isEqualTo(255);
      }
    }
  }

  private static int gray(Path tif, String plate, double x, double y) {
    String said =
        Tool.ok(
            "convert",
            tif.resolveSibling("sep(" + plate + ").tif").toString(),
            "-colorspace",
            "gray",
            "-depth",
            "8",
            "-format",
            "%[fx:round(255*p{"
                + (int) (x * 72 / MM_PER_INCH)
                + ","
                + (int) (y * 72 / MM_PER_INCH)
                + "})]",
            "info:");
    return Integer.parseInt(said.strip());
  }
}
