package app.reglet.web.harness;

import app.reglet.testing.Chromium;
import app.reglet.web.harness.Web.Answer;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javax.imageio.ImageIO;

/**
 * How long a large cover and a long list take, against a Reglet that runs: a design of 60 pieces on
 * a picture of 24 megapixels, and 500 titles. It speaks to the Reglet of before the one address for
 * changes too, so that both can be measured.
 *
 * <p>Arguments: its address, edits to time, titles to make.
 */
public final class CoversHarness {
  private static final int PIECES = 60;
  private static final int WARM = 15;

  private final Web web;
  private final boolean oneAddress;
  private String edition;
  private String base;

  private CoversHarness(Web web, boolean oneAddress) {
    this.web = web;
    this.oneAddress = oneAddress;
  }

  public static void main(String[] args) throws Exception {
    String address = args[0];
    int edits = args.length > 1 ? Integer.parseInt(args[1]) : 60;
    int titles = args.length > 2 ? Integer.parseInt(args[2]) : 500;
    Web web = new Web(address);
    for (int i = 0; i < 20; i++) {
      web.get("/health"); // this program itself is warm then
    }
    double first = timed(() -> web.get("/editions/1/bench"));
    double tenth = 0;
    for (int i = 0; i < 9; i++) {
      tenth = timed(() -> web.get("/editions/1/bench"));
    }
    System.out.printf(
        Locale.ROOT, "first page after a start %.0f ms, tenth %.0f ms%n", first, tenth);
    boolean one = web.get("/editions/1/bench").body().contains("id=\"title-block\"");
    CoversHarness h = new CoversHarness(web, one);
    h.compose();
    h.edits(edits);
    h.screen(address, edits / 2);
    h.list(titles);
    System.exit(0); // the threads of the browser's driver would keep the process
  }

  /** Something that is timed. */
  private interface Doing {
    Answer does() throws IOException;
  }

  private static double timed(Doing doing) throws IOException {
    long start = System.nanoTime();
    Answer a = doing.does();
    double ms = (System.nanoTime() - start) / 1e6;
    if (a.status() != 200) {
      throw new IllegalStateException(a.status() + " " + a.body());
    }
    return ms;
  }

  private static String title(Web web, String title) throws IOException {
    return web.post("/titles", List.of(Map.entry("title", title)), false)
        .location()
        .replaceAll(".*/editions/(\\d+)/.*", "$1");
  }

  private static void facts(Web web, String id, String title) throws IOException {
    Map<String, String> form = new LinkedHashMap<>();
    form.put(
        "version",
        web.get("/editions/" + id + "/docket").find("name=\"version\" value=\"([\\d.]+)\""));
    form.put("title", title);
    form.put("author", "Edda Marsh");
    form.put("blurb", "Words for the back, and more of them. ".repeat(12));
    form.put("house", "gannet-and-gauge");
    form.put("binding", "perfect-bound");
    form.put("trim", "6 x 9 in");
    form.put("pages", "320");
    form.put("stock", "white");
    form.put("ink", "black");
    form.put("turn", "ltr");
    web.post("/editions/" + id + "/docket", form);
  }

  private Answer took(Answer a) {
    if (a.status() != 200) {
      throw new IllegalStateException(a.status() + " " + a.body());
    }
    base = a.find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
    return a;
  }

  private void compose() throws IOException {
    edition = title(web, "A large cover");
    facts(web, edition, "A large cover");
    String bench = "/editions/" + edition + "/bench";
    took(web.get(bench));
    BufferedImage image = new BufferedImage(6000, 4000, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setPaint(
        new GradientPaint(0, 0, java.awt.Color.DARK_GRAY, 6000, 4000, java.awt.Color.ORANGE));
    g.fillRect(0, 0, 6000, 4000);
    g.dispose();
    ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
    ImageIO.write(image, "jpg", jpeg);
    took(
        web.upload(
            bench + "/picture", Map.of("base", base), "picture", "sea.jpg", jpeg.toByteArray()));
    for (int i = 0; i < PIECES; i++) {
      String what = i % 12 == 0 ? "back:blurb" : i % 12 == 1 ? "band" : "front:title";
      took(
          oneAddress
              ? web.post(bench + "/edits", Map.of("base", base, "edit", "add", "what", what))
              : web.post(bench + "/add", Map.of("base", base, "what", what)));
    }
  }

  private Answer move(int i) throws IOException {
    Map<String, String> form = new LinkedHashMap<>();
    form.put("base", base);
    if (oneAddress) {
      form.put("edit", "move");
      form.put("piece", "words-7");
      form.put("right", "0 mm");
      form.put("down", (i % 2 == 0 ? "" : "-") + "0.5 mm");
      return web.post("/editions/" + edition + "/bench/edits", form);
    }
    form.put("from", "sheet");
    form.put("left", "190 mm");
    form.put("top", 40 + i % 2 * 0.5 + " mm");
    form.put("width", "120 mm");
    form.put("height", "30 mm");
    return web.post("/editions/" + edition + "/bench/pieces/words-7/box", form);
  }

  private void edits(int count) throws IOException {
    double[] ms = new double[count];
    int[] bytes = new int[count];
    for (int i = -WARM; i < count; i++) {
      int n = i;
      Answer[] a = new Answer[1];
      double t = timed(() -> a[0] = move(n & 0xff));
      took(a[0]);
      if (i >= 0) {
        ms[i] = t;
        bytes[i] = a[0].body().getBytes(StandardCharsets.UTF_8).length;
      }
    }
    Arrays.sort(ms);
    Arrays.sort(bytes);
    System.out.printf(
        Locale.ROOT,
        "an edit of one of %d pieces at the server: median %.1f ms, p95 %.1f ms, %.1f KB sent%n",
        PIECES,
        ms[count / 2],
        ms[count * 95 / 100],
        bytes[count / 2] / 1000.0);
  }

  /** From letting go of a dragged piece to the frame that shows the answer. */
  private void screen(String address, int count) throws IOException {
    try (Browser browser = Chromium.browser()) {
      Page page =
          browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800)).newPage();
      page.navigate(address + "/editions/" + edition + "/bench");
      page.locator(".hold[data-piece=words-7]").waitFor();
      page.evaluate(
          "() => { let base = document.getElementById('base').value; window.shown = [];"
              + "document.addEventListener('pointerup', () => window.let = performance.now(), true);"
              + "new MutationObserver(() => { const b = document.getElementById('base');"
              + " if (b && b.value !== base) { base = b.value; requestAnimationFrame(() => setTimeout(() => window.shown.push(performance.now() - window.let))); } })"
              + ".observe(document.body, {childList: true, subtree: true}); }");
      List<Double> ms = new ArrayList<>();
      for (int i = 0; i < count + 5; i++) {
        Object seen = page.evaluate("() => window.shown.length");
        var corners =
            (List<?>)
                page.evaluate(
                    "() => { const b = document.querySelector('.hold[data-piece=words-7]').getBoundingClientRect();"
                        + " return [b.x + 6, b.y + b.height - 4]; }");
        double x = ((Number) corners.get(0)).doubleValue();
        double y = ((Number) corners.get(1)).doubleValue();
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x, y + (i % 2 == 0 ? 9 : -9));
        page.mouse().move(x, y + (i % 2 == 0 ? 18 : -18));
        page.mouse().up();
        page.waitForFunction("n => window.shown.length > n", seen);
        double t =
            ((Number) page.evaluate("() => window.shown[window.shown.length - 1]")).doubleValue();
        if (i >= 5) {
          ms.add(t);
        }
      }
      ms.sort(null);
      System.out.printf(
          Locale.ROOT,
          "on screen, from letting go to the frame: median %.0f ms, slowest %.0f ms of %d%n",
          ms.get(ms.size() / 2),
          ms.get(ms.size() - 1),
          ms.size());
      if (oneAddress) {
        FramesHarness.measure(page, address, edition);
      }
    }
  }

  private void list(int titles) throws IOException {
    for (int i = 0; i < titles; i++) {
      facts(web, title(web, "Title " + i), "Title " + i);
    }
    double[] ms = new double[30];
    int size = 0;
    for (int i = -10; i < ms.length; i++) {
      Answer[] a = new Answer[1];
      double t = timed(() -> a[0] = web.get("/titles"));
      size = a[0].body().length();
      if (i >= 0) {
        ms[i] = t;
      }
    }
    Arrays.sort(ms);
    System.out.printf(
        Locale.ROOT,
        "/titles with %d titles more: median %.0f ms, slowest %.0f ms, %d KB%n",
        titles,
        ms[ms.length / 2],
        ms[ms.length - 1],
        size / 1000);
  }
}
