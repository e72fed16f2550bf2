package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.lang.reflect.Method;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.PDXObject;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Three covers from an empty sheet to a press file, by mouse and again by keys alone. */
public class ThreeCoversTest {
  /**
   * Made by keys where a run is short; the others by mouse. In a whole run each is made by both.
   */
  private static final Set<String> BY_KEYS = Set.of("aPocketBookHasItsMarkAndAgreesWithATemplate");

  @DataProvider
  Object[][] hands(Method test) {
    Function<Desk, Hands> mouse = Hands.OfMouse::new;
    Function<Desk, Hands> keys = Hands.OfKeys::new;
    Object[][] both = {{"mouse", mouse}, {"keys", keys}};
    return Extent.whole() ? both : new Object[][] {both[BY_KEYS.contains(test.getName()) ? 1 : 0]};
  }

  private static PDDocument pressFile(Desk desk) throws IOException {
    return Loader.loadPDF(
        desk.page.context().request().get("/editions/" + desk.id() + "/press-file").body());
  }

  private static void words(Hands h, String label, String text, String size, double... box) {
    h.add(label);
    if (!text.isEmpty()) {
      h.type("#w-text", text);
    }
    h.type("#w-size", size);
    h.lay(box[0], box[1], box[2], box[3]);
  }

  @Test(dataProvider = "hands", groups = Extent.LONG)
  public void aWorkbookIsMadeOnItsPattern(String by, Function<Desk, Hands> of) throws IOException {
    Desk desk =
        Desk.atBench("A Steady Hand", Map.of("trim", "6 x 9 in", "pages", "100", "blurb", ""));
    Hands h = of.apply(desk);
    h.type("#g-colour", "#1f4f5b");
    h.pick("#g-pattern", "on");
    h.answered("#leaf-motif button[data-ornament=scale]");
    h.type("#ink-0", "#2a606d");
    h.type("#tile-width", "15 mm");
    double[] f = h.front();
    h.add("shape:rectangle");
    h.lay(f[0] + 17, f[1] + 66, 118, 112);
    h.type("#b-colour", "#fdf9ee");
    h.type("#f-radius", "7 mm");
    h.pick("#edge-kind", "plain");
    h.type("#edge-width", "1.8 mm");
    h.type("#edge-colour", "#d8593a");
    String[] lines = {"salt salt salt", "shore shore", "a wren, a wren"};
    for (int i = 0; i < lines.length; i++) {
      words(h, "front:own", lines[i], "40", f[0] + 27, f[1] + 80 + i * 32, 98, 24);
      h.type("#b-colour", "#23343a");
    }
    words(h, "front:title", "", "60", f[0] + 26, f[1] + 20, 116, 26);
    String title = h.chosen();
    h.type("#b-colour", "#fdf9ee");
    h.centre();
    String star = h.add("shape:star");
    h.lay(f[0] + 100, f[1] + 170, 40, 40);
    h.type("#b-colour", "#d8593a");
    String ring = h.add("shape:ellipse");
    h.lay(f[0] + 106, f[1] + 176, 28, 28);
    h.type("#b-colour", "#f2c98f");
    h.group(star, ring);
    String badge = h.chosen();
    double[] starWas = desk.box(star);
    double[] ringWas = desk.box(ring);
    double[] badgeWas = desk.box(badge);
    h.smaller(10);
    // as one: by the same share, and the ring as far within the star
    double k = desk.box(badge)[2] / badgeWas[2];
    assertThat(k).isBetween(0.7, 0.8);
    assertThat(desk.box(star)[2] / starWas[2]).isCloseTo(k, within(1e-6));
    assertThat(desk.box(ring)[2] / ringWas[2]).isCloseTo(k, within(1e-6));
    assertThat((desk.box(ring)[0] - desk.box(star)[0]) / (ringWas[0] - starWas[0]))
        .isCloseTo(k, within(1e-6));
    double[] t = desk.box(title);
    assertThat(t[0] + t[2] / 2).isCloseTo(f[0] + f[2] / 2, within(1e-6));
    assertThat(desk.page.locator("#artwork pattern path[fill='#2a606d']").first()).isAttached();
    // the house expects bars, and a book without a number has none
    assertThat(desk.page.locator("#notes .mend")).hasCount(1);
    assertThat(desk.page.locator("#notes .mend")).containsText("expects the ISBN barcode");
    try (PDDocument file = pressFile(desk)) {
      String text = new PDFTextStripper().getText(file);
      assertThat(text).contains("salt salt salt", "shore shore", "a wren, a wren", "A Steady Hand");
    }
  }

  @Test(dataProvider = "hands", groups = Extent.LONG)
  public void aMagazineHasASingleFlapAndAnInside(String by, Function<Desk, Hands> of)
      throws IOException {
    Map<String, String> facts =
        new HashMap<>(
            Map.of(
                "house",
                "osier-row",
                "binding",
                "flapped",
                "trim",
                "A4",
                "pages",
                "152",
                "stock",
                "offset-100",
                "ink",
                "black"));
    facts.putAll(Map.of("frontFlap", "105 mm", "backFlap", "0 mm", "inside", "on", "blurb", ""));
    Desk desk = Desk.atBench("Slack Hours", facts);
    Hands h = of.apply(desk);
    h.pick("#fill-kind", "linear");
    double[] f = h.front();
    assertThat(h.panel("front-flap")[2]).isCloseTo(105, within(1e-6));
    assertThat(h.panel("spine")[2]).isCloseTo(10, within(0.05));
    h.add("shape:ellipse");
    h.lay(f[0] + 45, f[1] + 92, 120, 120);
    h.type("#b-colour", "#e4572e");
    words(h, "front:title", "", "120", f[0] + 12, f[1] + 12, 186, 46);
    words(h, "spine:title", "", "11", f[0] - 9, f[1] + 14, 8, 120);
    h.toInside();
    h.type("#g-colour", "#1d5163");
    words(h, "front:own", "Slack water is short.", "24", f[0] - 100, f[1] + 90, 80, 60);
    h.type("#b-colour", "#f3e3c6");
    try (PDDocument file = pressFile(desk)) {
      assertThat(file.getNumberOfPages()).isEqualTo(2);
      PDFTextStripper inside = new PDFTextStripper();
      inside.setStartPage(2);
      assertThat(inside.getText(file).strip()).isEqualTo("Slack water is short.");
    }
  }

  @Test(dataProvider = "hands")
  public void aPocketBookHasItsMarkAndAgreesWithATemplate(String by, Function<Desk, Hands> of)
      throws IOException {
    Desk desk =
        Desk.atBench(
            "Birds of the Dyke",
            Map.of(
                "house",
                "osier-row",
                "trim",
                "105 x 148 mm",
                "pages",
                "160",
                "stock",
                "bulky-80",
                "isbn",
                Desk.isbn(),
                "blurb",
                ""));
    Hands h = of.apply(desk);
    h.type("#g-colour", "#d9c27a");
    double[] f = h.front();
    words(h, "front:title", "", "36", f[0] + 9, f[1] + 10, 87, 34);
    h.addFile(mark());
    h.lay(f[0] + 60, f[1] + 90, 30, 30);
    h.add("barcode");
    List<?> sheet =
        (List<?>)
            desk.page.evaluate(
                "() => JSON.parse(document.getElementById('model').textContent).sheet");
    double width = ((Number) sheet.get(0)).doubleValue();
    double height = ((Number) sheet.get(1)).doubleValue();
    h.work("#view-leaf > summary");
    h.hand("#template-file", template(width, height));
    assertThat(desk.page.locator("#template-said")).containsText("as the sheet measured here does");
    h.hand("#template-file", template(width + 2, height));
    assertThat(desk.page.locator("#template-said")).containsText("2 mm wider and no higher");
    assertThat(desk.page.locator("#lay .template")).isAttached();
    assertThat(desk.page.locator("#notes .mend")).hasCount(0);
    try (PDDocument file = pressFile(desk)) {
      assertThat(softMasks(file.getPage(0).getResources())).isEqualTo(1);
    }
  }

  private static Path template(double width, double height) throws IOException {
    Path file = Scratch.file("template", ".pdf");
    try (PDDocument d = new PDDocument()) {
      d.addPage(
          new PDPage(new PDRectangle((float) (width / 25.4 * 72), (float) (height / 25.4 * 72))));
      d.save(file.toFile());
    }
    return file;
  }

  /** A mark that is clear where nothing is drawn. */
  private static Path mark() throws IOException {
    BufferedImage image = new BufferedImage(600, 600, BufferedImage.TYPE_INT_ARGB);
    Graphics2D g = image.createGraphics();
    g.setColor(new Color(0x2b2f25));
    g.fillOval(60, 60, 480, 480);
    g.dispose();
    Path file = Scratch.file("mark", ".png");
    ImageIO.write(image, "png", file.toFile());
    return file;
  }

  private static int softMasks(PDResources resources) throws IOException {
    int found = 0;
    for (COSName name : resources.getXObjectNames()) {
      PDXObject object = resources.getXObject(name);
      if (object instanceof PDImageXObject image) {
        found += image.getSoftMask() == null ? 0 : 1;
      } else if (object instanceof PDFormXObject form) {
        found += softMasks(form.getResources());
      }
    }
    return found;
  }
}
