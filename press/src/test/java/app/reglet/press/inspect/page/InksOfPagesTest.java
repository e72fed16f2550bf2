package app.reglet.press.inspect.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.house.PressRules.Standard;
import app.reglet.press.art.Artwork;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.colour.PressInks;
import app.reglet.press.golden.Golden;
import app.reglet.press.inspect.HandPdf;
import app.reglet.press.pdf.PressFiles;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.testing.Extent;
import app.reglet.testing.Tool;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The inks that Inspect finds on a page, pixel by pixel beside ghostscript's plates. */
public class InksOfPagesTest {
  private static final int PPI = 60;

  private static final PressInks SCREEN =
      PressInks.of(
          OutputCondition.COATED.condition().profile(), PressFiles.rules(Standard.X4, 300));

  private static InkPixels ours(Path pdf, int ppi) throws IOException {
    FileBytes file = FileBytes.of(pdf);
    return Plates.of(file, 1, ppi, SCREEN.table(), Budget.forFile(file.length()));
  }

  /**
   * Mean difference a channel, of 255, and the share of pixels that differ by more than an eighth.
   *
   * @param theirs so many times as fine: ghostscript draws without half-covered pixels
   */
  private static double[] apart(InkPixels ours, Raster theirs, int times) {
    int w = Math.min(ours.width(), theirs.getWidth() / times);
    int h = Math.min(ours.height(), theirs.getHeight() / times);
    long sum = 0;
    long far = 0;
    int[] p = new int[4];
    int[] block = new int[4 * times * times];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        theirs.getPixels(x * times, y * times, times, times, block);
        Arrays.fill(p, 0);
        for (int i = 0; i < block.length; i++) {
          p[i % 4] += block[i];
        }
        for (int i = 0; i < 4; i++) {
          p[i] /= times * times;
        }
        boolean off = false;
        for (int i = 0; i < 4; i++) {
          int d = Math.abs(p[i] - (ours.inks()[4 * (y * ours.width() + x) + i] & 0xff));
          sum += d;
          off |= d > 32;
        }
        far += off ? 1 : 0;
      }
    }
    return new double[] {sum / 4.0 / w / h, (double) far / w / h};
  }

  @DataProvider
  public Object[][] covers() {
    // in turn: what the standards have in common is drawn alike
    List<Golden> all = Golden.all().stream().filter(g -> !g.name().contains("ebook")).toList();
    List<Golden> some = Extent.of(4, all);
    return IntStream.range(0, some.size())
        .mapToObj(
            i ->
                new Object[] {
                  some.get(i).name(), some.get(i), i % 2 == 0 ? Standard.X4 : Standard.X1A
                })
        .toArray(Object[][]::new);
  }

  @Test(dataProvider = "covers")
  public void inksOfPressFilesAreThoseOnGhostscriptsPlates(String name, Golden golden, Standard s)
      throws IOException {
    Artwork art = golden.artwork();
    Path pdf = PressFiles.make(art, PressFiles.making(PressFiles.rules(s, 300)));
    double[] apart = apart(ours(pdf, PPI), PressFiles.plates(pdf, 4 * PPI), 4);
    assertThat(apart[0]).isLessThan(1.8);
    assertThat(apart[1]).isLessThan(0.03);
  }

  private static String square(int n, String paint) {
    return paint + " " + n % 5 * 20 + " " + n / 5 * 20 + " 20 20 re f\n";
  }

  private static final String HALF =
      "<< /FunctionType 2 /Domain [0 1] /N 1 /C0 [0 0 0 0] /C1 [0.2 0.8 0 0.1] >>";

  /** One square of each way that PDF has to give a colour, and what of each ink it comes to. */
  @Test
  public void everyColourSpaceComesToTheInksThatItsPageIsPrintedWith() throws IOException {
    HandPdf pdf = new HandPdf();
    int four =
        pdf.stream(
            "/Type /XObject /Subtype /Image /Width 1 /Height 1 /BitsPerComponent 8 /ColorSpace /DeviceCMYK",
            new byte[] {(byte) 255, 51, 0, 102});
    int table =
        pdf.stream(
            "/Type /XObject /Subtype /Image /Width 2 /Height 1 /BitsPerComponent 4 /ColorSpace [/Indexed /DeviceCMYK 1 <000000FFCC330000>]",
            new byte[] {0x11});
    int bit =
        pdf.stream(
            "/Type /XObject /Subtype /Image /Width 8 /Height 1 /BitsPerComponent 1 /ColorSpace /DeviceGray",
            new byte[] {0});
    int icc =
        pdf.stream(
            "/N 4 /Alternate /DeviceCMYK", OutputCondition.COATED.condition().profile().bytes());
    pdf.page(
        "/MediaBox [0 0 100 100]",
        "/ColorSpace << /S1 [/Separation /Black /DeviceCMYK "
            + HALF
            + "] /S2 [/Separation /Reed /DeviceCMYK "
            + HALF
            + "] /S3 [/Separation /All /DeviceCMYK "
            + HALF
            + "] /S4 [/ICCBased "
            + icc
            + " 0 R] /S5 [/DeviceN [/Magenta /Black] /DeviceCMYK << /FunctionType 4 /Domain [0 1 0 1] /Range [0 1 0 1 0 1 0 1] /Length 1 >>] >>"
            + " /XObject << /I1 "
            + four
            + " 0 R /I2 "
            + table
            + " 0 R /I3 "
            + bit
            + " 0 R >> /Shading << /H << /ShadingType 2 /ColorSpace /DeviceCMYK /Coords [80 0 100 0] /Function "
            + HALF
            + " >> >> /ExtGState << /M << /BM /Multiply >> /F << /ca 0.5 >> >>",
        square(0, "0.2 0.4 0.6 0.1 k")
            + square(1, "0.3 g")
            + square(2, "/S1 cs 0.7 scn")
            + square(3, "/S2 cs 0.5 scn")
            + square(5, "/S3 cs 0.4 scn")
            + square(6, "/S4 cs 0.1 0.9 0.3 0 scn")
            + "q 20 0 0 20 40 20 cm /I1 Do Q q 20 0 0 20 60 20 cm /I2 Do Q q 20 0 0 20 80 20 cm /I3 Do Q\n"
            + square(10, "1 0 0 0 k")
            + "q /M gs "
            + square(10, "0 0.5 1 0 k")
            + "Q "
            + square(11, "0 1 0 0 k")
            + "q /F gs "
            + square(11, "1 0 0 0 k")
            + "Q "
            + square(12, "1 0 0 rg")
            + "q 80 40 20 20 re W n /H sh Q q 0.3 0.3 0.3 0 K 4 w 62 50 m 78 50 l S Q\n");
    Path file = Tool.file("spaces.pdf", pdf.bytes());
    InkPixels found = ours(file, 72);
    Map<Integer, int[]> percent = new TreeMap<>();
    percent.put(0, new int[] {20, 40, 60, 10});
    percent.put(1, new int[] {0, 0, 0, 70});
    percent.put(2, new int[] {0, 0, 0, 70});
    percent.put(3, new int[] {10, 40, 0, 5});
    percent.put(5, new int[] {40, 40, 40, 40});
    percent.put(6, new int[] {10, 90, 30, 0});
    percent.put(7, new int[] {100, 20, 0, 40});
    percent.put(8, new int[] {80, 20, 0, 0});
    percent.put(9, new int[] {0, 0, 0, 100});
    percent.put(10, new int[] {100, 50, 100, 0});
    percent.put(11, new int[] {50, 50, 0, 0});
    percent.forEach(
        (n, wanted) ->
            assertThat(at(found, n % 5 * 20 + 10, 100 - (n / 5 * 20 + 10)))
                .as("square " + n)
                .containsExactly(wanted));
    assertThat(at(found, 90, 50))
        .as("the middle of a run of colours")
        .satisfies(p -> assertThat(p[1]).isBetween(39, 41))
        .satisfies(p -> assertThat(p[0]).isBetween(9, 11));
    assertThat(at(found, 70, 50)).as("a stroke").containsExactly(30, 30, 30, 0);
    assertThat(at(found, 50, 10)).as("bare paper").containsExactly(0, 0, 0, 0);
    int red = SCREEN.table().packed(0xff0000);
    assertThat(at(found, 50, 50))
        .as("red of a screen")
        .containsExactly(
            share(red >>> 24), share(red >> 16 & 255), share(red >> 8 & 255), share(red & 255));
  }

  private static String run(String space, String from, String to) {
    return "<< /ShadingType 2 /ColorSpace "
        + space
        + " /Coords [0 0 100 0] /Extend [true true] /Function << /FunctionType 2 /Domain [0 1] /N 1 /C0 ["
        + from
        + "] /C1 ["
        + to
        + "] >> >>";
  }

  /** Runs of colours of a screen, of gray and of a spot ink whose alternate is a screen's. */
  @Test
  public void runsOfColoursOfAScreenAreSeparatedAsTheirFlatColoursAre() throws IOException {
    HandPdf pdf = new HandPdf();
    pdf.page(
        "/MediaBox [0 0 100 100]",
        "/Shading << /A "
            + run("/DeviceRGB", "1 0 0", "0 0 1")
            + " /B "
            + run("/DeviceGray", "0", "1")
            + " /C "
            + run(
                "[/Separation /Reed /DeviceRGB << /FunctionType 2 /Domain [0 1] /N 1 /C0 [1 1 1] /C1 [0 0.5 0] >>]",
                "0",
                "1")
            + " >>",
        "q 0 80 100 20 re W n /A sh Q q 0 60 100 20 re W n /B sh Q q 0 40 100 20 re W n /C sh Q\n");
    InkPixels found = ours(Tool.file("runs.pdf", pdf.bytes()), 72);
    near(at(found, 0, 10), 0xff0000);
    near(at(found, 50, 10), 0x800080);
    near(at(found, 99, 10), 0x0000ff);
    assertThat(at(found, 50, 30)).as("gray is black alone").containsExactly(0, 0, 0, 50);
    near(at(found, 99, 50), 0x008000);
    near(at(found, 0, 50), 0xffffff);
  }

  private static void near(int[] percent, int rgb) {
    int packed = SCREEN.table().packed(rgb);
    for (int i = 0; i < 4; i++) {
      assertThat(percent[i])
          .as("ink " + i + " of " + Integer.toHexString(rgb))
          .isCloseTo(share(packed >>> 24 - 8 * i & 255), within(3));
    }
  }

  private static int share(int of) {
    return (int) Math.round(of / 2.55);
  }

  /** Percent of each ink, to the nearest of what a byte can hold. */
  private static int[] at(InkPixels p, int x, int y) {
    int[] out = new int[4];
    for (int i = 0; i < 4; i++) {
      out[i] = share(p.inks()[4 * (y * p.width() + x) + i] & 0xff);
    }
    return out;
  }
}
