package app.reglet.web.people;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import app.reglet.web.Live;
import app.reglet.web.Own;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Two people of different roles in two browsers, through every page. */
public class PeopleTest {
  private static final String OWNER = "owner-password-1";

  private Own reglet;

  @BeforeClass
  public void start() throws Exception {
    reglet = new Own("--reglet.demo=true");
    reglet.bean(People.class).add("Maren", Role.OWNER, OWNER);
  }

  @AfterClass(alwaysRun = true)
  public void stop() {
    reglet.close();
  }

  private Page window() {
    return Live.reglet().elsewhere();
  }

  private void go(Page page, String path) {
    page.navigate(reglet.address() + path);
  }

  private void signIn(Page page, String name, String password) {
    page.getByLabel("Name").fill(name);
    page.getByLabel("Password").fill(password);
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in")).click();
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  @Test(groups = Extent.LONG)
  public void anOwnerAndAReaderWalkThroughEveryPage() {
    Page owner = window();
    go(owner, "/editions/1/bench");
    assertThat(owner).hasURL(Pattern.compile(".*/sign-in"));
    assertThat(Live.violations(owner)).isEmpty();
    signIn(owner, "Maren", "not the password");
    assertThat(owner.getByRole(AriaRole.ALERT)).containsText("Name or password is not right");
    signIn(owner, "maren", OWNER);
    assertThat(owner).hasURL(Pattern.compile(".*/editions/1/bench")); // where they were going

    // the owner sets a reader up
    go(owner, "/people");
    assertThat(Live.violations(owner)).isEmpty();
    owner.locator("#name").fill("Oona Tarrant");
    owner.locator("#role").selectOption("reader");
    button(owner, "Add").click();
    String password = owner.locator("#made-password").innerText();
    go(owner, "/people");
    assertThat(owner.locator("#made-password")).hasCount(0);

    Page reader = window();
    go(reader, "/titles");
    signIn(reader, "Oona Tarrant", password);
    assertThat(reader.locator("h1")).hasText("Titles");
    assertThat(button(reader, "Make title")).hasCount(0);
    for (String path :
        Extent.of(
            1,
            List.of(
                "/titles",
                "/houses",
                "/houses/osier-row",
                "/inspect",
                "/editions/1/docket",
                "/editions/1/what-if",
                "/editions/1/side-by-side",
                "/editions/1/templates",
                "/editions/1/bench",
                "/editions/1/bench?chosen=title",
                "/editions/1/history",
                "/editions/1/dispatch",
                "/account"))) {
      go(reader, path);
      assertThat(reader.locator(".me")).containsText("Oona Tarrant");
      assertThat(Live.violations(reader)).as(path).isEmpty();
      go(owner, path);
      assertThat(owner.locator(".me")).containsText("Maren");
    }
    for (String path : List.of("/people", "/backup")) {
      go(reader, path);
      assertThat(reader.locator(".sentence")).containsText("This page is for owners");
      go(owner, path);
      assertThat(Live.violations(owner)).as(path).isEmpty();
    }

    // the reader's docket and bench take nothing, by mouse or key
    go(reader, "/editions/1/docket");
    assertThat(reader.locator("#title")).isDisabled();
    go(reader, "/editions/1/bench");
    for (String tool : List.of("#undo", "#add-what", "#add-form")) {
      assertThat(reader.locator(tool)).hasCount(0);
    }
    Locator piece = reader.locator("#sheet .hold[data-piece='title']").first();
    String before = piece.locator(".box").getAttribute("d");
    piece.focus();
    for (String key : List.of("ArrowRight", "Delete", "Control+z")) {
      reader.keyboard().press(key);
    }
    var box = piece.boundingBox();
    reader.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
    reader.mouse().down();
    reader.mouse().move(box.x + box.width / 2 + 60, box.y + box.height / 2 + 30);
    reader.mouse().up();
    assertThat(reader.locator("#title-block")).hasAttribute("data-chosen", "title");
    assertThat(reader.locator("#w-size")).isDisabled();
    assertThat(piece.locator(".box").getAttribute("d")).isEqualTo(before);
    // but dispatch makes the file to look at
    go(reader, "/editions/1/dispatch");
    reader
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Make .*")))
        .first()
        .click();
    assertThat(reader.locator("#made")).containsText("MB");

    // what the owner changes carries the owner's name
    go(owner, "/editions/1/bench");
    owner.locator("#leaf-starts > summary").click();
    button(owner, "Ledger").click();
    assertThat(owner.locator(".revision")).hasText("revision 3");
    owner.locator(".revision").click();
    assertThat(owner.locator("table.answers tbody tr").first()).containsText("Layout Ledger");
    assertThat(owner.locator("table.answers tbody tr").first()).containsText("Maren");
    go(reader, "/editions/1/history");
    assertThat(reader.locator("table.answers tbody tr").first()).containsText("Maren");

    // made a designer, the reader can; signed out everywhere, nothing is lost and a sentence says
    // so
    go(owner, "/people");
    owner
        .getByLabel("Role of Oona Tarrant", new Page.GetByLabelOptions().setExact(true))
        .selectOption("designer");
    button(owner, "Change role of Oona Tarrant").click();
    assertThat(owner.locator(".told")).containsText("Oona Tarrant is designer now");
    go(reader, "/editions/1/docket");
    assertThat(reader.locator("#title")).isEnabled();
    button(owner, "Sign Oona Tarrant out everywhere").click();
    assertThat(owner.locator(".told")).containsText("Signed out everywhere");
    reader.locator("#title").fill("The Pepper Ledger");
    assertThat(reader.locator("#message")).containsText("Not saved: you are signed out");
    assertThat(reader.locator("#title")).hasValue("The Pepper Ledger");
    button(owner, "Sign out").click();
    assertThat(owner).hasURL(Pattern.compile(".*/sign-in\\?out"));
    go(owner, "/titles");
    assertThat(owner).hasURL(Pattern.compile(".*/sign-in"));
    owner.close();
    reader.close();
  }

  @Test
  public void aPasswordIsChangedOnTheAccountsPage() {
    People people = reglet.bean(People.class);
    people.add("Tam", Role.DESIGNER, "tam-password-123");
    Page page = window();
    go(page, "/account");
    signIn(page, "Tam", "tam-password-123");
    page.getByLabel("Old password").fill("tam-password-12");
    page.getByLabel("New password, at least 10 characters").fill("short");
    button(page, "Change password").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("The old password is not right");
    page.getByLabel("Old password").fill("tam-password-123");
    page.getByLabel("New password, at least 10 characters").fill("short");
    button(page, "Change password").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("at least 10 characters; this has 5");
    page.getByLabel("Old password").fill("tam-password-123");
    page.getByLabel("New password, at least 10 characters").fill("another one, longer");
    button(page, "Change password").click();
    assertThat(page).hasURL(Pattern.compile(".*/sign-in.*"));
    signIn(page, "Tam", "another one, longer");
    assertThat(page.locator(".me")).containsText("Tam");
    page.close();
  }
}
