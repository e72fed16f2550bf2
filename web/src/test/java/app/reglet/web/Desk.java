package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import app.reglet.web.harness.Web;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.WaitUntilState;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.function.Predicate;

/** What a person does in Reglet, in their own words. */
final class Desk {
  final Page page;

  private static final AtomicInteger BOOKS = new AtomicInteger();

  Desk(Page page) {
    this.page = page;
  }

  static Desk open() {
    return new Desk(Live.reglet().page());
  }

  /**
   * A new title on its docket, made by a request: how a person makes one is {@link
   * FirstCoverTest}'s.
   */
  Desk makeTitle(String title, String author) {
    try {
      go(
          new Web(Live.reglet().address())
              .post(
                  "/titles", List.of(Map.entry("title", title), Map.entry("author", author)), false)
              .location());
    } catch (IOException e) {
      throw new AssertionError(e);
    }
    return this;
  }

  /**
   * A new title of 6 × 9 in and 320 pages on its bench, made by requests: typing on a docket is
   * tested by those who type there.
   */
  static Desk atBench(String title, String blurb) {
    return atBench(
        title, Map.of("blurb", blurb, "trim", "6 x 9 in", "pages", "320", "isbn", isbn()));
  }

  /** One that no other title has (ISO 2108: the last digit makes the weighted sum a ten). */
  static String isbn() {
    String first = String.format("97803064%04d", BOOKS.incrementAndGet());
    int sum = 0;
    for (int i = 0; i < 12; i++) {
      sum += (first.charAt(i) - '0') * (i % 2 == 0 ? 1 : 3);
    }
    return first + (10 - sum % 10) % 10;
  }

  /** A new title on its bench, at a house that takes sRGB: its file has the colours as they are. */
  static Desk inScreenColours(String title, String blurb) {
    return atBench(
        title,
        Map.of(
            "blurb",
            blurb,
            "trim",
            "6 x 9 in",
            "pages",
            "320",
            "isbn",
            isbn(),
            "house",
            "whimbrel-digital"));
  }

  /** A new title with these facts on its bench. */
  static Desk atBench(String title, Map<String, String> facts) {
    Desk desk = open();
    desk.page.navigate(made(title, facts) + "/bench");
    desk.page.locator("#sheet").waitFor();
    return desk;
  }

  /** A new title with these facts on its docket. */
  static Desk atDocket(String title, Map<String, String> facts) {
    Desk desk = open();
    desk.go(made(title, facts) + "/docket");
    return desk;
  }

  /** Makes a title by requests; returns its edition's address. */
  private static String made(String title, Map<String, String> facts) {
    Web web = new Web(Live.reglet().address());
    try {
      String edition =
          web.post("/titles", List.of(Map.entry("title", title)), false)
              .location()
              .replaceAll(".*/editions/(\\d+)/.*", "/editions/$1");
      Map<String, String> form = new LinkedHashMap<>();
      form.put(
          "version", web.get(edition + "/docket").find("name=\"version\" value=\"([\\d.]+)\""));
      form.put("title", title);
      form.put("author", "Edda Marsh");
      form.putAll(facts);
      web.post(edition + "/docket", form);
      return edition;
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  /** Types into a field, key by key, as hands do; waits until it is saved. */
  Desk type(String field, String text) {
    return put(field, text, input -> input.pressSequentially(text));
  }

  /** Puts a text into a field at once: nothing in between can be saved. */
  Desk paste(String field, String text) {
    return put(field, text, input -> page.keyboard().insertText(text));
  }

  /** Goes on typing at the end of a field. */
  Desk typeOn(String field, String text) {
    Locator input = page.locator("#" + field);
    return save(
        field,
        input.inputValue() + text,
        () -> {
          input.press("End");
          input.pressSequentially(text);
        });
  }

  private Desk put(String field, String text, Consumer<Locator> how) {
    Locator input = page.locator("#" + field);
    return save(
        field,
        text,
        () -> {
          input.click();
          input.press("Control+a");
          if (text.isEmpty()) {
            input.press("Delete");
          } else {
            how.accept(input);
          }
        });
  }

  private Desk save(String field, String text, Runnable typing) {
    awaited(
        r ->
            r.url().endsWith("/docket")
                && r.request().method().equals("POST")
                && r.request().postData() != null
                && typed(r.request().postData(), field, text),
        typing);
    // the answer is on the page when the saved line says so
    assertThat(page.locator("#saved")).containsText("Saved");
    Live.settled(page);
    return this;
  }

  private static boolean typed(String body, String field, String text) {
    for (String pair : body.split("&")) {
      if (pair.startsWith(field + "=")) {
        String value =
            java.net.URLDecoder.decode(
                pair.substring(field.length() + 1), java.nio.charset.StandardCharsets.UTF_8);
        return value.equals(text);
      }
    }
    return false;
  }

  /** Waits for an answer; where none comes, it is told what the page was at. */
  private void awaited(Predicate<Response> answer, Runnable action) {
    try {
      page.waitForResponse(answer, action);
    } catch (TimeoutError e) {
      throw new AssertionError(
          "no answer; the page is at "
              + page.evaluate(
                  "() => { const f = document.getElementById('docket'); const d = f?.['htmx-internal-data'] ?? {}; return JSON.stringify({ at: location.href, focus: document.activeElement.id, says: document.activeElement.value, saved: document.getElementById('saved')?.textContent, message: document.getElementById('message')?.textContent, waiting: document.querySelectorAll('.htmx-request').length, xhr: d.xhr ? d.xhr.readyState : null, queued: d.queuedRequests?.length, delayed: d.delayed ?? null, seen: document.visibilityState }); }"),
          e);
    }
  }

  Desk choose(String field, String value) {
    awaited(
        r -> r.url().endsWith("/docket") && r.request().method().equals("POST"),
        () -> page.locator("#" + field).selectOption(value));
    Live.settled(page);
    return this;
  }

  /**
   * A docket filled in far enough to measure and compose, and sent once: how it measures while
   * somebody types field by field is tested by {@link DocketTest}.
   */
  Desk fill(String trim, String pages, String isbn) {
    unsent("trim", trim);
    if (isbn.isEmpty()) {
      return paste("pages", pages);
    }
    unsent("pages", pages);
    return paste("isbn", isbn);
  }

  /** Writes a text into a field in silence: it goes along with what is typed next. */
  private void unsent(String field, String text) {
    page.locator("#" + field).evaluate("(e, text) => { e.value = text; }", text);
  }

  /**
   * Goes to an address and returns when its words are there. The load event waits for every picture
   * as well, and the server draws a front or a preview when it is first asked for: on a busy
   * machine that takes far longer than the page.
   */
  void go(String address) {
    page.navigate(
        address, new Page.NavigateOptions().setWaitUntil(WaitUntilState.DOMCONTENTLOADED));
  }

  String id() {
    return page.url().replaceAll(".*/editions/(\\d+)/.*", "$1");
  }

  Desk bench() {
    page.navigate("/editions/" + id() + "/bench");
    page.locator("#sheet").waitFor();
    return this;
  }

  /** Does something on the bench that is answered with a status. */
  Desk does(Runnable action, int status) {
    page.waitForResponse(r -> r.url().contains("/bench") && r.status() == status, action);
    Live.settled(page);
    return this;
  }

  /** Does something on the bench and waits for the board to answer. */
  Desk does(Runnable action) {
    page.waitForResponse(r -> r.url().contains("/bench") && r.status() < 400, action);
    Live.settled(page);
    return this;
  }

  /**
   * Lays the book out on the ground that is there. How a person gets at layouts is {@link
   * StartsTest}'s; here it is what others begin with.
   */
  Desk layout(String name) {
    return does(
        () ->
            page.evaluate(
                "id => { const b = document.createElement('button'); b.dataset.edit = 'layout'; b.dataset.layout = id; document.body.append(b); b.click(); b.remove(); }",
                name.toLowerCase(java.util.Locale.ROOT)));
  }

  /** A piece's box on the sheet, mm: x, y, width, height. */
  double[] box(String piece) {
    Object box =
        page.evaluate(
            "id => JSON.parse(document.getElementById('model').textContent).pieces.find(p => p.id === id).box",
            piece);
    return ((java.util.List<?>) box)
        .stream().mapToDouble(n -> ((Number) n).doubleValue()).toArray();
  }

  /** Waits until a piece is so far down on the sheet, mm. */
  void untilTop(String piece, double top) {
    page.waitForFunction(
        "([id, top]) => Math.abs(JSON.parse(document.getElementById('model').textContent).pieces.find(p => p.id === id).box[1] - top) < 0.001",
        List.of(piece, top));
    Live.settled(page);
  }

  String text(String selector) {
    return page.locator(selector).innerText();
  }
}
