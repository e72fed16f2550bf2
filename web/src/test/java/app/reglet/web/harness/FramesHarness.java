package app.reglet.web.harness;

import com.microsoft.playwright.Page;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.zip.GZIPOutputStream;

/**
 * How smoothly pieces go along with the hand: frames a second while they are moved, sized and
 * turned, and what of each frame is the page's own script; how long the bench takes to open, and
 * how large its sheet is.
 */
final class FramesHarness {
  private static final int MOVES = 120;
  private static final int SEVERAL = 20;

  /**
   * Counts frames, and adds up the time of every pointer listener and animation frame of the page.
   */
  private static final String WATCH =
      "() => { const w = window.watch = { frames: 0, script: 0, worst: 0, on: false };"
          + " const raf = window.requestAnimationFrame.bind(window);"
          + " let of = 0; const end = () => { w.worst = Math.max(w.worst, of); of = 0; };"
          + " const add = (ms) => { if (w.on) { w.script += ms; of += ms; } };"
          + " window.requestAnimationFrame = (f) => raf((t) => { const s = performance.now(); f(t); add(performance.now() - s); });"
          + " let start = 0;"
          + " window.addEventListener('pointermove', () => { start = performance.now(); }, true);"
          + " window.addEventListener('pointermove', () => add(performance.now() - start));"
          + " const tick = () => { if (w.on) { w.frames++; end(); } raf(tick); }; raf(tick); }";

  private final Page page;
  private final String edition;

  private FramesHarness(Page page, String edition) {
    this.page = page;
    this.edition = edition;
  }

  static void measure(Page page, String address, String edition) throws IOException {
    FramesHarness h = new FramesHarness(page, edition);
    h.opening(address);
    page.evaluate(WATCH);
    h.choose("words-7");
    h.gesture("one piece moved", ".hold[data-piece=words-7] .box", 0.3);
    h.gesture("one piece sized", ".grasp .grip.se", 0.5);
    h.gesture("one piece turned", ".grasp .grip.turn", 0.5);
    List<String> ids = new ArrayList<>();
    for (int i = 7; ids.size() < SEVERAL; i++) {
      if ((boolean)
          page.evaluate("i => !!document.querySelector(`.hold[data-piece=words-${i}]`)", i)) {
        ids.add("words-" + i);
      }
    }
    h.choose(String.join(",", ids));
    h.gesture(SEVERAL + " pieces moved", ".hold[data-piece=words-7] .box", 0.3);
    h.gesture(SEVERAL + " pieces sized", ".together .grip.se", 0.5);
    h.gesture(SEVERAL + " pieces turned", ".together .grip.turn", 0.5);
  }

  private void opening(String address) throws IOException {
    List<Double> ms = new ArrayList<>();
    for (int i = 0; i < 7; i++) {
      long start = System.nanoTime();
      page.navigate(address + "/editions/" + edition + "/bench");
      page.locator(".hold[data-piece=words-7]").waitFor();
      // pictures of closed leaves are loaded when they are seen: nobody waits for those
      page.waitForFunction(
          "() => [...document.images].filter(i => i.loading !== 'lazy').every(i => i.complete)");
      ms.add((System.nanoTime() - start) / 1e6);
    }
    ms.sort(null);
    String svg = (String) page.evaluate("() => document.querySelector('.sheet-scroll').innerHTML");
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (GZIPOutputStream gzip = new GZIPOutputStream(packed)) {
      gzip.write(svg.getBytes(StandardCharsets.UTF_8));
    }
    System.out.printf(
        Locale.ROOT,
        "the bench opens in: median %.0f ms; its sheet's SVG %d KB, %d KB compressed%n",
        ms.get(ms.size() / 2),
        svg.length() / 1000,
        packed.size() / 1000);
  }

  private void choose(String ids) {
    page.waitForResponse(
        r -> r.url().contains("chosen="),
        () ->
            page.evaluate(
                "async (ids) => { const a = await import('/js/bench/answers.js'); a.choose(ids); }",
                ids));
    page.waitForFunction(
        "ids => document.getElementById('title-block').dataset.chosen === ids"
            + " && document.querySelector('.grip.turn')",
        ids);
  }

  /** Back and forth over the sheet, and let go where it began. */
  private void gesture(String what, String grip, double across) {
    var at =
        (List<?>)
            page.evaluate(
                "([q, a]) => { const b = document.querySelector(q).getBoundingClientRect(); return [b.x + b.width * a, b.y + b.height * (a === 0.5 ? 0.5 : 0.9)]; }",
                List.of(grip, across));
    double x = ((Number) at.get(0)).doubleValue();
    double y = ((Number) at.get(1)).doubleValue();
    page.mouse().move(x, y);
    page.mouse().down();
    page.mouse().move(x + 8, y + 5);
    page.evaluate(
        "() => Object.assign(window.watch, { frames: 0, script: 0, worst: 0, on: true })");
    long start = System.nanoTime();
    for (int i = 0; i < MOVES; i++) {
      page.mouse().move(x + 60 * Math.sin(i / 12.0), y + 40 * Math.sin(i / 17.0));
    }
    double seconds = (System.nanoTime() - start) / 1e9;
    var w =
        (java.util.Map<?, ?>)
            page.evaluate("() => { window.watch.on = false; return { ...window.watch }; }");
    double frames = ((Number) w.get("frames")).doubleValue();
    System.out.printf(
        Locale.ROOT,
        "%s: %.0f frames a second, script %.1f ms a frame, worst %.1f ms%n",
        what,
        frames / seconds,
        ((Number) w.get("script")).doubleValue() / Math.max(1, frames),
        ((Number) w.get("worst")).doubleValue());
    page.keyboard().press("Escape");
    page.mouse().move(x, y);
    page.mouse().up();
    page.waitForFunction(
        "() => !document.body.classList.contains('dragging')"
            + " && document.querySelectorAll('#artwork > [transform], .lifted').length === 0");
  }
}
