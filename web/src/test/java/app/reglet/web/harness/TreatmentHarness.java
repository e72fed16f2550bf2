package app.reglet.web.harness;

import app.reglet.core.edit.CutMarks;
import app.reglet.testing.Chromium;
import app.reglet.testing.Scratch;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.RequestOptions;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import javax.imageio.ImageIO;

/**
 * Pictures on the bench: how long a step of a slider takes from its event to the frame that shows a
 * photo of 24 megapixels treated, and how long a press file with it takes, and with one of 98.
 *
 * <p>{@code ./reglet harness treatment [steps]}
 */
public final class TreatmentHarness {
  /**
   * From the input event to the frame that is drawn with the other picture, and to the next one:
   * somewhere between the two it is on the screen.
   */
  private static final String STEP =
      "() => new Promise(done => { const f = document.getElementById('pic-brightness'); const from = performance.now();"
          + " const was = document.querySelector('#artwork image').getAttribute('href');"
          + " const look = () => { const i = document.querySelector('#artwork image'); if (i.getAttribute('href') !== was) {"
          + " o.disconnect(); requestAnimationFrame(() => { const drawn = performance.now() - from; requestAnimationFrame(() => done([drawn, performance.now() - from])); }); } };"
          + " const o = new MutationObserver(look); o.observe(document.getElementById('artwork'), { childList: true, subtree: true, attributes: true });"
          + " f.value = Number(f.value) - 1; f.dispatchEvent(new Event('input', { bubbles: true })); })";

  private TreatmentHarness() {}

  public static void main(String[] args) throws Exception {
    int steps = args.length > 0 ? Integer.parseInt(args[0]) : 40;
    Path data = Scratch.directory("reglet-treatment");
    try (Subject reglet = new Subject(data)) {
      Browser browser = Chromium.browser();
      reglet.start();
      for (int[] size : new int[][] {{6000, 4000}, {12124, 8083}}) {
        Composing cover = Composing.begin(reglet.web(), "The Salt Ledger");
        Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
        String edition = reglet.web().address() + "/editions/" + cover.edition;
        page.navigate(edition + "/bench");
        Path photo = photo(size[0], size[1]);
        page.waitForResponse(
            r -> r.url().contains("/bench/picture"),
            new Page.WaitForResponseOptions().setTimeout(120_000),
            () -> page.locator("#bg-file").setInputFiles(photo));
        Files.delete(photo);
        page.locator("#leaf-treatment > summary").click();
        String what = Math.round(size[0] / 1e6 * size[1]) + " megapixels";
        if (size[0] < 10_000) {
          slider(page, steps, "a photo of " + what);
          starts(page);
          proposals();
        } else {
          page.evaluate(STEP);
        }
        for (int i = 0; i < 3; i++) {
          pressFile(page, edition, what);
        }
        page.close();
      }
    }
    System.exit(0); // the threads of the browser's driver would keep the process
  }

  private static void slider(Page page, int steps, String what) {
    List<Double> drawn = new ArrayList<>();
    List<Double> next = new ArrayList<>();
    for (int i = 0; i < steps; i++) {
      List<?> ms = (List<?>) page.evaluate(STEP);
      drawn.add(((Number) ms.get(0)).doubleValue());
      next.add(((Number) ms.get(1)).doubleValue());
    }
    drawn.sort(null);
    next.sort(null);
    System.out.printf(
        Locale.ROOT,
        "a step of a slider on %s, from event to its frame: median %.0f ms, least %.0f, most %.0f; to the frame after: median %.0f (target 100)%n",
        what,
        drawn.get(steps / 2),
        drawn.get(0),
        drawn.get(steps - 1),
        next.get(steps / 2));
  }

  /** From the opening of the leaf until every layout is seen, with one dress after the other. */
  private static void starts(Page page) {
    page.locator("#leaf-starts > summary").click();
    for (String colours : List.of("own", "history", "children", "crime")) {
      double ms =
          ((Number)
                  page.evaluate(
                      "colours => new Promise(done => { const from = performance.now(); const s = document.getElementById('start-colours');"
                          + " if (s) { s.value = colours; s.dispatchEvent(new Event('change', { bubbles: true })); }"
                          + " const look = () => { const all = [...document.querySelectorAll('.start img')];"
                          + " if (all.length > 11 && all.every(i => i.src.includes('colours=' + colours) && i.complete && i.naturalWidth)) done(performance.now() - from);"
                          + " else setTimeout(look, 10); }; look(); })",
                      colours))
              .doubleValue();
      System.out.printf(
          Locale.ROOT,
          "%d layouts as pictures of this book: %.0f ms (target 1500 for twelve)%n",
          page.locator(".start").count(),
          ms);
    }
    page.locator("#leaf-starts > summary").click();
  }

  /** A figure before a sky, 2 megapixels. */
  private static void proposals() {
    BufferedImage image = new BufferedImage(1600, 1250, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setPaint(new GradientPaint(0, 0, new Color(0xe8eef2), 200, 1250, new Color(0x9fb4bd)));
    g.fillRect(0, 0, 1600, 1250);
    g.setColor(new Color(0x3a2a30));
    g.fillOval(680, 180, 240, 300);
    g.fillOval(540, 460, 520, 680);
    g.dispose();
    for (int i = 0; i < 5; i++) {
      long from = System.nanoTime();
      app.reglet.press.picture.Subject.proposed(image, CutMarks.NONE);
      System.out.printf(
          Locale.ROOT,
          "a proposal of a cut-out at 2 megapixels: %.2f s (target 2)%n",
          (System.nanoTime() - from) / 1e9);
    }
  }

  private static void pressFile(Page page, String edition, String what) {
    long from = System.nanoTime();
    var answer =
        page.request().get(edition + "/press-file", RequestOptions.create().setTimeout(120_000));
    System.out.printf(
        Locale.ROOT,
        "a press file with %s treated: status %d, %.2f s, %.1f MB (target 2 s for 24)%n",
        what,
        answer.status(),
        (System.nanoTime() - from) / 1e9,
        answer.body().length / 1e6);
    if (answer.status() != 200) {
      System.out.println(answer.text().replaceAll("(?s)<[^>]*>", " ").replaceAll("\\s+", " "));
    }
  }

  /** Hills and grain, as a JPEG. */
  private static Path photo(int w, int h) throws Exception {
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_3BYTE_BGR);
    Random random = new Random(5);
    int[] row = new int[w];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        double hill = Math.sin(x / 700.0) * 40 + Math.sin(y / 300.0 + x / 2000.0) * 50;
        int v = (int) Math.max(0, Math.min(235, 120 + hill + random.nextInt(20)));
        row[x] = v << 16 | (v * 3 / 4) << 8 | 255 - v;
      }
      image.setRGB(0, y, w, 1, row, 0, w);
    }
    Path file = Scratch.file("photo", ".jpg");
    ImageIO.write(image, "jpg", file.toFile());
    return file;
  }
}
