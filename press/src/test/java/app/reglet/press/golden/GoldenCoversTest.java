package app.reglet.press.golden;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.press.art.Artwork;
import app.reglet.press.pdf.PressFile;
import app.reglet.testing.Extent;
import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Covers drawn by every painter and by programs that know nothing of Reglet are one picture, the
 * one kept; and their press files hold what is kept beside it.
 *
 * <p>{@code -Dgolden.write=true} writes pictures and contents anew; look at the difference before
 * it is committed.
 */
public class GoldenCoversTest {
  private static final boolean WRITE = Boolean.getBoolean("golden.write");

  /** Of the pixels of two drawings; seen: 0.00006. */
  private static final double MOST_APART = 0.0002;

  /** The same for poppler, which draws small type heavier; seen: 0.0008. */
  private static final double MOST_APART_POPPLER = 0.0015;

  /** Levels of 255, on average; seen: 0.95. */
  private static final double MOST_MEAN = 1.5;

  /** Figures in mm, points, shares: the same to less than a hundredth of a millimetre. */
  private static final double SAME = 0.006;

  private static final Pattern NUMBER = Pattern.compile("-?\\d+\\.\\d+");

  @DataProvider
  public Object[][] covers() {
    return Golden.all().stream().map(g -> new Object[] {g}).toArray(Object[][]::new);
  }

  /** In a short run every fifth cover is drawn. */
  @DataProvider
  public Object[][] drawn() {
    return Extent.of(6, covers());
  }

  private static List<String> names() {
    return Golden.all().stream().map(Golden::name).toList();
  }

  private static Path pressFile(Golden golden, Artwork art) {
    return Tool.file(
        golden.name() + ".pdf",
        PressFile.make(art, golden.book(), Instant.parse("2026-11-25T12:00:00Z")));
  }

  private static void alike(String what, BufferedImage a, BufferedImage b, double most) {
    assertThat(Math.abs(a.getWidth() - b.getWidth())).as(what + ", width").isLessThanOrEqualTo(1);
    assertThat(Math.abs(a.getHeight() - b.getHeight()))
        .as(what + ", height")
        .isLessThanOrEqualTo(1);
    Difference d = Difference.of(a, b);
    assertThat(d.share()).as(what + " apart at" + d.where()).isLessThan(most);
    assertThat(d.mean()).as(what + ", mean difference").isLessThan(MOST_MEAN);
  }

  @Test(dataProvider = "drawn")
  public void everyPainterDrawsTheKeptPicture(Golden golden) throws IOException {
    Artwork art = golden.artwork();
    BufferedImage raster = Painters.raster(art);
    if (WRITE) {
      ByteArrayOutputStream png = new ByteArrayOutputStream();
      ImageIO.write(raster, "png", png);
      golden.write(".png", png.toByteArray());
    }
    BufferedImage kept =
        WRITE ? raster : ImageIO.read(new ByteArrayInputStream(golden.resource(".png")));
    alike("raster", kept, raster, MOST_APART);
    if (golden.origin() != null) {
      return; // what is on it is on its origin, which every painter draws
    }
    Path pdf = pressFile(golden, art);
    Map<String, BufferedImage> drawn = Painters.independent(art, pdf, painters(golden));
    drawn.forEach(
        (by, picture) ->
            alike(by, kept, picture, by.equals("poppler") ? MOST_APART_POPPLER : MOST_APART));
  }

  /** All programs in a whole run; else one each, so that the covers go round all of them. */
  private static List<String> painters(Golden golden) {
    List<String> all = new ArrayList<>(Painters.INDEPENDENT);
    if (golden.name().equals("tagged-picture")) {
      all.remove("mupdf"); // Debian's knows no ICC profiles
    }
    // every fifth cover is drawn, and each by the program after that of the one before
    int turn = names().indexOf(golden.name()) / 5 % all.size();
    return Extent.whole() ? all : all.subList(turn, turn + 1);
  }

  @Test(dataProvider = "covers")
  public void thePressFileHoldsWhatIsKept(Golden golden) throws IOException {
    List<String> found = FileContents.of(pressFile(golden, golden.artwork()));
    if (WRITE) {
      golden.write(".txt", (String.join("\n", found) + "\n").getBytes(StandardCharsets.UTF_8));
      return;
    }
    List<String> kept =
        new String(golden.resource(".txt"), StandardCharsets.UTF_8).lines().toList();
    for (int i = 0; i < Math.min(kept.size(), found.size()); i++) {
      same(kept.get(i), found.get(i));
    }
    assertThat(found).hasSameSizeAs(kept);
  }

  private static void same(String kept, String found) {
    assertThat(NUMBER.matcher(found).replaceAll("#"))
        .isEqualTo(NUMBER.matcher(kept).replaceAll("#"));
    Matcher a = NUMBER.matcher(kept);
    Matcher b = NUMBER.matcher(found);
    while (a.find() && b.find()) {
      assertThat(Math.abs(Double.parseDouble(a.group()) - Double.parseDouble(b.group())))
          .as("%s%nkept: %s", found, kept)
          .isLessThan(SAME);
    }
  }
}
