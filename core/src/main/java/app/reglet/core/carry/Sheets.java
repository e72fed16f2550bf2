package app.reglet.core.carry;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.Optional;

/**
 * Two sheets that a design goes between, and how much larger the parts of the one are than the same
 * parts of the other.
 *
 * @param from the sheet it was designed on
 * @param to the sheet it goes to, whose pages turn the same way
 */
record Sheets(Wrap from, Wrap to) {
  /** So far over its edge a piece still belongs to one panel. */
  private static final Length SLACK = Length.mm("0.5");

  /** Whether either is a screen's, where type and motifs have no size of their own. */
  boolean onScreen() {
    return from.spec().binding().isInPixels() || to.spec().binding().isInPixels();
  }

  /** The trimmed size of a panel on a sheet; of the whole cover where none is named. */
  private static Optional<Size> size(Wrap wrap, PanelKind panel) {
    return panel == null
        ? Optional.of(wrap.trimmed().size())
        : wrap.panel(panel).map(Panel::trim).map(Box::size);
  }

  /** A distance on a panel, as it is on the same panel of the other sheet. */
  Length on(PanelKind panel, boolean across, Length distance) {
    Optional<Size> was = size(from, panel);
    Optional<Size> is = size(to, panel);
    if (was.isEmpty() || is.isEmpty()) {
      return distance;
    }
    return across
        ? distance.times(is.get().width(), was.get().width())
        : distance.times(is.get().height(), was.get().height());
  }

  /**
   * A measure that has no direction, as it is on the other sheet: by the lesser of the two ratios
   * of a panel's sides, so that whatever fitted there fits. On a spine by its width.
   */
  Length in(PanelKind panel, Length measure) {
    PanelKind by = panel == null ? PanelKind.FRONT : panel;
    Length across = on(by, true, measure);
    return by == PanelKind.SPINE ? across : across.min(on(by, false, measure));
  }

  /** The panel that a box lies on alone, but for what is in the bleed; empty for several. */
  Optional<PanelKind> home(Box box) {
    return home(from, box);
  }

  /** The same on any sheet. */
  static Optional<PanelKind> home(Wrap wrap, Box box) {
    return wrap.panelUnder(box)
        .filter(
            p ->
                !box.left().isLessThan(p.art().left().minus(SLACK))
                    && !box.right().isMoreThan(p.art().right().plus(SLACK)))
        .map(p -> p.kind().board());
  }

  /** Whether the other sheet has a region. */
  boolean has(Region region) {
    return to.box(region).isPresent();
  }
}
