package app.reglet.web.bench;

import app.reglet.core.Refusal;
import app.reglet.core.book.Fact;
import app.reglet.core.check.Remedy;
import app.reglet.core.design.Design;
import app.reglet.core.design.Mending;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.design.StartingLayout;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.picture.Picture;
import app.reglet.press.svg.SheetView;
import app.reglet.press.type.Typefaces;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The place Bench: composing a cover on its sheet. Every change answers with the whole board. */
@Controller
@RequestMapping("/editions/{id}/bench")
public class BenchController {
  private final Covers covers;
  private final Revisions revisions;
  private final BenchService bench;
  private final PictureStore pictures;
  private final Uploads uploads;
  private final Typefaces typefaces;

  public BenchController(
      Covers covers,
      Revisions revisions,
      BenchService bench,
      PictureStore pictures,
      Uploads uploads,
      Typefaces typefaces) {
    this.covers = covers;
    this.revisions = revisions;
    this.bench = bench;
    this.pictures = pictures;
    this.uploads = uploads;
    this.typefaces = typefaces;
  }

  @GetMapping
  String page(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String chosen,
      HttpServletRequest request,
      Model model) {
    fill(model, covers.of(id, request), chosen);
    return request.getHeader("HX-Request") != null ? "bench :: board" : "bench";
  }

  @PostMapping("/layout")
  String layout(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam String layout,
      HttpServletRequest request,
      Model model) {
    StartingLayout wanted = Choices.of(StartingLayout.values(), layout);
    Cover cover = covers.of(id, request);
    Design laid = wanted.on(cover.measured(), cover.book(), cover.design().background());
    return change(cover, base, d -> laid, "Layout " + wanted.title(), "", request, model);
  }

  @PostMapping("/background")
  String background(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam String colour,
      @RequestParam(required = false) String focusX,
      @RequestParam(required = false) String focusY,
      @RequestParam(required = false) String extent,
      HttpServletRequest request,
      Model model) {
    return change(
        covers.of(id, request),
        base,
        d -> bench.background(d, colour, focusX, focusY, extent),
        "Background",
        "",
        request,
        model);
  }

  @PostMapping("/picture")
  String picture(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam MultipartFile picture,
      HttpServletRequest request,
      Model model)
      throws IOException {
    Cover cover = covers.of(id, request);
    revisions.expect(id, base); // before the file is read and kept
    Picture added;
    try (Uploads.Upload upload = uploads.take(picture)) {
      added = pictures.add(upload.path(), upload.name());
    }
    return change(
        cover,
        base,
        d -> d.withBackground(d.background().withPicture(added.sha())),
        "Background picture",
        "",
        request,
        model);
  }

  @PostMapping("/picture/off")
  String noPicture(
      @PathVariable Long id, @RequestParam int base, HttpServletRequest request, Model model) {
    return change(
        covers.of(id, request),
        base,
        d -> d.withBackground(d.background().withPicture("")),
        "Background picture off",
        "",
        request,
        model);
  }

  @PostMapping("/add")
  String add(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam String what,
      HttpServletRequest request,
      Model model) {
    Cover cover = covers.of(id, request);
    Wrap wrap = cover.measured();
    Design after =
        switch (what) {
          case "band" -> bench.addBand(cover.design(), wrap);
          case "barcode" -> barcode(cover);
          default -> {
            String[] parts = what.split(":");
            Fact fact =
                parts.length < 2 || parts[1].equals("own")
                    ? null
                    : Choices.of(Fact.values(), parts[1]);
            yield bench.addWords(
                cover.design(), wrap, Choices.of(PanelKind.values(), parts[0]), fact);
          }
        };
    String chosen =
        after.pieces().stream()
            .map(Piece::id)
            .filter(p -> cover.design().piece(p).isEmpty())
            .findFirst()
            .orElse("");
    return change(
        cover,
        base,
        d -> after,
        "Added " + after.piece(chosen).map(Piece::name).orElse("barcode"),
        chosen,
        request,
        model);
  }

  private static Design barcode(Cover cover) {
    if (cover.book().isbn().isEmpty()) {
      throw new Refusal(
          "The book has no ISBN yet: give it on the docket, then the barcode can be drawn.");
    }
    if (cover.measured().box(Region.BARCODE).isEmpty()) {
      throw new Refusal(cover.house().name() + " keeps no barcode area on this cover.");
    }
    return Mending.placeBarcode(cover.design());
  }

  @PostMapping("/pieces/{piece}/words")
  String words(
      @PathVariable Long id,
      @PathVariable String piece,
      @RequestParam int base,
      @ModelAttribute WordsForm form,
      HttpServletRequest request,
      Model model) {
    return changePiece(id, piece, base, d -> bench.words(d, piece, form), "", request, model);
  }

  @PostMapping("/pieces/{piece}/band")
  String band(
      @PathVariable Long id,
      @PathVariable String piece,
      @RequestParam int base,
      @RequestParam(defaultValue = "") String name,
      @RequestParam String colour,
      HttpServletRequest request,
      Model model) {
    return changePiece(
        id, piece, base, d -> bench.band(d, piece, name, colour), "", request, model);
  }

  /**
   * A new box: typed lengths measured from the trim of the panel, or mm on the sheet from a drag.
   */
  @PostMapping("/pieces/{piece}/box")
  String box(
      @PathVariable Long id,
      @PathVariable String piece,
      @RequestParam int base,
      @RequestParam String left,
      @RequestParam String top,
      @RequestParam String width,
      @RequestParam String height,
      @RequestParam(defaultValue = "sheet") String from,
      HttpServletRequest request,
      Model model) {
    Cover cover = covers.of(id, request);
    Wrap wrap = cover.measured();
    Box origin =
        wrap.box(Region.parse(from))
            .orElseThrow(() -> new Refusal("This cover has no such part to measure from."));
    Length w = Length.parse(width, cover.unit());
    Length h = Length.parse(height, cover.unit());
    if (!w.isPositive() || !h.isPositive()) {
      throw new Refusal(
          "Width and height must be above zero; typed were " + width + " and " + height + ".");
    }
    Box box =
        new Box(
            origin.left().plus(Length.parse(left, cover.unit())),
            origin.top().plus(Length.parse(top, cover.unit())),
            w,
            h);
    return change(
        cover,
        base,
        d -> bench.place(d, wrap, piece, box),
        name(cover, piece) + " moved",
        piece,
        request,
        model);
  }

  @PostMapping("/pieces/{piece}/hang")
  String hang(
      @PathVariable Long id,
      @PathVariable String piece,
      @RequestParam int base,
      @RequestParam String region,
      @RequestParam String across,
      @RequestParam String down,
      HttpServletRequest request,
      Model model) {
    Cover cover = covers.of(id, request);
    return change(
        cover,
        base,
        d ->
            bench.hang(
                d,
                cover.measured(),
                piece,
                Region.parse(region),
                Choices.of(Span.Hold.values(), across),
                Choices.of(Span.Hold.values(), down)),
        name(cover, piece) + " hung anew",
        piece,
        request,
        model);
  }

  @PostMapping("/pieces/{piece}/order")
  String order(
      @PathVariable Long id,
      @PathVariable String piece,
      @RequestParam int base,
      @RequestParam int by,
      HttpServletRequest request,
      Model model) {
    return changePiece(
        id,
        piece,
        base,
        d -> d.reordered(piece, Integer.signum(by)),
        " in another order",
        request,
        model);
  }

  @PostMapping("/pieces/{piece}/off")
  String takeOff(
      @PathVariable Long id,
      @PathVariable String piece,
      @RequestParam int base,
      HttpServletRequest request,
      Model model) {
    Cover cover = covers.of(id, request);
    return change(
        cover, base, d -> d.without(piece), name(cover, piece) + " taken off", "", request, model);
  }

  @PostMapping("/remedy")
  String remedy(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam String code,
      @RequestParam(defaultValue = "") String piece,
      @RequestParam int choice,
      HttpServletRequest request,
      Model model) {
    Cover cover = covers.of(id, request);
    Remedy remedy =
        cover.findings().stream()
            .filter(
                f ->
                    f.code().equals(code)
                        && f.piece().orElse("").equals(piece)
                        && choice >= 0
                        && choice < f.remedies().size())
            .map(f -> f.remedies().get(choice))
            .findFirst()
            .orElseThrow(
                () -> new Refusal("This finding is no longer there: the cover has changed since."));
    return change(
        cover,
        base,
        d -> Mending.apply(remedy, d, cover.measured()),
        remedy.label(cover.unit()),
        piece,
        request,
        model);
  }

  @PostMapping("/undo")
  String undo(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam(defaultValue = "") String chosen,
      HttpServletRequest request,
      Model model) {
    revisions.undo(id, base);
    fill(model, covers.of(id, request), chosen);
    return "bench :: board";
  }

  @PostMapping("/redo")
  String redo(
      @PathVariable Long id,
      @RequestParam int base,
      @RequestParam(defaultValue = "") String chosen,
      HttpServletRequest request,
      Model model) {
    revisions.redo(id, base);
    fill(model, covers.of(id, request), chosen);
    return "bench :: board";
  }

  private String changePiece(
      Long id,
      String piece,
      int base,
      UnaryOperator<Design> how,
      String what,
      HttpServletRequest request,
      Model model) {
    Cover cover = covers.of(id, request);
    return change(cover, base, how, name(cover, piece) + what, piece, request, model);
  }

  private static String name(Cover cover, String piece) {
    return BenchService.piece(cover.design(), piece).name();
  }

  private String change(
      Cover cover,
      int base,
      UnaryOperator<Design> how,
      String what,
      String chosen,
      HttpServletRequest request,
      Model model) {
    Long id = cover.edition().getId();
    revisions.save(id, base, how.apply(cover.design()), what);
    fill(model, covers.of(id, request), chosen);
    boolean formStays = "change".equals(request.getParameter("part"));
    model.addAttribute("oob", formStays);
    return formStays ? "bench :: change" : "bench :: board";
  }

  private void fill(Model model, Cover cover, String chosen) {
    model.addAttribute("cover", cover);
    model.addAttribute("place", "bench");
    model.addAttribute("line", app.reglet.web.titles.MeasureLine.of(cover));
    model.addAttribute("base", cover.edition().getRevision());
    model.addAttribute("layouts", StartingLayout.values());
    model.addAttribute("facts", Fact.values());
    model.addAttribute("typefaces", typefaces.all());
    model.addAttribute("undoable", revisions.undoable(cover.edition()).orElse(null));
    model.addAttribute("redoable", revisions.redoable(cover.edition()).orElse(null));
    model.addAttribute("regions", List.of());
    List<Piece> frontFirst = new ArrayList<>(cover.design().pieces());
    Collections.reverse(frontFirst);
    model.addAttribute("pieces", frontFirst);
    model.addAttribute(
        "aboutPicture", pictures.about(cover.design().background().picture()).orElse(null));
    Piece piece = cover.design().piece(chosen).orElse(null);
    model.addAttribute("piece", piece);
    model.addAttribute("chosen", piece == null ? "" : chosen);
    cover
        .wrap()
        .ifPresent(
            wrap -> {
              model.addAttribute("regions", regions(wrap));
              model.addAttribute("tray", Tray.of(piece, wrap, cover));
              model.addAttribute(
                  "sheet",
                  SheetView.of(
                      cover.art().orElseThrow(),
                      cover.findings(),
                      chosen,
                      cover.unit(),
                      p -> "/pictures/" + p.sha() + "/preview"));
            });
  }

  private static List<Region> regions(Wrap wrap) {
    List<Region> regions = new ArrayList<>();
    wrap.panels().stream()
        .filter(p -> !p.kind().isHinge())
        .forEach(
            p -> {
              regions.add(Region.safe(p.kind()));
              regions.add(Region.trim(p.kind()));
              regions.add(new Region(Region.Frame.BLEED, p.kind()));
            });
    regions.add(Region.SHEET);
    if (wrap.box(Region.BARCODE).isPresent()) {
      regions.add(Region.BARCODE);
    }
    return regions;
  }
}
