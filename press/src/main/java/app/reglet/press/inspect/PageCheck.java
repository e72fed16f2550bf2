package app.reglet.press.inspect;

import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Finding.Severity;
import app.reglet.core.check.Found;
import app.reglet.core.check.Laid;
import app.reglet.core.check.OfFile;
import app.reglet.core.check.Subject;
import app.reglet.core.check.WordsStandOut;
import app.reglet.core.house.BarcodeRule;
import app.reglet.core.house.PressRules;
import app.reglet.core.measure.Box;
import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Rect;
import app.reglet.press.inspect.page.PageContent;
import app.reglet.press.raster.InkPixels;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** What a house will object to on one page of a file, laid on the page that it should be. */
final class PageCheck {
  private final Registered on;
  private final FileCheck.Wanted wanted;
  private final List<FileFacts.Code> codes;
  private final List<Finding> found = new ArrayList<>();

  private PageCheck(Registered on, FileCheck.Wanted wanted, List<FileFacts.Code> codes) {
    this.on = on;
    this.wanted = wanted;
    this.codes = codes;
  }

  /**
   * Checks a page.
   *
   * @param inks of it, empty where they were not drawn
   */
  static List<Finding> of(
      FileFacts file,
      PageContent content,
      Registered on,
      FileCheck.Wanted wanted,
      Optional<InkPixels> inks) {
    PageCheck check =
        new PageCheck(
            on, wanted, file.codes().stream().filter(c -> c.page() == content.number()).toList());
    check.page(content, inks);
    return check.found;
  }

  private void page(PageContent drawnOn, Optional<InkPixels> inks) {
    PageContent content = withoutMarks(drawnOn);
    FileAsLaid pieces = FileAsLaid.of(content, on, wanted.book(), wanted.fine(), codes);
    List<Laid> laid = pieces.laid();
    Subject subject = new Subject(on.meant(), wanted.book(), laid);
    for (Check check : Check.ofFile(on.meant().page())) {
      for (Finding f : check.find(subject)) {
        // a shadow or a sky that is smooth wants no pixels
        boolean smooth =
            f.found() instanceof Found.PictureSoft || f.found() instanceof Found.PictureTooCoarse;
        if (!smooth || inks.isEmpty() || !isSmooth(inks.get(), f.place().orElseThrow())) {
          found.add(f);
        }
      }
    }
    WordsStandOut.find(laid, pieces.seen()).forEach(found::add);
    boolean blank = content.spaces().isEmpty() && content.pictures().isEmpty();
    if (!blank && laid.stream().noneMatch(Laid.Words.class::isInstance)) {
      found.add(new OfFile.WordsUntold().found(Severity.LOOK));
    }
    inks.map(i -> PageOfInks.of(i, on))
        .ifPresent(
            p -> {
              PressRules press = wanted.outside().house().files().press();
              if (press.isInks()) {
                p.heavy(press.mostInk()).map(h -> heavy(h, press.mostInk())).ifPresent(found::add);
              }
              if (on.page().width() > on.meant().sheet().width().toMm() - 1
                  && on.page().height() > on.meant().sheet().height().toMm() - 1) {
                p.whiteEdges().forEach(found::add); // else its size is told
              }
              if (on.meant().page() != FilePage.INSIDE) {
                p.offSpine().ifPresent(found::add);
                barcode(p);
              }
            });
  }

  private static Finding heavy(PageOfInks.Heavy heavy, int most) {
    return new Finding(
        new OfFile.InkHeavy(heavy.found(), most, heavy.share()),
        Severity.MEND,
        Optional.of(heavy.place()),
        Optional.empty(),
        List.of());
  }

  /** Whether a place of the sheet has nothing in it that wants many pixels. */
  private boolean isSmooth(InkPixels inks, Box place) {
    Rect there =
        new Rect(
            place.left().toMm() - on.seen().x(),
            place.top().toMm() - on.seen().y(),
            place.width().toMm(),
            place.height().toMm());
    return PageOfInks.isSmooth(inks, on.seen().width() / inks.width(), there);
  }

  /** Whether a place, which may have no height or no width, lies off the sheet. */
  private static boolean isBeside(Box place, Box sheet) {
    return place.right().isLessThan(sheet.left())
        || place.left().isMoreThan(sheet.right())
        || place.bottom().isLessThan(sheet.top())
        || place.top().isMoreThan(sheet.bottom());
  }

  /** Lines and words beside the sheet are for those who cut: they are told together. */
  private PageContent withoutMarks(PageContent content) {
    Box sheet = on.meant().sheetBox();
    Predicate<Rect> beside = r -> isBeside(on.onSheet(r), sheet);
    long marks =
        content.lines().stream().filter(l -> beside.test(l.place())).count()
            + content.words().stream().filter(w -> beside.test(w.ink())).count();
    if (marks == 0) {
      return content;
    }
    found.add(
        FileCheck.carried(OfFile.Cargo.MARKS, (int) marks, "printer’s mark", List.of())
            .found(Severity.LOOK));
    return content.with(
        content.words().stream().filter(w -> !beside.test(w.ink())).toList(),
        content.lines().stream().filter(l -> !beside.test(l.place())).toList());
  }

  private void barcode(PageOfInks drawn) {
    Wrap page = on.meant();
    Optional<BarcodeRule> rule = page.rules().barcode();
    boolean wantsBack = page.panel(PanelKind.BACK).isPresent();
    if (wantsBack && rule.isPresent() && codes.isEmpty()) {
      if (rule.get().supplier() == BarcodeRule.Supplier.DESIGNER) {
        found.add(new OfFile.BarcodeUnread(page.house().name()).found(Severity.MEND));
      } else if (rule.get().supplier() == BarcodeRule.Supplier.HOUSE) {
        drawn.darkBarcodeArea().ifPresent(found::add);
      }
    }
  }
}
