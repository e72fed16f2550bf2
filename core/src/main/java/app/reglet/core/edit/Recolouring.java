package app.reglet.core.edit;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Changes every colour of a design by a rule. */
final class Recolouring implements Content.Visitor<Content> {
  private final UnaryOperator<Colour> rule;

  private Recolouring(UnaryOperator<Colour> rule) {
    this.rule = rule;
  }

  /** A design without a swatch; where it was used its colour stands directly. */
  static Design without(Design design, String swatch) {
    Colour.Solid colour = design.palette().get(swatch);
    if (colour == null) {
      return design;
    }
    Recolouring to = new Recolouring(c -> c.equals(new Colour.Swatch(swatch)) ? colour : c);
    Map<String, Colour.Solid> palette = new LinkedHashMap<>(design.palette());
    palette.remove(swatch);
    return new Design(palette, to.side(design.outside()), to.side(design.inside()));
  }

  private Composition side(Composition c) {
    return new Composition(c.ground().withPaint(paint(c.ground().paint())), pieces(c.pieces()));
  }

  private List<Piece> pieces(List<Piece> pieces) {
    return pieces.stream()
        .map(
            p ->
                p.withContent(p.content().accept(this))
                    .withAppearance(p.appearance().withShadow(shadow(p.appearance()))))
        .toList();
  }

  private Appearance.Shadow shadow(Appearance a) {
    return a.shadow()
        .map(
            s ->
                new Appearance.Shadow(
                    s.right(), s.down(), s.blur(), rule.apply(s.colour()), s.opacity()))
        .orElse(null);
  }

  private Paint paint(Paint paint) {
    if (paint == null) {
      return null;
    }
    if (paint instanceof Paint.Flat f) {
      return new Paint.Flat(rule.apply(f.colour()));
    }
    if (paint instanceof Paint.Linear l) {
      return new Paint.Linear(l.angle(), stops(l.stops()));
    }
    return new Paint.Radial(stops(((Paint.Radial) paint).stops()));
  }

  private List<Paint.Stop> stops(List<Paint.Stop> stops) {
    return stops.stream().map(s -> new Paint.Stop(s.at(), rule.apply(s.colour()))).toList();
  }

  private Stroke stroke(Stroke s) {
    return s == null ? null : new Stroke(paint(s.paint()), s.width(), s.dashes(), s.side());
  }

  @Override
  public Content words(Words w) {
    return new Words(
        w.fact(),
        w.text(),
        w.face(),
        w.size(),
        w.fit(),
        paint(w.paint()),
        stroke(w.outline()),
        w.align(),
        w.vertical(),
        w.leading(),
        w.capitals(),
        w.tracking(),
        w.direction());
  }

  @Override
  public Content shape(Content.Shape s) {
    return new Content.Shape(s.figure(), paint(s.fill()), stroke(s.stroke()));
  }

  @Override
  public Content picture(Content.Picture p) {
    return p;
  }

  @Override
  public Content barcode(Content.Barcode b) {
    return b;
  }

  @Override
  public Content group(Content.Group g) {
    return g.withPieces(pieces(g.pieces()));
  }
}
