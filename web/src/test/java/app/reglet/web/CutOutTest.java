package app.reglet.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** Cutting a picture's subject out, by mouse and keys. */
public class CutOutTest {
  /** A red disc on gray, a blue one beside it. */
  private static Path discs(boolean plain) throws IOException {
    BufferedImage image = new BufferedImage(800, 600, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(new Color(0xb7c0c4));
    g.fillRect(0, 0, 800, 600);
    if (!plain) {
      g.setColor(new Color(0xb03a2e));
      g.fillOval(100, 150, 260, 300);
      g.setColor(new Color(0x2e5ab0));
      g.fillOval(450, 150, 260, 300);
    }
    g.dispose();
    Path file = Scratch.file("discs", ".png");
    ImageIO.write(image, "png", file.toFile());
    return file;
  }

  private static Desk withPicture(String title, boolean plain) throws IOException {
    Desk desk = Desk.atBench(title, "");
    desk.does(() -> add(desk, plain));
    desk.page.locator("#leaf-cut").waitFor();
    desk.page.locator("#leaf-cut > summary").click();
    desk.page.locator("#cut-pad img").waitFor();
    desk.page.waitForFunction("() => document.querySelector('#cut-pad img').naturalWidth > 0");
    return desk;
  }

  private static void add(Desk desk, boolean plain) {
    try {
      desk.page.locator("#add-picture").setInputFiles(discs(plain));
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private static void drag(Desk desk, double... xy) {
    BoundingBox box = desk.page.locator("#cut-pad").boundingBox();
    desk.does(
        () -> {
          desk.page.mouse().move(box.x + xy[0] * box.width, box.y + xy[1] * box.height);
          desk.page.mouse().down();
          for (int i = 2; i < xy.length; i += 2) {
            desk.page.mouse().move(box.x + xy[i] * box.width, box.y + xy[i + 1] * box.height);
          }
          desk.page.mouse().up();
        });
    Live.settled(desk.page);
  }

  /** The box of the outline, in thousandths of the picture: left, top, right, bottom. */
  private static double[] outline(Desk desk) {
    desk.page.waitForFunction(
        "() => (document.querySelector('.cut-line').getAttribute('d') ?? '') !== '' && !document.querySelector('.cut-pad.working')");
    List<?> box =
        (List<?>)
            desk.page.evaluate(
                "() => { const b = document.querySelector('.cut-line').getBBox(); return [b.x, b.y, b.x + b.width, b.y + b.height]; }");
    return box.stream().mapToDouble(n -> ((Number) n).doubleValue()).toArray();
  }

  private static void near(double[] box, double left, double top, double right, double bottom) {
    double[] wanted = {left, top, right, bottom};
    for (int i = 0; i < 4; i++) {
      assertThat(box[i]).isBetween(wanted[i] - 12, wanted[i] + 12);
    }
  }

  @Test(groups = Extent.LONG)
  public void aProposalFindsBothAndAStrokeTakesOneOut() throws IOException {
    Desk desk = withPicture("Proposed", false);
    desk.does(() -> desk.page.locator("#cut-propose").click());
    near(outline(desk), 125, 250, 887, 750);
    desk.page.locator("[data-cut-side='-']").click();
    drag(desk, 0.72, 0.35, 0.74, 0.6);
    desk.page.waitForFunction(
        "() => { const b = document.querySelector('.cut-line').getBBox(); return b.x + b.width < 500; }");
    near(outline(desk), 125, 250, 450, 750);
    assertThat(desk.text("#said-cut")).isEqualTo("its subject");
    // a mark that changes nothing is kept all the same; one that is undone is not
    assertThat(desk.page.locator(".cut-marks path").count()).isEqualTo(1);
    drag(desk, 0.72, 0.35, 0.74, 0.6);
    desk.page.waitForCondition(() -> desk.page.locator(".cut-marks path").count() == 2);
    near(outline(desk), 125, 250, 450, 750);
    assertThat(desk.page.locator(".cut-marks path").count()).isEqualTo(2);
    desk.does(() -> desk.page.locator("#undo").click());
    desk.page.waitForCondition(() -> desk.page.locator(".cut-marks path").count() == 0);
    near(outline(desk), 125, 250, 887, 750);
  }

  @Test
  public void anOutlineDrawnByHandIsTheCutAndUndoTakesItBack() throws IOException {
    Desk desk = withPicture("Outlined", false);
    desk.page.locator("#cut-finds").uncheck();
    desk.page.locator("#cut-tool").selectOption("outline");
    drag(desk, 0.2, 0.2, 0.8, 0.2, 0.8, 0.8, 0.2, 0.8, 0.2, 0.2);
    near(outline(desk), 200, 200, 800, 800);
    desk.page.locator("#cut-tool").selectOption("brush");
    desk.page.locator("[data-cut-side='+']").click();
    drag(desk, 0.8, 0.5, 0.95, 0.5);
    desk.page.waitForFunction(
        "() => { const b = document.querySelector('.cut-line').getBBox(); return b.x + b.width > 940; }");
    desk.does(() -> desk.page.locator("#undo").click());
    desk.does(() -> desk.page.locator("#undo").click());
    desk.page.waitForCondition(() -> desk.text("#said-cut").equals("all of it"));
  }

  /** The press file and the sheet show the ground through what was cut away. */
  @Test
  public void theSubjectIsSetApartBeforeWhatLiesBehindIt() throws IOException {
    Desk desk = withPicture("Set apart", false);
    desk.does(() -> desk.page.locator("#cut-propose").click());
    outline(desk);
    desk.does(() -> desk.page.locator("#cut-apart").click());
    List<String> pieces =
        desk.page.locator("#sheet [data-piece]").all().stream()
            .map(l -> l.getAttribute("data-piece"))
            .distinct()
            .toList();
    assertThat(pieces.get(pieces.size() - 1)).startsWith("subject");
    assertThat(desk.page.locator("#leaf-cut #said-cut").innerText()).isEqualTo("its subject");
  }

  @Test(groups = Extent.LONG)
  public void keysMarkToo() throws IOException {
    Desk desk = withPicture("By keys", false);
    Locator pad = desk.page.locator("#cut-pad");
    pad.focus();
    for (int i = 0; i < 2; i++) {
      pad.press("Shift+ArrowLeft");
    }
    desk.does(() -> pad.press("Enter"));
    near(outline(desk), 125, 250, 450, 750);
  }

  @Test
  public void aPictureOfOneColourIsToldInASentence() throws IOException {
    Desk desk = withPicture("All one", true);
    desk.does(() -> desk.page.locator("#cut-propose").click(), 400);
    assertThat(desk.text("#message")).contains("all one colour");
    assertThat(desk.text("#said-cut")).isEqualTo("all of it");
  }
}
