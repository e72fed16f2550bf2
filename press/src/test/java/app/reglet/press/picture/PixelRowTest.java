package app.reglet.press.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Pixels taken where they lie are those that the JDK's colour models give. */
public class PixelRowTest {
  private static final int W = 7;
  private static final int H = 5;

  /** With bytes in another order than the JDK's own kinds have, as a PNG is read. */
  private static BufferedImage bytes(int[] offsets, int stride, boolean multiplied) {
    boolean clear = offsets.length == 4;
    return new BufferedImage(
        new ComponentColorModel(
            ColorSpace.getInstance(ColorSpace.CS_sRGB),
            clear,
            multiplied,
            clear ? Transparency.TRANSLUCENT : Transparency.OPAQUE,
            DataBuffer.TYPE_BYTE),
        Raster.createInterleavedRaster(
            DataBuffer.TYPE_BYTE, W, H, stride, offsets.length, offsets, null),
        multiplied,
        null);
  }

  @DataProvider
  Object[][] images() {
    return new Object[][] {
      {"INT_RGB", new BufferedImage(W, H, BufferedImage.TYPE_INT_RGB)},
      {"INT_ARGB", new BufferedImage(W, H, BufferedImage.TYPE_INT_ARGB)},
      {"INT_ARGB_PRE", new BufferedImage(W, H, BufferedImage.TYPE_INT_ARGB_PRE)},
      {"INT_BGR", new BufferedImage(W, H, BufferedImage.TYPE_INT_BGR)},
      {"3BYTE_BGR", new BufferedImage(W, H, BufferedImage.TYPE_3BYTE_BGR)},
      {"4BYTE_ABGR", new BufferedImage(W, H, BufferedImage.TYPE_4BYTE_ABGR)},
      {"4BYTE_ABGR_PRE", new BufferedImage(W, H, BufferedImage.TYPE_4BYTE_ABGR_PRE)},
      {"gray", new BufferedImage(W, H, BufferedImage.TYPE_BYTE_GRAY)},
      {"RGB", bytes(new int[] {0, 1, 2}, 3 * W, false)},
      {"RGB in longer rows", bytes(new int[] {0, 1, 2}, 3 * W + 5, false)},
      {"RGBA", bytes(new int[] {0, 1, 2, 3}, 4 * W, false)},
      {"RGBA multiplied", bytes(new int[] {0, 1, 2, 3}, 4 * W, true)},
      {
        "a part of another",
        new BufferedImage(2 * W, 2 * H, BufferedImage.TYPE_3BYTE_BGR).getSubimage(3, 2, W, H)
      },
    };
  }

  @Test(dataProvider = "images")
  public void readsWhatTheColourModelReads(String name, BufferedImage image) {
    Random random = new Random(1);
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        image.setRGB(x, y, random.nextInt());
      }
    }
    int[] expected = image.getRGB(0, 0, W, H, null, 0, W);
    assertThat(PixelRow.all(image)).isEqualTo(expected);
    int[] row = new int[W];
    new PixelRow(image).read(3, row);
    assertThat(row).isEqualTo(image.getRGB(0, 3, W, 1, null, 0, W));
  }

  @Test(dataProvider = "images")
  public void writesWhatTheColourModelWrites(String name, BufferedImage image) {
    int[] row = new Random(2).ints(W).toArray();
    image.setRGB(0, 1, W, 1, row, 0, W);
    int[] expected = image.getRGB(0, 1, W, 1, null, 0, W);
    new PixelRow(image).write(2, row);
    assertThat(image.getRGB(0, 2, W, 1, null, 0, W)).isEqualTo(expected);
    assertThat(image.getRGB(0, 3, W, 1, null, 0, W)).doesNotContain(expected);
  }
}
