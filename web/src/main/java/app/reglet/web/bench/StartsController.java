package app.reglet.web.bench;

import app.reglet.core.Choices;
import app.reglet.core.book.Asset;
import app.reglet.core.design.Design;
import app.reglet.core.design.GenrePalette;
import app.reglet.core.design.document.DesignDocument;
import app.reglet.core.edit.EditReader;
import app.reglet.core.layout.Dress;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.layout.TypePair;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.Sum;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.SmallSheets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where a cover can start from: layouts and looks, each as a small picture of this book. */
@Controller
@RequestMapping("/editions/{id}/bench/starts")
class StartsController {
  private final Covers covers;
  private final Looks looks;
  private final BenchStock stock;
  private final SmallSheets sheets;

  StartsController(Covers covers, Looks looks, BenchStock stock, SmallSheets sheets) {
    this.covers = covers;
    this.looks = looks;
    this.stock = stock;
    this.sheets = sheets;
  }

  /**
   * What somebody chose to have the layouts in.
   *
   * @param colours own, cover, picture or a shelf; null for not said
   * @param pair own or a pair of typefaces; null for not said
   * @param picture the SHA-256 of one, empty for none; null for not said
   */
  record Chosen(String colours, String pair, String picture) {
    Map<String, String> fields() {
      return Map.of("colours", colours, "pair", pair, "picture", picture);
    }

    /** With what was not said: the first picture of the title, all else as each layout has it. */
    Chosen completed(List<Asset> pictures) {
      return new Chosen(
          colours == null ? "own" : colours,
          pair == null ? "own" : pair,
          picture == null ? pictures.isEmpty() ? "" : pictures.get(0).sha() : picture);
    }
  }

  @GetMapping
  String offers(@PathVariable Long id, Chosen asked, Viewer viewer, Model model) {
    return fill(covers.of(id, viewer), asked, model);
  }

  private String fill(Cover cover, Chosen asked, Model model) {
    List<Asset> pictures =
        cover.book().pictures().stream().filter(a -> stock.hasPicture(a.sha())).toList();
    Chosen chosen = asked.completed(pictures);
    model.addAttribute("cover", cover);
    model.addAttribute("pictures", pictures);
    model.addAttribute("chosen", chosen);
    model.addAttribute("layouts", StartingLayout.values());
    model.addAttribute("pairs", TypePair.values());
    model.addAttribute("shelves", GenrePalette.values());
    model.addAttribute("looks", looks.all());
    model.addAttribute("key", SmallSheets.key(cover));
    model.addAttribute("height", SmallSheets.height(cover));
    return "starts :: offers";
  }

  /** A layout of this book as a small picture. */
  @GetMapping("/{layout}.jpg")
  ResponseEntity<byte[]> picture(
      @PathVariable Long id, @PathVariable String layout, Chosen asked, Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    StartingLayout which = Choices.of(StartingLayout.class, layout);
    Chosen chosen = asked.completed(List.of());
    return picture(
        sheets.of(
            cover,
            "layout " + layout + chosen,
            () -> {
              Dress dress = EditReader.dress(chosen.fields(), cover.design(), stock);
              return which.on(cover.sheet(), cover.book(), cover.design(), dress);
            }));
  }

  /** A look on this book as a small picture. */
  @GetMapping("/looks/{look}.jpg")
  ResponseEntity<byte[]> look(
      @PathVariable Long id,
      @PathVariable String look,
      @RequestParam(defaultValue = "") String picture,
      Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    Design worn = looks.worn(cover, look, picture).design();
    return picture(sheets.of(cover, "look " + Sum.of(DesignDocument.write(worn)), () -> worn));
  }

  private static ResponseEntity<byte[]> picture(byte[] jpeg) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(Duration.ofHours(1)).cachePrivate())
        .body(jpeg);
  }

  /** Saves the look of this cover. */
  @PostMapping("/looks")
  String save(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String name,
      Chosen asked,
      Viewer viewer,
      Model model) {
    Cover cover = covers.of(id, viewer);
    looks.save(cover, name);
    return fill(cover, asked, model);
  }

  /** Takes a look away; the covers that wear it stay as they are. */
  @PostMapping("/looks/{look}/off")
  String remove(
      @PathVariable Long id, @PathVariable Long look, Chosen asked, Viewer viewer, Model model) {
    looks.remove(look);
    return fill(covers.of(id, viewer), asked, model);
  }
}
