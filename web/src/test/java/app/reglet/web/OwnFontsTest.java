package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.press.font.FontTables;
import app.reglet.press.type.BroughtFaces;
import app.reglet.press.type.Typefaces;
import app.reglet.testing.Extent;
import app.reglet.testing.Tool;
import app.reglet.web.fonts.Brought;
import app.reglet.web.fonts.Fonts;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.store.Uploads;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.testng.annotations.Test;

/** Fonts that people bring: of Debian's packages, and shipped ones with other permissions. */
public class OwnFontsTest {
  private static final Path VARIABLE = Path.of("/usr/share/fonts/truetype/inter-vf/Inter.var.ttf");

  private static byte[] spectral(int permission) {
    byte[] font = Typefaces.shipped().get("spectral").file();
    new FontTables(font).table("OS/2").orElseThrow().putShort(8, (short) permission);
    return font;
  }

  @Test(groups = Extent.LONG)
  public void aVariableFontIsBroughtACutAddedAndWordsSetInItReachThePressFile() {
    Desk desk = Desk.atBench("Marram", "").layout("Ledger");
    desk.does(() -> desk.page.locator("#pieces .piece:text-is('Title')").click());
    desk.page.locator("#leaf-face summary").first().click();
    desk.page.locator("#own-fonts > details > summary").click();
    desk.page.locator("#font-file").setInputFiles(VARIABLE);
    assertThat(desk.page.locator("#font-said"))
        .hasText("Inter: 18 faces. Its maker sets no bounds to files that carry it.");
    desk.page.locator(".own-font summary").click();
    desk.page.locator("input[name='axis.wght']").fill("1000");
    desk.page.locator("input[name='axis.wght']").press("Enter");
    assertThat(desk.page.locator("#message"))
        .containsText("Weight is a figure from 100 to 900; “1000” is none.");
    desk.page.locator("input[name='axis.wght']").fill("645");
    desk.page.locator("input[name='axis.wght']").press("Enter");
    assertThat(desk.page.locator("#font-said"))
        .hasText("Inter Weight 645, Slant 0 is among its faces.");
    desk.page.waitForResponse(
        r -> r.url().endsWith("/faces/kept") && r.status() == 204,
        () -> desk.page.locator(".keep[data-family^=own-]").first().click());
    desk.page.locator("[data-faces=genre]").click();
    assertThat(desk.page.locator(".face-groups h3").getByText("kept at hand")).isAttached();
    desk.page.locator("[data-faces=classification]").click();
    desk.does(
        () ->
            desk.page
                .locator(".face-style[aria-label='Inter Weight 645, Slant 0']")
                .first()
                .click());
    assertThat(desk.page.locator("#said-face")).hasText("Inter Weight 645, Slant 0");
    desk.page.locator("#font-file").focus();
    desk.page
        .locator("#font-file")
        .setInputFiles(new FilePayload("Kept close.ttf", "font/ttf", spectral(2)));
    assertThat(desk.page.locator("#message"))
        .containsText("“Kept close.ttf”: The font's maker forbids that files carry it (fsType 2)");
    desk.page.navigate("/editions/" + desk.id() + "/dispatch");
    desk.page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make press file"))
        .click();
    Download file = desk.page.waitForDownload(() -> desk.page.locator("#download").click());
    String fonts = Tool.ok("pdffonts", file.path().toString());
    assertThat(fonts)
        .containsPattern("[A-Z]{6}\\+InterWeight645Slant0 +CID TrueType .* yes yes yes");
    assertThat(Tool.ok("pdftotext", file.path().toString(), "-")).contains("Marram");
  }

  /** The list may be grouped anew while somebody chooses a file: the choice must not be lost. */
  @Test
  public void aFontThatIsChosenWhileTheListComesAnewIsTaken() {
    Desk desk = Desk.atBench("Chosen slowly", "").layout("Ledger");
    desk.does(() -> desk.page.locator("#pieces .piece:text-is('Title')").click());
    desk.page.locator("#leaf-face summary").first().click();
    desk.page.locator("#own-fonts > details > summary").click();
    FileChooser chooser =
        desk.page.waitForFileChooser(() -> desk.page.locator("#font-file").click());
    desk.page.locator("[data-faces=genre]").click();
    assertThat(desk.page.locator("[data-faces=genre]")).hasAttribute("aria-pressed", "true");
    chooser.setFiles(new FilePayload("Kept close.ttf", "font/ttf", spectral(2)));
    assertThat(desk.page.locator("#message"))
        .containsText("“Kept close.ttf”: The font's maker forbids that files carry it (fsType 2)");
    assertThat(desk.page.locator("#font-file")).hasCount(1);
  }

  @Test
  public void aFontIsKeptWithItsTitleUntilItIsTakenOffAndWordsInItStay() {
    Desk desk = Desk.atBench("Thrift", "").layout("Ledger");
    desk.does(() -> desk.page.locator("#pieces .piece:text-is('Title')").click());
    desk.page.locator("#leaf-face > summary").click();
    desk.page.locator("#own-fonts > details > summary").click();
    desk.page
        .locator("#font-file")
        .setInputFiles(new FilePayload("Thrift Hand.ttf", "font/ttf", spectral(4)));
    assertThat(desk.page.locator("#font-said"))
        .hasText("Spectral: one face. Its maker allows it in files for viewing and printing.");
    desk.does(() -> desk.page.locator(".face[data-face^=own-]").first().click());
    desk.page.reload();
    desk.does(() -> desk.page.locator("#pieces .piece:text-is('Title')").click());
    desk.page.locator("#leaf-face > summary").click();
    assertThat(desk.page.locator(".face-groups h3").getByText("brought with this title"))
        .isAttached();
    desk.page.locator("#own-fonts > details > summary").click();
    desk.page.locator(".own-font summary").press("Enter");
    desk.page.locator(".font-off").press("Enter");
    assertThat(desk.page.locator("#font-said"))
        .hasText("Taken off this title. Words set in it stay so.");
    assertThat(desk.page.locator(".own-font")).hasCount(0);
    assertThat(desk.page.locator(".face-groups h3").getByText("brought with this title"))
        .hasCount(0);
    assertThat(desk.page.locator(".face-groups h3").getByText("brought with other titles"))
        .isAttached();
    assertThat(desk.page.locator("#artwork [data-piece=title] [data-face^=own-]").first())
        .isAttached();
  }

  private static Uploads.Upload upload(Own own, String name, byte[] bytes) throws IOException {
    Path path = own.bean(Uploads.class).scratch();
    Files.write(path, bytes);
    return new Uploads.Upload(path, name);
  }

  @Test(groups = Extent.LONG)
  public void aFontIsThereAfterAStartAndWhereItsFileIsLostAnotherStandsForIt() throws Exception {
    try (Own own = new Own("--reglet.demo=true")) {
      Brought brought = own.bean(Fonts.class).add(1L, upload(own, "Marsh.ttf", spectral(0x104)));
      assertThat(brought.facts().embedding().whole()).isTrue();
      assertThat(own.bean(Fonts.class).add(1L, upload(own, "Again.ttf", spectral(0x104))))
          .isEqualTo(brought);
      String face = BroughtFaces.id(brought.facts().faces().get(0));
      String sha = brought.facts().faces().get(0).sha();
      assertThat(own.bean(Typefaces.class).get(face).isWhole()).isTrue();
      own.stop();
      own.start();
      assertThat(own.bean(Typefaces.class).get(face).name()).isEqualTo("Spectral");
      assertThat(own.bean(Fonts.class).of(1L)).containsExactly(brought);
      Path file = own.bean(PictureStore.class).original(sha);
      var web = own.web();
      String base = web.get("/editions/1/bench").find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
      var set =
          web.post(
              "/editions/1/bench/edits",
              Map.of("base", base, "edit", "set", "piece", "title", "face", face));
      assertThat(set.status()).isEqualTo(200);
      own.stop();
      Files.delete(file);
      own.start();
      var page = own.web().get("/editions/1/bench");
      assertThat(page.status()).isEqualTo(200);
      assertThat(page.body())
          .contains("The typeface of “Title” is not here: Spectral stands for it.");
    }
  }

  @Test
  public void aFontOfSixtyMegabytesIsRefusedWithTheMostItMayHave() throws Exception {
    try (Own own = new Own("--reglet.demo=true")) {
      Path huge = own.bean(Uploads.class).scratch();
      try (RandomAccessFile sparse = new RandomAccessFile(huge.toFile(), "rw")) {
        sparse.setLength(60_000_000);
      }
      assertThatThrownBy(() -> own.bean(Fonts.class).add(1L, new Uploads.Upload(huge, "Huge.otf")))
          .isInstanceOf(Refusal.class)
          .hasMessage("The file has 60 MB; a font has at most 40 MB: bring one for fewer scripts.");
    }
  }
}
