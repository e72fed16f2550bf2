package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Scratch;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;

/**
 * Follows “A first cover in five minutes” of the README, step by step: what is pressed here stands
 * there in bold, in that step.
 */
public class FirstCoverTest {
  private final String readme = read();
  private Desk desk;

  private static String read() {
    try {
      String all = Files.readString(Path.of("..", "README.md"));
      int from = all.indexOf("## A first cover in five minutes");
      return all.substring(from, all.indexOf("\n## ", from + 5)).replaceAll("\\s+", " ");
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  /** A label as the README has it in that step. */
  private String label(int step, String label) {
    Matcher m =
        Pattern.compile(" " + step + "\\. (.*?)(?= " + (step + 1) + "\\. |More pages|$)")
            .matcher(readme);
    assertThat(m.find()).as("step " + step).isTrue();
    assertThat(m.group(1)).as("step " + step).contains("**" + label + "**");
    return label;
  }

  private Locator button(int step, String name) {
    return desk.page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(label(step, name)).setExact(true));
  }

  private Locator link(int step, String name) {
    return desk.page.getByRole(
        AriaRole.LINK, new Page.GetByRoleOptions().setName(label(step, name)).setExact(true));
  }

  private Locator field(int step, String name) {
    return desk.page
        .getByLabel(label(step, name), new Page.GetByLabelOptions().setExact(true))
        .first();
  }

  private void settled(Runnable action) {
    action.run();
    Live.settled(desk.page);
  }

  private static Path photograph() throws IOException {
    BufferedImage image = new BufferedImage(3900, 2800, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setPaint(new GradientPaint(0, 0, new Color(0x31536b), 0, 2800, new Color(0xe3b07c)));
    g.fillRect(0, 0, 3900, 2800);
    g.setColor(new Color(0x1b2a33));
    g.fillRect(2500, 700, 260, 1500);
    g.fillOval(2300, 480, 660, 420);
    g.dispose();
    Path file = Scratch.directory("photo").resolve("lamp.jpg");
    ImageIO.write(image, "jpg", file.toFile());
    return file;
  }

  @Test
  public void fromNothingToAPressFileAsTheReadmeTellsIt() throws IOException {
    desk = Desk.open();
    Page page = desk.page;
    desk.go("/titles");
    field(1, "Title").fill("The Lamp at Sallow Point");
    field(1, "Author").fill("Edda Marsh");
    button(1, "Make title").click();
    page.waitForURL(Pattern.compile(".*/docket"));

    label(2, "Trim");
    label(2, "Pages");
    label(2, "ISBN");
    label(2, "Blurb");
    desk.type("trim", "6 x 9 in")
        .type("pages", "220")
        .type("isbn", "978-0-306-40615-7")
        .type("blurb", "A keeper, a lamp, and the one ship that did not need it.");
    // 220 pages of the first paper at 0.002252 in
    assertThat(page.locator("#m-spine")).hasText("0.49544 in");
    link(2, "Compose on the bench").click();
    page.locator("#sheet").waitFor();

    label(3, "Picture, drawing or PDF");
    page.locator("#add-what").selectOption("picture");
    Path photo = photograph();
    FileChooser chooser = page.waitForFileChooser(() -> button(3, "Add").click());
    desk.does(() -> chooser.setFiles(photo));
    page.locator("[data-piece^=picture]").first().waitFor();

    settled(() -> button(4, "Done").click());
    label(4, "Starting points");
    page.locator("#leaf-starts > summary").click();
    desk.does(() -> page.locator(".start").filter(named(4, "Horizon")).click());
    assertThat(page.locator(".start[aria-pressed=true]")).containsText("Horizon");
    String base = page.locator("#base").inputValue();
    field(4, "Colours").selectOption("history");
    page.waitForFunction("was => document.getElementById('base').value !== was", base);
    field(4, "Typefaces");
    label(4, "Take it back");
    Live.settled(page);
    page.locator("#leaf-starts > summary").click();
    Live.settled(page);

    label(5, "Pictures");
    page.locator("#leaf-pictures > summary").click();
    label(5, "May be used");
    settled(() -> page.locator("[data-asset=licence]").first().selectOption("OWN"));

    link(7, "Go to dispatch").click();
    button(7, "Make press file").click();
    assertThat(page.locator("#made .fits").first()).hasText("fits");
    Download download = page.waitForDownload(() -> page.locator("#download").click());
    Path file = Scratch.directory("first").resolve(download.suggestedFilename());
    download.saveAs(file);
    judge(file);
  }

  private Locator.FilterOptions named(int step, String name) {
    return new Locator.FilterOptions().setHasText(label(step, name));
  }

  /** Twice six inches, the spine, and an eighth of an inch of bleed on every side. */
  private static void judge(Path file) throws IOException {
    try (PDDocument pdf = Loader.loadPDF(file.toFile())) {
      assertThat(pdf.getNumberOfPages()).isEqualTo(1);
      float width = pdf.getPage(0).getMediaBox().getWidth();
      assertThat((double) width / 72).isBetween(12.7454 - 0.001, 12.7454 + 0.001);
      assertThat(new PDFTextStripper().getText(pdf).replaceAll("\\s+", " "))
          .contains("The Lamp at Sallow Point", "Edda Marsh", "did not need it");
    }
  }
}
