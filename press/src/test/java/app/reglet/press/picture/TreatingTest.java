package app.reglet.press.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Treatment;
import app.reglet.core.design.Treatment.Levels;
import app.reglet.core.design.Treatment.Shade;
import app.reglet.core.design.Treatment.Toning;
import app.reglet.press.ExifSpecimen;
import app.reglet.press.Specimen;
import app.reglet.testing.Tool;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Treatments of pictures against ImageMagick, profiles against lcms's tificc. */
public class TreatingTest {
  private static final int W = 96;
  private static final int H = 64;
  private static final AffineTransform STILL = new AffineTransform();

  /** Every hue, from black to white, with grain. */
  static BufferedImage motley() {
    Random random = new Random(7);
    BufferedImage image = new BufferedImage(W, H, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        int rgb =
            java.awt.Color.HSBtoRGB(
                (float) x / W, (float) (y % 8) / 7, (float) (y / 8) / (H / 8 - 1));
        image.setRGB(x, y, y % 5 == 0 ? random.nextInt(0x1000000) : rgb);
      }
    }
    return image;
  }

  private static Treating treating(Treatment t) {
    return Treating.of(t, c -> (Colour.Solid) c, STILL);
  }

  private static BufferedImage treated(Picture picture, Treatment t) throws IOException {
    try (Rows rows = PictureReader.rows(picture, treating(t))) {
      BufferedImage out =
          new BufferedImage(rows.width(), rows.height(), BufferedImage.TYPE_INT_ARGB);
      int[] row = new int[rows.width()];
      for (int y = 0; y < rows.height(); y++) {
        rows.next(row);
        out.setRGB(0, y, row.length, 1, row, 0, row.length);
      }
      return out;
    }
  }

  /** What ImageMagick makes of a file, 8 bits, no profile left to be looked at. */
  private static BufferedImage magick(Path file, String... options) throws IOException {
    Path out = file.resolveSibling("magick.png");
    List<String> command = new ArrayList<>(List.of("convert", file.toString()));
    command.addAll(List.of(options));
    command.addAll(List.of("-depth", "8", "PNG32:" + out));
    Tool.ok(command.toArray(String[]::new));
    return ImageIO.read(out.toFile());
  }

  private static int furthest(BufferedImage a, BufferedImage b) {
    assertThat(a.getWidth()).isEqualTo(b.getWidth());
    assertThat(a.getHeight()).isEqualTo(b.getHeight());
    int furthest = 0;
    for (int y = 0; y < a.getHeight(); y++) {
      for (int x = 0; x < a.getWidth(); x++) {
        int p = a.getRGB(x, y);
        int q = b.getRGB(x, y);
        for (int shift = 0; shift < 32; shift += 8) {
          if (p >>> 24 != 0 || shift == 24) {
            furthest = Math.max(furthest, Math.abs((p >> shift & 0xff) - (q >> shift & 0xff)));
          }
        }
      }
    }
    return furthest;
  }

  private static Treatment tones(Levels levels, int brightness, int contrast, int saturation) {
    return new Treatment(levels, brightness, contrast, saturation, Toning.NONE, Shade.NONE);
  }

  private static Treatment toning(Toning.Kind kind, int dark, int light) {
    return Treatment.NONE.withToning(new Toning(kind, new Colour.Rgb(dark), new Colour.Rgb(light)));
  }

  private static String[] options(String words) {
    return words.split(" ");
  }

  private static String percent(int value) {
    return String.format(java.util.Locale.ROOT, "%.6f%%", value / 2.55);
  }

  /** The matrix that the W3C's Filter Effects Module, 9.6, prints for saturate. */
  private static String saturate(double s) {
    return String.format(
        java.util.Locale.ROOT,
        "-color-matrix %f,%f,%f,%f,%f,%f,%f,%f,%f",
        0.213 + 0.787 * s,
        0.715 - 0.715 * s,
        0.072 - 0.072 * s,
        0.213 - 0.213 * s,
        0.715 + 0.285 * s,
        0.072 - 0.072 * s,
        0.213 - 0.213 * s,
        0.715 - 0.715 * s,
        0.072 + 0.928 * s);
  }

  @DataProvider
  Object[][] treatments() {
    return new Object[][] {
      {tones(new Levels(40, 200, 1), 0, 0, 0), "-level " + percent(40) + "," + percent(200)},
      {
        tones(new Levels(12, 240, 1.7), 0, 0, 0),
        "-level " + percent(12) + "," + percent(240) + ",1.7"
      },
      {tones(new Levels(0, 255, 0.5), 0, 0, 0), "-gamma 0.5"},
      {tones(Levels.NONE, 30, 0, 0), "-brightness-contrast 30x0"},
      {tones(Levels.NONE, -45, 0, 0), "-brightness-contrast -45x0"},
      {tones(Levels.NONE, 0, 60, 0), "-brightness-contrast 0x60"},
      {tones(Levels.NONE, -20, -35, 0), "-brightness-contrast -20x-35"},
      {tones(Levels.NONE, 0, 0, 50), saturate(1.5)},
      {tones(Levels.NONE, 0, 0, -100), saturate(0)},
      {tones(Levels.NONE, 0, 0, -40), saturate(0.6)},
      {toning(Toning.Kind.GRAY, 0, 0xffffff), "-grayscale Rec709Luma"},
      {
        toning(Toning.Kind.TWO_COLOURS, 0x1f2f4a, 0xf4d9a0),
        "-grayscale Rec709Luma -colorspace sRGB +level-colors #1f2f4a,#f4d9a0"
      },
      {
        new Treatment(
            new Levels(20, 230, 1.2),
            10,
            20,
            30,
            new Toning(Toning.Kind.GRAY, Colour.BLACK, Colour.WHITE),
            Shade.NONE),
        "-level "
            + percent(20)
            + ","
            + percent(230)
            + ",1.2 -brightness-contrast 10x20 "
            + saturate(1.3)
            + " -grayscale Rec709Luma"
      },
    };
  }

  @Test(dataProvider = "treatments")
  public void aTreatmentIsWithinTwoOfWhatImageMagickMakes(Treatment t, String magick)
      throws IOException {
    byte[] png = Specimen.encode(motley(), "png");
    Picture picture = PictureReader.read(png);
    assertThat(furthest(treated(picture, t), magick(Tool.file("motley.png", png), options(magick))))
        .isLessThanOrEqualTo(2);
  }

  @Test
  public void theScreenShowsThePixelsOfTheFile() throws IOException {
    Picture picture = PictureReader.read(Specimen.encode(motley(), "png"));
    Treatment t =
        new Treatment(
            new Levels(10, 240, 1.3),
            5,
            10,
            -20,
            new Toning(Toning.Kind.TWO_COLOURS, new Colour.Rgb(0x402010), new Colour.Rgb(0xfff0d0)),
            new Shade(Shade.Side.RIGHT, -60, 80));
    Treating treating = treating(t);
    BufferedImage screen =
        Treating.parse(treating.word()).of(PictureReader.pixels(picture, 1_000_000));
    assertThat(furthest(treated(picture, t), screen)).isLessThanOrEqualTo(1);
  }

  @Test
  public void pixelsTreatedOnTheirOwnImageAreTheSame() throws IOException {
    Picture picture = PictureReader.read(Specimen.encode(motley(), "jpg"));
    Treating treating =
        treating(
            tones(new Levels(10, 240, 1.3), 5, 10, -20)
                .withShade(new Shade(Shade.Side.TOP, -60, 80)));
    BufferedImage apart = treating.ofStored(PictureReader.pixels(picture, 1_000_000), 6);
    BufferedImage onto = treating.onto(PictureReader.pixels(picture, 1_000_000), 6);
    assertThat(furthest(onto, apart)).isZero();
  }

  @Test
  public void aShadeIsStrongestAtItsSideAndEndsWhereItsReachDoes() throws IOException {
    BufferedImage white = new BufferedImage(100, 100, BufferedImage.TYPE_INT_RGB);
    white.createGraphics().fillRect(0, 0, 100, 100);
    Picture picture = PictureReader.read(Specimen.encode(white, "png"));
    for (Shade.Side side : Shade.Side.values()) {
      BufferedImage seen = treated(picture, Treatment.NONE.withShade(new Shade(side, -80, 50)));
      int[] at = new int[100]; // from the side inwards
      for (int i = 0; i < 100; i++) {
        at[i] =
            seen.getRGB(
                    side == Shade.Side.LEFT ? i : side == Shade.Side.RIGHT ? 99 - i : 50,
                    side == Shade.Side.TOP ? i : side == Shade.Side.BOTTOM ? 99 - i : 50)
                & 0xff;
      }
      assertThat(at[0]).as(side.name()).isBetween(50, 53); // 255 × 0.2 and half a pixel
      assertThat(at[25]).isBetween(150, 160); // half way: 255 × 0.6
      assertThat(at[50]).isEqualTo(255);
      for (int i = 1; i < 100; i++) {
        assertThat(at[i]).isGreaterThanOrEqualTo(at[i - 1]);
      }
    }
  }

  @DataProvider
  Object[][] orientations() {
    Object[][] all = new Object[8][];
    for (int i = 0; i < 8; i++) {
      all[i] = new Object[] {i + 1};
    }
    return all;
  }

  @Test(dataProvider = "orientations")
  public void aPictureOfEveryOrientationLiesAsImageMagickTurnsIt(int orientation) throws Exception {
    byte[] jpeg = ExifSpecimen.jpeg(Specimen.corners(64, 48), orientation);
    Picture picture = PictureReader.read(jpeg);
    BufferedImage screen =
        ImageIO.read(new ByteArrayInputStream(PictureReader.screen(picture, 64)));
    BufferedImage turned = magick(Tool.file("turned.jpg", jpeg), "-auto-orient");
    assertThat(picture.width()).isEqualTo(turned.getWidth());
    assertThat(picture.height()).isEqualTo(turned.getHeight());
    for (int[] at : new int[][] {{8, 8}, {56, 8}, {8, 40}, {56, 40}}) {
      int x = at[0] * turned.getWidth() / 64;
      int y = at[1] * turned.getHeight() / 48;
      for (int shift = 0; shift < 24; shift += 8) {
        assertThat(screen.getRGB(x, y) >> shift & 0xff)
            .isBetween(
                (turned.getRGB(x, y) >> shift & 0xff) - 12,
                (turned.getRGB(x, y) >> shift & 0xff) + 12);
      }
    }
  }

  @Test(dataProvider = "orientations")
  public void aShadeLiesAtTheSameSideWhateverWayAPictureIsStored(int orientation) throws Exception {
    BufferedImage white = new BufferedImage(64, 48, BufferedImage.TYPE_INT_RGB);
    white.createGraphics().fillRect(0, 0, 64, 48);
    Picture picture = PictureReader.read(ExifSpecimen.jpeg(white, orientation));
    BufferedImage stored = PictureReader.pixels(picture, 1_000_000);
    AffineTransform upright = Orientation.upright(orientation);
    // a point near the side and one far from it, upright, x and y each
    Map<Shade.Side, double[]> points =
        Map.of(
            Shade.Side.BOTTOM, new double[] {0.5, 0.98, 0.5, 0.02},
            Shade.Side.LEFT, new double[] {0.02, 0.5, 0.98, 0.5},
            Shade.Side.RIGHT, new double[] {0.98, 0.3, 0.02, 0.3});
    for (Map.Entry<Shade.Side, double[]> side : points.entrySet()) {
      BufferedImage seen =
          treating(Treatment.NONE.withShade(new Shade(side.getKey(), -100, 40)))
              .ofStored(stored, orientation);
      double[] p = new double[4];
      upright.inverseTransform(side.getValue(), 0, p, 0, 2);
      assertThat(at(seen, p[0], p[1])).as(side.getKey().name()).isLessThan(20);
      assertThat(at(seen, p[2], p[3])).as(side.getKey().name()).isGreaterThan(240);
    }
  }

  private static int at(BufferedImage image, double x, double y) {
    return image.getRGB((int) (x * image.getWidth()), (int) (y * image.getHeight())) & 0xff;
  }

  @DataProvider
  Object[][] kinds() {
    return new Object[][] {
      {"gray.png", "-colorspace Gray -depth 8 -define png:color-type=0"},
      {
        "gray16.png", "-colorspace Gray -depth 16 -define png:color-type=0 -define png:bit-depth=16"
      },
      {
        "gray-alpha.png",
        "-colorspace Gray -alpha set -channel A -evaluate set 60% +channel -define png:color-type=4"
      },
      {"rgb16.png", "-depth 16 -define png:color-type=2 -define png:bit-depth=16"},
      {
        "rgba16.png",
        "-depth 16 -alpha set -channel A -evaluate set 40% +channel -define png:color-type=6 -define png:bit-depth=16"
      },
      {"indexed.png", "-colors 60 -define png:color-type=3"},
      {"interlaced.png", "-interlace PNG -colorspace Gray -define png:color-type=0"},
      {"gray.tif", "-colorspace Gray -depth 8 -compress none"},
      {"gray16.tif", "-colorspace Gray -depth 16 -compress lzw"},
      {"rgb16.tif", "-depth 16 -compress zip"},
      {"rgba.tif", "-alpha set -channel A -evaluate set 50% +channel -depth 8"},
      {"gray.jpg", "-colorspace Gray -quality 100"},
    };
  }

  /** Gray of AWT is linear light: every kind of file keeps its values all the same. */
  @Test(dataProvider = "kinds")
  public void everyKindOfFileIsReadAsImageMagickReadsIt(String name, String options)
      throws IOException {
    Path source = Tool.file("motley.png", Specimen.encode(motley(), "png"));
    Path file = source.resolveSibling(name);
    List<String> command = new ArrayList<>(List.of("convert", source.toString()));
    command.addAll(List.of(options(options)));
    command.add(file.toString());
    Tool.ok(command.toArray(String[]::new));
    Picture picture = PictureReader.read(Files.readAllBytes(file));
    BufferedImage expected = magick(file);
    assertThat(furthest(treated(picture, Treatment.NONE), expected)).isLessThanOrEqualTo(2);
    BufferedImage pixels = PictureReader.pixels(picture, 1_000_000);
    assertThat(furthest(pixels, expected)).isLessThanOrEqualTo(2);
    BufferedImage screen = ImageIO.read(new ByteArrayInputStream(PictureReader.screen(picture, W)));
    if (screen.getColorModel().hasAlpha()) { // as a PNG it has no loss
      assertThat(furthest(screen, expected)).isLessThanOrEqualTo(3);
    }
  }

  @Test
  public void theColoursOfAProfileAreThoseThatTificcMakes() throws IOException {
    Path png = Tool.file("motley.png", Specimen.encode(motley(), "png"));
    Path linear =
        Files.write(
            png.resolveSibling("linear.icc"),
            ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData());
    Path srgb =
        Files.write(
            png.resolveSibling("srgb.icc"), ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData());
    // ImageMagick's would say its primaries, which tificc heeds more than the profile it is given
    Path tif = Tool.file("motley.tif", Specimen.encode(motley(), "tiff"));
    Path out = png.resolveSibling("screen.tif");
    Tool.ok("tificc", "-t0", "-i" + linear, "-o" + srgb, tif.toString(), out.toString());
    BufferedImage expected = magick(out, "-strip");
    Path tagged = png.resolveSibling("tagged.png");
    Tool.ok("convert", png.toString(), "-profile", linear.toString(), tagged.toString());
    Picture picture = PictureReader.read(Files.readAllBytes(tagged));
    assertThat(furthest(treated(picture, Treatment.NONE), expected)).isLessThanOrEqualTo(2);
    assertThat(furthest(PictureReader.pixels(picture, 1_000_000), expected)).isLessThanOrEqualTo(2);
  }

  @Test
  public void picturesOfOnePixelAndOfOneRowAreTreated() throws IOException {
    Treatment t =
        new Treatment(
            new Levels(100, 101, 2),
            100,
            100,
            100,
            Toning.NONE,
            new Shade(Shade.Side.LEFT, 100, 1));
    for (int[] size : new int[][] {{1, 1}, {20_000, 10}}) {
      BufferedImage image = new BufferedImage(size[0], size[1], BufferedImage.TYPE_INT_RGB);
      Picture picture = PictureReader.read(Specimen.encode(image, "png"));
      BufferedImage seen = treated(picture, t);
      assertThat(seen.getWidth()).isEqualTo(size[0]);
      assertThat(seen.getRGB(size[0] - 1, 0) & 0xffffff).isIn(0, 0xffffff);
    }
  }

  @Test
  public void whatIsNoTreatmentInAnAddressIsRefused() {
    String good = Treating.NONE.word();
    assertThat(Treating.parse(good).word()).isEqualTo(good);
    for (String bad :
        new String[] {
          "",
          "x",
          good + "_1",
          good.replace("255", "256"),
          good.replace("0_255", "255_0"),
          good.replaceFirst("_0_0_", "_101_0_"),
          good.replace("0.00000", "NaN"),
          "1".repeat(9000)
        }) {
      assertThatThrownBy(() -> Treating.parse(bad)).as(bad).isInstanceOf(Refusal.class);
    }
  }
}
