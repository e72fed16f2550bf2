package app.reglet.web.sidebyside;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.check.Finding;
import app.reglet.core.compare.SideBySide;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.type.SpineType;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import app.reglet.web.titles.MeasureLine;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** One title at every house and in every binding; one of them becomes an edition. */
@Controller
@RequestMapping("/editions/{id}/side-by-side")
public class SideBySideController {
  private final Covers covers;
  private final Editions editions;
  private final Houses houses;
  private final Clock clock;

  public SideBySideController(Covers covers, Editions editions, Houses houses, Clock clock) {
    this.covers = covers;
    this.editions = editions;
    this.houses = houses;
    this.clock = clock;
  }

  /** A row with the room for words on its spine, and whether it is the edition one comes from. */
  public record Line(
      SideBySide.Row row, Optional<SpineType> type, boolean own, Long made, Unit unit) {

    /** What the table shows of the safe distances. */
    public String safe() {
      var s = row.rules().safe();
      return figure(s.trim()) + (row.house().isInPixels() ? "" : " / " + figure(s.fold()));
    }

    /** A figure short enough for a table. */
    public String figure(Length length) {
      return length.figure(unit, unit == Unit.IN ? 3 : unit == Unit.MM ? 2 : 1);
    }

    /** The full sheet. */
    public String sheet() {
      return row.wrap()
          .map(Wrap::sheet)
          .map(s -> figure(s.width()) + " × " + figure(s.height()))
          .orElse("–");
    }

    /** The spine as the house makes it. */
    public String spine() {
      if (row.wrap().isEmpty() || row.house().isInPixels()) {
        return "–";
      }
      Length spine = row.wrap().get().spine().stated();
      return spine.isZero() ? "none" : figure(spine);
    }

    /** The room for words on the spine and the largest size that stands in it. */
    public String words() {
      return type.map(
              t ->
                  t.allowed()
                      ? "≤ " + figure(t.band()) + ", " + t.largest().figure(Unit.PT, 1) + " pt"
                      : "none")
          .orElse("–");
    }

    /** Why it isn't made as asked for, each thing in a few words. */
    public List<String> why() {
      return Stream.concat(
              row.unmet().stream().map(this::unmet), row.why().stream().map(Refusal::getMessage))
          .toList();
    }

    private String unmet(Finding f) {
      return switch (f.code()) {
        case "trim-not-offered" ->
            "Trim not offered, nearest "
                + row.taken().trim().brief(unit)
                + (row.house().isInPixels() ? "." : ": the inside must be re-set.");
        case "pages-not-offered" ->
            row.asked().pages() + " pages not bound, nearest " + row.taken().pages() + ".";
        default -> f.sentence(unit);
      };
    }

    /** Who prints the barcode. */
    public String barcode() {
      return row.rules().barcode().map(b -> b.supplier().who()).orElse("none");
    }

    /** The files the house wants. */
    public String files() {
      String kinds =
          String.join(
              ", ",
              row.house().files().formats().stream()
                  .sorted()
                  .map(f -> f.toUpperCase(Locale.ROOT))
                  .toList());
      return row.rules().parts().isPresent() ? "3 × " + kinds : kinds;
    }
  }

  /** The columns that can be sorted by. */
  public enum Column {
    HOUSE("House and binding"),
    OFFERED("Offered"),
    SPINE("Spine"),
    SHEET("Sheet"),
    TYPE("Spine type"),
    SAFE("Safe"),
    BARCODE("Barcode"),
    FILES("Files"),
    COST("A copy");

    private final String title;

    Column(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }

    public String id() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  @GetMapping
  String page(
      @PathVariable Long id,
      @RequestParam(defaultValue = "house") String sort,
      @RequestParam(defaultValue = "up") String way,
      Viewer viewer,
      Model model) {
    Cover cover = covers.of(id, viewer);
    EditionEntity e = cover.edition();
    model.addAttribute("cover", cover);
    model.addAttribute("place", "docket");
    model.addAttribute("view", "side-by-side");
    model.addAttribute("line", MeasureLine.of(cover));
    if (e.getPages() == null) {
      return "side-by-side";
    }
    Column by = column(sort);
    boolean down = way.equals("down");
    List<Line> lines = lines(cover);
    model.addAttribute("carries", cover.wrap().isPresent() && e.getRevision() > 0);
    model.addAttribute("lines", lines.stream().sorted(order(by, down)).toList());
    model.addAttribute("columns", Column.values());
    model.addAttribute("sort", by);
    model.addAttribute("down", down);
    model.addAttribute("offeredCount", lines.stream().filter(l -> l.row().offered()).count());
    return "side-by-side";
  }

  private static Column column(String sort) {
    for (Column c : Column.values()) {
      if (c.id().equals(sort)) {
        return c;
      }
    }
    return Column.HOUSE;
  }

  private List<Line> lines(Cover cover) {
    EditionEntity e = cover.edition();
    return SideBySide.of(
            e.specification(e.getPages()),
            cover.house().stocks().stream().filter(s -> s.id().equals(e.getStock())).findFirst(),
            houses.all(),
            cover.unit())
        .stream()
        .map(
            r ->
                new Line(
                    r,
                    r.house().isInPixels()
                        ? Optional.empty()
                        : r.wrap().map(w -> covers.spineType(cover.design(), w)),
                    r.house().id().equals(e.getHouseId()) && r.binding() == e.getBinding(),
                    made(r, cover).orElse(null),
                    r.house().isInPixels() ? Unit.PX : paper(cover.unit())))
        .toList();
  }

  /** The edition of this title that there is already in a row's binding at its house. */
  private Optional<Long> made(SideBySide.Row row, Cover cover) {
    return editions.findAllByOrderByIdAsc().stream()
        .filter(o -> o.getBook().getId().equals(cover.edition().getBook().getId()))
        .filter(o -> !o.getId().equals(cover.edition().getId()))
        .filter(o -> o.getHouseId().equals(row.house().id()) && o.getBinding() == row.binding())
        .map(EditionEntity::getId)
        .findFirst();
  }

  private static Unit paper(Unit unit) {
    return unit == Unit.PX ? Unit.MM : unit;
  }

  /** Rows without a value come last, whichever way. */
  private static Comparator<Line> order(Column by, boolean down) {
    Comparator<Line> byHouse =
        Comparator.comparing((Line l) -> l.row().house().isInPixels())
            .thenComparing(l -> l.row().house().name())
            .thenComparing(l -> l.row().binding());
    if (by == Column.HOUSE) {
      return down ? byHouse.reversed() : byHouse;
    }
    Comparator<Line> byKey = Comparator.comparing(l -> key(by, l).orElse(""));
    return Comparator.comparing((Line l) -> key(by, l).isEmpty())
        .thenComparing(down ? byKey.reversed() : byKey)
        .thenComparing(byHouse);
  }

  /** What a column is sorted by, as a text whose order is the column's. */
  private static Optional<String> key(Column by, Line l) {
    Optional<Wrap> wrap = l.row().wrap();
    boolean shop = l.row().house().isInPixels();
    return switch (by) {
      case HOUSE, OFFERED -> Optional.of(l.row().offered() ? "0" : "1");
      case SPINE -> wrap.filter(w -> !shop).map(w -> padded(w.spine().stated()));
      case SHEET -> wrap.map(w -> padded(w.sheet().width()));
      case TYPE -> l.type().filter(SpineType::allowed).map(t -> padded(t.band()));
      case SAFE -> Optional.of(padded(l.row().rules().safe().trim()));
      case BARCODE -> l.row().rules().barcode().map(b -> b.supplier().who());
      case FILES -> Optional.of(l.files());
      case COST ->
          l.row()
              .unitCost()
              .map(
                  c ->
                      l.row().rules().cost().orElseThrow().currency()
                          + String.format(Locale.ROOT, "%020.4f", c.doubleValue()));
    };
  }

  private static String padded(Length length) {
    return String.format(Locale.ROOT, "%020d", length.quanta());
  }

  /** Makes an edition of a row, with the facts as its house takes them. */
  @PostMapping
  String choose(
      @PathVariable Long id,
      @RequestParam String house,
      @RequestParam String binding,
      Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    if (cover.edition().getPages() == null) {
      throw new Refusal("Give a page count on the docket first.");
    }
    SideBySide.Row row =
        lines(cover).stream()
            .map(Line::row)
            .filter(r -> r.house().id().equals(house) && r.binding().equals(Binding.byId(binding)))
            .findFirst()
            .orElseThrow(
                () ->
                    new Refusal(
                        "This house does not offer that binding any more: reload the page."));
    EditionEntity made =
        editions.saveAndFlush(
            new EditionEntity(
                cover.edition().getBook(),
                house,
                houses.version(house),
                row.taken(),
                clock.instant()));
    return "redirect:/editions/" + made.getId() + "/docket";
  }
}
