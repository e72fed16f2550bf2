package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.nio.file.Path;
import java.util.List;

/** What hands do on the bench; each kind of hands does it in its own way. */
abstract class Hands {
  final Desk desk;
  final Page page;

  Hands(Desk desk) {
    this.desk = desk;
    this.page = desk.page;
  }

  /** Goes to a control of the page, opening the leaf it is in. */
  abstract void reach(String selector);

  /** Works the control that was reached: a button, a tick, a link. */
  abstract void work(String selector);

  abstract void choose(String... ids);

  /** Chooses an entry of a list. */
  abstract void pick(String list, String value);

  /** Puts the piece in hand where it belongs: mm from the sheet's corner. */
  abstract void lay(double x, double y, double width, double height);

  /** Centres the piece in hand on the trimmed front. */
  abstract void centre();

  abstract void group(String... ids);

  /** Makes the group in hand smaller by so many mm, in proportion. */
  abstract void smaller(double mm);

  /** Lets go of what is in hand: the ground can be worked on. */
  abstract void letGo();

  abstract void toInside();

  void type(String field, String text) {
    reach(field);
    if (page.locator(field).inputValue().equals(text)) {
      return; // it says so already: nothing to be answered
    }
    desk.does(
        () -> {
          page.keyboard().press("Control+a");
          page.keyboard().insertText(text);
          if (page.locator("textarea" + field).count() == 0) {
            page.keyboard().press("Enter");
          }
        });
  }

  void answered(String selector) {
    desk.does(() -> work(selector));
  }

  /** Adds a piece of the list; it is in hand then. */
  String add(String what) {
    pick("#add-what", what);
    answered("#add-form button");
    return chosen();
  }

  void addFile(Path file) {
    pick("#add-what", "picture");
    hand("#add-form button", file);
  }

  /** Works what asks for a file, and gives it one. */
  void hand(String selector, Path file) {
    FileChooser chooser = page.waitForFileChooser(() -> work(selector));
    desk.does(() -> chooser.setFiles(file));
  }

  String chosen() {
    return page.locator("#title-block").getAttribute("data-chosen");
  }

  boolean in(String selector) {
    return (boolean) page.evaluate("q => document.activeElement.matches(q)", selector);
  }

  /** The leaf that a control is in, empty when it is in none or the leaf is open. */
  String closedLeaf(String selector) {
    page.waitForSelector(
        selector, new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
    return (String)
        page.evaluate(
            "q => { const d = document.querySelector(q).closest('details'); return d && !d.open && !document.querySelector(q).matches('summary') ? '#' + d.id + ' > summary' : ''; }",
            selector);
  }

  double[] front() {
    return panel("front");
  }

  /** The trimmed box of a panel, mm. */
  double[] panel(String id) {
    List<?> box =
        (List<?>)
            page.evaluate(
                "id => JSON.parse(document.getElementById('model').textContent).panels.find(p => p.id === id).box",
                id);
    return box.stream().mapToDouble(n -> ((Number) n).doubleValue()).toArray();
  }

  /** A mouse; words and figures are typed into the field that was clicked. */
  static final class OfMouse extends Hands {
    OfMouse(Desk desk) {
      super(desk);
    }

    @Override
    void reach(String selector) {
      String leaf = closedLeaf(selector);
      if (!leaf.isEmpty()) {
        page.locator(leaf).click();
      }
      page.locator(selector).first().click();
    }

    @Override
    void work(String selector) {
      reach(selector);
    }

    @Override
    void choose(String... ids) {
      for (int i = 0; i < ids.length; i++) {
        String piece = "#pieces .piece[data-piece='" + ids[i] + "']";
        if (i > 0) {
          page.keyboard().down("Shift");
        }
        desk.does(() -> page.locator(piece).click());
        page.keyboard().up("Shift");
      }
    }

    @Override
    void pick(String list, String value) {
      // a list's own window belongs to the browser: what is clicked in it is said
      String leaf = closedLeaf(list);
      if (!leaf.isEmpty()) {
        page.locator(leaf).click();
      }
      Runnable picks = () -> page.locator(list).selectOption(value);
      if ((boolean) page.locator(list).evaluate("s => 'edit' in s.dataset")) {
        desk.does(picks);
      } else {
        picks.run();
      }
    }

    private double[] onScreen(double x, double y) {
      List<?> at =
          (List<?>)
              page.evaluate(
                  "([x, y]) => { const p = new DOMPoint(x, y).matrixTransform(document.getElementById('sheet').getScreenCTM()); return [p.x, p.y]; }",
                  List.of(x, y));
      return at.stream().mapToDouble(n -> ((Number) n).doubleValue()).toArray();
    }

    /** Drags from one place of the sheet to another, mm. */
    private void drag(double x, double y, double toX, double toY) {
      double[] from = onScreen(x, y);
      double[] to = onScreen(toX, toY);
      page.mouse().move(from[0], from[1]);
      page.mouse().down();
      page.mouse().move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2);
      page.mouse().move(to[0], to[1]);
      desk.does(() -> page.mouse().up());
    }

    /** Pulls a grip of what is in hand by so many mm. */
    private void pull(String grip, double right, double down) {
      BoundingBox g = page.locator("#overlay .grip." + grip).boundingBox();
      double[] zero = onScreen(0, 0);
      double[] to = onScreen(right, down);
      page.mouse().move(g.x + g.width / 2, g.y + g.height / 2);
      page.mouse().down();
      page.mouse().move(g.x + g.width / 2 + 4, g.y + g.height / 2 + 4);
      page.mouse().move(g.x + g.width / 2 + to[0] - zero[0], g.y + g.height / 2 + to[1] - zero[1]);
      desk.does(() -> page.mouse().up());
    }

    @Override
    void lay(double x, double y, double width, double height) {
      double[] b = desk.box(chosen());
      page.keyboard().down("Alt");
      drag(b[0] + b[2] / 2, b[1] + b[3] / 3, x + b[2] / 2, y + b[3] / 3);
      b = desk.box(chosen());
      pull("se", x + width - b[0] - b[2], y + height - b[1] - b[3]);
      page.keyboard().up("Alt");
    }

    @Override
    void centre() {
      answered("#leaf-arrange button[data-edge=centre]");
    }

    @Override
    void group(String... ids) {
      choose(ids);
      answered("#title-block button[data-edit=group]");
    }

    @Override
    void smaller(double mm) {
      page.keyboard().down("Shift");
      page.keyboard().down("Alt");
      pull("se", -mm, -mm);
      page.keyboard().up("Alt");
      page.keyboard().up("Shift");
    }

    @Override
    void letGo() {
      choose("");
    }

    @Override
    void toInside() {
      page.locator("#to-inside").click();
      page.waitForURL("**side=inside**");
    }
  }

  /** No mouse: Tab, letters, arrows, Enter. */
  static final class OfKeys extends Hands {
    private static final int FAR = 260;

    OfKeys(Desk desk) {
      super(desk);
    }

    private void press(String key) {
      page.keyboard().press(key);
    }

    @Override
    void reach(String selector) {
      String leaf = closedLeaf(selector);
      if (!leaf.isEmpty()) {
        walk(leaf);
        press("Enter");
      }
      walk(selector);
    }

    /** Tab after Tab, forwards or back as the control lies. */
    private void walk(String selector) {
      if (in(".hold") && selector.startsWith("#") && inBlock(selector)) {
        press("b");
      }
      for (int i = 0; i < FAR && !in(selector); i++) {
        boolean back =
            (boolean)
                page.evaluate(
                    "q => Boolean(document.activeElement.compareDocumentPosition(document.querySelector(q)) & Node.DOCUMENT_POSITION_PRECEDING)",
                    selector);
        press(back ? "Shift+Tab" : "Tab");
      }
      if (!in(selector)) {
        throw new AssertionError("The keyboard does not reach " + selector);
      }
    }

    private boolean inBlock(String selector) {
      return (boolean)
          page.evaluate(
              "q => Boolean(document.querySelector(q)?.closest('#title-block'))", selector);
    }

    @Override
    void work(String selector) {
      reach(selector);
      press(selector.contains("type=checkbox") ? "Space" : "Enter");
    }

    @Override
    void choose(String... ids) {
      for (int i = 0; i < ids.length; i++) {
        walk(".hold[data-piece='" + ids[i] + "']");
        String key = i > 0 ? "Shift+Enter" : "Enter";
        if (i > 0 || !chosen().equals(ids[i])) {
          desk.does(() -> press(key));
        }
      }
    }

    @Override
    void pick(String list, String value) {
      reach(list);
      if (is(list, value)) {
        return;
      }
      if ((boolean) page.locator(list).evaluate("s => 'anew' in s.dataset")) {
        // each entry on the way is answered with another title block
        for (int i = 0; i < FAR && !is(list, value); i++) {
          desk.does(() -> press(after(list, value) ? "ArrowDown" : "ArrowUp"));
        }
        return;
      }
      String label =
          (String)
              page.locator(list)
                  .evaluate("(s, v) => [...s.options].find(o => o.value === v).label", value);
      // a letter goes to the first entry that begins so, an arrow to the next
      Runnable typed =
          () -> {
            for (int i = 0; i < label.length() && !is(list, value); i++) {
              page.keyboard().type(label.substring(i, i + 1));
            }
            for (int i = 0; i < FAR && !is(list, value); i++) {
              press(after(list, value) ? "ArrowDown" : "ArrowUp");
            }
          };
      if ((boolean) page.locator(list).evaluate("s => 'edit' in s.dataset")) {
        desk.does(typed);
      } else {
        typed.run();
      }
      assertThat(page.locator(list)).hasValue(value);
    }

    private boolean after(String list, String value) {
      return (boolean)
          page.evaluate(
              "([q, v]) => { const s = document.querySelector(q); return [...s.options].findIndex(o => o.value === v) > s.selectedIndex; }",
              List.of(list, value));
    }

    private boolean is(String list, String value) {
      return (boolean)
          page.evaluate("([q, v]) => document.querySelector(q)?.value === v", List.of(list, value));
    }

    @Override
    void lay(double x, double y, double width, double height) {
      String on =
          (String)
              page.evaluate(
                  "id => JSON.parse(document.getElementById('model').textContent).pieces.find(p => p.id === id).on",
                  chosen());
      double[] f = panel(on);
      type("#p-left", x - f[0] + " mm");
      type("#p-top", y - f[1] + " mm");
      type("#p-width", width + " mm");
      type("#p-height", height + " mm");
    }

    @Override
    void centre() {
      walk(".hold[data-piece='" + chosen() + "']");
      desk.does(() -> press("c"));
    }

    @Override
    void group(String... ids) {
      choose(ids);
      desk.does(() -> press("g"));
    }

    @Override
    void smaller(double mm) {
      press("s");
      desk.does(
          () -> {
            for (int i = 0; i < mm / 5; i++) {
              press("Shift+ArrowLeft");
              press("Shift+ArrowUp");
            }
          });
      press("m");
    }

    @Override
    void letGo() {
      if (chosen().isEmpty()) {
        return;
      }
      walk(".hold[data-piece='" + chosen() + "']");
      desk.does(() -> press("Escape"));
    }

    @Override
    void toInside() {
      page.evaluate("() => document.activeElement.blur()");
      press("i");
      page.waitForURL("**side=inside**");
    }
  }
}
