package app.reglet.press.golden;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Tiling;
import app.reglet.core.measure.Length;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.PixelRow;
import app.reglet.testing.Extent;
import app.reglet.testing.Tool;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A pattern as a ground, in every painter and independent renderer: its period, and no seam. */
public class PatternTest {
  private static Picture flat(Color colour) {
    BufferedImage image = new BufferedImage(90, 60, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(colour);
    g.fillRect(0, 0, 90, 60);
    g.dispose();
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", png);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
    return PictureReader.read(png.toByteArray());
  }

  private static Artwork ground(Motif motif, Tiling tiling, Picture picture) {
    Ground ground =
        Ground.plain(new Colour.Rgb(0x101418)).withPattern(new Content.Pattern(motif, tiling));
    Design design =
        Design.EMPTY.changed(PrintedSide.OUTSIDE, c -> new Composition(ground, List.of()));
    return new Composer(Specimen.TYPEFACES)
        .compose(design, Specimen.wrap(200), Specimen.BOOK, id -> Optional.ofNullable(picture));
  }

  private static Map<String, BufferedImage> drawn(Artwork art) throws IOException {
    Path pdf = Tool.file("pattern.pdf", PressFile.make(art, Specimen.BOOK, Instant.EPOCH));
    Map<String, BufferedImage> all = new LinkedHashMap<>();
    all.put("raster", Painters.raster(art));
    all.putAll(Painters.independent(art, pdf, Extent.of(2, Painters.INDEPENDENT)));
    return all;
  }

  @DataProvider
  Object[][] turns() {
    return new Object[][] {{7.0, Tiling.Stagger.BRICK}};
  }

  /** A pale picture of one colour, edge to edge over a nearly black ground: any seam is dark. */
  @Test(dataProvider = "turns", groups = Extent.LONG)
  public void picturesSetEdgeToEdgeShowNoSeam(double angle, Tiling.Stagger stagger)
      throws IOException {
    Artwork art =
        ground(
            new Motif.Pictured("pale"),
            new Tiling(Length.mm("13.7"), Length.ZERO, Length.ZERO, stagger, angle),
            flat(new Color(0xf0e0c0)));
    drawn(art)
        .forEach(
            (by, image) -> {
              int worst = 0;
              for (int y = 3; y < image.getHeight() - 3; y++) {
                for (int x = 3; x < image.getWidth() - 3; x++) {
                  int rgb = image.getRGB(x, y);
                  worst = Math.max(worst, 0xf0 - (rgb >> 16 & 0xff));
                  worst = Math.max(worst, 0xc0 - (rgb & 0xff));
                }
              }
              assertThat(worst).as(by + ", darkest against the tile").isLessThan(10);
            });
  }

  /** Half an inch from motif to motif: at 96 pixels an inch the picture repeats after 48. */
  @Test
  public void aPatternRepeatsAfterItsStepAndNotBefore() throws IOException {
    Artwork art =
        ground(
            new Motif.Drawn("boat", List.of(new Colour.Rgb(0xf0e0c0), new Colour.Rgb(0xb5482a))),
            new Tiling(Length.mm("9"), Length.mm("3.7"), Length.mm("3.7"), Tiling.Stagger.NONE, 0),
            null);
    drawn(art)
        .forEach(
            (by, image) -> {
              double same = correlation(image, 48);
              assertThat(same).as(by).isGreaterThan(0.97);
              for (int shift = 12; shift < 41; shift += 4) {
                assertThat(correlation(image, shift)).as(by + " at " + shift).isLessThan(0.7);
              }
            });
  }

  /** Of the green of a picture with itself, shifted across. */
  private static double correlation(BufferedImage image, int shift) {
    double n = 0;
    double sumA = 0;
    double sumB = 0;
    double aa = 0;
    double bb = 0;
    double ab = 0;
    int[] pixels = PixelRow.all(image);
    for (int y = 100; y < 400; y++) {
      for (int x = 100; x < 700; x++) {
        int at = y * image.getWidth() + x;
        double a = pixels[at] >> 8 & 0xff;
        double b = pixels[at + shift] >> 8 & 0xff;
        n++;
        sumA += a;
        sumB += b;
        aa += a * a;
        bb += b * b;
        ab += a * b;
      }
    }
    return (ab - sumA * sumB / n) / Math.sqrt((aa - sumA * sumA / n) * (bb - sumB * sumB / n));
  }
}
