package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** A typeface is chosen by the very words that are to be set in it. */
public class FacesTest {
  private static Desk onTitle(String title) {
    Desk desk = Desk.atBench(title, "").layout("Ledger");
    desk.does(() -> desk.page.locator("#pieces .piece[data-piece=title]").click());
    return desk;
  }

  @Test
  public void aFaceIsFoundTriedAndKeptAtHandByMouse() {
    Desk desk = onTitle("Saltmarsh");
    desk.page.locator("#leaf-face > summary").click();
    assertThat(desk.page.locator("#face-found")).hasText(Pattern.compile("[4-9]\\d families"));
    desk.page.locator("#face-find").fill("blackletter hist");
    assertThat(desk.page.locator(".family:visible .family-name"))
        .hasText(new String[] {"Pirata One", "UnifrakturMaguntia"});
    desk.does(() -> desk.page.locator(".family:visible [data-face=pirata-one].face").click());
    assertThat(desk.page.locator("#artwork [data-piece=title] [data-face=pirata-one]").first())
        .isAttached();
    assertThat(desk.page.locator("#said-face")).hasText("Pirata One");
    // the leaf stays: what was tried is marked, the next is one click away
    assertThat(desk.page.locator(".family:visible .face[aria-pressed=true]"))
        .hasAttribute("data-face", "pirata-one");
    desk.page.waitForResponse(
        r -> r.url().endsWith("/faces/kept") && r.status() == 204,
        () -> desk.page.locator(".keep[data-family=pirata-one]:visible").click());
    desk.page.locator("#face-find").fill("alegreya");
    desk.does(
        () -> desk.page.locator(".face-style[data-face=alegreya-italic]:visible").first().click());
    assertThat(desk.page.locator("#artwork [data-piece=title] [data-face=alegreya-italic]").first())
        .isAttached();
    desk.page.reload();
    desk.does(() -> desk.page.locator("#pieces .piece[data-piece=title]").click());
    desk.page.locator("#leaf-face > summary").click();
    assertThat(desk.page.locator(".face-groups h3").nth(2)).hasText("kept at hand");
    assertThat(desk.page.locator(".face-groups section").nth(2).locator(".family-name"))
        .hasText("Pirata One");
    desk.page.locator("[data-faces=genre]").click();
    assertThat(desk.page.locator(".face-groups h3").getByText("horror")).isAttached();
  }

  @Test
  public void aFaceIsChosenWithKeysAloneAndLettersItLacksAreNamed() {
    Desk desk = onTitle("Ночь");
    desk.page.locator("#leaf-face > summary").focus();
    desk.page.keyboard().press("Enter");
    assertThat(desk.page.locator("#face-find")).isFocused();
    desk.page.keyboard().type("vollkorn");
    desk.page.keyboard().press("ArrowDown");
    desk.does(() -> desk.page.keyboard().press("Enter"));
    assertThat(desk.page.locator("#artwork [data-piece=title] [data-face^=vollkorn]").first())
        .isAttached();
    assertThat(desk.page.locator("#notes")).not().containsText("no glyph");
    desk.page.locator("#face-find").fill("rye");
    assertThat(desk.page.locator(".family:visible .lacks")).hasText("lacks Ночь");
    // a script finds the families that have its letters, and no others
    desk.page.locator("#face-find").fill("cyrillic");
    assertThat(desk.page.locator(".family:visible .family-name").first()).isVisible();
    assertThat(desk.page.locator(".family:visible .lacks")).hasCount(0);
    desk.page.locator("#face-find").fill("hebrew");
    assertThat(desk.page.locator(".family:visible .family-name").first()).isVisible();
    desk.page.locator("#face-find").focus();
    desk.page.keyboard().press("Escape");
    assertThat(desk.page.locator("#leaf-face")).not().hasAttribute("open", "");
    assertThat(desk.page.locator("#leaf-face > summary")).isFocused();
  }

  @Test
  public void aFourthFamilyIsToldAsAdviceThatTheDocketCannotMend() {
    Desk desk = onTitle("Crowded");
    String[] pieces = {"title", "author", "spine-title", "spine-author"};
    String[] faces = {"rye", "karla", "jost", "lora"};
    for (int i = 0; i < pieces.length; i++) {
      desk.page.evaluate(
          "async ([piece, face]) => { const a = await import('/js/bench/answers.js'); await a.edit('set', { piece, face }); }",
          java.util.List.of(pieces[i], faces[i]));
    }
    assertThat(desk.page.locator("#notes"))
        .containsText(Pattern.compile("Words stand in [4-9] families of type: .*Rye"));
    assertThat(desk.page.locator("#notes a")).hasCount(0);
  }
}
