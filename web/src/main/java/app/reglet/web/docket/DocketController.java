package app.reglet.web.docket;

import app.reglet.core.Refusal;
import app.reglet.core.book.PageTurn;
import app.reglet.core.check.Remedy;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.WrapChange;
import app.reglet.press.svg.WrapDrawing;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.UnitInForce;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The place Docket: the facts of one edition and its measured drawing. */
@Controller
public class DocketController {
  private final Covers covers;
  private final DocketService docket;
  private final Houses houses;

  public DocketController(Covers covers, DocketService docket, Houses houses) {
    this.covers = covers;
    this.docket = docket;
    this.houses = houses;
  }

  @GetMapping("/editions/{id}/docket")
  String page(@PathVariable Long id, HttpServletRequest request, Model model) {
    Cover cover = covers.of(id, request);
    fill(model, cover, docket.standing(cover.edition(), cover.unit()), List.of());
    return "docket";
  }

  @PostMapping("/editions/{id}/docket")
  String save(
      @PathVariable Long id,
      @ModelAttribute DocketForm form,
      HttpServletRequest request,
      Model model) {
    EditionEntity edition = covers.edition(id);
    Optional<Wrap> before = covers.wrap(edition);
    String houseBefore = edition.getHouseId();
    Unit typedIn = UnitInForce.of(request, houses.get(houseBefore).unit());
    Map<String, String> problems = docket.save(id, form, typedIn);
    if (request.getHeader("HX-Request") == null) {
      return "redirect:/editions/" + id + "/docket";
    }
    Cover after = covers.of(id, request);
    fill(model, after, problems, changes(before, after));
    model.addAttribute("houseChanged", !houseBefore.equals(after.house().id()));
    model.addAttribute("answering", true);
    return "docket :: answer";
  }

  @PostMapping("/editions/{id}/docket/remedy")
  String remedy(
      @PathVariable Long id,
      @RequestParam String code,
      @RequestParam int choice,
      HttpServletRequest request) {
    Cover cover = covers.of(id, request);
    Remedy remedy =
        cover.findings().stream()
            .filter(f -> f.code().equals(code) && choice >= 0 && choice < f.remedies().size())
            .map(f -> f.remedies().get(choice))
            .findFirst()
            .orElseThrow(
                () ->
                    new Refusal(
                        "This finding is no longer there: the docket has changed since. Reload the page."));
    docket.apply(id, remedy);
    return "redirect:/editions/" + id + "/docket";
  }

  private static List<String> changes(Optional<Wrap> before, Cover after) {
    return before
        .flatMap(b -> after.wrap().map(a -> WrapChange.between(b, a, after.unit())))
        .orElse(List.of());
  }

  private void fill(Model model, Cover cover, Map<String, String> problems, List<String> changes) {
    model.addAttribute("cover", cover);
    model.addAttribute("place", "docket");
    model.addAttribute("line", app.reglet.web.titles.MeasureLine.of(cover));
    model.addAttribute("version", DocketService.version(cover.edition()));
    model.addAttribute("houses", houses.all());
    model.addAttribute("turns", PageTurn.values());
    model.addAttribute("problems", problems);
    model.addAttribute("changes", String.join("; ", changes));
    model.addAttribute("houseChanged", false);
    model.addAttribute("answering", false);
    model.addAttribute("typed", typed(cover));
    cover.wrap().ifPresent(w -> model.addAttribute("drawing", WrapDrawing.of(w, cover.unit())));
  }

  /** What stands in the fields: what was typed where it could not be read, else the fact. */
  private static Map<String, String> typed(Cover cover) {
    var e = cover.edition();
    return Map.of(
        "trim", e.getTrimTyped().isEmpty() ? e.getTrim().print(cover.unit()) : e.getTrimTyped(),
        "pages", e.getPagesTyped(),
        "isbn", e.getBook().getIsbnTyped());
  }
}
