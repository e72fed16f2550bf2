package app.reglet.press.picture;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.press.Specimen;
import app.reglet.testing.Tool;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is said of the colours of files that ImageMagick made, and that it says the same of. */
public class PictureColoursTest {
  @DataProvider
  Object[][] files() {
    String sRgb = "no profile: taken for sRGB";
    return new Object[][] {
      {"rgb.tif", "-depth 8", "sRGB 8", "RGB, " + sRgb},
      {"rgb16.tif", "-depth 16", "sRGB 16", "RGB of 16 bits, " + sRgb},
      {"clear.tif", "-alpha set -depth 8", "sRGB 8", "RGB, clear in places, " + sRgb},
      {"gray.tif", "-colorspace Gray -depth 8", "Gray 8", "gray, no profile told"},
      {"gray16.tif", "-colorspace Gray -depth 16", "Gray 16", "gray of 16 bits, no profile told"},
      {"line.tif", "-monochrome -compress group4", "Gray 1", "gray of 1 bit, no profile told"},
      {
        "inks.tif",
        "-colorspace CMYK -depth 8",
        "CMYK 8",
        "CMYK, no profile: taken for the inks of the press"
      },
      {"palette.tif", "-colors 20 -type Palette", "sRGB 8", "RGB by a palette, " + sRgb},
      {"tagged.tif", "-depth 8 -profile linear.icc", "", "RGB, profile “linear sRGB”"},
      {
        "inks.jpg",
        "-colorspace CMYK",
        "CMYK 8",
        "CMYK, no profile: taken for the inks of the press"
      },
      {"gray.jpg", "-colorspace Gray", "Gray 8", "gray, no profile told"},
      {"tagged.jpg", "-profile linear.icc", "", "RGB, profile “linear sRGB”"},
      {
        "rgb16.png",
        "-depth 16 -define png:color-type=2 -define png:bit-depth=16",
        "sRGB 16",
        "RGB of 16 bits, " + sRgb
      },
      {"tagged.png", "-profile linear.icc", "", "RGB, profile “linear sRGB”"},
    };
  }

  @Test(dataProvider = "files")
  public void modelBitsAndProfileAreThoseOfTheFile(
      String name, String options, String identified, String said) throws IOException {
    BufferedImage image = new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB);
    for (int x = 0; x < 40; x++) {
      for (int y = 0; y < 30; y++) {
        image.setRGB(x, y, (x * 6) << 16 | (y * 8) << 8 | (x + y) % 20 * 12);
      }
    }
    Path source = Tool.file("source.png", Specimen.encode(image, "png"));
    Files.write(
        source.resolveSibling("linear.icc"),
        ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData());
    Path file = source.resolveSibling(name);
    List<String> command = new ArrayList<>(List.of("convert", source.toString()));
    for (String option : options.split(" ")) {
      command.add(option.endsWith(".icc") ? source.resolveSibling(option).toString() : option);
    }
    command.add(file.toString());
    Tool.ok(command.toArray(String[]::new));
    Picture picture = PictureReader.read(Files.readAllBytes(file));
    assertThat(PictureColours.of(picture).said()).isEqualTo(said);
    if (!identified.isEmpty()) {
      assertThat(Tool.ok("identify", "-format", "%[colorspace] %z", file.toString()))
          .isEqualTo(identified);
    }
  }
}
