package app.reglet.web.whatif;

import app.reglet.core.Refusal;
import app.reglet.core.check.OfferCheck;
import app.reglet.core.compare.PageCurve;
import app.reglet.core.compare.Spread;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FactLimits;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.WrapChange;
import app.reglet.press.drawing.WrapDrawing;
import app.reglet.press.svg.CurveSvg;
import app.reglet.press.svg.DrawingSvg;
import app.reglet.press.type.SpineType;
import app.reglet.web.docket.FactsChanges;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.MeasureLine;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What if the book had another page count: spine, sheet and what becomes possible. */
@Controller
@RequestMapping("/editions/{id}/what-if")
public class WhatIfController {
  private final Covers covers;
  private final FactsChanges docket;

  public WhatIfController(Covers covers, FactsChanges docket) {
    this.covers = covers;
    this.docket = docket;
  }

  /**
   * One count, told.
   *
   * @param pages the count
   * @param spine its spine; empty when it can't be measured
   * @param sheet its sheet
   * @param spineType room for words
   * @param change against the docket's count
   * @param why why it isn't bound, or can't be measured; empty when it is
   * @param drawing the sheet drawn; empty when it can't be measured
   */
  public record Told(
      int pages,
      String spine,
      String sheet,
      String spineType,
      String change,
      List<String> why,
      String drawing) {}

  @GetMapping
  String page(
      @PathVariable Long id,
      @RequestParam(required = false) Integer pages,
      Viewer viewer,
      Model model) {
    Cover cover = covers.of(id, viewer);
    EditionEntity e = cover.edition();
    model.addAttribute("cover", cover);
    model.addAttribute("place", "docket");
    model.addAttribute("view", "what-if");
    model.addAttribute("line", MeasureLine.of(cover));
    if (e.getPages() == null || !e.getBinding().hasPages()) {
      return "what-if";
    }
    PageCurve curve = PageCurve.of(e.specification(e.getPages()), cover.house());
    int shown = pages == null ? e.getPages() : Math.max(curve.from(), Math.min(curve.to(), pages));
    model.addAttribute("curve", curve);
    model.addAttribute("plot", CurveSvg.of(curve, cover.unit(), shown));
    fill(model, cover, shown);
    if (e.getSpread() > 0 && cover.wrap().isPresent()) {
      model.addAttribute(
          "spread",
          Spread.of(cover.wrap().get().spec(), e.getSpread(), cover.house()).print(cover.unit()));
    }
    return "what-if";
  }

  /** One count, while the slider is dragged. */
  @GetMapping("/at")
  String at(@PathVariable Long id, @RequestParam int pages, Viewer viewer, Model model) {
    Cover cover = covers.of(id, viewer);
    model.addAttribute("cover", cover);
    fill(model, cover, Math.max(1, Math.min(FactLimits.MOST_PAGES, pages)));
    model.addAttribute("answering", true);
    return "what-if :: answer";
  }

  @PostMapping
  String use(@PathVariable Long id, @RequestParam int pages) {
    docket.usePages(id, pages);
    return "redirect:/editions/" + id + "/docket?changed";
  }

  private void fill(Model model, Cover cover, int pages) {
    model.addAttribute("shown", pages);
    model.addAttribute("told", told(cover, pages));
    model.addAttribute("answering", false);
  }

  private Told told(Cover cover, int pages) {
    Unit unit = cover.unit();
    var spec = cover.edition().specification(pages);
    List<String> why =
        OfferCheck.run(spec, cover.house()).stream().map(f -> f.sentence(unit)).toList();
    try {
      Wrap wrap = Measuring.measure(spec, cover.house());
      String change =
          cover
              .wrap()
              .map(before -> String.join("; ", WrapChange.between(before, wrap, unit)))
              .orElse("");
      SpineType type = covers.spineType(cover.design(), wrap);
      return new Told(
          pages,
          wrap.spine().stated().isZero() ? "none" : wrap.spine().stated().print(unit),
          wrap.sheet().print(unit),
          type.print(unit),
          change,
          why,
          DrawingSvg.of(WrapDrawing.seen(wrap, unit, 620, 300)));
    } catch (Refusal r) {
      return new Told(pages, "", "", "", "", why.isEmpty() ? List.of(r.getMessage()) : why, "");
    }
  }
}
