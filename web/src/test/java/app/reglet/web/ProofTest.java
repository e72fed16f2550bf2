package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.press.colour.OutputCondition;
import app.reglet.testing.Extent;
import app.reglet.web.harness.Web;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.FilePayload;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** Inks on the screen: Proof, the bench, the palette, and printing conditions of one's own. */
public class ProofTest {
  private static BufferedImage picture(Desk desk, String view) throws IOException {
    return ImageIO.read(
        new ByteArrayInputStream(
            desk.page
                .context()
                .request()
                .get("/editions/" + desk.id() + "/proof/picture?view=" + view)
                .body()));
  }

  private static Desk coloured(String title, String colour) throws IOException {
    Desk desk = Desk.atBench(title, "");
    desk.does(
        () -> {
          desk.page.locator("#g-colour").fill(colour);
          desk.page.keyboard().press("Enter");
        });
    return desk;
  }

  @Test
  public void aGreenOfTheScreenComesOutAsTheInksOfThePress() throws IOException {
    Desk desk = coloured("Green of the screen", "#00ff00");
    desk.page.navigate("/editions/" + desk.id() + "/proof");
    assertThat(desk.page.locator("main"))
        .containsText("Offset on coated paper, as the house prints it, at most 300 % of ink.");
    int printed = picture(desk, "printed").getRGB(200, 200);
    // a press can't come near it: much less green, and some red
    assertThat(printed >> 8 & 0xff).isLessThan(190);
    int paper = picture(desk, "paper").getRGB(200, 200);
    assertThat(paper).isNotEqualTo(printed);
    assertThat(picture(desk, "magenta").getRGB(200, 200) & 0xff).isGreaterThan(230);
    assertThat(picture(desk, "yellow").getRGB(200, 200) & 0xff).isLessThan(30);
    Locator image = desk.page.locator("#proofed");
    image.hover();
    assertThat(desk.page.locator("#inks-at"))
        .hasText(Pattern.compile("C \\d+ +M \\d+ +Y \\d+ +K \\d+, together \\d+ %.*"));
    // by keys too
    String under = desk.page.locator("#inks-at").textContent();
    desk.page.mouse().move(2, 2);
    desk.page.locator("#proof-sheet").focus();
    desk.page.keyboard().press("Shift+ArrowRight");
    assertThat(desk.page.locator("#ink-cross")).isVisible();
    assertThat(desk.page.locator("#inks-at")).hasText(under.strip().replaceAll("\\s+", " "));
    desk.page.locator("#view-ink").click();
    assertThat(desk.page.locator("#view-ink")).hasAttribute("aria-current", "true");
    assertThat(desk.page.locator("#ink-figures")).containsText("Most ink ");
    assertThat(Live.violations(desk.page)).isEmpty();
  }

  /** 90/80/80/60 is 310 %: the house's 300 are kept, and the map says where. */
  @Test(groups = Extent.LONG)
  public void theMapShowsWhereInkWasMovedToBlack() throws IOException {
    Desk desk = coloured("Too much ink", "cmyk(90, 80, 80, 60)");
    desk.page.navigate("/editions/" + desk.id() + "/proof?view=ink");
    assertThat(desk.page.locator("#ink-figures"))
        .containsText(Pattern.compile("up to 310 %: there gray is printed with black"));
    int p = picture(desk, "ink").getRGB(100, 100);
    assertThat((p >> 16 & 0xff) - (p & 0xff)).as("red").isGreaterThan(60);
  }

  @Test
  public void theBenchShowsTheSheetAsPrintedUntilSomethingMoves() throws IOException {
    Desk desk = coloured("Printed on the bench", "#00ff00");
    desk.page.locator("#view-leaf > summary").click();
    desk.page.locator("#proofing").selectOption("printed");
    assertThat(desk.page.locator("#sheet #proofed")).hasCount(1);
    String before = desk.page.locator("#proofed").getAttribute("href");
    desk.page.locator("#view-leaf > summary").click();
    desk.does(
        () -> {
          desk.page.locator("#g-colour").fill("#0000ff");
          desk.page.keyboard().press("Enter");
        });
    assertThat(desk.page.locator("#proofed")).not().hasAttribute("href", before);
    desk.page.locator("#view-leaf > summary").click();
    desk.page.locator("#proofing").selectOption("");
    assertThat(desk.page.locator("#proofed")).hasCount(0);
  }

  @Test
  public void thePaletteTellsWhatThePressCantPrintAndOffersTheNearest() throws IOException {
    Desk desk = Desk.atBench("Beyond reach", "");
    desk.page.locator("#leaf-palette > summary").click();
    desk.does(
        () -> {
          desk.page.locator("#swatch-form input[name=name]").fill("Weed");
          desk.page.locator("#swatch-form input[name=colour]").fill("#00e050");
          desk.page.keyboard().press("Enter");
        });
    if (!desk.page.locator("#leaf-palette .leaf").isVisible()) {
      desk.page.locator("#leaf-palette > summary").click();
    }
    Locator beyond = desk.page.locator("#beyond .beyond-row");
    assertThat(beyond).hasCount(1);
    assertThat(beyond).containsText(Pattern.compile("Weed.*comes out as.*#[0-9a-f]{6}, ΔE \\d+"));
    desk.does(() -> beyond.locator("button").click());
    assertThat(desk.page.locator("[data-name=Weed][name=colour]")).not().hasValue("#00e050");
  }

  private static void add(Desk desk, String title, byte[] icc) {
    desk.page.navigate("/houses/conditions");
    desk.page.locator("#condition-title").fill(title);
    desk.page
        .locator("#condition-file")
        .setInputFiles(new FilePayload("own.icc", "application/vnd.iccprofile", icc));
    desk.page.locator("#condition-add").click();
  }

  /** The front in the inks of one's own paper. */
  private static byte[] front(Desk desk, String id) {
    return desk.page
        .context()
        .request()
        .get("/editions/" + id + "/part?part=front&format=tiff&size=100+px&colours=our-laid-paper")
        .body();
  }

  /** Whether a file has these bytes in one piece. */
  private static boolean holds(byte[] file, byte[] part) {
    return new String(file, StandardCharsets.ISO_8859_1)
        .contains(new String(part, StandardCharsets.ISO_8859_1));
  }

  @Test(groups = Extent.LONG)
  public void aProfileOfOnesOwnIsAddedUsedAndTakenAway() throws IOException {
    Desk desk = Desk.atBench("On our own paper", "").layout("Ledger");
    String id = desk.id();
    add(desk, "Our laid paper", OutputCondition.UNCOATED.profile().bytes());
    assertThat(desk.page.locator("main tbody tr")).hasCount(4);
    assertThat(desk.page.locator("main")).containsText("our-laid-paper");
    assertThat(Live.violations(desk.page)).isEmpty();
    desk.page.navigate("/editions/" + id + "/dispatch");
    assertThat(desk.page.locator("#part-colours option[value=our-laid-paper]")).hasCount(1);
    byte[] tif = front(desk, id);
    assertThat(ImageIO.read(new ByteArrayInputStream(tif)).getRaster().getNumBands()).isEqualTo(4);
    // twice under one name
    add(desk, "Our laid paper", OutputCondition.COATED.profile().bytes());
    assertThat(desk.page.locator("[role=alert]")).containsText("is here already");
    desk.page.locator("[aria-label='Take away Our laid paper']").click();
    assertThat(desk.page.locator("main tbody tr")).hasCount(3);
    // another profile under the same name is another picture
    add(desk, "Our laid paper", OutputCondition.COATED.profile().bytes());
    byte[] anew = front(desk, id);
    assertThat(holds(anew, OutputCondition.COATED.profile().bytes())).isTrue();
    assertThat(holds(tif, OutputCondition.UNCOATED.profile().bytes())).isTrue();
    assertThat(holds(anew, OutputCondition.UNCOATED.profile().bytes())).isFalse();
    desk.page.navigate("/houses/conditions");
    desk.page.locator("[aria-label='Take away Our laid paper']").click();
  }

  @Test
  public void profilesThatCantBeUsedAreRefusedWithWhy() throws IOException {
    Desk desk = Desk.open();
    byte[] good = OutputCondition.COATED.profile().bytes();
    byte[] lying = good.clone();
    lying[12] = 's';
    lying[13] = 'c';
    lying[14] = 'n';
    lying[15] = 'r';
    Object[][] wrong = {
      {ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData(), "of a screen"},
      {Arrays.copyOf(good, 5000), "cut short"},
      {lying, "of a scanner or camera"},
      {"not a profile at all".getBytes(), "This is no ICC profile."},
      {new byte[0], "no ICC profile"}
    };
    for (Object[] each : wrong) {
      add(desk, "Wrong", (byte[]) each[0]);
      assertThat(desk.page.locator("[role=alert]")).containsText((String) each[1]);
      assertThat(desk.page.locator("#condition-title")).hasValue("Wrong");
    }
    Web web = new Web(Live.reglet().address());
    for (String view : List.of("hat", "x")) {
      assertThat(web.get("/editions/1/proof?view=" + view).status()).isEqualTo(400);
    }
    assertThat(web.get("/editions/1/proof/at?x=2&y=0").status()).isEqualTo(400);
    assertThat(web.get("/editions/1/proof/at?x=NaN&y=0").status()).isEqualTo(400);
    assertThat(web.get("/editions/99999/proof").status()).isEqualTo(404);
  }

  /** A swatch in an ink of its own: a plate in the file. */
  @Test
  public void aSwatchInAnInkOfItsOwnIsAPlateInThePressFile() throws IOException {
    Desk desk = Desk.atBench("In a fifth ink", "");
    desk.page.locator("#leaf-palette > summary").click();
    desk.does(
        () -> {
          desk.page.locator("#swatch-form input[name=name]").fill("Sea");
          desk.page
              .locator("#swatch-form input[name=colour]")
              .fill("spot(Sea green, 80, 10, 45, 0)");
          desk.page.keyboard().press("Enter");
        });
    desk.does(
        () -> {
          desk.page.locator("#g-colour").fill("swatch(Sea)");
          desk.page.keyboard().press("Enter");
        });
    String id = desk.id();
    desk.page.navigate("/editions/" + id + "/dispatch");
    assertThat(desk.page.locator("#spots")).hasText("A plate besides the four: Sea green.");
    byte[] file = desk.page.context().request().get("/editions/" + id + "/press-file").body();
    try (var d = org.apache.pdfbox.Loader.loadPDF(file)) {
      var resources = d.getPage(0).getResources();
      var space = resources.getColorSpace(resources.getColorSpaceNames().iterator().next());
      assertThat(space).isInstanceOf(org.apache.pdfbox.pdmodel.graphics.color.PDSeparation.class);
      assertThat(((org.apache.pdfbox.pdmodel.graphics.color.PDSeparation) space).getColorantName())
          .isEqualTo("Sea green");
    }
  }
}
