package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Curve;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Panel;
import app.reglet.core.measure.Length;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Reads what is typed about the form of words: their line, their panel, a shadow. */
final class FormReader {
  private static final Appearance.Shadow USUAL_SHADOW =
      new Appearance.Shadow(
          Length.mm("0.8"), Length.mm("0.8"), Length.mm("1.2"), Colour.BLACK_INK, 0.5);

  private static final List<Figure.Free.Corner> WAVE =
      List.of(
          new Figure.Free.Corner(0, 0.6),
          new Figure.Free.Corner(0.25, 0.4),
          new Figure.Free.Corner(0.75, 0.8),
          new Figure.Free.Corner(1, 0.6));

  private static final Length FARTHEST = Length.mm("500");
  private static final Length MOST = Length.mm("5000");

  private final Typed typed;

  FormReader(Typed typed) {
    this.typed = typed;
  }

  Curve curve(Curve old) {
    Curve curve = typed.has("curve") ? ofKind(typed.text("curve"), old) : old;
    if (curve instanceof Curve.Arc arc) {
      return new Curve.Arc(
          arc.edge(),
          typed.choice("curveSide", arc.side()),
          typed.choice("curveBy", arc.by()),
          length("curveMeasure", "circle", arc.measure(), false));
    }
    return curve instanceof Curve.Along && typed.has("curvePoints")
        ? new Curve.Along(new FigureReader(typed).corners("curvePoints"))
        : curve;
  }

  private static Curve ofKind(String kind, Curve old) {
    Curve.Arc arc = old instanceof Curve.Arc a ? a : Curve.Arc.USUAL;
    return switch (kind) {
      case "upper" -> new Curve.Arc(Curve.Edge.UPPER, arc.side(), arc.by(), arc.measure());
      case "lower" -> new Curve.Arc(Curve.Edge.LOWER, arc.side(), arc.by(), arc.measure());
      case "along" -> old instanceof Curve.Along ? old : new Curve.Along(WAVE);
      default -> null;
    };
  }

  Panel panel(Panel old) {
    boolean named =
        Stream.of("panelColour", "panelOpacity", "panelRadius", "panelAcross", "panelDown")
            .anyMatch(typed::has);
    boolean on = typed.has("panel") ? typed.flag("panel", false) : old != null || named;
    if (!on) {
      return null;
    }
    Panel p = old == null ? Panel.USUAL : old;
    return new Panel(
        typed.has("panelColour") ? Paint.of(Colour.parse(typed.text("panelColour"))) : p.paint(),
        typed.figure("panelOpacity", "opacity in percent", 0, 100, p.opacity() * 100) / 100,
        length("panelRadius", "radius", p.radius(), true),
        length("panelAcross", "distance", p.across(), true),
        length("panelDown", "distance", p.down(), true));
  }

  Appearance shadow(Appearance old) {
    boolean named =
        Stream.of("shadowRight", "shadowDown", "shadowBlur", "shadowColour", "shadowOpacity")
            .anyMatch(typed::has);
    boolean on =
        typed.has("shadow") ? typed.flag("shadow", false) : old.shadow().isPresent() || named;
    Appearance.Shadow s = old.shadow().orElse(USUAL_SHADOW);
    Length blur = length("shadowBlur", "blur", s.blur(), true);
    if (blur.isMoreThan(Appearance.Shadow.MOST_BLUR)) {
      throw new Refusal(
          "shadowBlur",
          "A shadow can be soft over "
              + Appearance.Shadow.MOST_BLUR.brief(typed.unit())
              + " at most; typed was "
              + blur.brief(typed.unit())
              + ".");
    }
    Appearance.Shadow read =
        new Appearance.Shadow(
            thrown("shadowRight", s.right()),
            thrown("shadowDown", s.down()),
            blur,
            typed.has("shadowColour") ? Colour.parse(typed.text("shadowColour")) : s.colour(),
            typed.figure("shadowOpacity", "opacity in percent", 0, 100, s.opacity() * 100) / 100);
    return new Appearance(
        old.opacity(), old.blend(), on ? Optional.of(read) : Optional.empty(), old.mask());
  }

  /** How far a shadow is thrown, either way. */
  private Length thrown(String field, Length otherwise) {
    Length length = typed.lengthIfAny(field).orElse(otherwise);
    if (length.abs().isMoreThan(FARTHEST)) {
      throw new Refusal(
          field,
          "A shadow is thrown by at most "
              + FARTHEST.brief(typed.unit())
              + "; typed was "
              + length.brief(typed.unit())
              + ".");
    }
    return length;
  }

  private Length length(String field, String what, Length otherwise, boolean none) {
    Length length = typed.lengthIfAny(field).orElse(otherwise);
    if (length.isNegative() || length.isMoreThan(MOST) || !none && length.isZero()) {
      throw new Refusal(
          field,
          "“"
              + typed.text(field)
              + "” is no measure of a "
              + what
              + ": "
              + (none ? "0" : "more than 0")
              + " to "
              + MOST.brief(typed.unit())
              + ".");
    }
    return length;
  }
}
