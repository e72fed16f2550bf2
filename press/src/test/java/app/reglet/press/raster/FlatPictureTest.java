package app.reglet.press.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.press.Tool;
import app.reglet.press.colour.InkTable;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.colour.Rendering;
import app.reglet.press.raster.FlatPicture.Format;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Pictures of covers as ImageMagick reads them back. */
public class FlatPictureTest {
  private static BufferedImage image() {
    BufferedImage image = new BufferedImage(120, 80, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < 80; y++) {
      for (int x = 0; x < 120; x++) {
        image.setRGB(x, y, x < 60 ? 0x1f4b4d : 0xfbf6ea);
      }
    }
    return image;
  }

  @DataProvider
  Object[][] formats() {
    return new Object[][] {{Format.JPEG}, {Format.PNG}, {Format.TIFF}};
  }

  @Test(dataProvider = "formats")
  public void sizeFinenessColoursAndProfileAreReadBack(Format format) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    FlatPicture.write(image(), format, 300, out);
    Path file = Tool.file("front." + format.ending(), out.toByteArray());
    String said =
        Tool.ok(
            "identify",
            "-units",
            "PixelsPerInch",
            "-format",
            "%m %w %h %x %[colorspace]",
            file.toString());
    String[] words = said.split(" ");
    assertThat(words[0]).isEqualTo(format.name());
    assertThat(words[1] + " " + words[2]).isEqualTo("120 80");
    assertThat(Double.parseDouble(words[3])).isCloseTo(300, within(0.1));
    assertThat(words[4]).startsWith("sRGB");
    String verbose = Tool.ok("identify", "-verbose", file.toString());
    assertThat(verbose)
        .containsPattern(
            format == Format.PNG
                ? "png:sRGB|intent=1|Rendering intent: Relative"
                : "Profile-icc|icc:description");
    String pixel =
        Tool.ok("convert", file.toString(), "-format", "%[hex:p{20,40}] %[hex:p{100,40}]", "info:");
    if (format == Format.JPEG) {
      assertThat(pixel).matches("(?i)1[ef]4[abc]4[cde].* f[abc]f[567]e[9abc].*");
    } else {
      assertThat(pixel).isEqualToIgnoringCase("1F4B4D FBF6EA");
    }
  }

  @DataProvider
  Object[][] inked() {
    return new Object[][] {{Format.TIFF, 0}, {Format.JPEG, 4}};
  }

  /** Read back by ImageMagick; a JPEG's inks to a few levels. */
  @Test(dataProvider = "inked")
  public void aPictureInInksSaysItsProfileAndHasTheInksOfTheTable(Format format, int apart)
      throws IOException {
    InkTable inks = InkTable.of(OutputCondition.COATED.profile(), Rendering.USUAL, 3);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    FlatPicture.write(image(), inks, format, 300, out);
    Path file = Tool.file("front." + format.ending(), out.toByteArray());
    assertThat(Tool.ok("identify", "-format", "%m %[colorspace] %x", file.toString()))
        .startsWith(format + " CMYK 300");
    Path profile = file.resolveSibling("out.icc");
    Tool.ok("convert", file.toString(), profile.toString());
    assertThat(java.nio.file.Files.readAllBytes(profile))
        .isEqualTo(OutputCondition.COATED.profile().bytes());
    String pixel = Tool.ok("convert", file.toString(), "-format", "%[hex:p{20,40}]", "info:");
    int found = (int) Long.parseLong(pixel.strip().substring(0, 8), 16);
    int meant = inks.packed(0x1f4b4d);
    for (int shift = 0; shift <= 24; shift += 8) {
      assertThat(found >>> shift & 0xff).isCloseTo(meant >>> shift & 0xff, within(apart));
    }
  }
}
