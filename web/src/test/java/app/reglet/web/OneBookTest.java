package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.testing.Extent;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.testng.annotations.Test;

/** One book in every format, kept together: the whole way, by mouse, to the files. */
public class OneBookTest {
  private final Map<String, String> editions = new LinkedHashMap<>();

  private void carry(Desk desk, String origin, String to, boolean mirrored) {
    desk.page.navigate("/editions/" + origin + "/docket");
    desk.page.getByText("Carry to another edition").click();
    desk.page
        .getByRole(
            AriaRole.LINK,
            new Page.GetByRoleOptions().setName("Carry the cover to " + to).setExact(true))
        .click();
    if (mirrored) {
      desk.page.locator("#carry-turn").selectOption("rtl");
      desk.page
          .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Show").setExact(true))
          .click();
    }
    desk.page.locator("#carry-make").click();
    desk.page.waitForURL(Pattern.compile(".*/editions/\\d+/carried"));
    assertThat(desk.page.locator("#measure-line")).not().containsText("to mend,");
    editions.put(to, desk.id());
  }

  private static byte[] file(String edition) throws IOException {
    try (InputStream in =
        URI.create(Live.reglet().address() + "/editions/" + edition + "/press-file")
            .toURL()
            .openStream()) {
      return in.readAllBytes();
    }
  }

  /** Width in mm; of an ebook in pixels. */
  private static double width(String edition) throws IOException {
    byte[] file = file(edition);
    if (file[0] != '%') {
      return ImageIO.read(new java.io.ByteArrayInputStream(file)).getWidth();
    }
    try (PDDocument d = Loader.loadPDF(file)) {
      return d.getPage(0).getMediaBox().getWidth() / 72 * 25.4;
    }
  }

  private static String said(Desk desk, String edition, String piece) {
    desk.page.navigate("/editions/" + edition + "/bench");
    desk.page.locator("#sheet").waitFor();
    return (String)
        desk.page.evaluate(
            "p => [...document.querySelectorAll(`#artwork [data-piece='${p}'] [data-text]`)].map(g => g.dataset.text).join(' ')",
            piece);
  }

  private static void colour(Desk desk, String edition, String colour) {
    desk.page.navigate("/editions/" + edition + "/bench");
    desk.page.locator("#sheet").waitFor();
    Hands h = new Hands.OfMouse(desk);
    h.choose("title");
    h.type("#b-colour", colour);
  }

  private static boolean isFilled(Desk desk, String edition, String colour) {
    desk.page.navigate("/editions/" + edition + "/bench");
    desk.page.locator("#sheet").waitFor();
    return desk.page.locator("#artwork [data-piece=title] [fill='" + colour + "']").count() > 0;
  }

  @Test(groups = Extent.LONG)
  public void aNovelIsACaseAJacketAnEbookAndAMirrorEditionThatFollowItToTheFiles()
      throws IOException {
    Desk desk =
        Desk.atBench("A book of many coats", "The first paragraph.\nAnd what follows it.")
            .layout("Ledger");
    String origin = desk.id();
    carry(desk, origin, "Case laminate, Sandling & Daughters", false);
    carry(desk, origin, "Dust jacket, Dunlin Casebinders", false);
    carry(desk, origin, "Ebook cover, Lantern Shelf", false);
    carry(desk, origin, "Perfect bound, Osier Row Printing Works", true);

    // the title changes, and all follow
    desk.page.navigate("/editions/" + origin + "/docket");
    desk.type("title", "A book of five coats");
    for (String each : editions.values()) {
      assertThat(said(desk, each, "title")).isEqualTo("A book of five coats");
    }

    // one is recoloured on its own and keeps its colour when the origin changes
    String jacket = editions.get("Dust jacket, Dunlin Casebinders");
    colour(desk, jacket, "#115533");
    colour(desk, origin, "#aa3311");
    desk.page.navigate("/editions/" + origin + "/carried");
    assertThat(desk.page.locator("#spread")).isVisible();
    desk.page.locator("#spread").click();
    assertThat(desk.page.locator("#spread")).hasCount(0);
    for (String each : editions.values()) {
      assertThat(isFilled(desk, each, each.equals(jacket) ? "#115533" : "#aa3311")).isTrue();
    }

    // the count grows by 40, and every file is made anew
    Map<String, Double> before = new LinkedHashMap<>();
    for (String each : editions.values()) {
      before.put(each, width(each));
    }
    desk.page.navigate("/editions/" + origin + "/docket");
    int count = Integer.parseInt(desk.page.locator("#pages").inputValue());
    desk.type("pages", String.valueOf(count + 40));
    assertThat(desk.page.locator("#others li")).hasCount(3);
    List<String> told = desk.page.locator("#others li").allInnerTexts();
    for (int i = 0; i < 3; i++) {
      desk.page.locator("#others input").nth(i).check();
    }
    desk.page.locator("#change-together").click();
    assertThat(desk.page.locator("#others")).containsText("changed too");
    for (Map.Entry<String, String> e : editions.entrySet()) {
      double grown = width(e.getValue()) - before.get(e.getValue());
      String line =
          told.stream()
              .filter(t -> t.startsWith(e.getKey()))
              .findFirst()
              .orElse("sheet +0 in wide");
      Matcher said = Pattern.compile("sheet \\+([0-9.]+) (in|mm) wide").matcher(line);
      assertThat(said.find()).as(line).isTrue();
      double mm = Double.parseDouble(said.group(1)) * (said.group(2).equals("in") ? 25.4 : 1);
      assertThat(grown).as(line).isCloseTo(mm, within(0.13)); // houses round their sheets
      assertThat(said(desk, e.getValue(), "title")).isEqualTo("A book of five coats");
    }
  }
}
