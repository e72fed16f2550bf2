package app.reglet.web.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.house.FileRules;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Rect;
import app.reglet.press.inspect.FileFacts;
import app.reglet.press.inspect.SizesText;
import app.reglet.press.picture.ScreenPicture;
import app.reglet.press.raster.PrintedSheet;
import app.reglet.press.svg.GuidedSvg;
import app.reglet.web.houses.Houses;
import app.reglet.web.inspect.InspectedFiles.Inspected;
import app.reglet.web.jobs.Drawing;
import app.reglet.web.shell.Gone;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import app.reglet.web.titles.Measured;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.util.UriUtils;

/** The place Inspect: any PDF or picture, against any edition or all of them. */
@Controller
public class InspectController {
  /** Total ink without a limit: four inks in full, percent. */
  private static final int UNLIMITED = 400;

  private final Editions editions;
  private final Covers covers;
  private final Houses houses;
  private final Uploads uploads;
  private final InspectedFiles files;
  private final Inspections inspections;
  private final MeantFor meant;
  private final Comparison comparison;
  private final Drawing drawing;
  private final EveryEdition every;

  InspectController(
      Editions editions,
      Covers covers,
      Houses houses,
      Uploads uploads,
      InspectedFiles files,
      Inspections inspections,
      MeantFor meant,
      Comparison comparison,
      Drawing drawing,
      EveryEdition every) {
    this.every = every;
    this.houses = houses;
    this.uploads = uploads;
    this.editions = editions;
    this.covers = covers;
    this.files = files;
    this.inspections = inspections;
    this.meant = meant;
    this.comparison = comparison;
    this.drawing = drawing;
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

  /**
   * The page, or what changes on it when another edition is chosen.
   *
   * @param sha the file that is there already, empty for none
   */
  @GetMapping("/inspect")
  String page(
      Against against,
      @RequestParam(defaultValue = "") String sha,
      @RequestHeader(name = "HX-Request", required = false) String htmx,
      Viewer viewer,
      HttpServletResponse response,
      Model model) {
    fill(against, model);
    expected(against, viewer, model);
    if (!sha.isEmpty()) {
      report(files.get(sha), against, viewer, 1, View.ALL.get(0).id(), model);
    }
    return answer(sha, against, htmx, response);
  }

  /** The page whole, or its changing part with the address that shows it again. */
  private static String answer(
      String sha, Against against, String htmx, HttpServletResponse response) {
    if (htmx == null) {
      return "inspect";
    }
    response.setHeader(
        "HX-Push-Url",
        "/inspect" + (sha.isEmpty() ? "" : "/" + sha) + against.query().replaceFirst("^&", "?"));
    return "inspect :: inspected";
  }

  /**
   * What a file is held against.
   *
   * @param edition null for every one
   * @param house the id of a house; empty for each edition's own
   */
  public record Against(Long edition, String house) {
    public Against {
      house = house == null ? "" : house;
    }

    /** As the end of an address, with its ampersands. */
    public String query() {
      return (edition == null ? "" : "&edition=" + edition)
          + (house.isEmpty() ? "" : "&house=" + UriUtils.encode(house, StandardCharsets.UTF_8));
    }
  }

  private void fill(Against against, Model model) {
    model.addAttribute(
        "choices", editions.findAllByOrderByIdAsc().stream().map(this::choice).toList());
    model.addAttribute("houses", meant.choices());
    model.addAttribute("against", against);
    model.addAttribute("edition", against.edition());
  }

  /** The edition measured as it is asked for; empty, with the reason told, where it can't be. */
  private Optional<Measured> measured(Against against, Viewer viewer, Model model) {
    if (against.edition() == null) {
      return Optional.empty();
    }
    EditionEntity e = covers.edition(against.edition());
    try {
      return Optional.of(meant.of(e, against.house(), viewer));
    } catch (Refusal r) {
      model.addAttribute("refusal", r.getMessage());
      return Optional.empty();
    }
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

  private void expected(Against against, Viewer viewer, Model model) {
    model.addAttribute("expected", null);
    measured(against, viewer, model)
        .ifPresent(m -> m.wrap().ifPresent(w -> model.addAttribute("expected", expected(w, m))));
  }

  private static Expected expected(Wrap w, Measured m) {
    return new Expected(
        FilePages.of(w).stream()
            .map(p -> new Drawn(p.page().title(), GuidedSvg.of(p), p.sheet().print(m.unit())))
            .toList(),
        figures(w, m));
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
      Against against,
      @RequestHeader(name = "HX-Request", required = false) String htmx,
      Viewer viewer,
      HttpServletResponse response,
      Model model)
      throws IOException {
    fill(against, model);
    expected(against, viewer, model);
    try (Uploads.Upload upload = uploads.take(file)) {
      Inspected inspected = files.take(upload);
      report(inspected, against, viewer, 1, View.ALL.get(0).id(), model);
      return answer(inspected.facts().sha(), against, htmx, response);
    } catch (Refusal r) {
      model.addAttribute("refusal", r.getMessage());
      return answer("", against, htmx, response);
    }
  }

  /** A file that was inspected, for any edition. */
  @GetMapping("/inspect/{sha}")
  String again(
      @PathVariable String sha,
      Against against,
      @RequestParam(defaultValue = "1") int page,
      @RequestParam(defaultValue = "seen") String view,
      @RequestHeader(name = "HX-Request", required = false) String htmx,
      Viewer viewer,
      Model model) {
    fill(against, model);
    expected(against, viewer, model);
    report(files.get(sha), against, viewer, page, view, model);
    return htmx != null ? "inspect :: inspected" : "inspect";
  }

  /**
   * What can be looked at of a file's page.
   *
   * @param plate 0 to 3; -1 for the page as seen, 4 for the total
   */
  public record View(String id, String title, int plate) {
    static final List<View> ALL =
        List.of(
            new View("seen", "As printed", -1),
            new View("cyan", "Cyan", 0),
            new View("magenta", "Magenta", 1),
            new View("yellow", "Yellow", 2),
            new View("black", "Black", 3),
            new View("ink", "Total ink", 4));

    static View byId(String id) {
      return ALL.stream()
          .filter(v -> v.id().equals(id))
          .findFirst()
          .orElseThrow(() -> new Refusal("view", "There is no view “" + id + "” of a file."));
    }
  }

  private void report(
      Inspected inspected, Against against, Viewer viewer, int page, String view, Model model) {
    FileFacts facts = inspected.facts();
    View chosen = View.byId(view);
    int shown = Math.max(1, Math.min(page, drawn(facts)));
    model.addAttribute("file", inspected);
    model.addAttribute("facts", facts.pdf());
    model.addAttribute("otherSizes", SizesText.of(facts.pdf().others(), viewer.unitOr(Unit.MM)));
    model.addAttribute("page", shown);
    model.addAttribute("pages", drawn(facts));
    model.addAttribute("view", chosen);
    model.addAttribute("views", facts.hasPages() ? View.ALL : List.of(View.ALL.get(0)));
    model.addAttribute("content", facts.page(shown).orElse(null));
    model.addAttribute("coverage", inspections.coverage(facts.sha(), shown).orElse(null));
    model.addAttribute(
        "others", files.latest().stream().filter(f -> !f.sha().equals(facts.sha())).toList());
    String picture = picture(facts.sha(), shown, chosen, against);
    model.addAttribute("picture", picture);
    model.addAttribute("drawn", null);
    if (against.edition() == null) {
      model.addAttribute("tally", every.more(inspected, against.house(), viewer, this::choice));
      return;
    }
    measured(against, viewer, model)
        .ifPresent(
            m ->
                inspections
                    .of(inspected, m)
                    .ifPresent(
                        v -> {
                          model.addAttribute("measured", m);
                          model.addAttribute("verdict", v);
                          model.addAttribute(
                              "drawn",
                              inspections
                                  .drawn(inspected, m, shown, v, picture, List.of())
                                  .orElse(null));
                        }));
  }

  private static int drawn(FileFacts facts) {
    return Math.min(facts.pdf().pages(), FileFacts.MOST_DRAWN);
  }

  private static String picture(String sha, int page, View view, Against against) {
    return "/inspect/" + sha + "/picture?page=" + page + "&view=" + view.id() + against.query();
  }

  /** Which edition a file is for, with some more of them looked at. */
  @GetMapping("/inspect/{sha}/told")
  String told(@PathVariable String sha, Against against, Viewer viewer, Model model) {
    model.addAttribute("sha", sha);
    model.addAttribute("against", against);
    model.addAttribute("tally", every.more(files.get(sha), against.house(), viewer, this::choice));
    return "inspect :: told";
  }

  /** A page of a file, as seen or one of its plates, PNG. */
  @GetMapping("/inspect/{sha}/picture")
  CompletableFuture<ResponseEntity<byte[]>> picture(
      @PathVariable String sha,
      @RequestParam(defaultValue = "1") int page,
      @RequestParam(defaultValue = "seen") String view,
      Against against,
      Viewer viewer) {
    View wanted = View.byId(view);
    int most =
        against.edition() == null
            ? UNLIMITED
            : meant
                .of(covers.edition(against.edition()), against.house(), viewer)
                .house()
                .files()
                .press()
                .mostInk();
    files.get(sha);
    return drawing.of(
        () ->
            ResponseEntity.ok()
                .contentType(MediaType.IMAGE_PNG)
                .cacheControl(CacheControl.maxAge(Duration.ofHours(1)).cachePrivate())
                .body(picture(sha, page, wanted, most)));
  }

  private byte[] picture(String sha, int page, View view, int most) {
    Optional<byte[]> png =
        view.plate() < 0
            ? files.seen(sha, page)
            : files
                .inks(sha, page)
                .map(
                    inks -> {
                      PrintedSheet sheet = PrintedSheet.of(inks, most);
                      try {
                        return ScreenPicture.png(
                            view.plate() < 4 ? sheet.plate(view.plate()) : sheet.map());
                      } catch (IOException e) {
                        throw new UncheckedIOException(e);
                      }
                    });
    return png.orElseThrow(() -> new Gone("Page " + page + " of this file was not drawn."));
  }

  /** The page with what differs from the bench, or from another file, outlined. */
  @GetMapping("/inspect/{sha}/compared")
  CompletableFuture<String> compared(
      @PathVariable String sha,
      @RequestParam Long edition,
      @RequestParam(defaultValue = "") String house,
      @RequestParam(defaultValue = "1") int page,
      @RequestParam(defaultValue = "bench") String against,
      Viewer viewer,
      Model model) {
    Inspected inspected = files.get(sha);
    Cover cover = covers.of(edition, viewer);
    return drawing.of(
        () -> {
          try {
            List<Rect> apart = comparison.differences(inspected, cover, page, against);
            Measured m = meant.of(covers.edition(edition), house, viewer);
            inspections
                .of(inspected, m)
                .flatMap(
                    v ->
                        inspections.drawn(
                            inspected,
                            m,
                            page,
                            v,
                            picture(sha, page, View.ALL.get(0), new Against(edition, house)),
                            apart))
                .ifPresent(svg -> model.addAttribute("drawn", svg));
            String other =
                against.equals("bench") ? "the bench" : "“" + files.get(against).name() + "”";
            model.addAttribute(
                "said",
                apart.isEmpty()
                    ? "Nothing differs from " + other + "."
                    : (apart.size() == 1 ? "One place differs" : apart.size() + " places differ")
                        + " from "
                        + other
                        + ", outlined.");
          } catch (Refusal | Gone r) {
            model.addAttribute("said", r.getMessage());
          }
          return "inspect :: compared";
        });
  }
}
