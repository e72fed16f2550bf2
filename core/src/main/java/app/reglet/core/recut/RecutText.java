package app.reglet.core.recut;

import app.reglet.core.Refusal;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.PageCounts;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;

/** What came of a finished sheet on another, in sentences. */
public record RecutText(Wrap wrap, Unit unit) {
  private static final double SAME = 0.02;

  /** The sentences, the most telling first. */
  public List<String> of(Recut.Result r, Recut.Choices choices) {
    List<String> said = new ArrayList<>();
    r.spine().ifPresent(s -> said.add(spine(s, choices)));
    if (Math.abs(r.scale() - 1) > 1e-4) {
      said.add(
          "The file is taken at "
              + percent(r.scale())
              + " of its size: it is "
              + (r.scale() < 1 ? "higher" : "lower")
              + " than this sheet.");
    }
    for (Recut.Part p : r.parts()) {
      part(p, choices).ifPresent(said::add);
    }
    said.add(bleed(r));
    if (!r.lacking().isEmpty()) {
      said.add(
          "The file has no "
              + r.lacking().stream()
                  .sorted()
                  .map(k -> k.title().toLowerCase(Locale.ROOT))
                  .collect(Collectors.joining(" and no "))
              + ": that is left white, to be composed here.");
    }
    said.add(
        "What the file says stays as it is: its title, its ISBN and its barcode don’t follow the docket.");
    return said;
  }

  private static String percent(double ratio) {
    return String.format(Locale.ROOT, "%.1f %%", ratio * 100);
  }

  private String brief(double mm) {
    return Length.nearMm(mm).brief(unit);
  }

  private String spine(Length old, Recut.Choices choices) {
    Length now = wrap.panel(PanelKind.SPINE).map(p -> p.trim().width()).orElse(Length.ZERO);
    double more = now.minus(old).toMm();
    OptionalInt pages = pages(old);
    String was =
        "The file’s spine is "
            + old.brief(unit)
            + (pages.isPresent() ? " (as of " + pages.getAsInt() + " pages here)" : "")
            + ", this sheet’s "
            + now.brief(unit)
            + ": ";
    if (Math.abs(more) <= SAME) {
      return was + "it fits.";
    }
    if (choices.stretched()) {
      return was
          + "it is drawn to "
          + percent(now.toMm() / old.toMm())
          + " of its width, words and all.";
    }
    return more > 0
        ? was
            + "it stands in the middle as it was, and "
            + brief(more / 2)
            + " at each side is drawn out of it."
        : was + brief(-more / 2) + " of it is cut off at each side: see that no word is cut.";
  }

  /** The count whose spine is nearest to one, where the spine follows the count here. */
  private OptionalInt pages(Length spine) {
    if (!wrap.spec().binding().hasPages()) {
      return OptionalInt.empty();
    }
    try {
      BindingRules rules = wrap.rules();
      PageCounts counts = PageCounts.of(wrap.spec(), rules);
      int low = counts.least().orElse(1);
      int high = counts.most().orElse(2000);
      while (high - low > 1) {
        int middle = (low + high) / 2;
        if (spineOf(counts.nearest(middle).orElse(middle)).isMoreThan(spine)) {
          high = middle;
        } else {
          low = middle;
        }
      }
      int a = counts.nearest(low).orElse(low);
      int b = counts.nearest(high).orElse(high);
      double off = spineOf(a).minus(spine).abs().toMm();
      double over = spineOf(b).minus(spine).abs().toMm();
      return Math.min(off, over) < 1 ? OptionalInt.of(off <= over ? a : b) : OptionalInt.empty();
    } catch (Refusal notMeasured) {
      return OptionalInt.empty();
    }
  }

  private Length spineOf(int pages) {
    return Measuring.measure(wrap.spec().withPages(pages), wrap.house()).spine().stated();
  }

  private Optional<String> part(Recut.Part p, Recut.Choices choices) {
    if (p.kinds().equals(List.of(PanelKind.SPINE))) {
      return Optional.empty();
    }
    String name =
        capital(
            p.kinds().stream()
                .map(k -> k.title().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(" and ")));
    if (p.isAsItWas()) {
      return Optional.of(name + ": as in the file.");
    }
    if (p.isCut()) {
      return Optional.of(
          name
              + ": at "
              + percent(p.across())
              + (p.cutAcross() > SAME ? ", cut by " + brief(p.cutAcross()) + " left and right" : "")
              + (p.cutDown() > SAME ? ", cut by " + brief(p.cutDown()) + " at top and bottom" : "")
              + ".");
    }
    return Optional.of(
        Math.abs(p.across() - p.down()) < 5e-4
            ? name + ": at " + percent(p.across()) + "."
            : name
                + ": stretched to "
                + percent(p.across())
                + " of its width and "
                + percent(p.down())
                + " of its height.");
  }

  private static String capital(String text) {
    return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
  }

  private String bleed(Recut.Result r) {
    double lacks = r.wanted() - r.bleed();
    return lacks <= SAME
        ? "The file has the bleed that this sheet wants."
        : (r.bleed() <= SAME
                ? "The file has no bleed; "
                : "The file has " + brief(r.bleed()) + " of bleed; ")
            + "this sheet goes "
            + brief(r.wanted())
            + " beyond the trim: the edges are mirrored there for the last "
            + brief(lacks)
            + ".";
  }
}
