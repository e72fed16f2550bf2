package app.reglet.press.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.design.Oklab;
import app.reglet.press.Specimen;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.apache.commons.math3.ml.clustering.CentroidCluster;
import org.apache.commons.math3.ml.clustering.DoublePoint;
import org.apache.commons.math3.ml.clustering.KMeansPlusPlusClusterer;
import org.apache.commons.math3.ml.distance.EuclideanDistance;
import org.apache.commons.math3.random.JDKRandomGenerator;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Colours of pictures, against the k-means of Apache Commons Math. */
public class ClustersTest {
  private static final int K = 6;

  private static BufferedImage blobs() {
    BufferedImage image = new BufferedImage(120, 90, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(4);
    int[] colours = {0x22313a, 0xf3eee3, 0xb5482a, 0x7d8f86, 0xd9b36c, 0x1f8fb0};
    for (int y = 0; y < 90; y++) {
      for (int x = 0; x < 120; x++) {
        int c = colours[(x / 20 + y / 30) % 6];
        int r = (c >> 16 & 0xff) + random.nextInt(17) - 8;
        int g = (c >> 8 & 0xff) + random.nextInt(17) - 8;
        int b = (c & 0xff) + random.nextInt(17) - 8;
        image.setRGB(x, y, clamp(r) << 16 | clamp(g) << 8 | clamp(b));
      }
    }
    return image;
  }

  private static int clamp(int v) {
    return Math.max(0, Math.min(255, v));
  }

  @DataProvider
  Object[][] pictures() {
    return new Object[][] {
      {"blobs", blobs()},
      {"sky", Specimen.sky(120, 90)},
      {"motley", TreatingTest.motley()},
      {"corners", Specimen.corners(120, 90)},
    };
  }

  private static double spread(List<double[]> points, List<double[]> centres) {
    double sum = 0;
    for (double[] p : points) {
      double least = Double.POSITIVE_INFINITY;
      for (double[] c : centres) {
        double d = Math.pow(p[0] - c[0], 2) + Math.pow(p[1] - c[1], 2) + Math.pow(p[2] - c[2], 2);
        least = Math.min(least, d);
      }
      sum += least;
    }
    return sum / points.size();
  }

  @Test(dataProvider = "pictures")
  public void theColoursStandForThePictureAsWellAsTheReferences(String name, BufferedImage image) {
    List<double[]> points = new ArrayList<>();
    List<DoublePoint> same = new ArrayList<>();
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        double[] lab = Oklab.lab(image.getRGB(x, y) & 0xffffff);
        points.add(lab);
        same.add(new DoublePoint(lab));
      }
    }
    double best = Double.POSITIVE_INFINITY;
    for (int seed = 0; seed < 8; seed++) {
      JDKRandomGenerator random = new JDKRandomGenerator();
      random.setSeed(seed);
      List<double[]> centres = new ArrayList<>();
      for (CentroidCluster<DoublePoint> c :
          new KMeansPlusPlusClusterer<DoublePoint>(
                  Math.min(K, name.equals("corners") ? 4 : K), 60, new EuclideanDistance(), random)
              .cluster(same)) {
        centres.add(c.getCenter().getPoint());
      }
      best = Math.min(best, spread(points, centres));
    }
    List<double[]> ours = new ArrayList<>();
    Clusters.of(image, K).forEach(c -> ours.add(Oklab.lab(c.rgb())));
    // 8 bits a channel and the hull of a screen cost a little
    assertThat(spread(points, ours)).isLessThanOrEqualTo(best * 1.25 + 2e-5);
  }

  @Test
  public void theMostFrequentComesFirstAndASmallBrightThingIsNotLost() {
    BufferedImage image = new BufferedImage(200, 200, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(new Color(0x20303c));
    g.fillRect(0, 0, 200, 200);
    g.setColor(new Color(0xe0c080));
    g.fillRect(0, 0, 200, 60);
    g.setColor(new Color(0xff2010));
    g.fillRect(90, 90, 12, 12);
    g.dispose();
    List<Clusters.Cluster> found = Clusters.of(image, K);
    assertThat(found)
        .extracting(Clusters.Cluster::rgb)
        .containsExactly(0x20303c, 0xe0c080, 0xff2010);
    assertThat(found.get(1).share()).isCloseTo(0.3, within(0.01));
  }

  @Test
  public void aPictureOfOneColourHasOneAndAClearOneNone() {
    BufferedImage one = new BufferedImage(1, 1, BufferedImage.TYPE_INT_RGB);
    assertThat(Clusters.of(one, K)).hasSize(1);
    BufferedImage flat = new BufferedImage(300, 10, BufferedImage.TYPE_INT_RGB);
    assertThat(Clusters.of(flat, K)).extracting(Clusters.Cluster::rgb).containsExactly(0);
    assertThat(Clusters.of(new BufferedImage(20, 20, BufferedImage.TYPE_INT_ARGB), K)).isEmpty();
  }
}
