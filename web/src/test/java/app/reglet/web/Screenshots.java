package app.reglet.web;

import app.reglet.testing.Scratch;
import app.reglet.web.people.People;
import app.reglet.web.people.Role;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import org.testng.annotations.Test;

/** Makes docs/screenshots anew from the demo; not a test, run by ./reglet screenshots. */
public class Screenshots {
  private final Path to = Path.of("..", "docs", "screenshots");
  private final Page page = Live.reglet().page();

  private void shot(String name) {
    Live.settled(page);
    // those in closed leaves are not asked for before they are seen
    // those that load when they are seen count as soon as they are in the window
    page.waitForFunction(
        "() => [...document.images].every(i => i.complete && i.naturalWidth > 0"
            + " || i.loading === 'lazy' && i.getBoundingClientRect().top >= innerHeight"
            + " || !i.checkVisibility())");
    page.screenshot(new Page.ScreenshotOptions().setPath(to.resolve(name + ".png")));
  }

  private void shot(String name, String path) {
    page.navigate(path);
    shot(name);
  }

  @Test
  public void take() throws Exception {
    shot("titles", "/titles");
    shot("house", "/houses/osier-row");
    page.navigate("/editions/5/proof?view=ink");
    page.waitForFunction("() => document.getElementById('proofed').complete");
    shot("proof");
    shot("docket", "/editions/2/docket");
    shot("what-if", "/editions/4/what-if");
    shot("side-by-side", "/editions/1/side-by-side");
    shot("carry", "/editions/2/carry?house=dunlin-casebinders&binding=dust-jacket");
    page.navigate("/editions/6/templates");
    page.locator("#sizes table").waitFor();
    shot("templates");
    page.navigate("/houses/dunlin-casebinders");
    page.getByText("Copy it").click();
    page.locator("#draft-answer .example").first().waitFor();
    page.locator(".steps").first().scrollIntoViewIfNeeded();
    page.evaluate("window.scrollTo(0, 590)");
    shot("house-draft");
    page.onDialog(d -> d.accept());
    page.getByText("Throw away").click();
    shot("bench", "/editions/1/bench");
    page.navigate("/editions/1/bench");
    page.locator("#leaf-treatment > summary").click();
    page.locator("#pic-contrast").fill("18");
    page.locator("#pic-shade").fill("-35");
    page.locator("#said-treatment:has-text('shaded')").waitFor();
    page.locator("#artwork image:not([href*=quick])[href*='-35']").waitFor();
    shot("bench-picture");
    page.navigate("/editions/1/bench");
    page.locator("#leaf-starts > summary").click();
    page.locator(".start").first().waitFor();
    page.waitForFunction(
        "() => [...document.querySelectorAll('.start img')].every(i => i.naturalWidth > 0)");
    page.locator(".start[data-layout=slipway]").click();
    page.locator(".start[data-layout=slipway][aria-pressed=true]").waitFor();
    shot("bench-starts");
    page.locator("#start-back").click();
    Live.settled(page);
    page.navigate("/editions/4/bench?chosen=picture-1");
    page.locator("#leaf-cut > summary").click();
    page.waitForFunction("() => document.querySelector('#cut-pad img').naturalWidth > 0");
    page.locator("#cut-propose").click();
    page.locator("#said-cut:has-text('its subject')").waitFor();
    shot("bench-cut-out");
    page.locator("#undo").click();
    Live.settled(page);
    shot("bench-inside", "/editions/8/bench?side=inside");
    page.navigate("/editions/1/dispatch");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make press file")).click();
    page.locator("#download").waitFor();
    shot("dispatch");
    Download download = page.waitForDownload(() -> page.locator("#download").click());
    Path file = Scratch.directory("shots").resolve(download.suggestedFilename());
    download.saveAs(file);
    page.navigate("/inspect?edition=2");
    page.getByLabel("PDF").setInputFiles(file);
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Inspect file")).click();
    page.locator(".verdict").waitFor();
    shot("inspect");
    for (String to :
        List.of(
            "dunlin-casebinders&binding=case-laminate",
            "dunlin-casebinders&binding=dust-jacket",
            "lantern-shelf&binding=ebook")) {
      page.navigate("/editions/1/carry?house=" + to);
      page.locator("#carry-make").click();
      page.waitForURL("**/carried");
    }
    page.navigate("/editions/1/bench?chosen=title");
    page.locator("#b-colour").fill("#7a2f1d");
    page.locator("#b-colour").press("Enter");
    page.locator("#artwork [data-piece=title] [fill='#7a2f1d']").first().waitFor();
    shot("carried", "/editions/1/carried");
  }

  /** With people set up: on data of its own, since from then on everybody signs in. */
  @Test(dependsOnMethods = "take")
  public void takePeople() throws Exception {
    try (Own reglet = new Own("--reglet.demo=true")) {
      People people = reglet.bean(People.class);
      people.add("Maren Aldous", Role.OWNER, "for the picture only");
      people.add("Piers Hallam-Reed", Role.DESIGNER, "");
      people.add("Oona Tarrant", Role.READER, "");
      page.navigate(reglet.address() + "/sign-in");
      page.getByLabel("Name").fill("Maren Aldous");
      page.getByLabel("Password").fill("for the picture only");
      page.locator("button.btn-primary").click();
      shot("people", reglet.address() + "/people");
      page.navigate(reglet.address() + "/editions/1/bench");
      new Desk(page).layout("Ledger");
      page.navigate(reglet.address() + "/editions/1/history");
      page.locator("#version-name").fill("Before the band");
      page.locator("#version-note").fill("The first proof was made of this one.");
      page.locator(".name-version button").click();
      shot("history", reglet.address() + "/editions/1/history");
    }
  }
}
