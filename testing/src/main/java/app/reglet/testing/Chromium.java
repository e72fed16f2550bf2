package app.reglet.testing;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/**
 * The one headless Chromium of a test process, driven through Playwright. It is started when a test
 * first asks for it and ends with the process.
 */
public final class Chromium {
  /** The program without windows, which starts sooner; else the whole one. */
  private static final List<Path> PROGRAMS =
      List.of(Path.of("/usr/bin/chromium-headless-shell"), Path.of("/usr/bin/chromium"));

  private static final List<String> FLAGS =
      List.of(
          "--no-sandbox",
          "--disable-gpu",
          "--disable-quic",
          "--disable-background-networking",
          "--disable-component-update",
          "--disable-sync",
          "--force-color-profile=srgb");

  private static Browser browser;

  private Chromium() {}

  /** The browser. Playwright's objects are for one thread at a time. */
  public static synchronized Browser browser() {
    if (browser == null) {
      Playwright playwright =
          Playwright.create(
              new Playwright.CreateOptions()
                  .setEnv(
                      Map.of(
                          "PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD",
                          "1",
                          // a browser that is ended between making and unlinking a file leaves it
                          "TMPDIR",
                          Scratch.directory("chromium").toString())));
      Scratch.atEnd(playwright);
      browser = launch(playwright);
      PlaywrightAssertions.setDefaultAssertionTimeout(Patience.millis());
    }
    return browser;
  }

  /** Starts a browser: also for harnesses and benchmarks, which end theirs themselves. */
  public static Browser launch(Playwright playwright) {
    return playwright
        .chromium()
        .launch(
            new BrowserType.LaunchOptions()
                .setExecutablePath(program())
                .setArgs(FLAGS)
                .setTimeout(Patience.millis()));
  }

  private static Path program() {
    return PROGRAMS.stream()
        .filter(Files::isExecutable)
        .findFirst()
        .orElseThrow(
            () -> new AssertionError("Chromium is not installed: ./reglet test installs it"));
  }

  /**
   * A picture of some HTML.
   *
   * @param html the body of a page
   * @param width of the window, CSS pixels
   * @param height of the window, CSS pixels
   * @param factor pixels of the picture to one of CSS
   * @return PNG
   */
  public static synchronized byte[] picture(String html, int width, int height, int factor) {
    try (BrowserContext context =
        browser()
            .newContext(
                new Browser.NewContextOptions()
                    .setDeviceScaleFactor(factor)
                    .setViewportSize(width, height))) {
      context.setDefaultTimeout(Patience.millis());
      Page page = context.newPage();
      page.setContent("<!DOCTYPE html><style>body{margin:0}svg{display:block}</style>" + html);
      page.evaluate("() => Promise.all([...document.images].map(i => i.decode()))");
      return page.screenshot();
    }
  }
}
