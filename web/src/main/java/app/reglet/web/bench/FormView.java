package app.reglet.web.bench;

import app.reglet.core.design.Figure;
import app.reglet.core.measure.Unit;
import java.util.stream.Collectors;

/**
 * A form, as the title block shows it.
 *
 * @param kind as the reader of changes knows it: rectangle, ellipse, polygon, star, free, level,
 *     upright, falling, rising
 * @param radius of the corners in the unit in force, one figure or four; null for other forms
 * @param corners how many; null for other forms
 * @param notch percent; null for other forms
 * @param points percent across and down; null for other forms
 */
public record FormView(String kind, String radius, String corners, String notch, String points) {
  static FormView of(Figure figure, Unit unit) {
    return figure.accept(
        new Figure.Visitor<>() {
          @Override
          public FormView rectangle(Figure.Rectangle r) {
            return new FormView(
                "rectangle",
                r.radii().stream()
                    .limit(r.isEven() ? 1 : 4)
                    .map(l -> l.figure(unit, unit.decimals()))
                    .collect(Collectors.joining(" ")),
                null,
                null,
                null);
          }

          @Override
          public FormView ellipse(Figure.Ellipse e) {
            return new FormView("ellipse", null, null, null, null);
          }

          @Override
          public FormView regular(Figure.Regular g) {
            return new FormView(
                g.notch() > 0 ? "star" : "polygon",
                null,
                String.valueOf(g.corners()),
                TitleBlock.plain(g.notch() * 100, 1),
                null);
          }

          @Override
          public FormView free(Figure.Free g) {
            return new FormView(
                "free",
                null,
                null,
                null,
                g.corners().stream()
                    .map(
                        c ->
                            TitleBlock.plain(c.x() * 100, 2)
                                + " "
                                + TitleBlock.plain(c.y() * 100, 2))
                    .collect(Collectors.joining(", ")));
          }

          @Override
          public FormView line(Figure.Line g) {
            return new FormView(
                g.way().name().toLowerCase(java.util.Locale.ROOT), null, null, null, null);
          }
        });
  }

  /** Whether it has an inside to be filled. */
  public boolean isClosed() {
    return !java.util.Set.of("level", "upright", "falling", "rising").contains(kind);
  }
}
