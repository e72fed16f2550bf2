package app.reglet.core.wrap;

import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Edges;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import java.util.List;
import java.util.Optional;

/**
 * The measured sheet of a cover: everything printed in one piece, seen from outside; or another
 * page that goes with it, see {@link FilePages}. A value: the same facts and rules give the same
 * wrap. Origin top left of the sheet, x right, y down; all lengths exact.
 *
 * @param page which page this is
 * @param place where this page lies on the whole sheet
 * @param house the rule sheet it was measured by
 * @param rules what that sheet says of this binding
 * @param spec the facts
 * @param spine the spine
 * @param sheet the full sheet, exact
 * @param stated the full sheet as the house states it
 * @param trimmed the cover without bleed or turn-in
 * @param margin what lies outside {@code trimmed}
 * @param turnIn whether the margin is a turn-in, else bleed
 * @param panels left to right
 * @param folds left to right
 * @param zones areas with a meaning
 * @param dimensions lines of the drawing
 * @param width how the sheet's width comes about
 * @param height how its height does
 */
public record Wrap(
    FilePage page,
    Box place,
    RuleSheet house,
    BindingRules rules,
    Specification spec,
    SpineWidth spine,
    Size sheet,
    Size stated,
    Box trimmed,
    Edges margin,
    boolean turnIn,
    List<Panel> panels,
    List<Fold> folds,
    List<Zone> zones,
    List<Dimension> dimensions,
    Sum width,
    Sum height)
    implements Regions {
  public Wrap {
    panels = List.copyOf(panels);
    folds = List.copyOf(folds);
    zones = List.copyOf(zones);
    dimensions = List.copyOf(dimensions);
  }

  /** Panels and their names as people say them on this page: {@code Inside front}. */
  public String nameOf(PanelKind kind) {
    return page == FilePage.INSIDE
        ? "Inside " + kind.title().toLowerCase(java.util.Locale.ROOT)
        : kind.title();
  }

  /** The sides that are bound: the pages, and a blank one where the house adds it. */
  public int boundPages() {
    return spine.bound();
  }

  /** Whether the house prints words on a spine of this width in a book of so many pages. */
  public boolean printsOnSpine() {
    return rules.spineType().allows(boundPages(), spine.stated());
  }

  /** The whole sheet as a box. */
  public Box sheetBox() {
    return new Box(Length.ZERO, Length.ZERO, sheet.width(), sheet.height());
  }

  public Optional<Panel> panel(PanelKind kind) {
    for (Panel p : panels) {
      if (p.kind() == kind) {
        return Optional.of(p);
      }
    }
    return Optional.empty();
  }

  public Optional<Zone> zone(Zone.Kind kind, PanelKind panel) {
    for (Zone z : zones) {
      if (z.kind() == kind && z.panel() == panel) {
        return Optional.of(z);
      }
    }
    return Optional.empty();
  }

  /** Where a region lies, empty when this wrap doesn't have it (a stapled cover has no spine). */
  @Override
  public Optional<Box> box(Region region) {
    return switch (region.bounds()) {
      case SHEET -> Optional.of(sheetBox());
      case TRIMMED -> Optional.of(trimmed());
      case BARCODE -> zone(Zone.Kind.BARCODE, PanelKind.BACK).map(Zone::box);
      case BLEED -> panel(region.panel()).map(Panel::art);
      case TRIM -> panel(region.panel()).map(Panel::trim);
      case SAFE -> panel(region.panel()).map(Panel::safe);
      case GROUP -> Optional.empty();
    };
  }

  /** The panel under most of a box, by area; empty when it lies off every panel. */
  public Optional<Panel> panelUnder(Box box) {
    Panel best = null;
    double most = 0;
    for (Panel p : panels) {
      double across =
          Math.min(p.art().right().toMm(), box.right().toMm())
              - Math.max(p.art().left().toMm(), box.left().toMm());
      double down =
          Math.min(p.art().bottom().toMm(), box.bottom().toMm())
              - Math.max(p.art().top().toMm(), box.top().toMm());
      if (across > 0 && down > 0 && across * down > most) {
        most = across * down;
        best = p;
      }
    }
    return Optional.ofNullable(best);
  }
}
