package app.reglet.web.proof;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.press.raster.PrintedSheet;
import app.reglet.web.jobs.Drawing;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.Fronts;
import app.reglet.web.titles.MeasureLine;
import java.time.Duration;
import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The place Proof: the cover as it will be printed. */
@Controller
public class ProofController {
  private final Covers covers;
  private final Proofs proofs;
  private final Drawing drawing;

  ProofController(Covers covers, Proofs proofs, Drawing drawing) {
    this.drawing = drawing;
    this.covers = covers;
    this.proofs = proofs;
  }

  private Cover side(Long id, String side, Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    return side.equals("inside") && cover.isTwoSided() ? covers.turned(cover) : cover;
  }

  @GetMapping("/editions/{id}/proof")
  String page(
      @PathVariable Long id,
      @RequestParam(defaultValue = "printed") String view,
      @RequestParam(defaultValue = "outside") String side,
      Viewer viewer,
      Model model) {
    Cover cover = side(id, side, viewer);
    Proofs.View chosen = Proofs.View.byId(view);
    model.addAttribute("cover", cover);
    model.addAttribute("place", "proof");
    model.addAttribute("line", MeasureLine.of(covers.of(id, viewer)));
    model.addAttribute("views", Proofs.View.values());
    model.addAttribute("chosen", chosen);
    model.addAttribute(
        "side", side.equals("inside") && cover.outer().isPresent() ? "inside" : "outside");
    model.addAttribute("key", Fronts.key(cover.edition()));
    if (proofs.isPrinted(cover)) {
      model.addAttribute("condition", proofs.condition(cover).title());
      model.addAttribute("rules", cover.house().files().press());
    }
    return "proof";
  }

  /** What of the printed sheet is told in figures. */
  @GetMapping(value = "/editions/{id}/proof/figures", produces = "text/plain;charset=UTF-8")
  @ResponseBody
  CompletableFuture<String> figures(
      @PathVariable Long id, @RequestParam(defaultValue = "outside") String side, Viewer viewer) {
    Cover cover = side(id, side, viewer);
    return drawing.of(() -> said(cover, proofs.sheet(cover).figures()));
  }

  /** Where the most ink lies, and what was moved to black. */
  private static String said(Cover cover, PrintedSheet.Figures f) {
    Unit unit = cover.unit();
    String at =
        Length.nearMm(f.x() * cover.sheet().sheet().width().toMm())
                .figure(unit, unit == Unit.IN ? 2 : 0)
            + " "
            + unit.symbol()
            + " from the left, "
            + Length.nearMm(f.y() * cover.sheet().sheet().height().toMm())
                .figure(unit, unit == Unit.IN ? 2 : 0)
            + " "
            + unit.symbol()
            + " from the top";
    String most = "Most ink " + f.most() + " %, " + at + ".";
    return f.moved() == 0
        ? most + " Nothing came near the limit."
        : most
            + String.format(
                Locale.ROOT,
                " On %.1f %% of the sheet there would be more, up to %d %%: there gray is printed with black.",
                Math.max(0.1, 100 * f.moved()),
                f.wouldBe());
  }

  /** A picture of the printed sheet. */
  @GetMapping("/editions/{id}/proof/picture")
  CompletableFuture<ResponseEntity<byte[]>> picture(
      @PathVariable Long id,
      @RequestParam(defaultValue = "printed") String view,
      @RequestParam(defaultValue = "outside") String side,
      Viewer viewer) {
    Cover cover = side(id, side, viewer);
    Proofs.View wanted = Proofs.View.byId(view);
    return drawing.of(
        () ->
            ResponseEntity.ok()
                .contentType(MediaType.IMAGE_PNG)
                .cacheControl(CacheControl.maxAge(Duration.ofHours(1)).cachePrivate())
                .body(proofs.picture(cover, wanted)));
  }

  /** The inks at a place, in words. */
  @GetMapping(value = "/editions/{id}/proof/at", produces = "text/plain;charset=UTF-8")
  @ResponseBody
  CompletableFuture<String> at(
      @PathVariable Long id,
      @RequestParam double x,
      @RequestParam double y,
      @RequestParam(defaultValue = "outside") String side,
      Viewer viewer) {
    if (!(x >= 0 && x <= 1 && y >= 0 && y <= 1)) {
      throw new Refusal("place", "A place on the sheet is from 0 to 1 of its width and height.");
    }
    Cover cover = side(id, side, viewer);
    return drawing.of(() -> inks(proofs.sheet(cover), x, y));
  }

  private static String inks(PrintedSheet sheet, double x, double y) {
    int px = Math.min(sheet.ink().width() - 1, (int) (x * sheet.ink().width()));
    int py = Math.min(sheet.ink().height() - 1, (int) (y * sheet.ink().height()));
    int i = 4 * (py * sheet.ink().width() + px);
    byte[] inks = sheet.ink().inks();
    return "C "
        + percent(inks[i])
        + "  M "
        + percent(inks[i + 1])
        + "  Y "
        + percent(inks[i + 2])
        + "  K "
        + percent(inks[i + 3])
        + ", together "
        + Math.round(sheet.ink().total(px, py) * 100f / 255)
        + " %"
        + (sheet.isMoved(px, py) ? ", some of it moved to black" : "");
  }

  private static int percent(byte ink) {
    return Math.round((ink & 0xff) * 100f / 255);
  }
}
