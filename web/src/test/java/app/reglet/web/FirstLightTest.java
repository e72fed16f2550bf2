package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.client.j2se.BufferedImageLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.oned.EAN13Reader;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** From the facts of a book to a press file, as a new user goes through it. */
public class FirstLightTest {

  @Test(groups = Extent.LONG)
  public void fromFactsToPressFile() throws Exception {
    Desk desk = Desk.open().makeTitle("A Lantern for Low Water", "Edda Marsh");
    Page page = desk.page;
    assertThat(page.locator("#measure-line")).containsText("Give a page count");
    desk.type("trim", "6 x 9")
        .type("pages", "100")
        .type("isbn", "978-0-306-40615-7")
        .type("blurb", "A difficult, affable flood.");
    assertThat(page.locator("#m-spine")).hasText("0.2252 in");
    assertThat(page.locator("#m-sheet")).hasText("12.4752 × 9.25 in");
    assertThat(page.locator("#sum-width")).hasText("2 × 6 + 0.2252 + 2 × 0.125 = 12.4752 in");
    assertThat(page.locator(".wrap-drawing"))
        .hasAttribute("aria-label", Pattern.compile(".*12\\.4752.*"));

    desk.bench().layout("Ledger");
    double[] title = desk.box("title");
    double[] blurb = desk.box("blurb");
    double front = foldAt(page, 1);
    Path hundred = press(desk);

    page.navigate("/editions/" + desk.id() + "/docket");
    desk.type("pages", "320");
    // 220 × 0.002252 in = 0.49544 in = 12.584176 mm
    assertThat(page.locator("#changes"))
        .hasText(
            Pattern.compile(
                ".*spine \\+0\\.4954 in; front moved right by the same.*; 5 pieces kept their places; nothing new to mend.*"));
    assertThat(page.locator("#m-spine")).hasText("0.72064 in");
    desk.bench();
    assertThat(foldAt(page, 1) - front).isCloseTo(12.584176, within(0.001));
    assertThat(desk.box("title")[0] - title[0]).isCloseTo(12.584176, within(0.001));
    assertThat(desk.box("title")[1]).isCloseTo(title[1], within(0.001));
    assertThat(desk.box("blurb")).containsExactly(blurb, within(0.001));

    Path file = press(desk);
    judge(file, 12.97064, 9.25);
    inspect(desk, file, "Fits", null);
    inspect(desk, hundred, "Does not fit", "0.4954 in too narrow");
    assertThat(page.locator("#report")).containsText("12.9706 × 9.25 in");
    assertThat(page.locator("#report")).containsText("12.4752 × 9.25 in");
  }

  private static double foldAt(Page page, int index) {
    String d = page.locator("#sheet .guide-fold > path").nth(index).getAttribute("d");
    Matcher m = Pattern.compile("M([\\d.]+) ").matcher(d);
    assertThat(m.find()).isTrue();
    return Double.parseDouble(m.group(1));
  }

  private static Path press(Desk desk) {
    desk.page.navigate("/editions/" + desk.id() + "/dispatch");
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make press file"))
        .click();
    assertThat(desk.page.locator("#made .fits").first()).hasText("fits");
    Download download = desk.page.waitForDownload(() -> desk.page.locator("#download").click());
    assertThat(download.suggestedFilename())
        .matches(
            "a-lantern-for-low-water_perfect-bound_wrap_gannet-and-gauge_6x9in_(100|320)pp_r\\d+_no\\d+-\\d+\\.pdf");
    Path to = Scratch.directory("press").resolve(download.suggestedFilename());
    download.saveAs(to);
    return to;
  }

  /** Poppler, qpdf and two barcode readers look at the file. */
  private static void judge(Path file, double width, double height) throws Exception {
    String boxes = Tool.ok("pdfinfo", "-box", file.toString());
    assertThat(boxes)
        .containsPattern("Pages:\\s+1\\b")
        .contains("A Lantern for Low Water")
        .contains("Edda Marsh");
    Matcher m =
        Pattern.compile("MediaBox:\\s+0\\.00\\s+0\\.00\\s+([\\d.]+)\\s+([\\d.]+)").matcher(boxes);
    assertThat(m.find()).as(boxes).isTrue();
    assertThat(Double.parseDouble(m.group(1))).isCloseTo(width * 72, within(0.01));
    assertThat(Double.parseDouble(m.group(2))).isCloseTo(height * 72, within(0.01));
    Tool.ok("qpdf", "--check", file.toString());
    assertThat(Tool.ok("pdffonts", file.toString()).lines().skip(2))
        .isNotEmpty()
        .allMatch(r -> r.matches(".* yes +yes +yes.*"));
    assertThat(Tool.ok("pdftotext", file.toString(), "-")).contains("difficult, affable");
    Path png = file.resolveSibling("page");
    Tool.ok("pdftoppm", "-r", "300", "-png", "-singlefile", file.toString(), png.toString());
    var bitmap =
        new BinaryBitmap(
            new HybridBinarizer(
                new BufferedImageLuminanceSource(ImageIO.read(Path.of(png + ".png").toFile()))));
    assertThat(new EAN13Reader().decode(bitmap, Map.of(DecodeHintType.TRY_HARDER, true)).getText())
        .isEqualTo("9780306406157");
    assertThat(Tool.ok("zbarimg", "-q", "--raw", png + ".png").lines()).contains("9780306406157");
  }

  private static void inspect(Desk desk, Path file, String verdict, String said) {
    String id =
        desk.page.url().contains("/editions/")
            ? desk.id()
            : desk.page.url().replaceAll(".*edition=(\\d+).*", "$1");
    desk.page.navigate("/inspect?edition=" + id);
    assertThat(desk.page.locator("#edition option:checked")).containsText("Gannet & Gauge");
    desk.page.getByLabel("PDF").setInputFiles(file);
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Inspect file"))
        .click();
    assertThat(desk.page.locator(".verdict")).hasText(verdict);
    if (said != null) {
      assertThat(desk.page.locator("#report")).containsText(said);
    }
  }
}
