package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import app.reglet.web.harness.Web;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.testng.annotations.Test;

/**
 * A file that somebody brings: its findings, on the page and in words; its plates; beside others.
 */
public class InspectTest {
  /** The press file of the cover that the desk is at. */
  private static Path press(Desk desk, String id) throws IOException {
    desk.page.navigate("/editions/" + id + "/dispatch");
    desk.page.locator("#make").click();
    Download made = desk.page.waitForDownload(() -> desk.page.locator("#download").click());
    return Files.write(
        Scratch.directory("inspected").resolve(made.suggestedFilename()),
        Files.readAllBytes(made.path()));
  }

  private static void inspect(Desk desk, String edition, Path file) {
    desk.page.navigate("/inspect" + (edition.isEmpty() ? "" : "?edition=" + edition));
    desk.page.locator("#file").setInputFiles(file);
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Inspect file"))
        .click();
  }

  /** The same with a black bar in four inks on the front, and a line as thin as a hair. */
  private static Path spoilt(Path file) throws IOException {
    Path out = file.resolveSibling("spoilt.pdf");
    try (PDDocument d = Loader.loadPDF(file.toFile())) {
      try (PDPageContentStream c =
          new PDPageContentStream(
              d, d.getPage(0), PDPageContentStream.AppendMode.APPEND, true, true)) {
        c.setNonStrokingColor(1f, 1f, 1f, 1f);
        c.addRect(700, 420, 120, 60);
        c.fill();
        c.setStrokingColor(0f, 0f, 0f, 1f);
        c.setLineWidth(0.1f);
        c.moveTo(640, 150);
        c.lineTo(880, 150);
        c.stroke();
      }
      d.save(out.toFile());
    }
    return out;
  }

  @Test
  public void ourOwnFileFitsAndDiffersInNothingFromTheBenchAndASpoiltOneIsShownWhere()
      throws Exception {
    Desk desk = Desk.atBench("Inspected", "A blurb of some words.").layout("Ledger");
    String id = desk.id();
    Path file = press(desk, id);
    inspect(desk, id, file);
    assertThat(desk.page.locator(".verdict")).hasText("Fits");
    assertThat(desk.page.locator("#tally")).containsText("Nothing that the house would refuse");
    assertThat(desk.page.locator(".guided image")).hasCount(1);
    assertThat(desk.page.locator(".file-facts")).containsText("PDF/X-1a:2003");
    assertThat(desk.page.locator(".file-facts")).containsText("Barcodes read97803064");
    assertThat(Live.violations(desk.page)).isEmpty();
    desk.page.locator("#compare").click();
    assertThat(desk.page.locator("#compared-said")).hasText("Nothing differs from the bench.");

    inspect(desk, id, spoilt(file));
    assertThat(desk.page.locator(".verdict")).hasText("Does not fit");
    Locator heavy = desk.page.locator("li[data-code=ink-heavy]");
    assertThat(heavy).containsText("Up to 400 % of ink lies in one place");
    assertThat(desk.page.locator("li[data-code=line-thin]")).containsText("0.1 pt thick");
    // the number in the list is the number on the page
    String number = heavy.getAttribute("data-note");
    assertThat(desk.page.locator(".noted[data-note='" + number + "'] text")).hasText(number);
    heavy.hover();
    assertThat(desk.page.locator(".noted[data-note='" + number + "']"))
        .hasClass(Pattern.compile("lit"));
    desk.page.locator("#compare").click();
    assertThat(desk.page.locator("#compared-said")).containsText("from the bench, outlined.");
    int outlined = desk.page.locator(".guided .differs").count();
    assertThat(outlined).isBetween(1, 3);
    // beside the file before, the same
    desk.page
        .locator("#against")
        .selectOption(
            new com.microsoft.playwright.options.SelectOption()
                .setLabel(file.getFileName().toString()));
    desk.page.locator("#compare").click();
    assertThat(desk.page.locator("#compared-said")).containsText(file.getFileName().toString());
    // the plates, and the place where there is too much
    desk.page.locator("#view-ink").click();
    assertThat(desk.page.locator("#view-ink[aria-current=true]")).hasCount(1);
    String picture = desk.page.locator(".guided image").getAttribute("href");
    BufferedImage map =
        ImageIO.read(new java.io.ByteArrayInputStream(desk.page.request().get(picture).body()));
    int x = (int) (760.0 / 938 * map.getWidth());
    int y = (int) ((666 - 450.0) / 666 * map.getHeight());
    int red = map.getRGB(x, y);
    assertThat((red >> 16 & 255) - (red & 255)).as("red where it is too much").isGreaterThan(60);
    assertThat(Live.violations(desk.page)).isEmpty();
    // it is there when the page is opened again, and for another edition
    String address = desk.page.url();
    desk.page.navigate("/titles");
    desk.page.navigate(address);
    assertThat(desk.page.locator(".verdict")).hasText("Does not fit");
  }

  @Test(groups = Extent.LONG)
  public void withoutAnEditionEveryOneIsToldAndTheOneItIsForStandsFirst() throws Exception {
    Desk desk = Desk.atBench("Whose it is", "A blurb.").layout("Ledger");
    desk.page.navigate("/editions/" + desk.id() + "/docket");
    desk.type("pages", "354");
    String id = desk.id();
    Path file = press(desk, id);
    inspect(desk, "", file);
    Locator first = desk.page.locator("#told tbody tr").first();
    assertThat(first).containsText("Whose it is");
    assertThat(first.locator("td").first()).hasText("0");
    first.locator("a").click();
    assertThat(desk.page.locator(".verdict")).hasText("Fits");
    // and for other counts it says which it is for
    desk.page.navigate("/editions/" + id + "/docket");
    desk.type("pages", "362");
    inspect(desk, id, file);
    assertThat(desk.page.locator("li[data-code=would-fit]"))
        .containsText("It is the right file for 354 pages; the edition has 362.");
  }

  /** By keys: the page expected is drawn before a file is there, and a file is asked again. */
  @Test(groups = Extent.LONG)
  public void anotherEditionIsChosenBeforeAFileIsThereAndAfter() throws Exception {
    Desk desk = Desk.atBench("Chosen anew", "A blurb.").layout("Ledger");
    String id = desk.id();
    Path file = press(desk, id);
    desk.page.navigate("/inspect");
    assertThat(desk.page.locator("#inspected")).containsText("Choose a file");
    choose(desk, id);
    assertThat(desk.page.locator("#expected .guided")).hasCount(1);
    assertThat(desk.page.locator("#expected")).containsText("A file for this edition");
    assertThat(desk.page).hasURL(Pattern.compile(".*/inspect\\?edition=" + id + "$"));
    desk.page.locator("#file").setInputFiles(file);
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Inspect file"))
        .press("Enter");
    assertThat(desk.page.locator(".verdict")).hasText("Fits");
    // the same file for another edition, and for all of them
    choose(desk, "2");
    assertThat(desk.page.locator(".verdict")).hasText("Does not fit");
    assertThat(desk.page).hasURL(Pattern.compile(".*/inspect/[0-9a-f]{64}\\?edition=2$"));
    desk.page.reload();
    assertThat(desk.page.locator(".verdict")).hasText("Does not fit");
    choose(desk, id);
    assertThat(desk.page.locator(".verdict")).hasText("Fits");
    choose(desk, "");
    // others may be as this one is: it is among those that the file fits
    assertThat(
            desk.page
                .locator("#told tbody tr.fits")
                .filter(new Locator.FilterOptions().setHasText("Chosen anew")))
        .hasCount(1);
    assertThat(Live.violations(desk.page)).isEmpty();
  }

  /** What another house would say of the edition's file, and of every edition it makes. */
  @Test(groups = Extent.LONG)
  public void aFileIsHeldAgainstAnotherHouseThanTheEditionsOwn() throws Exception {
    Desk desk = Desk.atBench("Held elsewhere", "A blurb.").layout("Ledger");
    String id = desk.id();
    inspect(desk, id, press(desk, id));
    assertThat(desk.page.locator(".verdict")).hasText("Fits");
    desk.page.locator("#house").selectOption("osier-row");
    Live.settled(desk.page);
    assertThat(desk.page.locator(".verdict")).hasText("Does not fit");
    assertThat(desk.page.locator(".file-said .for")).containsText("Osier Row Printing Works");
    assertThat(desk.page.locator("li[data-code=sheet-size]")).containsText("Osier Row");
    assertThat(desk.page)
        .hasURL(Pattern.compile(".*/inspect/[0-9a-f]{64}\\?edition=" + id + "&house=osier-row$"));
    desk.page.reload();
    assertThat(desk.page.locator(".verdict")).hasText("Does not fit");
    assertThat(desk.page.locator("#house")).hasValue("osier-row");
    // a view of the file keeps what it is held against
    desk.page.locator("#view-ink").click();
    Live.settled(desk.page);
    assertThat(desk.page.locator(".file-said .for")).containsText("Osier Row Printing Works");
    // one that makes no paperbacks
    desk.page.locator("#house").selectOption("dunlin-casebinders");
    Live.settled(desk.page);
    assertThat(desk.page.locator("#inspected .msg"))
        .containsText("Dunlin Casebinders makes no perfect bound covers: choose another house");
    desk.page.locator("#house").selectOption("osier-row");
    Live.settled(desk.page);
    choose(desk, "");
    Locator own = desk.page.locator("#told tbody tr:has(th:has-text('Held elsewhere'))");
    assertThat(own).hasCount(1);
    assertThat(own).not().hasClass("fits");
    assertThat(Live.violations(desk.page)).isEmpty();
    Web web = new Web(Live.reglet().address());
    assertThat(web.get("/inspect?edition=" + id + "&house=nowhere").body())
        .contains("There is no house “nowhere” here");
  }

  private static void choose(Desk desk, String edition) {
    desk.page.locator("#edition").selectOption(edition);
    Live.settled(desk.page);
  }

  /** What was said of the cover before is said of its file after, with the same figures. */
  @Test(groups = Extent.LONG)
  public void whatPreflightSaysOfACoverInspectSaysOfItsFile() throws Exception {
    Desk desk = Desk.atBench("Said twice", "A blurb.").layout("Ledger");
    String id = desk.id();
    desk.does(() -> desk.page.locator("#pieces [data-piece=author]").click());
    desk.does(
        () -> {
          desk.page.locator("#p-top").fill("8.15 in");
          desk.page.locator("#p-top").press("Enter");
        });
    desk.page.navigate("/editions/" + id + "/dispatch");
    String before = desk.page.locator("li[data-code=words-outside-safe]").first().innerText();
    String figure =
        before.replaceAll(
            "(?s).*stands ([\\d.]+ in) outside the safe zone of the (\\w+).*", "$1 $2");
    assertThat(figure).matches("[\\d.]+ in front");
    inspect(desk, id, press(desk, id));
    String after = desk.page.locator("li[data-code=words-outside-safe]").first().innerText();
    assertThat(
            after.replaceAll(
                "(?s).*stands ([\\d.]+ in) outside the safe zone of the (\\w+).*", "$1 $2"))
        .isEqualTo(figure);
  }

  @Test
  public void aPictureIsToldItsPixelsAndWhatItHasAtTheSheetsSize() throws Exception {
    Desk desk = Desk.atBench("As a picture", "A blurb.");
    BufferedImage image = new BufferedImage(1300, 925, BufferedImage.TYPE_INT_RGB);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "jpeg", out);
    String id = desk.id();
    desk.page.navigate("/inspect?edition=" + id);
    desk.page
        .locator("#file")
        .setInputFiles(new FilePayload("cover.jpg", "image/jpeg", out.toByteArray()));
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Inspect file"))
        .click();
    assertThat(desk.page.locator("li[data-code=kind-other]")).containsText("This is a JPEG");
    assertThat(desk.page.locator("li[data-code=picture-too-coarse]")).containsText("100 ppi");
    assertThat(desk.page.locator(".file-facts")).containsText("1300 × 925");
    assertThat(Live.violations(desk.page)).isEmpty();
  }

  @Test
  public void aFileThatIsGoneOrNotToBeReadIsToldInASentence() throws Exception {
    Web web = new Web(Live.reglet().address());
    assertThat(web.get("/inspect/" + "0".repeat(64)).status()).isEqualTo(404);
    assertThat(web.get("/inspect/..%2f..%2freglet").status()).isIn(400, 404);
    assertThat(web.get("/inspect/" + "0".repeat(64) + "/picture?view=x").status()).isIn(400, 404);
    Web.Answer no =
        web.upload(
            "/inspect", java.util.Map.of("edition", "1"), "file", "x.pdf", "no PDF".getBytes());
    assertThat(no.body()).contains("This file is no PDF");
  }
}
