package app.reglet.web;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.Route;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * Requests of a page that are held back until the test lets them go. The page stays routed after
 * that: a request that comes up while its route is taken away may never be sent, and the page waits
 * for its answer for ever.
 */
final class Held {
  private final Page page;
  private final List<Request> waiting = new ArrayList<>();
  private final List<Route> held = new ArrayList<>();
  private boolean released;

  /**
   * @param address what their addresses match
   * @param wanted which of those are held; the others go as they come
   */
  Held(Page page, Pattern address, Predicate<Request> wanted) {
    this.page = page;
    page.route(
        address,
        route -> {
          if (released || !wanted.test(route.request())) {
            route.resume();
          } else {
            waiting.add(route.request());
            held.add(route);
          }
        });
  }

  /** Waits until the page has asked for one of them. */
  Held one() {
    return one(r -> true);
  }

  /** Waits until the page has asked for such a one. */
  Held one(Predicate<Request> such) {
    page.waitForCondition(() -> waiting.stream().anyMatch(such));
    return this;
  }

  /** Lets all go, and those that follow. */
  void release() {
    released = true;
    List.copyOf(held).forEach(Route::resume);
  }
}
