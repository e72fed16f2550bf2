package app.reglet.web.bench;

import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.Fronts;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What the bench's page is answered after a change: what is another now. */
@Component
public class BenchAnswer {
  private final Covers covers;
  private final Benching benching;
  private final Revisions revisions;
  private final BenchPage page;

  BenchAnswer(Covers covers, Benching benching, Revisions revisions, BenchPage page) {
    this.covers = covers;
    this.benching = benching;
    this.revisions = revisions;
    this.page = page;
  }

  /**
   * What the page shows that asks for a change.
   *
   * @param shown what is in the hand there; null when it doesn't say
   * @param madeOf the facts its sheet was measured from; null when it doesn't say
   */
  public record Seen(String shown, String madeOf) {}

  /**
   * What is another now. A page whose sheet is of other facts is told to load itself anew: the
   * docket was changed in another window.
   *
   * @param stay whether the title block stays, since somebody is typing in it
   */
  String answer(
      Benching.Changed changed,
      String chosen,
      boolean stay,
      Seen seen,
      Model model,
      HttpServletResponse response) {
    covers.keep(changed.after());
    page.fillChange(model, changed, chosen, seen.shown() == null ? "" : seen.shown());
    // who types has the figures before them; else they alone are sent where nothing else is another
    Object figures = stay ? null : model.getAttribute("figures");
    model.addAttribute("figures", figures);
    model.addAttribute("stay", stay || figures != null);
    if (seen.madeOf() != null && !seen.madeOf().equals(Fronts.facts(changed.after().edition()))) {
      response.setHeader("HX-Refresh", "true");
    }
    return "bench :: changed";
  }

  /**
   * What is another after something that the cover follows changed, and not its design; the title
   * block stays.
   *
   * @param before the cover as it was
   */
  public String followed(
      Cover before,
      String side,
      String shown,
      Viewer viewer,
      Model model,
      HttpServletResponse response) {
    Long id = before.edition().getId();
    Cover after = benching.of(covers.edition(id), Benching.side(side), viewer);
    Benching.Changed changed =
        new Benching.Changed(
            before,
            after,
            revisions.undoable(after.edition()),
            revisions.redoable(after.edition()));
    return answer(changed, shown, true, new Seen(shown, null), model, response);
  }
}
