package app.reglet.web;

import app.reglet.testing.Chromium;
import app.reglet.testing.Patience;
import app.reglet.testing.Scratch;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.springframework.context.ConfigurableApplicationContext;

/** Reglet running on a free port with data of its own, and a headless Chromium to look at it. */
public final class Live {
  /** A test has two windows at most. */
  private static final int MOST_WINDOWS = 4;

  private static final int SLOW_SECONDS = 10;

  private static final List<String> COMPLAINTS = Collections.synchronizedList(new ArrayList<>());

  private static final Pattern NOTED =
      Pattern.compile(
          "(Failed to load resource: .*(status of 4|ERR_INTERNET_DISCONNECTED)|Response Status Error Code 4|htmx:(sendError|sendAbort|afterRequest))");

  private static Live running;

  private final ConfigurableApplicationContext application;
  private final String address;
  private final List<BrowserContext> others = new ArrayList<>();
  private BrowserContext browser;
  private final List<Page> taken = new ArrayList<>();
  private final Deque<Page> free = new ArrayDeque<>();

  private Live() throws IOException {
    application =
        Reglet.start(
            Templates.demo(),
            "--server.port=0",
            "--reglet.demo=true",
            Own.STOPPED_BY_THE_TEST,
            Own.workingIn());
    Scratch.atEnd(application::close);
    address = "http://127.0.0.1:" + application.getEnvironment().getProperty("local.server.port");
  }

  /** The one running Reglet of this test run. */
  public static synchronized Live reglet() {
    if (running == null) {
      try {
        running = new Live();
      } catch (IOException e) {
        throw new AssertionError(e);
      }
    }
    return running;
  }

  public String address() {
    return address;
  }

  public <T> T bean(Class<T> type) {
    return application.getBean(type);
  }

  /**
   * A browser window, 1280 × 800, in which nothing is kept of the windows before it: no cookies, no
   * settings of the view, no page. What the browser fetched once it has, as a person's has, and a
   * window that a test is done with is taken for the next, since a new one costs a process.
   */
  public synchronized Page page() {
    if (browser == null) {
      browser = context();
    }
    browser.clearCookies();
    Page page = free.pollFirst();
    if (page == null) {
      page = browser.newPage();
      listenTo(page);
    }
    taken.add(page);
    return page;
  }

  /** Takes the windows of a test back; those of one that failed are closed. */
  static synchronized void done(boolean well) {
    if (running == null) {
      return;
    }
    for (Page page : running.taken) {
      if (page.isClosed()) {
        continue;
      }
      if (!well || running.free.size() >= MOST_WINDOWS) {
        page.close();
        continue;
      }
      if (page.url().startsWith("http")) {
        page.evaluate("() => { localStorage.clear(); sessionStorage.clear(); }");
      }
      page.unrouteAll();
      // a page of Reglet itself: an empty one would take a process of its own
      page.navigate(running.address + "/reglet.svg");
      running.free.addLast(page);
    }
    running.taken.clear();
  }

  /** The window of somebody else at the same time, with cookies and storage of their own. */
  public synchronized Page elsewhere() {
    others.removeIf(
        c -> {
          boolean left = c.pages().isEmpty();
          if (left) {
            c.close();
          }
          return left;
        });
    others.add(context());
    Page page = others.get(others.size() - 1).newPage();
    listenTo(page);
    return page;
  }

  private BrowserContext context() {
    BrowserContext context =
        Chromium.browser()
            .newContext(
                new Browser.NewContextOptions()
                    .setViewportSize(1280, 800)
                    .setBaseURL(address)
                    .setAcceptDownloads(true));
    context.setDefaultTimeout(Patience.millis());
    return context;
  }

  /** What pages complained of since it was asked last: none may in any test. */
  static List<String> complaints() {
    synchronized (COMPLAINTS) {
      List<String> all = List.copyOf(COMPLAINTS);
      COMPLAINTS.clear();
      return all;
    }
  }

  private static void listenTo(Page page) {
    page.onPageError(e -> COMPLAINTS.add(e + " at " + page.url()));
    page.onConsoleMessage(
        m -> {
          // what was refused, overtaken or cut off is told on the page; browser and htmx note it
          // too
          if (m.type().equals("error") && !NOTED.matcher(m.text()).lookingAt()) {
            COMPLAINTS.add(m.text() + " at " + page.url());
          }
        });
    tellSlow(page);
  }

  /** A request that takes long is told: where a test waits in vain, it says for what. */
  private static void tellSlow(Page page) {
    Map<Request, Long> begun = new ConcurrentHashMap<>();
    page.onRequest(r -> begun.put(r, System.nanoTime()));
    page.onRequestFinished(r -> tellSlow(r, begun.remove(r), "answered"));
    page.onRequestFailed(r -> tellSlow(r, begun.remove(r), "failed: " + r.failure()));
  }

  private static void tellSlow(Request request, Long begun, String how) {
    long seconds = begun == null ? 0 : (System.nanoTime() - begun) / 1_000_000_000;
    if (seconds >= SLOW_SECONDS) {
      System.err.println(
          "slow: "
              + request.method()
              + " "
              + request.url()
              + ", "
              + how
              + " after "
              + seconds
              + " s");
    }
  }

  /** Waits until no answer is still on its way onto the page. */
  public static void settled(Page page) {
    PlaywrightAssertions.assertThat(
            page.locator(".htmx-request, .htmx-swapping, .htmx-settling, .htmx-added"))
        .hasCount(0);
  }

  /**
   * What axe-core finds against WCAG 2.2 A and AA on this page. Its script is asked for what it
   * finds alone: its builder also fetches what is well, and opens a second page to do so.
   */
  @SuppressWarnings("unchecked")
  public static List<String> violations(Page page) {
    page.evaluate(AxeBuilder.getAxeScript());
    return (List<String>)
        page.evaluate(
            "tags => axe.run({ runOnly: tags, resultTypes: ['violations'] })"
                + ".then(r => r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.html)))",
            List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"));
  }
}
