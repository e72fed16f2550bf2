package app.reglet.web.docket;

import app.reglet.core.Refusal;
import app.reglet.core.book.Fact;
import app.reglet.core.book.PageTurn;
import app.reglet.core.check.Remedy;
import app.reglet.core.compare.Spread;
import app.reglet.core.design.FactsUsed;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.Make;
import app.reglet.core.house.PageCounts;
import app.reglet.core.house.SpineRule;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.drawing.WrapDrawing;
import app.reglet.press.inspect.BlockCount;
import app.reglet.press.inspect.BlockFacts;
import app.reglet.press.inspect.BlockFit;
import app.reglet.press.inspect.BlockFitText;
import app.reglet.press.inspect.BlockGutter;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.svg.DrawingSvg;
import app.reglet.press.type.Hyphenation;
import app.reglet.web.houses.Houses;
import app.reglet.web.reading.ReadingRoom;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.BrokenCover;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.MeasureLine;
import java.io.IOException;
import java.net.URI;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The place Docket: the facts of one edition and its measured drawing. */
@Controller
public class DocketController {
  private final Covers covers;
  private final DocketService docket;
  private final FactsChanges facts;
  private final Changed changed;
  private final Houses houses;
  private final ReadingRoom reading;
  private final Uploads uploads;
  private final TypingRuns runs;

  DocketController(
      Covers covers,
      DocketService docket,
      FactsChanges facts,
      Changed changed,
      Houses houses,
      ReadingRoom reading,
      Uploads uploads,
      TypingRuns runs) {
    this.runs = runs;
    this.reading = reading;
    this.uploads = uploads;
    this.covers = covers;
    this.docket = docket;
    this.facts = facts;
    this.changed = changed;
    this.houses = houses;
  }

  @GetMapping("/editions/{id}/docket")
  String page(
      @PathVariable Long id,
      @RequestParam(required = false) String changed,
      Viewer viewer,
      Model model) {
    Cover cover = covers.of(id, viewer);
    List<String> said =
        changed == null
            ? List.of()
            : this.changed
                .before(cover.edition(), viewer)
                .map(b -> Changed.said(b.cover(), cover))
                .orElseGet(List::of);
    fill(model, cover, docket.standing(cover.edition(), cover.unit()), said);
    return "docket";
  }

  @PostMapping("/editions/{id}/docket")
  String save(
      @PathVariable Long id,
      @ModelAttribute DocketForm form,
      @RequestHeader(name = "HX-Request", required = false) String htmx,
      Viewer viewer,
      Model model) {
    EditionEntity edition = covers.edition(id);
    Optional<Cover> before = readable(edition, viewer);
    String shape = shape(edition);
    Unit typedIn = viewer.unitFor(covers.sheet(edition));
    Map<String, String> problems = docket.save(id, form, typedIn);
    if (htmx == null) {
      return "redirect:/editions/" + id + "/docket";
    }
    Cover after = covers.of(id, viewer);
    Optional<Cover> first =
        runs.first(id, form.version(), DocketService.version(after.edition()), before, after);
    fill(model, after, problems, first.map(b -> Changed.said(b, after)).orElseGet(List::of));
    model.addAttribute("shapeChanged", !shape.equals(shape(after.edition())));
    model.addAttribute("answering", true);
    return "docket :: answer";
  }

  /** What decides which fields the docket has. */
  private String shape(EditionEntity e) {
    return e.getHouseId() + " " + e.getHouseVersion() + " " + e.getBinding() + " " + told(e);
  }

  private boolean told(EditionEntity e) {
    try {
      return covers.sheet(e).rules(e.getBinding()).spineFor(e.specification(1)).rule()
          instanceof SpineRule.Told;
    } catch (Refusal r) {
      return false;
    }
  }

  /** Takes a change of the facts back. */
  @PostMapping("/editions/{id}/docket/undo")
  ResponseEntity<Void> undo(
      @PathVariable Long id,
      @RequestParam String version,
      @RequestHeader(name = "HX-Request", required = false) String htmx) {
    facts.walk(id, version, true);
    return anew(id, htmx);
  }

  /** Does a change of the facts again. */
  @PostMapping("/editions/{id}/docket/redo")
  ResponseEntity<Void> redo(
      @PathVariable Long id,
      @RequestParam String version,
      @RequestHeader(name = "HX-Request", required = false) String htmx) {
    facts.walk(id, version, false);
    return anew(id, htmx);
  }

  /** Every field may be another: the page is loaded anew. */
  private static ResponseEntity<Void> anew(Long id, String htmx) {
    return htmx == null
        ? ResponseEntity.status(HttpStatus.SEE_OTHER)
            .location(URI.create("/editions/" + id + "/docket"))
            .build()
        : ResponseEntity.ok().header("HX-Refresh", "true").build();
  }

  @PostMapping("/editions/{id}/docket/remedy")
  String remedy(
      @PathVariable Long id, @RequestParam String code, @RequestParam int choice, Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    Remedy.OfFacts remedy =
        cover.findings().stream()
            .filter(f -> f.code().equals(code) && choice >= 0 && choice < f.remedies().size())
            .map(f -> f.remedies().get(choice))
            .filter(Remedy.OfFacts.class::isInstance)
            .map(Remedy.OfFacts.class::cast)
            .findFirst()
            .orElseThrow(
                () ->
                    new Refusal(
                        "This finding is no longer there: the docket has changed since. Reload the page."));
    facts.apply(id, remedy);
    return "redirect:/editions/" + id + "/docket?changed";
  }

  /** Reads a book block's PDF and sets it against the facts; nothing is changed yet. */
  @PostMapping("/editions/{id}/docket/block")
  String block(@PathVariable Long id, @RequestParam MultipartFile file, Viewer viewer, Model model)
      throws IOException {
    Cover cover = covers.of(id, viewer);
    model.addAttribute("cover", cover);
    try (Uploads.Upload upload = uploads.take(file)) {
      model.addAttribute("name", upload.name());
      BlockFacts read = reading.block(upload.path());
      PdfFacts facts = read.pdf();
      EditionEntity e = cover.edition();
      BindingRules rules = cover.house().rules(e.getBinding());
      BlockFit fit = BlockFit.of(facts, e.specification(facts.pages()), rules);
      model.addAttribute("block", fit);
      model.addAttribute("blockSentence", BlockFitText.of(fit, cover.unit()));
      BlockCount count =
          BlockCount.of(
              read,
              Optional.ofNullable(e.getPages()),
              PageCounts.of(e.specification(facts.pages()), rules));
      model.addAttribute("blockCount", count);
      model.addAttribute("blockCountSentence", BlockFitText.of(count));
      cover
          .wrap()
          .flatMap(w -> BlockGutter.of(read, w))
          .ifPresent(g -> model.addAttribute("blockGutter", BlockFitText.of(g, cover.unit())));
    } catch (Refusal r) {
      model.addAttribute("blockRefusal", r.getMessage());
    }
    fill(model, cover, Map.of(), List.of());
    model.addAttribute("blockAnswer", true);
    return "docket :: block";
  }

  @PostMapping("/editions/{id}/docket/pages")
  String usePages(@PathVariable Long id, @RequestParam int pages) {
    facts.useFinalPages(id, pages);
    return "redirect:/editions/" + id + "/docket?changed";
  }

  @PostMapping("/editions/{id}/docket/newer-sheet")
  String newerSheet(@PathVariable Long id) {
    facts.useNewerSheet(id);
    return "redirect:/editions/" + id + "/docket?changed";
  }

  /** The cover as it is, where it can be read. */
  private Optional<Cover> readable(EditionEntity edition, Viewer viewer) {
    try {
      return Optional.of(covers.of(edition, viewer));
    } catch (Refusal | BrokenCover e) {
      return Optional.empty();
    }
  }

  private void fill(Model model, Cover cover, Map<String, String> problems, List<String> changes) {
    EditionEntity e = cover.edition();
    model.addAttribute("cover", cover);
    model.addAttribute("place", "docket");
    model.addAttribute("line", MeasureLine.of(cover));
    model.addAttribute("version", DocketService.version(e));
    model.addAttribute("undoable", facts.undoable(e.getId()).orElse(null));
    model.addAttribute("redoable", facts.redoable(e.getId()).orElse(null));
    model.addAttribute("houses", houses.all());
    model.addAttribute("turns", PageTurn.values());
    model.addAttribute("languages", Hyphenation.known());
    model.addAttribute("problems", problems);
    model.addAttribute("changes", String.join("; ", changes));
    model.addAttribute("shapeChanged", false);
    model.addAttribute("answering", false);
    model.addAttribute("blockAnswer", false);
    model.addAttribute("typed", typed(cover));
    Optional<BindingRules> rules =
        Optional.ofNullable(cover.house().bindings().get(e.getBinding()));
    Optional<Make.FlapRange> flaps = rules.flatMap(r -> r.make().flaps());
    model.addAttribute("flaps", flaps.orElse(null));
    model.addAttribute("nowhere", nowhere(cover));
    boolean told = told(e);
    model.addAttribute("told", told);
    model.addAttribute("fieldNames", DocketForm.fields(flaps.isPresent(), told));
    model.addAttribute("choiceFields", DocketForm.CHOICES);
    model.addAttribute(
        "insideOffered", e.isInsidePrinted() || rules.flatMap(BindingRules::inside).isPresent());
    model.addAttribute("newer", covers.newerSheet(cover).orElse(null));
    cover
        .wrap()
        .ifPresent(
            w -> {
              List<Wrap> pages = FilePages.of(w);
              model.addAttribute("pages", pages);
              model.addAttribute(
                  "drawings",
                  WrapDrawing.sideBySide(pages, cover.unit()).stream()
                      .map(DrawingSvg::of)
                      .toList());
              if (e.getSpread() > 0) {
                model.addAttribute(
                    "spread",
                    Spread.of(w.spec(), e.getSpread(), cover.house()).print(cover.unit()));
              }
            });
  }

  /**
   * Facts that the book states and the cover doesn't say, in a few words; empty when there are
   * none.
   */
  private static String nowhere(Cover cover) {
    return FactsUsed.nowhere(cover.design(), cover.book()).stream()
        .map(f -> f.equals(Fact.ISBN.id()) ? "ISBN" : f)
        .collect(Collectors.joining(", "));
  }

  /** What stands in the fields: what was typed where it could not be read, else the fact. */
  private static Map<String, String> typed(Cover cover) {
    EditionEntity e = cover.edition();
    Map<String, String> typed = new HashMap<>();
    typed.put(
        "trim", e.getTrimTyped().isEmpty() ? e.getTrim().print(cover.unit()) : e.getTrimTyped());
    typed.put("pages", e.getPagesTyped());
    typed.put("isbn", e.getIsbnTyped());
    typed.put("ownFacts", e.getBook().getOwnTyped());
    typed.put(
        "spread",
        e.getSpreadTyped().isEmpty() && e.getSpread() > 0
            ? String.valueOf(e.getSpread())
            : e.getSpreadTyped());
    typed.put("frontFlap", shown(e.getFrontFlapTyped(), e.getFrontFlap(), cover.unit()));
    typed.put("backFlap", shown(e.getBackFlapTyped(), e.getBackFlap(), cover.unit()));
    typed.put("told", shown(e.getToldSpineTyped(), e.getToldSpine(), cover.unit()));
    return typed;
  }

  private static String shown(String wrong, Optional<Length> read, Unit unit) {
    return wrong.isEmpty() ? read.map(l -> l.print(unit)).orElse("") : wrong;
  }
}
