package app.reglet.web;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import org.springframework.context.ConfigurableApplicationContext;

/** Reglet running on a free port with data of its own, and a headless Chromium to look at it. */
public final class Live {
  /** A test has two windows at most. */
  private static final int MOST_WINDOWS = 4;

  private static Live running;

  private final ConfigurableApplicationContext application;
  private final String address;
  private final Playwright playwright;
  private final Browser browser;
  private final Deque<BrowserContext> windows = new ArrayDeque<>();

  private Live() throws IOException {
    Path data = Files.createTempDirectory("reglet-live");
    application = Reglet.start(data, "--server.port=0", "--reglet.demo=true");
    address = "http://localhost:" + application.getEnvironment().getProperty("local.server.port");
    playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    browser =
        playwright
            .chromium()
            .launch(
                new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(
                        List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--disable-quic",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync")));
    // generous, for a busy machine; a passing test never waits for them
    PlaywrightAssertions.setDefaultAssertionTimeout(20_000);
    Runtime.getRuntime().addShutdownHook(new Thread(this::stop));
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
   * A fresh browser window, 1280 × 800, with cookies and storage of its own. The windows of tests
   * long done are closed: hundreds of open pages slow a small machine down.
   */
  public synchronized Page page() {
    while (windows.size() >= MOST_WINDOWS) {
      windows.removeFirst().close();
    }
    BrowserContext context =
        browser.newContext(
            new Browser.NewContextOptions()
                .setViewportSize(1280, 800)
                .setBaseURL(address)
                .setAcceptDownloads(true));
    windows.addLast(context);
    context.onClose(windows::remove);
    context.setDefaultTimeout(30_000);
    Page page = context.newPage();
    page.onConsoleMessage(
        m -> {
          if (m.type().equals("error") && !m.text().contains("status of 4")) {
            System.err.println("console: " + m.text() + " at " + page.url());
          }
        });
    return page;
  }

  /** Waits until no answer is still on its way onto the page. */
  public static void settled(Page page) {
    PlaywrightAssertions.assertThat(
            page.locator(".htmx-request, .htmx-swapping, .htmx-settling, .htmx-added"))
        .hasCount(0);
  }

  /** What axe-core finds against WCAG 2.2 A and AA on this page. */
  public static List<String> violations(Page page) {
    return new AxeBuilder(page)
            .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"))
            .analyze()
            .getViolations()
            .stream()
            .map(v -> v.getId() + ": " + v.getNodes().stream().map(n -> n.getHtml()).toList())
            .toList();
  }

  private void stop() {
    try {
      playwright.close();
    } finally {
      application.close();
    }
  }
}
