package app.reglet.press.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Random;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** Pictures made coarser, against ImageMagick's Lanczos filter. */
public class ScaledRowsTest {
  private static BufferedImage scaled(BufferedImage image, int w, int h) throws IOException {
    BufferedImage out =
        new BufferedImage(
            w,
            h,
            image.getColorModel().hasAlpha()
                ? BufferedImage.TYPE_INT_ARGB
                : BufferedImage.TYPE_INT_RGB);
    try (Rows rows = new ScaledRows(PictureReader.rows(image), w, h)) {
      int[] row = new int[w];
      for (int y = 0; y < h; y++) {
        rows.next(row);
        out.setRGB(0, y, w, 1, row, 0, w);
      }
    }
    return out;
  }

  private static BufferedImage noise(int w, int h) {
    Random random = new Random(5);
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int soft = (int) (127 + 60 * Math.sin(x / 9.0) * Math.cos(y / 7.0));
        image.setRGB(x, y, soft << 16 | 70 + random.nextInt(110) << 8 | 40 + x * 150 / w);
      }
    }
    return image;
  }

  /**
   * Source: ImageMagick, -filter Lanczos, on the values as they are (no linear light); nothing so
   * dark or light that it would be cut off between its two passes.
   */
  @Test
  public void asImageMagickMakesThem() throws IOException {
    BufferedImage image = noise(300, 211);
    Path in = Scratch.directory("scaled").resolve("in.png");
    ImageIO.write(image, "png", in.toFile());
    for (int[] size : new int[][] {{200, 141}, {97, 61}, {299, 210}}) {
      Path out = in.resolveSibling("out.png");
      Tool.ok(
          "convert",
          in.toString(),
          "-filter",
          "Lanczos",
          "-resize",
          size[0] + "x" + size[1] + "!",
          out.toString());
      BufferedImage theirs = ImageIO.read(out.toFile());
      BufferedImage ours = scaled(image, size[0], size[1]);
      double sum = 0;
      int most = 0;
      for (int y = 0; y < size[1]; y++) {
        for (int x = 0; x < size[0]; x++) {
          for (int shift = 0; shift <= 16; shift += 8) {
            int apart =
                Math.abs(
                    (ours.getRGB(x, y) >> shift & 0xff) - (theirs.getRGB(x, y) >> shift & 0xff));
            sum += apart;
            most = Math.max(most, apart);
          }
        }
      }
      assertThat(sum / (3.0 * size[0] * size[1])).as("mean at %s", size[0]).isLessThan(0.6);
      assertThat(most).as("largest at %s", size[0]).isLessThan(8);
    }
  }

  @Test
  public void whatShowsThroughBringsNoColourOfItsOwn() throws IOException {
    BufferedImage image = new BufferedImage(90, 30, BufferedImage.TYPE_INT_ARGB);
    for (int y = 0; y < 30; y++) {
      for (int x = 0; x < 90; x++) {
        image.setRGB(x, y, x < 45 ? 0xff2040c0 : 0x00ff0000); // clear, and red in name alone
      }
    }
    BufferedImage out = scaled(image, 30, 10);
    for (int x = 0; x < 30; x++) {
      int p = out.getRGB(x, 5);
      if (p >>> 24 > 0) {
        assertThat(p & 0xffffff).as("at " + x).isEqualTo(0x2040c0);
      }
    }
    assertThat(out.getRGB(2, 5) >>> 24).isEqualTo(255);
    assertThat(out.getRGB(27, 5) >>> 24).isZero();
  }

  @Test
  public void nothingIsEverMadeFiner() {
    BufferedImage image = noise(20, 20);
    assertThatThrownBy(() -> scaled(image, 21, 20)).isInstanceOf(IllegalArgumentException.class);
  }
}
