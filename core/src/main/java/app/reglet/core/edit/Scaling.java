package app.reglet.core.edit;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import java.math.BigInteger;
import java.util.List;

/**
 * A design for a cover so many times as large: what is measured in pixels has no size of its own,
 * so type and distances go with the cover. By the lesser of the two ratios of its sides.
 */
public final class Scaling implements Content.Visitor<Content> {
  private final BigInteger by;
  private final BigInteger over;

  private Scaling(Length by, Length over) {
    this.by = BigInteger.valueOf(by.quanta());
    this.over = BigInteger.valueOf(over.quanta());
  }

  /** The design of a cover that had one size, on a cover of another. */
  public static Design of(Design design, Size from, Size to) {
    boolean byWidth =
        to.width().toMm() / from.width().toMm() <= to.height().toMm() / from.height().toMm();
    Scaling scaling =
        byWidth ? new Scaling(to.width(), from.width()) : new Scaling(to.height(), from.height());
    return new Design(
        design.palette(), scaling.side(design.outside()), scaling.side(design.inside()));
  }

  private Composition side(Composition c) {
    return c.withPieces(c.pieces().stream().map(this::piece).toList());
  }

  private Piece piece(Piece p) {
    return p.withAnchors(new Anchors(span(p.anchors().across()), span(p.anchors().down())))
        .withAppearance(appearance(p.appearance()))
        .withContent(p.content().accept(this));
  }

  private Length length(Length l) {
    return new Length(BigInteger.valueOf(l.quanta()).multiply(by).divide(over).longValueExact());
  }

  private Span span(Span s) {
    return s instanceof Span.Hung h
        ? new Span.Hung(h.line(), h.part(), length(h.offset()), length(h.size()))
        : stretched((Span.Stretched) s);
  }

  private Span stretched(Span.Stretched s) {
    return new Span.Stretched(s.from(), length(s.fromOffset()), s.to(), length(s.toOffset()));
  }

  private Appearance appearance(Appearance a) {
    Appearance scaled = a;
    if (a.shadow().isPresent()) {
      Appearance.Shadow s = a.shadow().get();
      scaled =
          scaled.withShadow(
              new Appearance.Shadow(
                  length(s.right()),
                  length(s.down()),
                  length(s.blur()).min(Appearance.Shadow.MOST_BLUR),
                  s.colour(),
                  s.opacity()));
    }
    if (a.mask().isPresent()) {
      Appearance.Mask m = a.mask().get();
      scaled =
          scaled.withMask(
              new Appearance.Mask(
                  figure(m.figure()), length(m.soft()).min(Appearance.Shadow.MOST_BLUR)));
    }
    return scaled;
  }

  private Figure figure(Figure f) {
    return f instanceof Figure.Rectangle r ? new Figure.Rectangle(length(r.radius())) : f;
  }

  private Stroke stroke(Stroke s) {
    if (s == null) {
      return null;
    }
    List<Length> dashes = s.dashes().stream().map(this::length).toList();
    return new Stroke(s.paint(), length(s.width()), dashes, s.side());
  }

  @Override
  public Content words(Words w) {
    return new Words(
        w.fact(),
        w.text(),
        w.face(),
        length(w.size()),
        w.fit(),
        w.paint(),
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
    return new Content.Shape(figure(s.figure()), s.fill(), stroke(s.stroke()));
  }

  @Override
  public Content picture(Content.Picture p) {
    return p;
  }

  @Override
  public Content barcode(Content.Barcode b) {
    return b;
  }

  /** Its pieces go with its box. */
  @Override
  public Content group(Content.Group g) {
    return g;
  }
}
