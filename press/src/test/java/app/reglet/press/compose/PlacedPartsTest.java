package app.reglet.press.compose;

import static app.reglet.press.compose.LaidPages.cutting;
import static app.reglet.press.compose.LaidPages.laid;
import static app.reglet.press.compose.LaidPages.mm;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.house.PressRules.Standard;
import app.reglet.core.measure.Box;
import app.reglet.press.art.Artwork;
import app.reglet.press.inspect.HandPdf;
import app.reglet.press.pdf.PressFiles;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import java.awt.image.Raster;
import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Parts of a finished file, as it is cut at its folds, in press files. */
public class PlacedPartsTest {
  /** The page is 200 × 200 pt and lies 100 × 100 mm large, from 20 mm right and down. */
  private static final int AT = 20;

  private static final int SIDE = 100;
  private static final int PPI = 100;
  private static final double MM_PER_INCH = 25.4;

  @DataProvider
  Object[][] standards() {
    return new Object[][] {{Standard.PLAIN, 0}, {Standard.X4, 90}, {Standard.X1A, 270}};
  }

  private static String words(int x, int y, String text) {
    return "BT /F 12 Tf " + x + " " + y + " Td (" + text + ") Tj ET ";
  }

  /**
   * Two parts of one page beside each other look like the page, and say and show each thing once.
   */
  @Test(dataProvider = "standards")
  public void partsOfAPageHaveNothingOfWhatLiesBesideThem(Standard standard, int turned)
      throws IOException {
    HandPdf pdf = new HandPdf();
    int font = EveryPaint.font(pdf);
    int picture =
        pdf.stream(
            EveryPaint.image(30, "/ColorSpace /DeviceRGB"), EveryPaint.times(900, 40, 90, 160));
    pdf.page(
        "/MediaBox [0 0 200 200] /Rotate " + turned,
        "/Font << /F " + font + " 0 R >> /XObject << /P " + picture + " 0 R >>",
        "0.1 0 0 0 k 0 0 200 200 re f q 40 0 0 40 20 20 cm /P Do Q q 40 0 0 40 130 130 cm /P Do Q "
            + "0 0 0 1 k "
            + words(10, 100, "tidewrack")
            // what it says of spaces holds on, though its letters are seen in one part alone
            + "BT /F 12 Tf 120 120 Td 14 TL 4 2 (lantern oil) \" ET "
            + words(10, 150, "samphire")
            + words(115, 60, "sedge")
            + words(70, 180, "over the cut")
            // letters that cut what follows: without them all would be painted
            + "q 7 Tr "
            + words(150, 20, "cutting")
            + "0 1 0 0 k 0 0 200 200 re f Q");
    LaidPages.Kept kept = LaidPages.Kept.of(pdf);
    Artwork parts =
        LaidPages.composed(
            kept,
            List.of(
                cutting("left", AT, SIDE / 2.0, SIDE, 0, 0.5),
                cutting("right", AT + SIDE / 2.0, SIDE / 2.0, SIDE, 0.5, 1)));
    Path whole = LaidPages.made(laid(kept, new Box(mm(AT), mm(AT), mm(SIDE), mm(SIDE))), standard);
    Path apart = LaidPages.made(parts, standard);
    if (turned == 0) {
      String said = Tool.ok("pdftotext", apart.toString(), "-");
      for (String once : List.of("tidewrack", "lantern", "samphire", "sedge")) {
        assertThat(said.split(once, -1)).as(once + " in: " + said).hasSize(2);
      }
      assertThat(said).as("it lies on both sides").contains("over").contains("cut");
    }
    assertThat(LaidPages.pictures(apart)).as("each where it is seen").hasSize(2);
    assertThat(LaidPages.pictures(apart).get(0)[10])
        .as("one object")
        .isEqualTo(LaidPages.pictures(apart).get(1)[10]);
    assertThat(differ(PressFiles.plates(whole, PPI), PressFiles.plates(apart, PPI))).isZero();
    // ghostscript takes letters that cut and are not there for a cut that leaves nothing; by
    // ISO 32000-1, 9.3.6, they don't cut, and poppler has it so
    assertThat(differ(poppler(whole), poppler(apart))).isZero();
  }

  private static Raster poppler(Path pdf) throws IOException {
    Path png = Scratch.file("poppler", "");
    Tool.ok("pdftoppm", "-png", "-singlefile", "-r", "" + PPI, pdf.toString(), png.toString());
    return ImageIO.read(new File(png + ".png")).getRaster();
  }

  /** Pixels of two sheets that are not the same, beside the place where the parts meet. */
  private static int differ(Raster one, Raster other) {
    int count = 0;
    for (int y = 0; y < one.getHeight(); y++) {
      for (int x = 0; x < one.getWidth(); x++) {
        boolean near = Math.abs(x * MM_PER_INCH / PPI - AT - SIDE / 2.0) < 0.6;
        if (!near
            && !Arrays.equals(
                one.getPixel(x, y, (int[]) null), other.getPixel(x, y, (int[]) null))) {
          count++;
        }
      }
    }
    return count;
  }

  /** The upper and the lower half: a page counts from below, a sheet from above. */
  @Test
  public void theUpperPartHasTheWordsAtTheHead() throws IOException {
    HandPdf pdf = new HandPdf();
    int font = EveryPaint.font(pdf);
    pdf.page(
        "/MediaBox [0 0 200 200]",
        "/Font << /F " + font + " 0 R >>",
        words(20, 150, "at the head") + words(20, 40, "at the foot"));
    for (double from : new double[] {0, 0.5}) {
      Piece half =
          LaidPages.piece(
              "half",
              new Box(mm(AT), mm(AT), mm(SIDE), mm(SIDE / 2.0)),
              new Content.Cutting("cd".repeat(32), 1, 0, from, 1, from + 0.5));
      Path made =
          LaidPages.made(LaidPages.composed(LaidPages.Kept.of(pdf), List.of(half)), Standard.X4);
      assertThat(Tool.ok("pdftotext", made.toString(), "-"))
          .contains(from == 0 ? "head" : "foot")
          .doesNotContain(from == 0 ? "foot" : "head");
    }
  }
}
