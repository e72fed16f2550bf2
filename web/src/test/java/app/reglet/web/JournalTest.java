package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.testng.annotations.Test;

/**
 * A journal on a photo all over the wrap, whose subject stands in front of a panel; then it has 150
 * pages more.
 */
public class JournalTest {
  private static final Color BUOY = new Color(0xc8402a);

  /** A buoy on the sea, left of the middle: mirrored it is on the front. */
  private static Path photograph() throws IOException {
    BufferedImage image = new BufferedImage(5400, 3440, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setPaint(new GradientPaint(0, 0, new Color(0xa9c3cf), 0, 3440, new Color(0x3f6173)));
    g.fillRect(0, 0, 5400, 3440);
    g.setColor(BUOY);
    g.fillOval(930, 1090, 760, 1200);
    g.dispose();
    Path file = Scratch.file("buoy", ".jpg");
    ImageIO.write(image, "jpg", file.toFile());
    return file;
  }

  private static List<?> subject(Hands h, String subject) {
    return List.of(
        h.desk.box(subject)[2],
        h.page.locator("#artwork [data-piece='" + subject + "']").first().isVisible());
  }

  /** How many pixels of a picture are as red as the buoy, and the middle of them across, mm. */
  private static double[] red(BufferedImage image, double mm) {
    long n = 0;
    double across = 0;
    for (int y = 0; y < image.getHeight(); y += 2) {
      for (int x = 0; x < image.getWidth(); x += 2) {
        Color c = new Color(image.getRGB(x, y));
        if (c.getRed() > c.getBlue() + 60 && c.getRed() > c.getGreen() + 60) {
          n++;
          across += x;
        }
      }
    }
    assertThat(n).isPositive();
    return new double[] {n, across / n * mm / image.getWidth()};
  }

  private static BufferedImage pressFile(Desk desk) throws IOException {
    byte[] file =
        desk.page.context().request().get("/editions/" + desk.id() + "/press-file").body();
    try (PDDocument pdf = Loader.loadPDF(file)) {
      return new PDFRenderer(pdf).renderImageWithDPI(0, 50);
    }
  }

  @Test(groups = Extent.LONG)
  public void aPhotoAllOverIsMirroredDarkenedAndCutAndFollowsThePages() throws IOException {
    Desk desk =
        Desk.atBench(
            "The Sea Journal",
            Map.of(
                "trim",
                "8 x 10 in",
                "pages",
                "150",
                "stock",
                "cream",
                "isbn",
                Desk.isbn(),
                "blurb",
                "Ruled pages, a ribbon, and room for the weather of every day."));
    Hands h = new Hands.OfMouse(desk);
    Path photo = photograph();
    desk.does(() -> h.page.locator("#bg-file").setInputFiles(photo));
    // the ground's framing and treatment
    h.reach("#pic-mirrored");
    Live.settled(h.page);
    assertThat(h.page.locator("#pic-mirrored")).isChecked();
    desk.does(() -> h.page.locator("#pic-y").fill("0.4"));
    h.reach("#leaf-treatment > summary");
    desk.does(() -> h.page.locator("#pic-brightness").fill("-20"));
    // words on the back on a panel that lets the photo through
    double[] back = h.panel("back");
    h.add("back:blurb");
    String words = h.chosen();
    h.type("#w-size", "13");
    h.lay(back[0] + 30, back[1] + 60, 140, 60);
    h.answered("#w-panel");
    h.type("#w-panel-colour", "#f4efe4");
    h.type("#w-panel-opacity", "80");
    // a title, a band across the front, and the buoy before it
    double[] front = h.front();
    h.add("front:title");
    h.type("#w-size", "54");
    h.lay(front[0] + 21.6, front[1] + 18, 160, 50);
    h.type("#b-colour", "#fbf6ea");
    h.add("shape:rectangle");
    String band = h.chosen();
    h.lay(front[0] + 11.6, front[1] + 150, 180, 40);
    h.type("#b-colour", "#20343f");
    h.letGo();
    h.reach("#leaf-cut > summary");
    h.page.waitForFunction("() => document.querySelector('#cut-pad img').naturalWidth > 0");
    desk.does(() -> h.page.locator("#cut-propose").click());
    h.page.waitForFunction(
        "() => (document.querySelector('.cut-line').getAttribute('d') ?? '') !== ''");
    desk.does(() -> h.page.locator("#cut-apart").click());
    String subject = h.chosen();
    assertThat(subject).startsWith("subject");
    desk.does(
        () ->
            h.page
                .getByRole(
                    AriaRole.BUTTON,
                    new Page.GetByRoleOptions().setName("Put the barcode in its area"))
                .click());
    h.reach("#leaf-pictures > summary");
    h.page.locator("[data-asset=licence]").first().selectOption("OWN");
    assertThat(desk.page.locator("#notes")).containsText("Nothing to mend");
    List<?> before = subject(h, subject);
    BufferedImage thin = pressFile(desk);
    double spine = h.panel("spine")[2];
    double sheet = 2 * 203.2 + spine + 6.35;
    double[] red = red(thin, sheet);
    double[] was = h.front();
    assertThat(red[1]).as("mirrored, it is on the front").isBetween(was[0], was[0] + was[2]);

    desk.page.navigate("/editions/" + desk.id() + "/docket");
    desk.type("pages", "300");
    desk.bench();
    assertThat(h.panel("spine")[2]).isCloseTo(spine + 150 * 0.0025 * 25.4, within(0.001));
    assertThat(desk.page.locator("#notes")).containsText("Nothing to mend");
    BufferedImage thick = pressFile(desk);
    double wider = sheet + h.panel("spine")[2] - spine;
    double[] now = red(thick, wider);
    // as large as it was, but for what the photo grows with the sheet, and whole before the band
    assertThat(now[0] / thick.getWidth() / thick.getHeight() * wider)
        .isCloseTo(red[0] / thin.getWidth() / thin.getHeight() * sheet, within(sheet * 0.004));
    double[] is = h.front();
    assertThat(now[1]).isBetween(is[0], is[0] + is[2]);
    assertThat(subject(h, subject).get(1)).isEqualTo(before.get(1));
    // the words hold to their panel, the band to its
    assertThat(desk.box(words)[0] - h.panel("back")[0]).isCloseTo(30, within(1e-3));
    assertThat(desk.box(band)[0] - is[0]).isCloseTo(11.6, within(1e-3));
  }
}
