package app.reglet.core.carry;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Line;
import app.reglet.core.design.Span;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import java.util.Optional;

/**
 * Hangs pieces on lines that the other sheet has too. What hangs on the sheet and lies on one panel
 * goes with that panel; what runs over panels that are lacking ends where those begin.
 */
record Rehanging(Sheets sheets) {
  /** Along one axis, with all distances as the other sheet has them; empty for set aside. */
  private Optional<Span> span(Span span, boolean across, Optional<PanelKind> home) {
    return span.accept(
        new Span.Visitor<>() {
          @Override
          public Optional<Span> hung(Span.Hung h) {
            if (!sheets.has(h.line().region())) {
              return Optional.empty();
            }
            PanelKind by = h.line().region().panel();
            return Optional.of(
                new Span.Hung(
                    h.line(),
                    h.part(),
                    sheets.on(by, across, h.offset()),
                    sheets.on(home.orElse(by), across, h.size())));
          }

          @Override
          public Optional<Span> stretched(Span.Stretched t) {
            Optional<Line> from = there(t.from());
            Optional<Line> to = there(t.to());
            if (from.isEmpty() && to.isEmpty()) {
              return Optional.empty();
            }
            boolean lacksFrom = from.isEmpty();
            boolean lacksTo = to.isEmpty();
            Line start = from.orElseGet(() -> edge(to.get(), true, across));
            Line end = to.orElseGet(() -> edge(from.get(), false, across));
            return Optional.of(
                new Span.Stretched(
                    start,
                    lacksFrom ? Length.ZERO : offset(start, across, t.fromOffset()),
                    end,
                    lacksTo ? Length.ZERO : offset(end, across, t.toOffset())));
          }
        });
  }

  private Length offset(Line line, boolean across, Length offset) {
    return sheets.on(line.region().panel(), across, offset);
  }

  private Optional<Line> there(Line line) {
    return Optional.of(line).filter(l -> sheets.has(l.region()));
  }

  /** The outer edge of the panel whose other line is there: what ran beyond it ends with it. */
  private static Line edge(Line there, boolean start, boolean across) {
    Region region =
        there.region().panel() == null
            ? there.region()
            : new Region(Region.Bounds.BLEED, there.region().panel());
    Line.Edge edge =
        across
            ? start ? Line.Edge.LEFT : Line.Edge.RIGHT
            : start ? Line.Edge.TOP : Line.Edge.BOTTOM;
    return new Line(region, edge);
  }

  /**
   * How a piece hangs on the other sheet; empty where that lacks what it lies on.
   *
   * @param was where it lies on the first sheet
   */
  Optional<Anchors> of(Anchors anchors, Box was) {
    Optional<PanelKind> home = sheets.home(was);
    Anchors homed = home.map(h -> homed(anchors, was, h)).orElse(anchors);
    if (home.isPresent() && sheets.to().panel(home.get()).isEmpty()) {
      return Optional.empty();
    }
    return span(homed.across(), true, home)
        .flatMap(x -> span(homed.down(), false, home).map(y -> new Anchors(x, y)));
  }

  /**
   * How a piece hangs that is set aside: where it is, by the panel that the other sheet lacks, so
   * that it is there again on a sheet that has that panel.
   */
  Anchors aside(Anchors anchors, Box was) {
    return sheets.home(was).map(h -> homed(anchors, was, h)).orElse(anchors);
  }

  /** What hangs on the whole sheet across, and lies on one panel, hung on that. */
  private Anchors homed(Anchors anchors, Box was, PanelKind home) {
    Span across = anchors.across();
    boolean onSheet =
        across.accept(
            new Span.Visitor<>() {
              @Override
              public Boolean hung(Span.Hung h) {
                return h.line().region().panel() == null;
              }

              @Override
              public Boolean stretched(Span.Stretched t) {
                return t.from().region().panel() == null && t.to().region().panel() == null;
              }
            });
    boolean wide = across.hold() == Span.Hold.BOTH && sheets.from().panels().size() == 1;
    if (!onSheet || wide) {
      return anchors;
    }
    return new Anchors(
        Span.hung(
            Region.trim(home),
            true,
            across.hold(),
            new Span.Range(was.left(), was.right()),
            sheets.from()),
        anchors.down());
  }
}
