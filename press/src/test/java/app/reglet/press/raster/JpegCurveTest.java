package app.reglet.press.raster;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;

public class JpegCurveTest {
  /** A calm sky; hard letters of many colours in one corner. */
  private static BufferedImage picture() {
    BufferedImage image = new BufferedImage(600, 900, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setPaint(new GradientPaint(0, 0, new Color(0x1d3440), 0, 900, new Color(0xd9a06b)));
    g.fillRect(0, 0, 600, 900);
    Random random = new Random(4);
    for (int i = 0; i < 900; i++) {
      g.setColor(new Color(random.nextInt(1 << 24)));
      g.fillRect(400 + random.nextInt(180), 700 + random.nextInt(180), 3, 7);
    }
    g.dispose();
    return image;
  }

  @Test
  public void aHigherQualityIsLargerAndLosesLessAndTheKneeLiesBetween() {
    BufferedImage image = picture();
    JpegCurve curve = JpegCurve.of(image);
    List<JpegCurve.Point> p = curve.points();
    assertThat(p).extracting(JpegCurve.Point::quality).startsWith(50).endsWith(95).isSorted();
    assertThat(p).extracting(JpegCurve.Point::bytes).isSorted();
    assertThat(p)
        .extracting(JpegCurve.Point::loss)
        .isSortedAccordingTo((a, b) -> Double.compare(b, a));
    assertThat(p.get(0).loss()).isGreaterThan(1.5 * p.get(p.size() - 1).loss());
    assertThat(curve.knee()).isBetween(60, 90);
    assertThat(p.get(0).bytes()).isEqualTo(EbookCover.jpeg(image, 0.5f).length);
  }

  @Test
  public void whereItLosesMostIsWhereTheLettersAre() {
    BufferedImage image = picture();
    JpegCurve curve = JpegCurve.of(image);
    assertThat(curve.worstX() + JpegCurve.SQUARE).isGreaterThan(400);
    assertThat(curve.worstY() + JpegCurve.SQUARE).isGreaterThan(700);
    BufferedImage asItIs = JpegCurve.square(image, 100, curve.worstX(), curve.worstY());
    BufferedImage poor = JpegCurve.square(image, 50, curve.worstX(), curve.worstY());
    assertThat(asItIs.getRGB(0, 0)).isEqualTo(image.getRGB(curve.worstX(), curve.worstY()));
    int apart = 0;
    for (int y = 0; y < poor.getHeight(); y++) {
      for (int x = 0; x < poor.getWidth(); x++) {
        apart += asItIs.getRGB(x, y) != poor.getRGB(x, y) ? 1 : 0;
      }
    }
    assertThat(apart).isGreaterThan(poor.getWidth() * poor.getHeight() / 2);
  }
}
