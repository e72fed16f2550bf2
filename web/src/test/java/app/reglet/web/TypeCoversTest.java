package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Function;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Four covers that are type, from an empty sheet to a press file, by mouse and by keys alone: with
 * {@code --long}.
 */
public class TypeCoversTest {
  private static final double PER_MM = 600 / 25.4;

  @DataProvider
  Object[][] hands() {
    Function<Desk, Hands> mouse = Hands.OfMouse::new;
    Function<Desk, Hands> keys = Hands.OfKeys::new;
    return new Object[][] {{"mouse", mouse}, {"keys", keys}};
  }

  /** The press file; it and the screen are kept to be looked at where a directory is told. */
  private static Path pressFile(Desk desk) throws IOException {
    String looks = System.getProperty("reglet.looks");
    Path file =
        looks == null
            ? Scratch.file("cover", ".pdf")
            : Path.of(looks, "cover-" + desk.id() + ".pdf");
    if (looks != null) {
      desk.page.screenshot(
          new Page.ScreenshotOptions().setPath(Path.of(looks, "cover-" + desk.id() + ".png")));
      for (int i = 0; i < 4; i++) { // four times 1.4 is about 400 %
        desk.page.locator("[data-zoom=in]").click();
      }
      desk.page.screenshot(
          new Page.ScreenshotOptions().setPath(Path.of(looks, "cover-" + desk.id() + "-400.png")));
    }
    return Files.write(
        file, desk.page.context().request().get("/editions/" + desk.id() + "/press-file").body());
  }

  /** Sets the words in hand in a typeface, found by its name. */
  private static void face(Hands h, String name, String id) {
    h.work("#leaf-face > summary");
    assertThat(h.page.locator("#face-find")).isFocused();
    h.page.keyboard().press("Control+a");
    h.page.keyboard().insertText(name);
    h.answered("#leaf-face .family:not([hidden]) .face-style[data-face='" + id + "']");
    assertThat(h.page.locator("#said-face")).not().hasText("Spectral");
  }

  private static void lines(Hands h, String along, String down) {
    h.pick("#w-align", along);
    h.pick("#w-vertical", down);
  }

  private static double[] middleOfInk(Path pdf, double[] mm, boolean light) throws IOException {
    Path out = pdf.resolveSibling(pdf.getFileName() + "-part");
    int[] px = new int[4];
    for (int i = 0; i < 4; i++) {
      px[i] = (int) Math.round(mm[i] * PER_MM);
    }
    Tool.ok(
        "pdftoppm",
        "-r",
        "600",
        "-png",
        "-singlefile",
        "-x",
        "" + px[0],
        "-y",
        "" + px[1],
        "-W",
        "" + px[2],
        "-H",
        "" + px[3],
        pdf.toString(),
        out.toString());
    BufferedImage image = ImageIO.read(Path.of(out + ".png").toFile());
    double[] found = {1e9, 1e9, -1e9, -1e9};
    for (int x = 0; x < image.getWidth(); x++) {
      for (int y = 0; y < image.getHeight(); y++) {
        if ((image.getRGB(x, y) >> 8 & 0xff) > 128 == light) {
          found[0] = Math.min(found[0], x);
          found[1] = Math.min(found[1], y);
          found[2] = Math.max(found[2], x + 1);
          found[3] = Math.max(found[3], y + 1);
        }
      }
    }
    return new double[] {
      mm[0] + (found[0] + found[2]) / 2 / PER_MM, mm[1] + (found[1] + found[3]) / 2 / PER_MM
    };
  }

  @Test(groups = Extent.LONG, dataProvider = "hands")
  public void aNotebookHasItsSpineWordsBoldInTheMiddleAndItsTitleOnTheFronts(
      String by, Function<Desk, Hands> of) throws IOException {
    Desk desk =
        Desk.atBench("FIELD NOTES", Map.of("trim", "6 x 9 in", "pages", "180", "blurb", ""));
    Hands h = of.apply(desk);
    h.type("#g-colour", "#000000");
    double[] f = h.front();
    h.add("front:title");
    face(h, "josefin", "josefin-sans");
    h.type("#w-size", "44");
    h.type("#w-tracking", "180");
    h.type("#w-leading", "0.9");
    lines(h, "CENTRE", "MIDDLE");
    h.lay(f[0] + 26, f[1] + 80, 100, 60);
    h.type("#b-colour", "#f6f2e6");
    h.centre();
    h.add("spine:title");
    face(h, "spectral", "spectral-bold");
    h.type("#w-size", "9");
    lines(h, "CENTRE", "CAPITALS");
    h.type("#b-colour", "#f6f2e6");
    // the house expects bars, and a book without a number has none
    assertThat(desk.page.locator("#notes .mend")).hasCount(1);
    assertThat(desk.page.locator("#notes .mend")).containsText("expects the ISBN barcode");
    Path pdf = pressFile(desk);
    double[] title = middleOfInk(pdf, new double[] {f[0] + 10, f[1] + 60, 130, 100}, true);
    assertThat(title[0]).isCloseTo(f[0] + f[2] / 2, within(0.6)); // F has less on its left than S
    double[] spine = h.panel("spine");
    double[] words =
        middleOfInk(pdf, new double[] {spine[0], spine[1] + 5, spine[2], spine[3] - 10}, true);
    assertThat(words[0]).isCloseTo(spine[0] + spine[2] / 2, within(0.06));
    assertThat(Tool.ok("pdffonts", pdf.toString())).contains("Spectral-Bold", "JosefinSans");
  }

  @Test(groups = Extent.LONG, dataProvider = "hands")
  public void aWorkbooksBadgeHasWordsAlongBothEdgesOfACircle(String by, Function<Desk, Hands> of)
      throws IOException {
    Desk desk =
        Desk.atBench("Slow Letters", Map.of("trim", "8.5 x 11 in", "pages", "96", "blurb", ""));
    Hands h = of.apply(desk);
    h.type("#g-colour", "#1f4f5b");
    double[] f = h.front();
    double[] circle = {f[0] + 70, f[1] + 150, 70, 70};
    h.add("shape:ellipse");
    h.lay(circle[0], circle[1], circle[2], circle[3]);
    h.type("#b-colour", "#d8593a");
    String[] texts = {"TRACE EVERY LINE", "for steady hands"};
    for (int i = 0; i < 2; i++) {
      h.add("front:own");
      h.type("#w-text", texts[i]);
      h.type("#w-size", "15");
      h.pick("#w-align", "CENTRE");
      h.type("#b-colour", "#fdf9ee");
      h.lay(circle[0] + 4, circle[1] + 4, circle[2] - 8, circle[3] - 8);
      h.pick("#w-curve", i == 0 ? "upper" : "lower");
      h.pick("#w-curve-side", "INSIDE");
    }
    h.add("front:title");
    h.type("#w-size", "60");
    h.answered("#w-shadow[type=checkbox]");
    h.lay(f[0] + 20, f[1] + 30, 170, 40);
    h.centre();
    // the house expects bars, and a book without a number has none
    assertThat(desk.page.locator("#notes .mend")).hasCount(1);
    assertThat(desk.page.locator("#notes .mend")).containsText("expects the ISBN barcode");
    Path pdf = pressFile(desk);
    String text = Tool.ok("pdftotext", pdf.toString(), "-");
    assertThat(text).contains("TRACE EVERY LINE", "for steady hands", "Slow Letters");
    // the ink of the words in the upper half of the ring is as far left as right of its middle
    double cx = circle[0] + circle[2] / 2;
    double[] upper =
        middleOfInk(
            pdf,
            new double[] {circle[0] + 3, circle[1] + 3, circle[2] - 6, circle[3] / 2 - 4},
            true);
    assertThat(upper[0]).isCloseTo(cx, within(0.8));
  }

  @Test(dataProvider = "hands", groups = Extent.LONG)
  public void aNovelHasFlapCopyInLinesOfOneLengthAndASpineOfFourParts(
      String by, Function<Desk, Hands> of) throws IOException {
    Map<String, String> facts = new HashMap<>();
    facts.putAll(
        Map.of(
            "house",
            "osier-row",
            "binding",
            "flapped",
            "trim",
            "148 x 210 mm",
            "pages",
            "320",
            "stock",
            "offset-100",
            "ink",
            "black",
            "frontFlap",
            "90 mm",
            "backFlap",
            "90 mm"));
    facts.put("imprint", "Sedge & Samphire");
    facts.put(
        "blurb",
        "After *The Tide Tables* nobody on the flats expected another book from the customs office. Its last clerk, told to burn every ledger, reads them instead, and finds in their columns the weather of four hundred years.");
    Desk desk = Desk.atBench("The Salt Ledger", facts);
    Hands h = of.apply(desk);
    double[] flap = h.panel("front-flap");
    h.add("front-flap:blurb");
    h.type("#w-size", "11");
    h.pick("#w-align", "JUSTIFIED");
    h.answered("#w-hyphenated[type=checkbox]");
    h.lay(flap[0] + 14, flap[1] + 30, 62, 110);
    h.add("front:author");
    face(h, "eb garamond", "eb-garamond");
    h.type("#w-size", "22");
    h.pick("#w-letters", "SMALL_CAPITALS");
    assertThat(desk.page.locator("#said-drawn")).hasCount(0);
    String author = h.add("spine:author");
    String title = h.add("spine:title");
    double[] spine = h.panel("spine");
    String leaf = h.add("ornament:compass");
    h.type("#p-height", "8 mm");
    h.type("#p-width", "8 mm");
    String imprint = h.add("spine:imprint");
    h.group(author, title, leaf, imprint);
    h.pick("#g-row", "HOUSE");
    h.lay(spine[0] + 3, spine[1] + 12, spine[2] - 6, spine[3] - 24);
    Path pdf = pressFile(desk);
    String text = Tool.ok("pdftotext", pdf.toString(), "-");
    assertThat(text.replace("\n", " ")).contains("After The Tide Tables nobody");
    String fonts = Tool.ok("pdffonts", pdf.toString());
    assertThat(fonts).contains("Spectral-Italic", "EBGaramond");
    assertThat(text).contains("Edda Marsh");
    double[] a = desk.box(author);
    double[] t = desk.box(title);
    double[] o = desk.box(leaf);
    double[] i = desk.box(imprint);
    double gap = t[1] - a[1] - a[3];
    assertThat(gap).isGreaterThan(1);
    assertThat(o[1] - t[1] - t[3]).isCloseTo(gap, within(0.01));
    assertThat(i[1] - o[1] - o[3]).isCloseTo(gap, within(0.01));
  }

  @Test(dataProvider = "hands", groups = Extent.LONG)
  public void anArabicTitleStandsOnAMirroredWrap(String by, Function<Desk, Hands> of)
      throws IOException {
    Desk desk =
        Desk.atBench(
            "دفتر الملح",
            Map.of(
                "trim",
                "6 x 9 in",
                "pages",
                "220",
                "blurb",
                "",
                "turn",
                "rtl",
                "author",
                "مارن ألدوس"));
    Hands h = of.apply(desk);
    double[] f = h.front();
    assertThat(f[0]).isLessThan(h.panel("spine")[0]);
    h.add("front:title");
    face(h, "amiri", "amiri-bold");
    h.type("#w-size", "64");
    lines(h, "CENTRE", "MIDDLE");
    h.lay(f[0] + 16, f[1] + 50, 120, 60);
    h.centre();
    h.add("spine:title");
    face(h, "amiri", "amiri-bold");
    h.type("#w-size", "16");
    lines(h, "CENTRE", "MIDDLE");
    // the house expects bars, and a book without a number has none
    assertThat(desk.page.locator("#notes .mend")).hasCount(1);
    assertThat(desk.page.locator("#notes .mend")).containsText("expects the ISBN barcode");
    Path pdf = pressFile(desk);
    assertThat(Tool.ok("pdftotext", pdf.toString(), "-")).contains("دفتر الملح");
    double[] title = middleOfInk(pdf, new double[] {f[0] + 8, f[1] + 40, 136, 90}, false);
    assertThat(title[0]).isCloseTo(f[0] + f[2] / 2, within(1.5));
  }
}
