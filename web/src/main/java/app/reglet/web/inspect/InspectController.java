package app.reglet.web.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.press.inspect.FitCheck;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.web.houses.Houses;
import app.reglet.web.reading.ReadingRoom;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The place Inspect: any PDF against an edition. */
@Controller
public class InspectController {
  private final Editions editions;
  private final Covers covers;
  private final Houses houses;
  private final ReadingRoom reading;
  private final Uploads uploads;

  public InspectController(
      Editions editions, Covers covers, Houses houses, ReadingRoom reading, Uploads uploads) {
    this.houses = houses;
    this.reading = reading;
    this.uploads = uploads;
    this.editions = editions;
    this.covers = covers;
  }

  /** An edition as the list names it. */
  public record Choice(Long id, String label) {}

  /** Title, binding, pages and house: what tells one edition of a title from another. */
  private Choice choice(EditionEntity e) {
    List<String> parts = new ArrayList<>(List.of(e.getBook().getTitle()));
    parts.add(e.getBinding() == null ? "broken" : e.getBinding().title());
    if (e.getPages() != null && e.getBinding() != Binding.EBOOK) {
      parts.add(e.getPages() + " pp");
    }
    if (houses.has(e.getHouseId(), e.getHouseVersion())) {
      parts.add(houses.get(e.getHouseId(), e.getHouseVersion()).name());
    }
    return new Choice(e.getId(), String.join(", ", parts));
  }

  @GetMapping("/inspect")
  String page(@RequestParam(required = false) Long edition, Model model) {
    model.addAttribute(
        "choices", editions.findAllByOrderByIdAsc().stream().map(this::choice).toList());
    model.addAttribute("edition", edition);
    return "inspect";
  }

  @PostMapping("/inspect")
  String inspect(
      @RequestParam MultipartFile file,
      @RequestParam(required = false) Long edition,
      @RequestHeader(name = "HX-Request", required = false) String htmx,
      Viewer viewer,
      Model model)
      throws IOException {
    page(edition, model);
    try (Uploads.Upload upload = uploads.take(file)) {
      model.addAttribute("name", upload.name());
      PdfFacts facts = reading.pdf(upload.path());
      model.addAttribute("facts", facts);
      if (edition != null) {
        Cover cover = covers.of(edition, viewer);
        List<FitCheck.Answer> answers = FitCheck.of(facts, cover.sheet());
        model.addAttribute("cover", cover);
        model.addAttribute("answers", answers);
        model.addAttribute("fits", answers.stream().allMatch(FitCheck.Answer::fits));
      }
    } catch (Refusal r) {
      model.addAttribute("refusal", r.getMessage());
    }
    return htmx != null ? "inspect :: report" : "inspect";
  }
}
