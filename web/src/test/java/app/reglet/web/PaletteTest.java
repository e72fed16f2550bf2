package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.Test;

/** The palette: drawn from a picture, of the cover, of colours that go together, by the shelf. */
public class PaletteTest {
  private static FilePayload halves() throws IOException {
    BufferedImage image = new BufferedImage(900, 900, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(new Color(0x1f4a7a));
    g.fillRect(0, 0, 900, 900);
    g.setColor(new Color(0xe5b85c));
    g.fillRect(0, 0, 300, 900);
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return new FilePayload("halves.png", "image/png", out.toByteArray());
  }

  private final List<String> blocked = new ArrayList<>();

  /** The pages' content policy forbids styles in attributes: whatever used them says so. */
  @AfterMethod
  public void nothingWasBlockedByTheContentPolicy() {
    assertThat(blocked).isEmpty();
  }

  private void open(Desk desk) {
    desk.page.onConsoleMessage(
        m -> {
          if (m.text().contains("Content Security Policy")) {
            blocked.add(m.text());
          }
        });
    desk.page.locator("#pieces .piece[data-piece='']").click();
    if (!desk.page.locator("#palette-offers section").first().isVisible()) {
      desk.page.locator("#leaf-palette > summary").click();
    }
    assertThat(desk.page.locator("#palette-offers section").first()).isVisible();
  }

  private static Locator swatches(Desk desk) {
    return desk.page.locator(".swatch-row b");
  }

  @Test
  public void theColoursOfAPictureAreTakenAndUndoneInOneStep() throws IOException {
    Desk desk = Desk.atBench("Colours of a picture", "");
    FilePayload file = halves();
    desk.does(() -> desk.page.locator("#bg-file").setInputFiles(file));
    open(desk);
    desk.does(
        () -> desk.page.locator("#palette-offers [data-edit=swatches][data-picture]").click());
    assertThat(swatches(desk)).hasText(new String[] {"Blue", "Light yellow"});
    assertThat(desk.page.locator(".swatch-row input[data-name=Blue]"))
        .hasValue(Pattern.compile("#(1f|20|1e)4[9ab]7[9ab]"));
    desk.does(
        () -> desk.page.getByText("Undo", new Page.GetByTextOptions().setExact(true)).click());
    assertThat(swatches(desk)).hasCount(0);
  }

  @Test
  public void aNamedColourIsChangedEverywhereAtOnce() {
    Desk desk = Desk.atBench("Changed everywhere", "").layout("Ledger");
    open(desk);
    Locator ink = desk.page.locator("#palette-offers [data-edit=swatch-of][data-colour='#1d2327']");
    desk.does(ink::click);
    assertThat(swatches(desk)).hasText(new String[] {"Dark gray"});
    assertThat(ink).hasCount(0);
    assertThat(desk.page.locator("#artwork [data-piece=title] [fill='#1d2327']").first())
        .isAttached();
    Locator field = desk.page.locator(".swatch-row input[data-name='Dark gray']");
    field.fill("#8c3b26");
    desk.does(() -> field.press("Tab"));
    for (String piece : new String[] {"title", "author", "spine-title"}) {
      assertThat(desk.page.locator("#artwork [data-piece=" + piece + "] [fill='#8c3b26']").first())
          .isAttached();
    }
    assertThat(desk.page.locator("#artwork [fill='#1d2327']")).hasCount(0);
  }

  @Test
  public void coloursThatGoWithOneArePutInAndOthersBegunWithByTheShelf() {
    Desk desk = Desk.atBench("Go together", "").layout("Ledger");
    open(desk);
    desk.does(() -> desk.page.locator("#palette-offers [data-genre=CRIME]").click());
    assertThat(swatches(desk)).hasText(new String[] {"Ink", "Paper", "Accent", "Quiet", "Light"});
    desk.page.locator("#palette-base").selectOption("#c22f2b");
    Locator opposite =
        desk.page
            .locator(".chip-row", new Page.LocatorOptions().setHasText("opposite"))
            .first()
            .locator(".chip");
    assertThat(opposite).hasAttribute("data-colour", Pattern.compile("#00[5-9a-f].*"));
    desk.does(opposite::click);
    assertThat(swatches(desk)).hasCount(6);
  }

  @Test
  public void whatIsNoColourIsRefusedWithASentence() {
    Desk desk = Desk.atBench("No colour", "");
    for (String base : new String[] {"x", "swatch(Nothing)", "%00", "9".repeat(3000)}) {
      var answer =
          desk.page
              .context()
              .request()
              .get("/editions/" + desk.id() + "/bench/palette?base=" + base);
      assertThat(answer.status()).as(base).isEqualTo(400);
      assertThat(answer.text()).doesNotContain("Exception");
    }
  }

  /** The next press on the sheet takes the colour that is seen there, whatever lies there. */
  @Test
  public void aColourIsTakenOffTheSheet() {
    Desk desk = Desk.atBench("Off the sheet", "").layout("Tidemark");
    desk.page.locator("#leaf-palette > summary").click();
    desk.page.locator("#palette-pick").click();
    com.microsoft.playwright.options.BoundingBox sheet = desk.page.locator("#sheet").boundingBox();
    // on the pale band, in the back's lower half
    desk.does(
        () -> desk.page.mouse().click(sheet.x + sheet.width * 0.2, sheet.y + sheet.height * 0.7));
    desk.page.locator(".swatch-row input[value='#fbf8f1']").first().waitFor();
    assertThat(desk.page.locator("#palette-pick").getAttribute("aria-pressed")).isEqualTo("false");
  }

  @Test
  public void escapeLeavesTheColoursOnTheSheet() {
    Desk desk = Desk.atBench("Left there", "").layout("Tidemark");
    desk.page.locator("#leaf-palette > summary").click();
    desk.page.locator("#palette-pick").click();
    assertThat(desk.text("#palette-picking")).contains("Press on the sheet");
    desk.page.keyboard().press("Escape");
    assertThat(desk.page.locator("#palette-pick").getAttribute("aria-pressed")).isEqualTo("false");
    assertThat(desk.page.locator("#leaf-palette").getAttribute("open")).isNotNull();
  }
}
