package app.reglet.web.bench;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Curve;
import app.reglet.core.design.Design;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Panel;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * The form of words, as the title block shows it: the line they stand on, what lies round, behind
 * and under them.
 *
 * @param curve {@code straight}, {@code upper}, {@code lower} or {@code along}
 * @param side of the circle's line
 * @param by what measures the circle
 * @param measure its radius or sag
 * @param points percent across and down
 * @param through the focus of the picture seen through the letters, null for none
 */
public record WordsForm(
    String said,
    String curve,
    String side,
    String by,
    String measure,
    String points,
    EdgeView outline,
    PanelView panel,
    ShadowView shadow,
    Focus through) {
  /** The panel behind words. */
  public record PanelView(
      String colour, String onScreen, String opacity, String radius, String across, String down) {}

  /** The shadow of a piece. */
  public record ShadowView(
      String right, String down, String blur, String colour, String onScreen, String opacity) {}

  static WordsForm of(Piece piece, Words w, Design design, Unit unit) {
    Curve.Arc arc = w.curve() instanceof Curve.Arc a ? a : Curve.Arc.USUAL;
    String curve =
        w.curve() == null
            ? "straight"
            : w.curve() instanceof Curve.Along
                ? "along"
                : arc.edge().name().toLowerCase(Locale.ROOT);
    return new WordsForm(
        said(curve, piece, w),
        curve,
        arc.side().name(),
        arc.by().name(),
        figure(arc.measure(), unit),
        w.curve() instanceof Curve.Along along ? points(along) : "",
        EdgeView.of(w.outline(), design, unit),
        w.panel() == null ? null : panel(w.panel(), design, unit),
        piece.appearance().shadow().map(s -> shadow(s, design, unit)).orElse(null),
        w.through() == null ? null : w.through().framing().focus());
  }

  private static String said(String curve, Piece piece, Words w) {
    List<String> said = new ArrayList<>();
    if (!curve.equals("straight")) {
      said.add(curve.equals("along") ? "along a line" : "on an arc");
    }
    if (w.outline() != null) {
      said.add("outlined");
    }
    if (w.through() != null) {
      said.add("picture");
    }
    if (w.panel() != null) {
      said.add("panel");
    }
    if (piece.appearance().shadow().isPresent()) {
      said.add("shadow");
    }
    return said.isEmpty() ? "plain" : String.join(", ", said);
  }

  private static String points(Curve.Along along) {
    return along.points().stream()
        .map(p -> TitleBlock.plain(p.x() * 100, 2) + " " + TitleBlock.plain(p.y() * 100, 2))
        .collect(Collectors.joining(", "));
  }

  private static PanelView panel(Panel p, Design design, Unit unit) {
    Colour colour = p.paint() instanceof Paint.Flat flat ? flat.colour() : Colour.WHITE;
    return new PanelView(
        colour.text(),
        design.solid(colour).hex(),
        TitleBlock.plain(p.opacity() * 100, 1),
        figure(p.radius(), unit),
        figure(p.across(), unit),
        figure(p.down(), unit));
  }

  private static ShadowView shadow(Appearance.Shadow s, Design design, Unit unit) {
    return new ShadowView(
        figure(s.right(), unit),
        figure(s.down(), unit),
        figure(s.blur(), unit),
        s.colour().text(),
        design.solid(s.colour()).hex(),
        TitleBlock.plain(s.opacity() * 100, 1));
  }

  private static String figure(Length length, Unit unit) {
    return length.figure(unit, unit.decimals());
  }
}
