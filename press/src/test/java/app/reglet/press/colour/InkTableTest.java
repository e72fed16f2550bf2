package app.reglet.press.colour;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Random;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** From sRGB to inks, against what LittleCMS makes of the same profiles and pictures (tificc). */
public class InkTableTest {
  private static final int WIDE = 160;
  private static final int HIGH = 120;

  /** Total ink without a limit. */
  private static final double ANY = 4;

  private static final double MOST_MEAN = 0.3;
  private static final double MOST = 1.5;

  /** Every colour alike likely. */
  private static BufferedImage random() {
    Random random = new Random(12);
    BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < HIGH; y++) {
      for (int x = 0; x < WIDE; x++) {
        image.setRGB(x, y, random.nextInt(1 << 24));
      }
    }
    return image;
  }

  /** A sky over water: soft steps, with grain. */
  private static BufferedImage natural() {
    Random random = new Random(13);
    BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < HIGH; y++) {
      for (int x = 0; x < WIDE; x++) {
        double t = y / (double) HIGH;
        double s = 0.5 + 0.5 * Math.sin(x / 23.0 + y / 11.0);
        int r = level(30 + 190 * t + 20 * s, random);
        int g = level(52 + 100 * t * t + 25 * s, random);
        int b = level(64 + 60 * (1 - t) + 10 * s, random);
        image.setRGB(x, y, r << 16 | g << 8 | b);
      }
    }
    return image;
  }

  private static int level(double v, Random random) {
    return (int) Math.max(0, Math.min(255, v + 5 * random.nextGaussian()));
  }

  private static BufferedImage grays() {
    BufferedImage image = new BufferedImage(256, 8, BufferedImage.TYPE_INT_RGB);
    for (int x = 0; x < 256; x++) {
      for (int y = 0; y < 8; y++) {
        image.setRGB(x, y, 0x010101 * x);
      }
    }
    return image;
  }

  /** At the corners of the grid the profile itself is asked: what differs is the rounding alone. */
  @Test
  public void whatTheProfileSaysIsRoundedToTheNearestOf255() {
    int cut = 0;
    for (OutputCondition condition : OutputCondition.values()) {
      InkTable table =
          InkTable.of(condition.profile(), new Rendering(Rendering.Intent.RELATIVE, false), ANY);
      for (int corner = 0; corner < 8; corner++) {
        int r = corner & 1;
        int g = corner >> 1 & 1;
        int b = corner >> 2;
        double[] exact = condition.profile().inksOf(Srgb.xyz(r, g, b), Rendering.Intent.RELATIVE);
        int packed = table.packed(0xff0000 * r | 0xff00 * g | 0xff * b);
        for (int ink = 0; ink < 4; ink++) {
          int is = packed >>> 24 - 8 * ink & 0xff;
          double should = exact[ink] * 255;
          assertThat(Math.abs(is - should))
              .as(condition + ", corner " + corner + ", ink " + ink)
              .isLessThanOrEqualTo(0.5 + 1 / 256.0);
          cut += should - Math.floor(should) > 0.51 ? 1 : 0;
        }
      }
    }
    assertThat(cut).as("figures that would be another if they were cut").isGreaterThan(5);
  }

  @DataProvider
  Object[][] cases() {
    Object[][] pictures = {{"random", random()}, {"natural", natural()}, {"grays", grays()}};
    Rendering[] renderings = {
      new Rendering(Rendering.Intent.RELATIVE, true),
      new Rendering(Rendering.Intent.RELATIVE, false),
      new Rendering(Rendering.Intent.PERCEPTUAL, false)
    };
    Object[][] cases = new Object[3 * 3 * OutputCondition.values().length][];
    int i = 0;
    for (OutputCondition condition : OutputCondition.values()) {
      for (Rendering rendering : renderings) {
        for (Object[] picture : pictures) {
          cases[i++] = new Object[] {condition, rendering, picture[0], picture[1]};
        }
      }
    }
    return cases;
  }

  @Test(dataProvider = "cases")
  public void inksAreThoseOfLittleCms(
      OutputCondition condition, Rendering rendering, String name, BufferedImage picture)
      throws IOException {
    PressProfile profile = condition.profile();
    InkTable table = InkTable.of(profile, rendering, ANY);
    Path icc = Tool.file("press.icc", profile.bytes());
    Path in = icc.resolveSibling("in.tif");
    Path out = icc.resolveSibling("out.tif");
    ImageIO.write(picture, "tiff", in.toFile());
    Tool.ok(
        "tificc",
        "-i*sRGB",
        "-o" + icc,
        rendering.intent() == Rendering.Intent.RELATIVE ? "-t1" : "-t0",
        rendering.blackPoint() ? "-b" : "-c1",
        "-w16",
        in.toString(),
        out.toString());
    Raster theirs = ImageIO.read(out.toFile()).getRaster();
    int w = picture.getWidth();
    int h = picture.getHeight();
    byte[] ours = new byte[w * h * 4];
    table.convert(picture.getRGB(0, 0, w, h, null, 0, w), ours);
    double[] a = new double[w * h * 4];
    double[] b = new double[w * h * 4];
    int[] pixel = new int[4];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        theirs.getPixel(x, y, pixel);
        for (int ink = 0; ink < 4; ink++) {
          int i = 4 * (y * w + x) + ink;
          a[i] = (ours[i] & 0xff) / 255.0;
          b[i] = pixel[ink] / 65535.0;
        }
      }
    }
    double[] us = profile.xyzOf(a);
    double[] them = profile.xyzOf(b);
    double sum = 0;
    double most = 0;
    for (int i = 0; i < us.length; i += 3) {
      double apart =
          Lab.of(us[i], us[i + 1], us[i + 2]).apart(Lab.of(them[i], them[i + 1], them[i + 2]));
      sum += apart;
      most = Math.max(most, apart);
    }
    String said = condition + ", " + rendering + ", " + name;
    System.out.printf("%s: mean %.3f, most %.3f%n", said, sum / (w * h), most);
    assertThat(sum / (w * h)).as(said).isLessThan(MOST_MEAN);
    assertThat(most).as(said).isLessThan(MOST);
  }

  @Test
  public void manyPixelsOnAllProcessorsAreTheSameAsOneByOne() {
    InkTable table = InkTable.of(OutputCondition.COATED.profile(), Rendering.USUAL, 3);
    Random random = new Random(3);
    int[] rgb = random.ints(200_000, 0, 1 << 24).toArray();
    byte[] inks = new byte[rgb.length * 4];
    table.convert(rgb, inks);
    for (int i = 0; i < rgb.length; i += 37) {
      int one = table.packed(rgb[i]);
      for (int ink = 0; ink < 4; ink++) {
        assertThat(inks[4 * i + ink]).isEqualTo((byte) (one >> (24 - 8 * ink)));
      }
    }
  }

  @DataProvider
  Object[][] limits() {
    return new Object[][] {
      {OutputCondition.COATED, 3.0},
      {OutputCondition.COATED, 2.4},
      {OutputCondition.UNCOATED, 2.4},
      {OutputCondition.WEB_COATED, 2.6}
    };
  }

  /** No pixel has more than the limit, and what was over it looks as it did. */
  @Test(dataProvider = "limits")
  public void totalInkIsKeptAndColoursStay(OutputCondition condition, double most) {
    PressProfile profile = condition.profile();
    InkTable free = InkTable.of(profile, Rendering.USUAL, ANY);
    InkTable kept = InkTable.of(profile, Rendering.USUAL, most);
    int over = 0;
    double sum = 0;
    double worst = 0;
    for (int rgb = 0; rgb < 1 << 24; rgb += 4099) {
      int was = free.packed(rgb);
      int is = kept.packed(rgb);
      assertThat(total(is)).as("%06x", rgb).isLessThanOrEqualTo(most + 3 / 255.0);
      if (total(was) <= most - 0.1) {
        assertThat(apart(profile, was, is)).as("%06x, under the limit", rgb).isLessThan(1.5);
      } else {
        over++;
        double apart = apart(profile, was, is);
        sum += apart;
        worst = Math.max(worst, apart);
      }
    }
    System.out.printf(
        "%s %.1f: %d over, mean %.2f, most %.2f%n",
        condition, most, over, over == 0 ? 0 : sum / over, worst);
    if (over > 0) {
      assertThat(sum / over).isLessThan(1);
      assertThat(worst).isLessThan(5);
    }
  }

  private static double total(int packed) {
    return ((packed >>> 24) + (packed >> 16 & 0xff) + (packed >> 8 & 0xff) + (packed & 0xff))
        / 255.0;
  }

  private static double apart(PressProfile profile, int a, int b) {
    return profile.lab(inks(a)).apart(profile.lab(inks(b)));
  }

  private static double[] inks(int packed) {
    return new double[] {
      (packed >>> 24) / 255.0,
      (packed >> 16 & 0xff) / 255.0,
      (packed >> 8 & 0xff) / 255.0,
      (packed & 0xff) / 255.0
    };
  }
}
