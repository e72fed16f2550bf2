package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Design;
import app.reglet.core.design.Paint;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a new piece finds on a cover: panels, free places, the face and the ink in use. */
final class Room {
  private static final Length STEP = Length.mm("4");

  private final Design design;
  private final Wrap wrap;

  Room(Design design, Wrap wrap) {
    this.design = design;
    this.wrap = wrap;
  }

  Panel panel(PanelKind kind) {
    return wrap.panel(kind)
        .orElseThrow(
            () -> new Refusal("This cover has no " + kind.title().toLowerCase(Locale.ROOT) + "."));
  }

  /** Further down as long as another piece lies exactly there. */
  Box free(Box box, Box within) {
    Box at = box;
    while (taken(at)) {
      Box next = at.moved(Length.ZERO, STEP);
      if (next.bottom().isMoreThan(within.bottom())) {
        return at;
      }
      at = next;
    }
    return at;
  }

  private Composition side() {
    return design.side(PrintedSide.of(wrap));
  }

  private boolean taken(Box box) {
    return side().pieces().stream()
        .map(p -> p.anchors().on(wrap))
        .flatMap(Optional::stream)
        .anyMatch(b -> b.top().equals(box.top()) && b.overlaps(box));
  }

  /** The face of the first words there are. */
  String face() {
    return Stream.concat(side().all(), design.outside().all())
        .filter(p -> p.content() instanceof Words)
        .map(p -> ((Words) p.content()).type().face())
        .findFirst()
        .orElse("spectral");
  }

  Colour ink() {
    return side()
        .all()
        .filter(p -> p.content() instanceof Words w && w.paint() instanceof Paint.Flat)
        .map(p -> ((Paint.Flat) ((Words) p.content()).paint()).colour())
        .findFirst()
        .orElse(new Colour.Rgb(0x1d2327));
  }
}
