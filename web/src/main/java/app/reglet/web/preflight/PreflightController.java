package app.reglet.web.preflight;

import app.reglet.core.Refusal;
import app.reglet.core.check.Finding;
import app.reglet.core.design.PrintedSide;
import app.reglet.web.bench.Benching;
import app.reglet.web.people.Who;
import app.reglet.web.shell.Gone;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.LetBeEntity;
import app.reglet.web.titles.LetBeRows;
import app.reglet.web.titles.StandingOut;
import java.time.Clock;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What is done about findings before a cover is handed over. */
@Controller
@RequestMapping("/editions/{id}/preflight")
public class PreflightController {
  private static final int LONGEST = 300;

  private final Covers covers;
  private final StandingOut standing;
  private final Benching benching;
  private final LetBeRows rows;
  private final Who who;
  private final Clock clock;

  PreflightController(
      Covers covers,
      StandingOut standing,
      Benching benching,
      LetBeRows rows,
      Who who,
      Clock clock) {
    this.covers = covers;
    this.standing = standing;
    this.benching = benching;
    this.rows = rows;
    this.who = who;
    this.clock = clock;
  }

  private static String back(Long id) {
    return "redirect:/editions/" + id + "/dispatch";
  }

  /** Mends all that can be mended safely, as one change. */
  @PostMapping("/mend")
  String mend(
      @PathVariable Long id, @RequestParam int base, Viewer viewer, RedirectAttributes told) {
    Benching.Changed changed = benching.mendAll(id, base, PrintedSide.OUTSIDE, viewer);
    told.addFlashAttribute("mended", changed.undoable().orElse("") + ".");
    return back(id);
  }

  /** Mends one finding in the way that was chosen. */
  @PostMapping("/remedy")
  String remedy(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam String code,
      @RequestParam(defaultValue = "") String piece,
      @RequestParam(defaultValue = "outside") String side,
      @RequestParam(defaultValue = "0") String choice,
      Viewer viewer,
      RedirectAttributes told) {
    Map<String, String> mend =
        Map.of("edit", "mend", "code", code, "piece", piece, "choice", choice, "side", side);
    Benching.Changed changed = benching.edit(id, base, mend, viewer);
    told.addFlashAttribute("mended", changed.undoable().orElse("Nothing was to be changed") + ".");
    return back(id);
  }

  /** Lets a finding be, while it says what it says now. */
  @PostMapping("/let-be")
  @Transactional
  String letBe(
      @PathVariable Long id,
      @RequestParam String code,
      @RequestParam(defaultValue = "") String piece,
      @RequestParam(defaultValue = "") String said,
      @RequestParam(defaultValue = "") String reason,
      Viewer viewer) {
    if (reason.isBlank()) {
      throw new Refusal(
          "reason", "Say why it may be as it is: the docket and the package tell it.");
    }
    if (reason.strip().length() > LONGEST) {
      throw new Refusal(
          "reason",
          "A reason has at most "
              + LONGEST
              + " characters; this one has "
              + reason.strip().length()
              + ".");
    }
    Cover cover = standing.with(covers.of(id, viewer));
    Finding finding =
        Stream.concat(cover.findings().stream(), cover.beyond().stream())
            .filter(f -> f.code().equals(code) && f.piece().orElse("").equals(piece))
            .filter(f -> LetBeEntity.said(f).equals(said))
            .findFirst()
            .orElseThrow(
                () -> new Refusal("This finding is no longer there: the cover has changed since."));
    rows.save(
        new LetBeEntity(
            id,
            code,
            piece,
            LetBeEntity.said(finding),
            reason.strip(),
            who.may().name(),
            clock.instant()));
    return back(id);
  }

  /** Minds it again. */
  @PostMapping("/mind")
  @Transactional
  String mind(@PathVariable Long id, @RequestParam("let") Long let) {
    LetBeEntity entity =
        rows.findById(let)
            .filter(e -> e.getEditionId().equals(id))
            .orElseThrow(() -> new Gone("This is minded again already: reload the page."));
    // pressed twice at the same moment, it is there twice
    rows.deleteAll(rows.findByEditionIdOrderById(id).stream().filter(entity::isLike).toList());
    return back(id);
  }
}
