package app.reglet.web.harness;

import app.reglet.testing.Chromium;
import app.reglet.testing.Scratch;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * Type on the bench: how long a key in a text of 300 words takes from its event to the frame that
 * shows it, how long the list of typefaces takes with the real title, and how large the fonts of a
 * press file with twelve faces are.
 *
 * <p>{@code ./reglet harness typing [keys]}
 */
public final class TypingHarness {
  private static final int WORDS = 300;
  private static final int FACES = 12;
  private static final String SENTENCE =
      "The office on the flats closes and its last clerk files every affidavit of the drowned shore ";

  /** From the input event to the second frame after the piece is another. */
  private static final String WATCH =
      "() => new Promise(done => { const f = document.getElementById('w-text'); let from = 0;"
          + " f.addEventListener('input', () => { from = performance.now(); }, { once: true, capture: true });"
          + " new MutationObserver((m, o) => { if (!from) return; o.disconnect();"
          + " requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - from))); })"
          + ".observe(document.getElementById('artwork'), { childList: true }); window.watching = true; })";

  private TypingHarness() {}

  public static void main(String[] args) throws Exception {
    int keys = args.length > 0 ? Integer.parseInt(args[0]) : 40;
    Path data = Scratch.directory("reglet-typing");
    try (Subject reglet = new Subject(data)) {
      Browser browser = Chromium.browser();
      reglet.start();
      Composing cover = Composing.begin(reglet.web(), "The Salt Ledger");
      Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
      page.navigate(reglet.web().address() + "/editions/" + cover.edition + "/bench");
      keystrokes(page, keys);
      faces(page);
      fonts(page, reglet.web().address() + "/editions/" + cover.edition);
    }
    System.exit(0); // the threads of the browser's driver would keep the process
  }

  private static void keystrokes(Page page, int keys) {
    add(page, "back:own");
    String text = SENTENCE.repeat(WORDS / SENTENCE.split(" ").length + 1).strip();
    answered(page, () -> page.locator("#w-text").fill(text));
    answered(page, () -> page.locator("#w-align").selectOption("JUSTIFIED", force()));
    answered(page, () -> page.locator("#w-breaks").selectOption("EVEN", force()));
    page.locator("#w-text").press("Control+End");
    keystrokes(page, keys, "the first " + keys + " keys after a start");
    keystrokes(page, keys, "the next " + keys);
    keystrokes(page, keys, "the next " + keys);
  }

  private static void keystrokes(Page page, int keys, String which) {
    List<Double> ms = new ArrayList<>();
    List<Double> answers = new ArrayList<>();
    double bytes = 0;
    for (int i = 0; i < keys; i++) {
      page.evaluate("() => performance.clearResourceTimings()");
      page.evaluate("watch => { window.took = eval(watch)(); }", WATCH);
      page.keyboard().press(i % 6 == 5 ? "Space" : "x");
      ms.add(((Number) page.evaluate("() => window.took")).doubleValue());
      List<?> answer =
          (List<?>)
              page.evaluate(
                  "() => { const r = performance.getEntriesByType('resource').filter(e => e.name.endsWith('/edits')).pop(); return [r.responseEnd - r.requestStart, r.encodedBodySize]; }");
      answers.add(((Number) answer.get(0)).doubleValue());
      bytes += ((Number) answer.get(1)).doubleValue();
    }
    ms.sort(null);
    answers.sort(null);
    System.out.printf(
        Locale.ROOT,
        "its answer: median %.0f ms, %.0f bytes as sent%n",
        answers.get(answers.size() / 2),
        bytes / keys);
    System.out.printf(
        Locale.ROOT,
        "%s in a text of %d words, from event to frame: median %.0f ms, least %.0f, most %.0f (target 100)%n",
        which,
        page.locator("#w-text").inputValue().split(" ").length,
        ms.get(ms.size() / 2),
        ms.get(0),
        ms.get(ms.size() - 1));
  }

  private static com.microsoft.playwright.Locator.SelectOptionOptions force() {
    return new com.microsoft.playwright.Locator.SelectOptionOptions().setForce(true);
  }

  private static void faces(Page page) {
    List<Double> ms = new ArrayList<>();
    for (int i = 0; i < 7; i++) {
      ms.add(
          ((Number)
                  page.evaluate(
                      "() => new Promise(done => { const d = document.getElementById('leaf-face'); d.open = false; const leaf = d.querySelector('.leaf'); const from = performance.now();"
                          + " new MutationObserver((m, o) => { if (!leaf.querySelector('.family')) return; o.disconnect(); requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - from))); }).observe(leaf, { childList: true, subtree: true });"
                          + " d.open = true; })"))
              .doubleValue());
    }
    ms.sort(null);
    System.out.printf(
        Locale.ROOT,
        "the list of %s with the words: median %.0f ms, most %.0f (target 300)%n",
        page.locator("#face-found").innerText(),
        ms.get(ms.size() / 2),
        ms.get(ms.size() - 1));
  }

  private static void fonts(Page page, String edition) throws Exception {
    List<String> ids = new ArrayList<>();
    Matcher m =
        Pattern.compile("data-face=\"([^\"]+)\"")
            .matcher(page.request().get(edition + "/bench/faces").text());
    while (m.find()) {
      if (!ids.contains(m.group(1))) {
        ids.add(m.group(1));
      }
    }
    for (int i = 0; i < FACES; i++) {
      add(page, "front:own");
      answered(
          page,
          () -> page.locator("#w-text").fill("Words of the salt ledger, set in one of twelve"));
      String face = ids.get(i * ids.size() / FACES);
      answered(
          page,
          () ->
              page.evaluate(
                  "face => import('/js/bench/answers.js').then(a => a.edit('set', { piece: document.getElementById('title-block').dataset.chosen, face }))",
                  face));
    }
    long bytes = 0;
    int fonts = 0;
    try (PDDocument file = Loader.loadPDF(page.request().get(edition + "/press-file").body())) {
      for (var key : file.getDocument().getXrefTable().keySet()) {
        if (file.getDocument().getObjectFromPool(key).getObject()
                instanceof org.apache.pdfbox.cos.COSDictionary d
            && d.getDictionaryObject(COSName.FONT_FILE2) instanceof COSStream s) {
          bytes += s.getLength();
          fonts++;
        }
      }
    }
    System.out.printf(
        Locale.ROOT,
        "a press file with %d faces: %,d bytes of fonts (target 600,000)%n",
        fonts,
        bytes);
  }

  private static void add(Page page, String what) {
    page.locator("#add-what").selectOption(what);
    answered(page, () -> page.locator("#add-form button").click());
  }

  private static void answered(Page page, Runnable action) {
    page.waitForResponse(r -> r.url().contains("/bench/edits"), action);
    page.waitForFunction("() => !document.querySelector('.htmx-request, .htmx-settling')");
  }
}
