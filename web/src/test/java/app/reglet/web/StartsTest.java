package app.reglet.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.layout.StartingLayout;
import app.reglet.testing.Extent;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** Starting points by mouse and keys: seen before they are chosen, tried, backed out of, saved. */
public class StartsTest {
  private static Desk opened(String title) {
    Desk desk = Desk.atBench(title, "Words for the back.");
    open(desk);
    return desk;
  }

  private static void open(Desk desk) {
    desk.page.locator("#leaf-starts > summary").click();
    desk.page.locator(".start").first().waitFor();
  }

  private static void lay(Desk desk, String name) {
    desk.does(() -> button(desk, name).click());
    assertThat(button(desk, name).getAttribute("aria-pressed")).isEqualTo("true");
  }

  private static Locator button(Desk desk, String name) {
    return desk.page
        .locator("#leaf-starts")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  private static BufferedImage picture(Desk desk, String name) throws IOException {
    String src = button(desk, name).locator("img").getAttribute("src");
    byte[] jpeg = desk.page.request().get(src).body();
    return ImageIO.read(new ByteArrayInputStream(jpeg));
  }

  private static List<String> pieces(Desk desk) {
    return desk.page.locator("#sheet [data-piece]").all().stream()
        .map(l -> l.getAttribute("data-piece"))
        .distinct()
        .toList();
  }

  @Test
  public void everyLayoutIsSeenAsAPictureOfThisBook() throws IOException {
    Desk desk = opened("Seen First");
    assertThat(desk.page.locator(".start").allInnerTexts())
        .extracting(String::strip)
        .containsExactlyElementsOf(
            java.util.Arrays.stream(StartingLayout.values()).map(StartingLayout::title).toList());
    BufferedImage poster = picture(desk, "Poster");
    BufferedImage emblem = picture(desk, "Emblem");
    assertThat(poster.getWidth()).isEqualTo(320);
    assertThat(poster.getRGB(160, 10)).isNotEqualTo(emblem.getRGB(160, 10));
    desk.page.close();
  }

  @Test
  public void layoutsAreTriedOnTheSheetAndOneUndoTakesThemAllBack() {
    Desk desk = opened("Tried Live");
    lay(desk, "Strata");
    assertThat(pieces(desk)).contains("bar-6", "title", "blurb");
    assertThat(desk.page.locator("#leaf-starts").getAttribute("open")).isNotNull();
    lay(desk, "Emblem");
    String base = desk.page.locator("#base").inputValue();
    desk.does(() -> desk.page.locator("#start-colours").selectOption("cookery"));
    desk.page.waitForFunction("was => document.getElementById('base').value !== was", base);
    Live.settled(desk.page);
    assertThat(button(desk, "Emblem").getAttribute("aria-pressed")).isEqualTo("true");
    desk.does(() -> desk.page.locator("#start-back").click());
    assertThat(desk.page.locator("#start-back").isVisible()).isFalse();
    assertThat(desk.page.locator(".start[aria-pressed=true]").count()).isZero();
    assertThat(desk.page.locator("#undo").isDisabled()).isTrue();
    desk.does(() -> desk.page.locator("#redo").click());
    lay(desk, "Poster");
    desk.does(() -> desk.page.locator("#undo").click());
    desk.page.waitForCondition(() -> desk.page.locator(".start[aria-pressed=true]").count() == 0);
    desk.page.close();
  }

  /** The layout that a cover was carried from is compared with, though another was tried since. */
  @Test
  public void tryingLayoutsKeepsTheRevisionThatACoverWasCarriedFrom() {
    Desk desk = opened("Tried On");
    String origin = desk.id();
    lay(desk, "Strata");
    CarryTest.carry(desk, "Case laminate, Dunlin Casebinders");
    CarryTest.make(desk);
    String made = desk.id();
    desk.page.navigate("/editions/" + origin + "/bench");
    open(desk);
    lay(desk, "Emblem");
    desk.page.navigate("/editions/" + made + "/carried");
    assertThat(desk.page.locator("main").innerText()).doesNotContain("has no revision");
    assertThat(desk.page.locator("#offers label").count()).isPositive();
    desk.page.navigate("/editions/" + origin + "/bench");
    desk.does(() -> desk.page.locator("#undo").click());
    assertThat(pieces(desk)).as("one undo takes both layouts back").doesNotContain("bar-6");
    desk.page.close();
  }

  /** The colours have names: one change of the palette changes the cover. */
  @Test
  public void whatALayoutBringsIsChangedInThePaletteAtOnce() {
    Desk desk = opened("Changed Once");
    lay(desk, "Label");
    desk.page.locator("#leaf-starts > summary").click();
    Live.settled(desk.page);
    desk.page.waitForCondition(
        () -> desk.page.locator("#leaf-palette > summary b").innerText().matches("\\d colours"));
    desk.page.locator("#leaf-palette > summary").click();
    Locator accent =
        desk.page.getByLabel("Colour of Accent", new Page.GetByLabelOptions().setExact(true));
    accent.fill("#123456");
    accent.press("Tab");
    desk.page
        .locator("[fill='#123456']")
        .first()
        .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.ATTACHED));
    desk.page.close();
  }

  /** A look saved from one cover is put on another title, whose words it says. */
  @Test(groups = Extent.LONG)
  public void aLookIsSavedFromOneCoverAndPutOnAnotherTitle() {
    Desk one = opened("Origin of a Look");
    lay(one, "Cartouche");
    one.page.locator("#look-form input").fill("Quiet books");
    one.page.locator("#look-form button").click();
    one.page.locator("[data-look]").first().waitFor();
    // the name is taken now: nobody's look is overwritten unsaid
    one.page.locator("#look-form input").fill("Quiet books");
    one.does(() -> one.page.locator("#look-form button").click(), 400);
    assertThat(one.page.locator("#message").innerText()).contains("already");
    one.page.close();
    Desk other = opened("Another Title");
    lay(other, "Quiet books");
    assertThat(pieces(other)).contains("frame-1", "frame-2", "title");
    other.page.reload();
    assertThat(pieces(other)).contains("frame-1", "frame-2", "title");
    open(other);
    other.page.onceDialog(d -> d.dismiss());
    other.page.getByLabel("Take the look “Quiet books” away").click();
    assertThat(other.page.locator("[data-look]").count()).isPositive();
    other.page.onceDialog(d -> d.accept());
    other.page.getByLabel("Take the look “Quiet books” away").click();
    other.page.waitForCondition(() -> other.page.locator("[data-look]").count() == 0);
    other.page.close();
  }

  @Test
  public void aLookWithoutANameIsRefusedInASentence() {
    Desk desk = opened("Nameless");
    lay(desk, "Axis");
    desk.page.locator("#look-form input").fill("   ");
    desk.does(() -> desk.page.locator("#look-form button").click(), 400);
    assertThat(desk.page.locator("#message").innerText()).contains("needs a name");
    desk.page.close();
  }
}
