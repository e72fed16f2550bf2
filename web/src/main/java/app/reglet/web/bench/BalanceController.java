package app.reglet.web.bench;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.press.art.Artwork;
import app.reglet.press.raster.Balance;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Where the weight of a design lies, and how its margins compare, laid over the sheet. */
@Controller
class BalanceController {
  private final Covers covers;
  private final Benching benching;
  private final PictureStore pictures;

  BalanceController(Covers covers, Benching benching, PictureStore pictures) {
    this.covers = covers;
    this.benching = benching;
    this.pictures = pictures;
  }

  /**
   * A disc for a cell.
   *
   * @param r its radius: its area is as its weight
   */
  public record Disc(double x, double y, double r) {}

  /**
   * A panel as it is drawn, mm on the sheet.
   *
   * @param said its figures in a sentence
   */
  public record Drawn(
      double x, double y, double cx, double cy, double size, List<Disc> discs, String said) {}

  @GetMapping("/editions/{id}/bench/balance")
  String balance(
      @PathVariable Long id,
      @RequestParam(defaultValue = "outside") String side,
      Viewer viewer,
      Model model) {
    Cover cover = benching.of(covers.edition(id), Benching.side(side), viewer);
    Optional<Artwork> art = cover.art();
    model.addAttribute(
        "panels",
        art.map(a -> Balance.of(a, pictures::shownSmall)).orElse(List.of()).stream()
            .map(b -> drawn(b, cover.unit()))
            .toList());
    return "balance :: drawn";
  }

  private static Drawn drawn(Balance b, Unit unit) {
    double cell = b.trim().width() / b.across();
    int rows = b.cells().size() / b.across();
    double high = b.trim().height() / rows;
    List<Disc> discs = new ArrayList<>();
    for (int i = 0; i < b.cells().size(); i++) {
      double r = Math.sqrt(b.cells().get(i)) * Math.min(cell, high) * 0.46;
      if (r > cell * 0.05) {
        discs.add(
            new Disc(
                b.trim().x() + (i % b.across() + 0.5) * cell,
                b.trim().y() + (i / b.across() + 0.5) * high,
                r));
      }
    }
    return new Drawn(
        b.trim().x() + b.x(),
        b.trim().y() + b.y(),
        b.trim().x() + b.trim().width() / 2,
        b.trim().y() + b.trim().height() / 2,
        Math.min(7, b.trim().width() * 0.3),
        discs,
        said(b, unit));
  }

  private static String said(Balance b, Unit unit) {
    double right = b.x() - b.trim().width() / 2;
    double down = b.y() - b.trim().height() / 2;
    return b.panel().title()
        + ": the weight lies "
        + off(right, "right of", "left of", unit)
        + " and "
        + off(down, "below", "above", unit)
        + " the middle. Free at the left "
        + figure(b.free().get(0), unit)
        + ", right "
        + figure(b.free().get(2), unit)
        + "; top "
        + figure(b.free().get(1), unit)
        + ", bottom "
        + figure(b.free().get(3), unit)
        + " "
        + unit.symbol()
        + ".";
  }

  private static String off(double mm, String more, String less, Unit unit) {
    return figure(Math.abs(mm), unit) + " " + unit.symbol() + " " + (mm < 0 ? less : more);
  }

  private static String figure(double mm, Unit unit) {
    return Length.nearMm(mm)
        .in(unit, unit == Unit.IN ? 2 : unit == Unit.MM ? 1 : 0)
        .toPlainString();
  }
}
