package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import app.reglet.web.harness.Web;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.testng.annotations.Test;

/** Somebody has only the finished file: it is laid on the sheet of today's page count. */
public class RecutPageTest {
  private static byte[] pressFile(Desk desk) throws IOException {
    try (InputStream in =
        URI.create(Live.reglet().address() + "/editions/" + desk.id() + "/press-file")
            .toURL()
            .openStream()) {
      return in.readAllBytes();
    }
  }

  @Test(groups = Extent.LONG)
  public void aPressFileMadeForFewerPagesIsLaidOnTheSheetOfMore() throws IOException {
    Desk desk = Desk.atBench("Only the file", "A blurb.").layout("Ledger");
    byte[] file = pressFile(desk);
    Desk other = Desk.open().makeTitle("Again, longer", "Edda Marsh").fill("6 x 9", "480", "");
    other
        .page
        .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Lay a finished file on it"))
        .click();
    assertThat(Live.violations(other.page)).isEmpty();
    other
        .page
        .locator("#finished-file")
        .setInputFiles(new FilePayload("cover.pdf", "application/pdf", file));
    other
        .page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take it in"))
        .click();
    assertThat(other.page.locator("#recut-bled")).hasValue("yes");
    List<String> told = other.page.locator("#recut-told li").allInnerTexts();
    assertThat(told.get(0))
        .contains("(as of 320 pages here), this sheet’s ")
        .contains("it stands in the middle as it was, and ");
    assertThat(told).contains("Back: as in the file.", "Front: as in the file.");
    other.page.waitForFunction(
        "() => [...document.querySelectorAll('.to-scale img')].length === 2 && [...document.querySelectorAll('.to-scale img')].every(i => i.complete && i.naturalWidth > 300)");
    assertThat(Live.violations(other.page)).isEmpty();
    // told otherwise
    other.page.locator("#recut-drawn").selectOption("true");
    other
        .page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show").setExact(true))
        .click();
    assertThat(other.page.locator("#recut-told li").first()).containsText("words and all");
    other.page.locator("#recut-drawn").selectOption("false");
    other
        .page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show").setExact(true))
        .click();
    other.page.locator("#recut-lay").click();
    other.page.locator("#sheet").waitFor();
    for (String piece : List.of("cut-back", "cut-spine", "cut-spine-under", "cut-front")) {
      assertThat(other.page.locator("#artwork > [data-piece='" + piece + "']")).hasCount(1);
    }
    assertThat(other.page.locator("#undo"))
        .hasAttribute("title", "Undo: A finished file cut to this sheet");
    // what its parts are made of is told where they are worked on, whole under the pointer
    other.does(() -> other.page.locator("#pieces .piece[data-piece=cut-front]").click());
    assertThat(other.page.locator("#pg-colours"))
        .hasAttribute("title", Pattern.compile("Device|ICC"));
    assertThat(other.page.locator("#pg-pictures")).hasText(Pattern.compile("none|\\d+, of .* ppi"));
    // it follows further
    double[] front = other.box("cut-front");
    other.page.navigate("/editions/" + other.id() + "/docket");
    other.type("pages", "520");
    other.bench();
    assertThat(other.box("cut-front")[0]).isGreaterThan(front[0]);
  }

  @Test
  public void whatIsNoCoverOfThisSheetGetsASentence() throws IOException {
    Desk desk = Desk.open().makeTitle("No such cover", "Edda Marsh").fill("6 x 9", "320", "");
    Web web = new Web(Live.reglet().address());
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(300, 450, BufferedImage.TYPE_INT_RGB), "png", png);
    String at = "/editions/" + desk.id() + "/recut";
    var taken = web.upload(at + "/file", Map.of(), "file", "front.png", png.toByteArray());
    assertThat(taken.location()).contains("/recut?file=");
    String address = taken.location().replaceAll("^https?://[^/]*", "");
    var page = web.get(address);
    assertThat(page.status()).isEqualTo(200);
    assertThat(page.body()).contains("no cover of this trim");
    assertThat(web.get(address + "&spine=wide").body()).contains("role=\"alert\"");
    var svg =
        web.upload(
            at + "/file",
            Map.of(),
            "file",
            "front.svg",
            "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 6 9'/>".getBytes());
    assertThat(svg.status()).isEqualTo(400);
    for (String wrong :
        List.of(
            "?file=x&page=0",
            "?file=" + "0".repeat(64) + "&page=1",
            "?file=" + "0".repeat(64) + "&page=-3")) {
      assertThat(web.get(at + wrong).status()).as(wrong).isBetween(200, 410);
      assertThat(web.get(at + "/sheet" + wrong).status()).as(wrong).isBetween(400, 410);
    }
  }

  /** Far more than a cover has, of letters that take two each where they are noted. */
  @Test
  public void aPageOfThousandsOfWordsIsTakenInAndWhatItHasIsTold() throws IOException {
    Desk desk = Desk.open().makeTitle("Many words", "Edda Marsh").fill("6 x 9", "320", "");
    ByteArrayOutputStream pdf = new ByteArrayOutputStream();
    try (PDDocument d = new PDDocument()) {
      PDPage page = new PDPage(new PDRectangle(923.8f, 666));
      d.addPage(page);
      try (PDPageContentStream out = new PDPageContentStream(d, page)) {
        out.setFont(new PDType1Font(FontName.HELVETICA), 6);
        for (int i = 0; i < 3000; i++) {
          out.beginText();
          out.newLineAtOffset(20 + i % 3 * 290, 10 + i / 3 * 0.65f);
          out.showText("\"\\".repeat(30));
          out.endText();
        }
      }
      d.save(pdf);
    }
    Web web = new Web(Live.reglet().address());
    String at = "/editions/" + desk.id() + "/recut";
    var taken = web.upload(at + "/file", Map.of(), "file", "words.pdf", pdf.toByteArray());
    assertThat(taken.location()).contains("/recut?file=");
    var page = web.get(taken.location().replaceAll("^https?://[^/]*", ""));
    assertThat(page.status()).isEqualTo(200);
    assertThat(page.body()).contains("Helvetica (not in the file)").contains("recut-found");
    Matcher file = Pattern.compile("file=([0-9a-f]{64})").matcher(taken.location());
    assertThat(file.find()).isTrue();
    var laid = web.post(at, Map.of("base", "0", "file", file.group(1), "page", "1", "bled", "yes"));
    assertThat(laid.location()).endsWith("/bench");
    // its letters can't stay letters in the press file, and that is said where it is made
    for (String standard : List.of("", "x4")) {
      assertThat(web.get("/editions/" + desk.id() + "/dispatch/plan?standard=" + standard).body())
          .contains("A page of a PDF becomes a picture of up to 600 ppi in this file")
          .contains("it has a font that is not in the file.");
    }
    assertThat(web.get("/editions/" + desk.id() + "/dispatch/plan?ppi=300").body())
        .doesNotContain("A page of a PDF becomes");
  }
}
