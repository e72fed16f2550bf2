package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import com.microsoft.playwright.Page;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/**
 * The pictures of a title: brought by dragging and pasting, their licences said, credits placed.
 */
public class LibraryTest {
  private static final String CREDIT = "Photograph: Ines Roe, CC BY 4.0";

  private static byte[] png(int rgb) throws IOException {
    BufferedImage image = new BufferedImage(1200, 1800, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(new Color(rgb));
    g.fillRect(0, 0, 1200, 1800);
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  /** A file let go over the middle of a panel. */
  private static void drop(Desk desk, String panel, String name, byte[] file) {
    drop(desk, panel, 0.5, name, file);
  }

  /**
   * A file let go at a panel.
   *
   * @param across share of the panel's width, beyond it too
   */
  private static void drop(Desk desk, String panel, double across, String name, byte[] file) {
    desk.does(
        () ->
            desk.page.evaluate(
                "([panel, across, name, data]) => { const bytes = Uint8Array.from(atob(data), c => c.charCodeAt(0));"
                    + " const carried = new DataTransfer(); carried.items.add(new File([bytes], name, { type: 'image/png' }));"
                    + " const model = JSON.parse(document.getElementById('model').textContent); const [x, y, w, h] = model.panels.find(p => p.id === panel).box;"
                    + " const at = new DOMPoint(x + w * across, y + h / 2).matrixTransform(document.getElementById('sheet').getScreenCTM());"
                    + " const on = document.elementFromPoint(at.x, at.y);"
                    + " for (const type of ['dragover', 'drop']) on.dispatchEvent(new DragEvent(type, { bubbles: true, cancelable: true, clientX: at.x, clientY: at.y, dataTransfer: carried })); }",
                new Object[] {panel, across, name, Base64.getEncoder().encodeToString(file)}));
  }

  private static void openPictures(Desk desk) {
    desk.page.locator("#pieces .piece", new Page.LocatorOptions().setHasText("Ground")).click();
    desk.page.locator("#leaf-pictures > summary").click();
    assertThat(desk.page.locator(".asset").first()).isVisible();
  }

  @Test
  public void aPictureThatIsDraggedOntoAPanelLandsThereAndIsKept() throws IOException {
    Desk desk = Desk.atBench("Dragged", "");
    drop(desk, "back", "marsh.png", png(0x3c5a50));
    drop(desk, "front", "flats.png", png(0x806040));
    double[] back = desk.box("picture-1");
    double[] front = desk.box("picture-2");
    assertThat(back[0] + back[2] / 2).isLessThan(front[0] - 20);
    assertThat(desk.page.locator("#notes")).containsText("“marsh.png” is used is not known");
    openPictures(desk);
    assertThat(desk.page.locator(".asset b")).hasText(new String[] {"marsh.png", "flats.png"});
    assertThat(desk.page.locator(".asset-line").first())
        .hasText("1200 × 1800 px, PNG, RGB, no profile: taken for sRGB");
    assertThat(desk.page.locator(".asset").nth(1)).containsText("used: ");
  }

  @Test
  public void aPictureStandsWholeWhereItIsLetGoAndFillsItsPanelInOneAct() throws IOException {
    Desk desk = Desk.atBench("Let go", "");
    drop(desk, "front", 0.25, "flats.png", png(0x806040));
    double[] put = desk.box("picture-1");
    double[] front = panel(desk, "front");
    assertThat(put[2] / put[3]).isCloseTo(1200.0 / 1800, within(0.002));
    assertThat(put[0] + put[2] / 2)
        .isCloseTo(front[0] + front[2] / 4, within(0.5)); // a pixel or two
    assertThat(put[1] + put[3] / 2).isCloseTo(front[1] + front[3] / 2, within(0.5));
    assertThat(desk.page.locator(".figures .from")).hasText("From the front’s trim, in");
    desk.does(() -> desk.page.getByText("Fill the front to the bleed").click());
    double[] filled = desk.box("picture-1");
    // the bleed of 0.125 in at head, tail and fore-edge; none at the fold
    assertThat(filled[0]).isCloseTo(front[0], within(0.01));
    assertThat(filled[1]).isCloseTo(front[1] - 3.175, within(0.01));
    assertThat(filled[2]).isCloseTo(front[2] + 3.175, within(0.01));
    assertThat(filled[3]).isCloseTo(front[3] + 6.35, within(0.01));
    assertThat(desk.page.locator(".figures .from")).hasText("From the front’s bleed, in");
    assertThat(desk.page.locator("#p-left")).hasValue("0");
  }

  private static double[] panel(Desk desk, String id) {
    Object box =
        desk.page.evaluate(
            "id => JSON.parse(document.getElementById('model').textContent).panels.find(p => p.id === id).box",
            id);
    return ((List<?>) box).stream().mapToDouble(n -> ((Number) n).doubleValue()).toArray();
  }

  @Test
  public void aPictureLetGoBesideThePanelsLandsOnTheNearest() throws IOException {
    Desk desk = Desk.atBench("Beside the panels", "");
    drop(desk, "back", -0.01, "bleed.png", png(0x3c5a50)); // on the back's bleed
    double[] back = desk.box("picture-1");
    assertThat(back[0] + back[2]).isLessThan(7 * 25.4);
    drop(desk, "front", 1.01, "far.png", png(0x806040));
    assertThat(desk.box("picture-2")[0]).isGreaterThan(back[0] + 100);
  }

  @Test
  public void aPictureIsPastedFromTheClipboard() throws IOException {
    Desk desk = Desk.atBench("Pasted picture", "");
    String data = Base64.getEncoder().encodeToString(png(0x204060));
    desk.does(
        () ->
            desk.page.evaluate(
                "data => { const bytes = Uint8Array.from(atob(data), c => c.charCodeAt(0)); const carried = new DataTransfer();"
                    + " carried.items.add(new File([bytes], 'image.png', { type: 'image/png' }));"
                    + " document.body.dispatchEvent(new ClipboardEvent('paste', { bubbles: true, cancelable: true, clipboardData: carried })); }",
                data));
    assertThat(desk.page.locator("#artwork image")).hasCount(1);
  }

  @Test(groups = Extent.LONG)
  public void aCreditThatIsOwedIsPlacedAndFollowsTheListAndStandsInThePressFile()
      throws IOException {
    Desk desk = Desk.atBench("Credited", "");
    drop(desk, "front", "sea.png", png(0x305070));
    openPictures(desk);
    desk.does(() -> desk.page.locator("#asset-licence-0").selectOption("OPEN_WITH_CREDIT"));
    assertThat(desk.page.locator("#notes")).containsText("its credit line is empty");
    assertThat(desk.page.locator("[data-asset-use=credit]")).isVisible();
    desk.page.locator("#asset-credit-0").fill(CREDIT);
    desk.does(() -> desk.page.locator("#asset-credit-0").press("Tab"));
    assertThat(desk.page.locator("#notes")).containsText("stands nowhere");
    desk.does(() -> desk.page.locator("[data-asset-use=credit]").click());
    assertThat(desk.page.locator("#notes")).not().containsText("stands nowhere");
    assertThat(pressText(desk)).contains(CREDIT);
    assertThat(desk.page.locator("#asset-credit-0")).isVisible(); // the leaf is still open
    String other = CREDIT.replace("Ines", "Anna");
    desk.page.locator("#asset-credit-0").fill(other);
    desk.does(() -> desk.page.locator("#asset-credit-0").press("Tab"));
    assertThat(pressText(desk)).contains(other).doesNotContain("Ines");
    desk.page.reload();
    openPictures(desk);
    assertThat(desk.page.locator("#asset-credit-0")).hasValue(other);
    assertThat(desk.page.locator("#asset-licence-0")).hasValue("OPEN_WITH_CREDIT");
  }

  private static String pressText(Desk desk) throws IOException {
    byte[] file =
        desk.page.context().request().get("/editions/" + desk.id() + "/press-file").body();
    Path pdf = Files.write(Scratch.file("credits", ".pdf"), file);
    return Tool.ok("pdftotext", pdf.toString(), "-").replaceAll("\\s+", " ");
  }

  @Test
  public void aKeptPictureIsPutOnAgainMadeTheGroundAndTakenOffTheTitle() throws IOException {
    Desk desk = Desk.atBench("Kept picture", "");
    drop(desk, "front", "sea.png", png(0x305070));
    desk.does(() -> desk.page.locator("[data-edit=remove]").click());
    openPictures(desk);
    assertThat(desk.page.locator(".asset")).containsText("used nowhere");
    desk.does(() -> desk.page.locator("[data-asset-use=ground]").click());
    assertThat(desk.page.locator("#artwork image")).hasCount(1);
    assertThat(desk.page.locator("#leaf-framing")).isVisible();
    assertThat(desk.page.locator(".asset")).isVisible(); // the leaf is open again
    desk.does(() -> desk.page.locator("[data-asset-use=piece]").click());
    assertThat(desk.page.locator("#artwork image")).hasCount(2);
    for (int i = 0; i < 2; i++) {
      desk.does(
          () -> desk.page.getByText("Undo", new Page.GetByTextOptions().setExact(true)).click());
    }
    assertThat(desk.page.locator("#artwork image")).hasCount(0);
    openPictures(desk);
    desk.page.locator("[data-asset-use=off]").click();
    assertThat(desk.page.locator("#leaf-pictures .leaf"))
        .hasText(Pattern.compile("No pictures yet.*"));
  }

  @Test
  public void aPictureThatIsNotHereAndACreditThatIsTooLongAreRefusedWithASentence()
      throws IOException {
    Desk desk = Desk.atBench("Refused picture", "");
    drop(desk, "front", "sea.png", png(0x102030));
    var request = desk.page.context().request();
    String path = "/editions/" + desk.id() + "/bench";
    var none =
        request.post(
            path + "/pictures/" + "0".repeat(64),
            com.microsoft.playwright.options.RequestOptions.create()
                .setForm(com.microsoft.playwright.options.FormData.create().set("licence", "OWN"))
                .setHeader("Origin", desk.page.url().replaceAll("(//[^/]+)/.*", "$1")));
    assertThat(none.status()).isEqualTo(404);
    assertThat(none.text()).contains("no such picture").doesNotContain("Exception");
  }
}
