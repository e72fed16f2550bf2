package app.reglet.web.templates;

import app.reglet.core.Refusal;
import app.reglet.core.check.Finding;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.BlockPage;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.WrapDocument;
import app.reglet.core.wrap.WrapTable;
import app.reglet.core.wrap.WrapText;
import app.reglet.press.drawing.WrapDrawing;
import app.reglet.press.pdf.DocketPdf;
import app.reglet.press.pdf.FileName;
import app.reglet.press.pdf.TemplatePdf;
import app.reglet.press.svg.DrawingSvg;
import app.reglet.press.template.Template;
import app.reglet.press.template.TemplateSet;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import app.reglet.web.shell.Downloads;
import app.reglet.web.shell.Gone;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.MeasureLine;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Templates and measurements to take away, for people who draw elsewhere. */
@Controller
@RequestMapping("/editions/{id}/templates")
public class TemplatesController {
  private static final MediaType SVG = MediaType.parseMediaType("image/svg+xml");
  private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);
  private static final MediaType TEXT = new MediaType("text", "plain", StandardCharsets.UTF_8);
  private static final MediaType ZIP = MediaType.parseMediaType("application/zip");

  private final Covers covers;
  private final Typeface face;
  private final Typeface bold;

  public TemplatesController(Covers covers, Typefaces typefaces) {
    this.covers = covers;
    this.face = typefaces.get("work-sans");
    this.bold = typefaces.get("work-sans-semibold");
  }

  @GetMapping
  String page(@PathVariable Long id, Viewer viewer, Model model) {
    Cover cover = covers.of(id, viewer);
    model.addAttribute("cover", cover);
    model.addAttribute("place", "docket");
    model.addAttribute("view", "templates");
    model.addAttribute("line", MeasureLine.of(cover));
    model.addAttribute("sized", null);
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
              model.addAttribute("insides", BlockPage.of(w));
              model.addAttribute("ppi", cover.edition().getBinding().isInPixels() ? 96 : 300);
            });
    return "templates";
  }

  /** How large the PNGs come out at a resolution, before one is downloaded. */
  @GetMapping("/sizes")
  String sizes(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String ppi,
      Viewer viewer,
      Model model) {
    Cover cover = covers.of(id, viewer);
    int count = ppi(ppi);
    model.addAttribute("cover", cover);
    model.addAttribute("ppi", count);
    model.addAttribute(
        "sized",
        FilePages.of(cover.sheet()).stream().map(p -> sized(p, cover.unit(), count)).toList());
    return "templates :: sizes";
  }

  /**
   * A PNG's size.
   *
   * @param page which page
   * @param pixels {@code 5400 × 3375 px}
   * @param bytes {@code 0.21 MB}
   */
  public record Sized(Wrap page, String pixels, String bytes) {}

  private Sized sized(Wrap page, Unit unit, int ppi) {
    byte[] png = Template.png(page, unit, ppi, face);
    return new Sized(
        page,
        page.sheet().width().toPixels(ppi) + " × " + page.sheet().height().toPixels(ppi) + " px",
        String.format(Locale.ROOT, "%.2f MB", png.length / 1e6));
  }

  private static String named(Cover cover, String kind) {
    return FileName.stem(cover.book(), cover.sheet(), kind, cover.edition().getId());
  }

  private static int ppi(String typed) {
    if (!typed.strip().matches("\\d{1,5}")) {
      throw new Refusal(
          "ppi",
          "“"
              + typed.strip()
              + "” is no resolution: a whole number of pixels per inch, such as 300.");
    }
    return Integer.parseInt(typed.strip());
  }

  @GetMapping("/{file}")
  ResponseEntity<byte[]> file(
      @PathVariable Long id,
      @PathVariable String file,
      @RequestParam(defaultValue = "300") String ppi,
      @RequestParam(defaultValue = "wrap") String page,
      Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    Wrap w = cover.sheet();
    Unit unit = cover.unit();
    String stem = named(cover, "template");
    return switch (file) {
      case "pdf" ->
          Downloads.file(stem + ".pdf", MediaType.APPLICATION_PDF, TemplatePdf.make(w, unit, face));
      case "inside" ->
          Downloads.file(
              named(cover, "template-inside-pages") + ".pdf",
              MediaType.APPLICATION_PDF,
              TemplatePdf.inside(w, unit, face));
      case "inside-svg" -> {
        BlockPage p = leafOf(w, page);
        yield Downloads.file(
            named(cover, "template-" + p.id()) + ".svg",
            SVG,
            Template.svg(p, unit).getBytes(StandardCharsets.UTF_8));
      }
      case "inside-png" -> {
        BlockPage p = leafOf(w, page);
        int count = ppi(ppi);
        yield Downloads.file(
            named(cover, "template-" + p.id()) + "_" + count + "ppi.png",
            MediaType.IMAGE_PNG,
            Template.png(p, unit, count, face));
      }
      case "svg" -> {
        Wrap p = pageOf(w, page);
        yield Downloads.file(
            named(cover, "template-" + p.page().id()) + ".svg",
            SVG,
            Template.svg(p, unit).getBytes(StandardCharsets.UTF_8));
      }
      case "png" -> {
        Wrap p = pageOf(w, page);
        int count = ppi(ppi);
        yield Downloads.file(
            named(cover, "template-" + p.page().id()) + "_" + count + "ppi.png",
            MediaType.IMAGE_PNG,
            Template.png(p, unit, count, face));
      }
      case "zip" ->
          Downloads.file(
              stem + ".zip",
              ZIP,
              TemplateSet.zip(TemplateSet.files(w, unit, ppi(ppi), face, stem)));
      case "json" ->
          Downloads.file(
              named(cover, "measures") + ".json",
              MediaType.APPLICATION_JSON,
              WrapDocument.write(w).getBytes(StandardCharsets.UTF_8));
      case "csv" ->
          Downloads.file(
              named(cover, "measures") + ".csv",
              CSV,
              WrapTable.csv(w).getBytes(StandardCharsets.UTF_8));
      case "txt" ->
          Downloads.file(
              named(cover, "measures") + ".txt",
              TEXT,
              WrapText.write(w, unit).getBytes(StandardCharsets.UTF_8));
      case "docket" ->
          Downloads.file(
              named(cover, "docket") + ".pdf",
              MediaType.APPLICATION_PDF,
              DocketPdf.make(
                  cover.book(),
                  w,
                  unit,
                  cover.findings().stream()
                      .filter(Finding::mustMend)
                      .map(f -> f.sentence(unit))
                      .toList(),
                  face,
                  bold));
      default -> throw new Gone("There is no template of the kind “" + file + "”.");
    };
  }

  /**
   * A page of the inside.
   *
   * @throws Gone when there is none
   */
  private static BlockPage leafOf(Wrap outside, String id) {
    return BlockPage.of(outside).stream()
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new Gone("There is no page of the inside called “" + id + "”."));
  }

  private static Wrap pageOf(Wrap outside, String id) {
    return FilePages.of(outside).stream()
        .filter(p -> p.page().id().equals(id))
        .findFirst()
        .orElseGet(() -> FilePages.of(outside).get(0));
  }
}
