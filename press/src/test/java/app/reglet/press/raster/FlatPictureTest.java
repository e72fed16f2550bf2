package app.reglet.press.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.press.colour.InkTable;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.colour.Rendering;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.Rows;
import app.reglet.press.raster.FlatPicture.Format;
import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.Raster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import javax.imageio.ImageIO;
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

  private static Path scratch() throws IOException {
    return Scratch.directory("scratch");
  }

  @DataProvider
  Object[][] formats() {
    return new Object[][] {{Format.JPEG}, {Format.PNG}, {Format.TIFF}};
  }

  @Test(dataProvider = "formats")
  public void sizeFinenessColoursAndProfileAreReadBack(Format format) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    FlatPicture.write(PictureReader.rows(image()), format, 300, out, scratch());
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
    FlatPicture.write(PictureReader.rows(image()), inks, format, 300, out, scratch());
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

  /** Grain over a slope, so that every unit of a JPEG is another. */
  private static BufferedImage grain(int w, int h) {
    Random random = new Random(5);
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int v = (x + y) * 200 / (w + h) + random.nextInt(56);
        image.setRGB(x, y, v << 16 | (255 - v) << 8 | (v ^ 0x3f));
      }
    }
    return image;
  }

  /** What is packed strip by strip is decoded to the very pixels of what is packed as a whole. */
  @Test(groups = Extent.LONG)
  public void aJpegOfManyStripsIsTheSamePictureAsOneOfOne() throws IOException {
    for (int[] size : new int[][] {{3001, 2003}, {517, 9001}, {8000, 17}}) {
      BufferedImage image = grain(size[0], size[1]);
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      FlatPicture.write(PictureReader.rows(image), Format.JPEG, 300, out, scratch());
      BufferedImage strips = EbookCover.decoded(out.toByteArray());
      BufferedImage whole = EbookCover.decoded(EbookCover.jpeg(image, 0.92f));
      int[] a = strips.getRGB(0, 0, size[0], size[1], null, 0, size[0]);
      int[] b = whole.getRGB(0, 0, size[0], size[1], null, 0, size[0]);
      assertThat(java.util.Arrays.equals(a, b)).as("%d × %d", size[0], size[1]).isTrue();
      // and another reader takes it without a word
      Path file = Tool.file("strips.jpg", out.toByteArray());
      assertThat(Tool.ok("identify", "-regard-warnings", "-format", "%w %h", file.toString()))
          .isEqualTo(size[0] + " " + size[1]);
    }
  }

  @DataProvider
  Object[][] everything() {
    return new Object[][] {
      {Format.JPEG, false},
      {Format.PNG, false},
      {Format.TIFF, false},
      {Format.JPEG, true},
      {Format.TIFF, true}
    };
  }

  private BufferedImage large;

  /** When half the rows are taken, a third of them at least has left the memory. */
  @Test(dataProvider = "everything")
  public void rowsAreWrittenAsTheyAreTakenAndNothingIsLeftBehind(Format format, boolean inked)
      throws IOException {
    if (large == null) {
      large = grain(Extent.rounds(1000, 2000), 4000);
    }
    BufferedImage image = large;
    Path scratch = scratch();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    long[] written = {0};
    Rows rows =
        new app.reglet.press.picture.ChangedRows(PictureReader.rows(image)) {
          @Override
          protected void change(int[] argb, int y) {
            if (y == 2000) {
              written[0] = out.size() + size(scratch);
            }
          }
        };
    if (inked) {
      InkTable inks = InkTable.of(OutputCondition.COATED.profile(), Rendering.USUAL, 3);
      FlatPicture.write(rows, inks, format, 300, out, scratch);
    } else {
      FlatPicture.write(rows, format, 300, out, scratch);
    }
    assertThat(written[0]).isGreaterThan(out.size() / 3);
    assertThat(size(scratch)).isZero();
    BufferedImage read = ImageIO.read(new java.io.ByteArrayInputStream(out.toByteArray()));
    assertThat(read.getWidth() + " × " + read.getHeight()).isEqualTo(large.getWidth() + " × 4000");
  }

  /** As the JDK's PNG writer asks since 17.0.21; the one of 17.0.15 asks for rectangles. */
  @Test
  public void whoAsksForTilesFromTheTopGetsThePictureAndNoRowsAreTakenBeforeTheirTile()
      throws IOException {
    BufferedImage image = grain(300, 203);
    int[] taken = {0};
    Rows rows =
        new app.reglet.press.picture.ChangedRows(PictureReader.rows(image)) {
          @Override
          protected void change(int[] argb, int y) {
            taken[0] = y + 1;
          }
        };
    RowsImage asked =
        new RowsImage(rows, ColorSpace.getInstance(ColorSpace.CS_sRGB), RowsImage::rgb);
    assertThat(asked.getTileHeight()).isLessThan(image.getHeight() / 4);
    for (int t = 0; t < asked.getNumYTiles(); t++) {
      Raster tile = asked.getTile(0, t);
      int bottom = Math.min((t + 1) * asked.getTileHeight(), image.getHeight());
      assertThat(taken[0]).isEqualTo(bottom);
      assertThat(tile.getMinY()).isEqualTo(t * asked.getTileHeight());
      for (int y = tile.getMinY(); y < bottom; y++) {
        for (int x = 0; x < image.getWidth(); x++) {
          int rgb =
              tile.getSample(x, y, 0) << 16
                  | tile.getSample(x, y, 1) << 8
                  | tile.getSample(x, y, 2);
          assertThat(rgb).isEqualTo(image.getRGB(x, y) & 0xffffff);
        }
      }
    }
  }

  private static long size(Path directory) {
    try (var files = Files.list(directory)) {
      return files.mapToLong(f -> f.toFile().length()).sum();
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }
}
