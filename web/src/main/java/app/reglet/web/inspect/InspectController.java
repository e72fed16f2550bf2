package app.reglet.web.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.house.FileRules;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.inspect.Compared;
import app.reglet.press.inspect.ComparedText;
import app.reglet.press.inspect.FitCheck;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.svg.FitSvg;
import app.reglet.web.houses.Houses;
import app.reglet.web.reading.ReadingRoom;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import app.reglet.web.titles.Measured;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
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
  String page(
      @RequestParam(required = false) Long edition,
      @RequestHeader(name = "HX-Request", required = false) String htmx,
      Viewer viewer,
      Model model) {
    fill(edition, model);
    expected(edition, viewer, Optional.empty(), model);
    model.addAttribute("answering", false);
    return htmx != null ? "inspect :: expected" : "inspect";
  }

  private void fill(Long edition, Model model) {
    model.addAttribute(
        "choices", editions.findAllByOrderByIdAsc().stream().map(this::choice).toList());
    model.addAttribute("edition", edition);
  }

  /**
   * What a file for an edition must be, drawn and in figures.
   *
   * @param pages page as drawn, and its size in words
   * @param facts names and figures in turn
   */
  public record Expected(List<Drawn> pages, Map<String, String> facts) {}

  /** A page: its name, its drawing, its size. */
  public record Drawn(String name, String svg, String size) {}

  private void expected(Long edition, Viewer viewer, Optional<PdfFacts> file, Model model) {
    model.addAttribute("expected", null);
    if (edition == null) {
      return;
    }
    Measured m = covers.measured(covers.edition(edition), viewer);
    if (m.wrap().isEmpty()) {
      return;
    }
    Wrap outside = m.wrap().get();
    List<Wrap> pages =
        file.map(f -> List.of(FitCheck.meant(f, outside))).orElse(FilePages.of(outside));
    model.addAttribute(
        "expected",
        new Expected(
            pages.stream()
                .map(
                    p ->
                        new Drawn(
                            p.page().title(),
                            FitSvg.of(p, file.map(PdfFacts::first)),
                            p.sheet().print(m.unit())))
                .toList(),
            figures(outside, m)));
  }

  private static Map<String, String> figures(Wrap outside, Measured m) {
    FileRules files = m.house().files();
    Map<String, String> facts = new LinkedHashMap<>();
    facts.put("Page", outside.house().files().print(m.unit()));
    facts.put("Trim box", outside.trimmed().size().print(m.unit()));
    if (outside.margin().left().isPositive()) {
      facts.put(outside.turnIn() ? "Turn-in" : "Bleed", outside.margin().left().print(m.unit()));
    }
    facts.put("Fonts", "all embedded");
    facts.put("Pictures", files.wantedPpi() + " ppi, not under " + files.leastPpi());
    if (files.mostMegabytes() > 0) {
      facts.put("Size", "up to " + files.mostMegabytes() + " MB");
    }
    facts.put(
        "Formats",
        files.formats().stream()
            .sorted()
            .map(f -> f.toUpperCase(Locale.ROOT))
            .collect(Collectors.joining(", ")));
    return facts;
  }

  @PostMapping("/inspect")
  String inspect(
      @RequestParam MultipartFile file,
      @RequestParam(required = false) Long edition,
      @RequestHeader(name = "HX-Request", required = false) String htmx,
      Viewer viewer,
      Model model)
      throws IOException {
    fill(edition, model);
    model.addAttribute("expected", null);
    try (Uploads.Upload upload = uploads.take(file)) {
      model.addAttribute("name", upload.name());
      PdfFacts facts = reading.pdf(upload.path());
      model.addAttribute("facts", facts);
      if (edition != null) {
        Cover cover = covers.of(edition, viewer);
        List<Compared> compared = FitCheck.of(facts, cover.sheet());
        expected(edition, viewer, Optional.of(facts), model);
        model.addAttribute("cover", cover);
        model.addAttribute("answers", ComparedText.of(compared, cover.house().unit()));
        model.addAttribute("fits", compared.stream().allMatch(Compared::fits));
      }
    } catch (Refusal r) {
      model.addAttribute("refusal", r.getMessage());
    }
    model.addAttribute("answering", htmx != null);
    return htmx != null ? "inspect :: answer" : "inspect";
  }
}
