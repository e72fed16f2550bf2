package app.reglet.press.picture;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.press.Specimen;
import app.reglet.press.reading.FileBytes;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The quality of a JPEG, beside what ImageMagick says it is. */
public class JpegQualityTest {
  @DataProvider
  public Object[][] files() {
    return new Object[][] {
      {1, ""},
      {10, ""},
      {30, ""},
      {49, ""},
      {50, ""},
      {51, ""},
      {60, ""},
      {75, ""},
      {92, ""},
      {100, ""},
      {40, "-interlace JPEG"},
      {40, "-colorspace CMYK"},
      {40, "-colorspace Gray"},
      {40, "-sampling-factor 1x1"}
    };
  }

  @Test(dataProvider = "files")
  public void isWhatImageMagickPackedWithAndReads(int quality, String how) throws IOException {
    Path dir = Scratch.directory("quality");
    String out = dir.resolve("a.jpg").toString();
    Tool.ok("sh", "-c", "convert -size 90x70 plasma: " + how + " -quality " + quality + " " + out);
    int read = JpegQuality.of(FileBytes.of(Path.of(out)));
    assertThat(read).isEqualTo(quality);
    assertThat(Tool.ok("identify", "-format", "%Q", out).strip()).isEqualTo(String.valueOf(read));
  }

  @Test
  public void isWhatJavaPacksWith() throws IOException {
    BufferedImage image = Specimen.sky(90, 70);
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    for (float quality : new float[] {0.1f, 0.3f, 0.8f}) {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      try (var to = ImageIO.createImageOutputStream(out)) {
        ImageWriteParam how = writer.getDefaultWriteParam();
        how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        how.setCompressionQuality(quality);
        writer.setOutput(to);
        writer.write(null, new IIOImage(image, null, null), how);
      }
      assertThat(JpegQuality.of(FileBytes.of(out.toByteArray())))
          .isEqualTo(Math.round(quality * 100));
    }
  }

  @Test
  public void isNoneOfWhatIsNoJpegOrEndsBeforeItsTables() throws IOException {
    byte[] jpeg = Specimen.encode(Specimen.sky(60, 40), "jpeg");
    assertThat(JpegQuality.of(FileBytes.of(jpeg))).isEqualTo(75); // what Java packs with unasked
    for (int length : new int[] {0, 2, 20, 30, 60, 85}) {
      assertThat(JpegQuality.of(FileBytes.of(Arrays.copyOf(jpeg, length)))).isZero();
    }
    assertThat(JpegQuality.of(Specimen.picture(Specimen.sky(60, 40), "png"))).isZero();
  }
}
