package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.testng.annotations.Test;

/** How a picture is framed and treated, by mouse and keys, on the sheet and in the press file. */
public class TreatmentTest {
  private static final int[] COLOURS = {0xb03020, 0x30a050, 0x2040c0, 0xd0c080};

  /** Four colours in its corners, row by row. */
  private static FilePayload picture(int... colours) throws IOException {
    BufferedImage image = new BufferedImage(600, 900, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    for (int i = 0; i < 4; i++) {
      g.setColor(new Color(colours[i % colours.length]));
      g.fillRect(i % 2 * 300, i / 2 * 450, 300, 450);
    }
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return new FilePayload("four.png", "image/png", out.toByteArray());
  }

  private static Desk withPicture(String title, int... colours) throws IOException {
    Desk desk = Desk.inScreenColours(title, "");
    FilePayload file = picture(colours);
    desk.does(() -> desk.page.locator("#add-picture").setInputFiles(file));
    return desk;
  }

  private static Locator image(Desk desk) {
    return desk.page.locator("#artwork image");
  }

  private static void open(Desk desk, String leaf) {
    desk.page.locator(leaf + " > summary").click();
    assertThat(desk.page.locator(leaf + " .leaf")).isVisible();
  }

  /** Sets a slider. */
  private static void set(Desk desk, String field, String value) {
    desk.does(() -> desk.page.locator(field).fill(value));
  }

  /** Types into a field that is sent when it is left. */
  private static void type(Desk desk, String field, String value) {
    desk.page.locator(field).fill(value);
    desk.does(() -> desk.page.locator(field).press("Tab"));
  }

  /** The pixels that the sheet shows. */
  private static BufferedImage onScreen(Desk desk) throws IOException {
    String href = image(desk).getAttribute("href");
    return ImageIO.read(new ByteArrayInputStream(desk.page.context().request().get(href).body()));
  }

  private static BufferedImage inPressFile(Desk desk) throws IOException {
    byte[] file =
        desk.page.context().request().get("/editions/" + desk.id() + "/press-file").body();
    try (PDDocument pdf = Loader.loadPDF(file)) {
      return image(pdf.getPage(0).getResources());
    }
  }

  private static BufferedImage image(PDResources resources) throws IOException {
    for (COSName name : resources.getXObjectNames()) {
      if (resources.getXObject(name) instanceof PDImageXObject i) {
        return i.getImage();
      }
      if (resources.getXObject(name) instanceof PDFormXObject f) {
        BufferedImage in = image(f.getResources());
        if (in != null) {
          return in;
        }
      }
    }
    return null;
  }

  private static int[] corners(BufferedImage image) {
    int[] found = new int[4];
    for (int i = 0; i < 4; i++) {
      found[i] =
          image.getRGB(
                  image.getWidth() * (i % 2 == 0 ? 1 : 3) / 4,
                  image.getHeight() * (i / 2 == 0 ? 1 : 3) / 4)
              & 0xffffff;
    }
    return found;
  }

  private static void near(int[] found, int[] expected, int by) {
    for (int i = 0; i < found.length; i++) {
      for (int shift = 0; shift < 24; shift += 8) {
        assertThat(found[i] >> shift & 0xff)
            .as("corner " + i + " of " + Integer.toHexString(found[i]))
            .isBetween(
                Math.max(0, (expected[i] >> shift & 0xff) - by),
                (expected[i] >> shift & 0xff) + by);
      }
    }
  }

  /** A full picture made beside the quick one would hold it up. */
  @Test
  public void aSlidersStepFetchesTheQuickPictureFirst() throws IOException {
    Desk desk = withPicture("Quick", COLOURS);
    open(desk, "#leaf-treatment");
    List<String> fetched = new CopyOnWriteArrayList<>();
    desk.page.onRequest(
        r -> {
          if (r.url().contains("/preview?as=")) {
            fetched.add(r.url());
          }
        });
    set(desk, "#pic-brightness", "-40");
    assertThat(image(desk)).hasAttribute("href", Pattern.compile(".*_-40_[^&]*$"));
    assertThat(fetched).hasSize(2);
    assertThat(fetched.get(0)).endsWith("&quick=true");
    assertThat(fetched.get(0)).startsWith(fetched.get(1));
  }

  @Test
  public void theSheetAndThePressFileShowTheSameTreatedPixels() throws IOException {
    Desk desk = withPicture("Treated", COLOURS);
    near(corners(onScreen(desk)), COLOURS, 4);
    open(desk, "#leaf-treatment");
    set(desk, "#pic-saturation", "-100");
    assertThat(image(desk)).hasAttribute("href", Pattern.compile(".*_-100_.*"));
    // the matrix of Filter Effects: 0.213 R + 0.715 G + 0.072 B
    int[] gray = new int[4];
    for (int i = 0; i < 4; i++) {
      gray[i] =
          0x010101
              * (int)
                  Math.round(
                      0.213 * (COLOURS[i] >> 16)
                          + 0.715 * (COLOURS[i] >> 8 & 0xff)
                          + 0.072 * (COLOURS[i] & 0xff));
    }
    near(corners(onScreen(desk)), gray, 4);
    near(corners(inPressFile(desk)), gray, 1);
    assertThat(desk.page.locator("#said-treatment")).hasText("paler");
    desk.does(() -> desk.page.locator("#pic-toning").selectOption("TWO_COLOURS"));
    type(desk, "#pic-dark", "#ff0000");
    assertThat(image(desk)).hasAttribute("href", Pattern.compile(".*_16711680_.*"));
    assertThat(corners(inPressFile(desk))[0] >> 16).isEqualTo(0xff);
    near(corners(onScreen(desk)), corners(inPressFile(desk)), 4);
    desk.does(() -> desk.page.locator("[data-untreated]").click());
    assertThat(desk.page.locator("#said-treatment")).hasText("as it is");
    near(corners(inPressFile(desk)), COLOURS, 0);
  }

  @Test
  public void aSliderThatIsDrawnIsOneStepForUndo() throws IOException {
    Desk desk = withPicture("Drawn slider", COLOURS);
    open(desk, "#leaf-treatment");
    String before = image(desk).getAttribute("href");
    Locator slider = desk.page.locator("#pic-brightness");
    slider.focus();
    for (int i = 0; i < 12; i++) {
      desk.page.keyboard().press("ArrowLeft");
    }
    assertThat(desk.page.locator("output[for=pic-brightness]")).hasText("-12");
    assertThat(image(desk)).hasAttribute("href", Pattern.compile(".*as=0_255_1\\.0_-12_.*"));
    desk.does(
        () -> desk.page.getByText("Undo", new Page.GetByTextOptions().setExact(true)).click());
    assertThat(image(desk)).hasAttribute("href", before);
    assertThat(desk.page.locator("#said-treatment")).hasText("as it is");
  }

  @Test
  public void aPictureIsTurnedMirroredAndEnlargedRoundItsFocus() throws IOException {
    Desk desk = withPicture("Framed", COLOURS);
    String ppi = desk.text("#said-ppi");
    open(desk, "#leaf-framing");
    desk.does(() -> desk.page.locator("#pic-mirrored").check());
    type(desk, "#pic-zoom-figure", "200");
    assertThat(desk.page.locator("#said-framing")).hasText("fills its box, 200 %, mirrored");
    // twice as large is half as fine
    double was = Double.parseDouble(ppi.replaceAll(" ppi.*", ""));
    double now = Double.parseDouble(desk.text("#said-ppi").replaceAll(" ppi.*", ""));
    assertThat(now).isBetween(was / 2 - 1, was / 2 + 1);
    set(desk, "#pic-x", "0");
    set(desk, "#pic-y", "0");
    // the upper left corner as it is seen: of the file, which is mirrored, the upper right
    near(new int[] {covered(desk)}, new int[] {COLOURS[1]}, 2);
    desk.does(() -> desk.page.locator("[data-turned='1']").click());
    assertThat(desk.page.locator("#said-framing"))
        .hasText("fills its box, 200 %, turned 90°, mirrored");
    near(new int[] {covered(desk)}, new int[] {COLOURS[1]}, 2);
    // the pad shows it as it lies: turned, then mirrored, and what is pressed on is what is seen
    BufferedImage pad =
        ImageIO.read(new ByteArrayInputStream(desk.page.locator("#focus-pad").screenshot()));
    int[] seen = corners(pad);
    near(seen, new int[] {COLOURS[0], COLOURS[2], COLOURS[1], COLOURS[3]}, 12);
    BoundingBox box = desk.page.locator("#focus-pad").boundingBox();
    desk.does(() -> desk.page.mouse().click(box.x + box.width - 1, box.y + 1));
    near(new int[] {covered(desk)}, new int[] {COLOURS[2]}, 2);
    desk.does(() -> desk.page.locator("[data-turned='-1']").click());
    assertThat(desk.page.locator("#said-framing")).hasText("fills its box, 200 %, mirrored");
  }

  /** What colour lies all over the middle of the picture's box. */
  private static int covered(Desk desk) throws IOException {
    double[] box = desk.box(desk.page.locator(".hold").first().getAttribute("data-piece"));
    byte[] file =
        desk.page.context().request().get("/editions/" + desk.id() + "/press-file").body();
    java.nio.file.Path pdf = java.nio.file.Files.write(Scratch.file("framed", ".pdf"), file);
    java.nio.file.Path png = pdf.resolveSibling(pdf.getFileName() + ".out");
    Tool.ok("pdftoppm", "-r", "25.4", "-png", "-singlefile", pdf.toString(), png.toString());
    BufferedImage page = ImageIO.read(new java.io.File(png + ".png"));
    return page.getRGB((int) (box[0] + box[2] / 2), (int) (box[1] + box[3] / 2)) & 0xffffff;
  }

  @Test
  public void levelsAreFoundAndAPictureOfOneToneHasNone() throws IOException {
    Desk desk = withPicture("Levels", 0x404040, 0xa0a0a0);
    open(desk, "#leaf-treatment");
    assertThat(desk.page.locator(".tones img")).isVisible();
    desk.does(() -> desk.page.locator("[data-levels]").click());
    assertThat(desk.page.locator("#pic-black")).hasValue(Pattern.compile("6[3-5]"));
    assertThat(desk.page.locator("#pic-white")).hasValue(Pattern.compile("1(59|60|61)"));
    Desk flat = withPicture("One tone", 0x3c5a50);
    open(flat, "#leaf-treatment");
    flat.does(() -> flat.page.locator("[data-levels]").click(), 400);
    assertThat(flat.page.locator("#message")).containsText("all of one tone");
    flat.does(() -> flat.page.locator("#pic-black").fill("300"), 400);
    assertThat(flat.page.locator("#message")).containsText("from 0 to 254");
    assertThat(flat.page.locator("#said-treatment")).hasText("as it is");
  }

  @Test
  public void anAddressThatSaysNoTreatmentIsAnsweredWithASentence() throws IOException {
    Desk desk = withPicture("Addresses", COLOURS);
    String href = image(desk).getAttribute("href");
    for (String as : new String[] {"x", "0_0_0", "9".repeat(3000), "%00", "0_255_1.0_NaN"}) {
      var answer = desk.page.context().request().get(href + "?as=" + as);
      assertThat(answer.status()).as(as).isIn(400, 404, 422);
    }
    var none = desk.page.context().request().get("/pictures/" + "0".repeat(64) + "/tones.svg");
    assertThat(none.status()).isEqualTo(404);
  }
}
