package app.reglet.web.bench;

import app.reglet.core.Choices;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Point;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.Library;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/**
 * The place Bench: composing a cover on its sheet. Changes are posted to one address, and answered
 * with what is another now.
 */
@Controller
@RequestMapping("/editions/{id}/bench")
public class BenchController {
  private final Covers covers;
  private final Benching benching;
  private final Revisions revisions;
  private final BenchPage page;
  private final Placing placing;
  private final HouseTemplate templates;
  private final Uploads uploads;
  private final CaretView carets;
  private final BenchAnswer answers;
  private final Library library;

  public BenchController(
      Covers covers,
      Benching benching,
      Revisions revisions,
      BenchPage page,
      Placing placing,
      HouseTemplate templates,
      Uploads uploads,
      CaretView carets,
      BenchAnswer answers,
      Library library) {
    this.answers = answers;
    this.library = library;
    this.carets = carets;
    this.covers = covers;
    this.benching = benching;
    this.revisions = revisions;
    this.page = page;
    this.placing = placing;
    this.templates = templates;
    this.uploads = uploads;
  }

  @GetMapping
  String page(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String chosen,
      @RequestParam(defaultValue = "outside") String side,
      @RequestHeader(name = "HX-Request", required = false) String htmx,
      Viewer viewer,
      Model model) {
    Cover outside = covers.of(id, viewer);
    boolean turned = Benching.side(side) == PrintedSide.INSIDE && outside.isTwoSided();
    Cover cover = turned ? covers.turned(outside) : outside;
    if (htmx != null && cover.wrap().isPresent()) {
      page.fillChosen(model, cover, chosen);
      return "bench :: chosen";
    }
    page.fill(model, cover, chosen);
    return "bench";
  }

  /** Where the caret goes in words that are typed on the sheet. */
  @GetMapping(path = "/caret", produces = "application/json")
  @ResponseBody
  String caret(
      @PathVariable Long id,
      @RequestParam String piece,
      @RequestParam(defaultValue = "outside") String side,
      Viewer viewer) {
    return carets.json(benching.of(covers.edition(id), Benching.side(side), viewer), piece);
  }

  /** One change, as {@link app.reglet.core.edit.EditReader} reads it. */
  @PostMapping("/edits")
  String edit(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam MultiValueMap<String, String> sent,
      Viewer viewer,
      BenchAnswer.Seen seen,
      Model model,
      HttpServletResponse response) {
    Map<String, String> fields = new java.util.HashMap<>();
    sent.forEach((name, values) -> fields.put(name, values.get(values.size() - 1)));
    Benching.Changed changed = benching.edit(id, base, fields, viewer);
    if (fields.containsKey("caret")) {
      model.addAttribute("caret", carets.json(changed.after(), fields.get("caret")));
    }
    return answers.answer(
        changed, chosen(changed, fields), fields.containsKey("stay"), seen, model, response);
  }

  /** The piece that a change leaves in the hand: one it made, else the one it was made of. */
  private static String chosen(Benching.Changed changed, Map<String, String> fields) {
    if (!List.of("add", "group", "picture", "copy", "paste")
        .contains(fields.getOrDefault("edit", "picture"))) {
      String part = fields.getOrDefault("part", "");
      return part.isEmpty() ? fields.getOrDefault("piece", "") : GroundView.PREFIX + part;
    }
    String made =
        changed.after().composition().pieces().stream()
            .map(Piece::id)
            .filter(p -> changed.before().design().piece(p).isEmpty())
            .collect(Collectors.joining(","));
    return made.isEmpty() ? fields.getOrDefault("piece", "") : made;
  }

  @PostMapping("/picture")
  String picture(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam MultipartFile picture,
      @RequestParam(defaultValue = "ground") String as,
      @RequestParam(defaultValue = "") String piece,
      @RequestParam(defaultValue = "front") String on,
      @RequestParam(defaultValue = "") String atX,
      @RequestParam(defaultValue = "") String atY,
      @RequestParam(defaultValue = "outside") String side,
      Viewer viewer,
      BenchAnswer.Seen seen,
      Model model,
      HttpServletResponse response)
      throws IOException {
    revisions.expect(id, base); // before the file is read and kept
    Placing.Planned planned;
    Optional<Point> at =
        atX.isEmpty() || atY.isEmpty()
            ? Optional.empty()
            : Optional.of(new Point(Length.parse(atX, Unit.MM), Length.parse(atY, Unit.MM)));
    Long book = covers.edition(id).getBook().getId();
    try (Uploads.Upload upload = uploads.take(picture)) {
      planned =
          placing.plan(upload, new Placing.Where(as, piece, Choices.of(PanelKind.class, on), at));
    }
    planned
        .kept()
        .ifPresent(sha -> library.keep(book, sha, Uploads.name(picture.getOriginalFilename())));
    Benching.Changed changed =
        benching.edit(id, base, Benching.side(side), planned.change(), viewer);
    model.addAttribute("told", planned.told());
    return answers.answer(
        changed, chosen(changed, Map.of("piece", piece)), false, seen, model, response);
  }

  /** A house's template, to be laid over the sheet; it is no part of the cover. */
  @PostMapping("/template")
  String template(
      @PathVariable Long id,
      @RequestParam MultipartFile template,
      @RequestParam(defaultValue = "outside") String side,
      Viewer viewer,
      Model model)
      throws IOException {
    Cover cover = benching.of(covers.edition(id), Benching.side(side), viewer);
    try (Uploads.Upload upload = uploads.take(template)) {
      model.addAttribute("template", templates.read(upload, cover.sheet(), cover.unit()));
    }
    return "leaves :: template";
  }

  @PostMapping("/undo")
  String undo(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam(defaultValue = "") String chosen,
      @RequestParam(defaultValue = "outside") String side,
      Viewer viewer,
      BenchAnswer.Seen seen,
      Model model,
      HttpServletResponse response) {
    return answers.answer(
        benching.undo(id, base, Benching.side(side), viewer), chosen, false, seen, model, response);
  }

  @PostMapping("/redo")
  String redo(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam(defaultValue = "") String chosen,
      @RequestParam(defaultValue = "outside") String side,
      Viewer viewer,
      BenchAnswer.Seen seen,
      Model model,
      HttpServletResponse response) {
    return answers.answer(
        benching.redo(id, base, Benching.side(side), viewer), chosen, false, seen, model, response);
  }
}
