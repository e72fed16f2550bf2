package app.reglet.press.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Specification;
import app.reglet.core.house.Ink;
import app.reglet.core.house.PageCounts;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.Stock;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Rect;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What a file that doesn't fit an edition would fit: another count, another paper, another binding;
 * or what was done to it: it is scaled, turned, trimmed, or has its panels exchanged.
 */
final class WouldFit {
  /** A page is of a sheet when it is so near: far less than a leaf of paper is thick. */
  private static final Length NEAR = Length.mm("0.05");

  /** Writers round to whole points. */
  private static final Length ROUNDED = Length.pt("0.5");

  /** A height is the same when it is as near as houses take it. */
  private static final Length SAME = Length.mm("0.5");

  private final Size page;
  private final Optional<Size> trim;
  private final Wrap wanted;
  private final RuleSheet house;
  private final Specification spec;

  private WouldFit(PdfFacts.Page first, Wrap wanted) {
    this.page = first.media();
    this.trim = first.has("TrimBox") ? Optional.of(first.size("TrimBox")) : Optional.empty();
    this.wanted = wanted;
    this.house = wanted.house();
    this.spec = wanted.spec();
  }

  /** Sentences with figures, the likeliest first; none when nothing is found. */
  static List<String> of(FileFacts file, Wrap outside) {
    Wrap wanted = FitCheck.meant(file.pdf(), outside);
    List<String> said = new ArrayList<>();
    if (!file.hasPages() || wanted.spec().binding().isInPixels()) {
      return said;
    }
    WouldFit in = new WouldFit(file.pdf().first(), wanted);
    // a page within the house's tolerance may be another count's all the same
    if (!in.page.isWithin(ROUNDED, wanted.sheet()) && !in.isRounded()) {
      in.trimmed().ifPresent(said::add);
      in.turned().ifPresent(said::add);
      if (outside.rules().parts().isEmpty()) { // of parts only the spine's is another's
        in.count().ifPresent(said::add);
        in.paper().ifPresent(said::add);
        in.binding().ifPresent(said::add);
      }
      if (said.isEmpty() && !in.isTaken()) {
        in.scaled().ifPresent(said::add);
      }
    }
    in.exchanged(file).ifPresent(said::add);
    return said;
  }

  /** Whether the house takes it as it is. */
  private boolean isTaken() {
    return page.isWithin(wanted.house().files().tolerance(), wanted.sheet());
  }

  /** Whether it is the sheet as the house states it. */
  private boolean isRounded() {
    return page.isWithin(NEAR, wanted.stated());
  }

  private Optional<String> trimmed() {
    return page.isWithin(SAME, wanted.trimmed().size())
        ? Optional.of(
            "It is the trimmed size, "
                + wanted.trimmed().size().print(house.unit())
                + ": the "
                + (wanted.turnIn() ? "turn-in" : "bleed")
                + " of "
                + wanted.margin().left().brief(house.unit())
                + " all round is missing.")
        : Optional.empty();
  }

  private Optional<String> turned() {
    return page.isWithin(SAME, new Size(wanted.sheet().height(), wanted.sheet().width()))
        ? Optional.of("It lies on its side: turn the page by a quarter.")
        : Optional.empty();
  }

  /** The count whose sheet it is, with the same paper. */
  private Optional<String> count() {
    return counts(spec)
        .map(
            n -> "It is the right file for " + n + " pages; the edition has " + spec.pages() + ".");
  }

  private Optional<Integer> counts(Specification of) {
    if (wanted.panel(PanelKind.SPINE).isEmpty() || of.toldSpine().isPresent()) {
      return Optional.empty();
    }
    PageCounts counts;
    try {
      counts = PageCounts.of(of, house.rules(of.binding()));
    } catch (Refusal e) {
      return Optional.empty(); // not bound so here
    }
    if (counts.least().isEmpty() || counts.most().isEmpty()) {
      return Optional.empty();
    }
    // the width grows with the count: the nearest is found by halves
    int low = counts.least().get();
    int high = counts.most().get();
    while (high - low > 1) {
      int middle = (low + high) / 2;
      Optional<Length> width = width(of, counts.above(middle).orElse(high));
      if (width.isPresent() && width.get().isLessThan(page.width())) {
        low = middle;
      } else {
        high = middle;
      }
    }
    for (int n : new int[] {low, high, low - 1, high + 1, low - 2, high + 2}) {
      if (n != spec.pages() && n > 0 && counts.allows(n)) {
        Optional<Wrap> w = measured(of.withPages(n));
        // an odd count has a blank side more, and is told by what is bound
        if (w.isPresent() && w.get().boundPages() == n && page.isWithin(NEAR, w.get().sheet())) {
          return Optional.of(n);
        }
      }
    }
    return Optional.empty();
  }

  private Optional<Length> width(Specification of, int pages) {
    return measured(of.withPages(pages)).map(w -> w.sheet().width());
  }

  private Optional<Wrap> measured(Specification of) {
    try {
      return Optional.of(Measuring.measure(of, house));
    } catch (Refusal | IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** The paper or ink with which the same count has this sheet. */
  private Optional<String> paper() {
    for (Stock stock : house.stocks()) {
      for (Ink ink : house.inks()) {
        if (stock.id().equals(spec.stock()) && ink.id().equals(spec.ink())) {
          continue;
        }
        Specification other =
            new Specification(
                spec.binding(),
                spec.trim(),
                spec.pages(),
                stock.id(),
                ink.id(),
                spec.turn(),
                spec.flaps(),
                spec.toldSpine(),
                spec.insidePrinted());
        if (fits(other)) {
          return Optional.of(
              "It was made for "
                  + stock.name().toLowerCase(Locale.ROOT)
                  + (ink.id().equals(spec.ink())
                      ? ""
                      : " with " + ink.name().toLowerCase(Locale.ROOT))
                  + "; the edition is printed on "
                  + house.stock(spec.stock()).name().toLowerCase(Locale.ROOT)
                  + ".");
        }
      }
    }
    return Optional.empty();
  }

  private boolean fits(Specification other) {
    return measured(other).filter(w -> page.isWithin(NEAR, w.sheet())).isPresent();
  }

  /** The binding of the same house for which the same book has this sheet. */
  private Optional<String> binding() {
    for (Binding b : Binding.values()) {
      if (b == spec.binding() || b.isInPixels()) {
        continue;
      }
      Specification other = spec.withBinding(b).withFlaps(Optional.empty());
      if (fits(other)) {
        return Optional.of(
            "It was made for the "
                + b.title().toLowerCase(Locale.ROOT)
                + ", not the "
                + spec.binding().title().toLowerCase(Locale.ROOT)
                + ".");
      }
      Optional<Integer> n = counts(other);
      if (n.isPresent()) {
        return Optional.of(
            "It is the size of the "
                + b.title().toLowerCase(Locale.ROOT)
                + " of "
                + n.get()
                + " pages, not of the "
                + spec.binding().title().toLowerCase(Locale.ROOT)
                + ".");
      }
    }
    return Optional.empty();
  }

  /**
   * By how much it would have been scaled, when both ways are the same; not where its trim box is
   * as high as the cover: that is another sheet of the same proportion.
   */
  private Optional<String> scaled() {
    if (trim.filter(t -> !t.height().minus(wanted.trimmed().height()).abs().isMoreThan(SAME))
        .isPresent()) {
      return Optional.empty();
    }
    double across = page.width().toMm() / wanted.sheet().width().toMm();
    double down = page.height().toMm() / wanted.sheet().height().toMm();
    boolean same = Math.abs(across - down) < 0.0015;
    return same && Math.abs(across - 1) > 0.001
        ? Optional.of(
            String.format(
                Locale.ROOT,
                "It is scaled by %.1f %%: make it without fitting it to a paper.",
                across * 100))
        : Optional.empty();
  }

  /** Whether the barcode stands where the front should be. */
  private Optional<String> exchanged(FileFacts file) {
    Registered on = Registered.of(wanted, file.pdf().first());
    return file.codes().stream()
        .filter(c -> c.page() == 1)
        .map(c -> on.onSheet(new Rect(c.place().x(), c.place().y(), c.place().width(), 1)))
        .filter(b -> wanted.panelUnder(b).filter(p -> p.kind() == PanelKind.FRONT).isPresent())
        .findFirst()
        .map(
            b ->
                "The barcode stands on the front: front and back are exchanged, or the file is for a book that is read the other way.");
  }
}
