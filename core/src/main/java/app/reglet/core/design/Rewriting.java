package app.reglet.core.design;

import app.reglet.core.measure.Length;
import java.util.List;
import java.util.function.UnaryOperator;

/** A side, or what a piece shows, with every colour and every length of it changed by a rule. */
public final class Rewriting implements Content.Visitor<Content> {
  /** Below it a length would be none. */
  private static final Length THINNEST = Length.nearMm(0.000001);

  private final UnaryOperator<Colour> colour;
  private final UnaryOperator<Length> length;

  private Rewriting(UnaryOperator<Colour> colour, UnaryOperator<Length> length) {
    this.colour = colour;
    this.length = length;
  }

  /** The same in other colours. */
  public static Composition coloured(Composition side, UnaryOperator<Colour> rule) {
    Rewriting r = new Rewriting(rule, UnaryOperator.identity());
    return side.withGrounds(
            g ->
                g.withPaint(r.paint(g.paint()))
                    .withPicture(g.picture().map(r::pictured).orElse(null))
                    .withPattern(g.pattern().map(r::patterned).orElse(null)))
        .withPieces(r.pieces(side.pieces()));
  }

  /** The same in another size; what is in a group goes with the group's box. */
  public static Composition sized(Composition side, UnaryOperator<Length> rule) {
    Rewriting r = new Rewriting(UnaryOperator.identity(), rule);
    return side.withGrounds(g -> g.withPattern(g.pattern().map(r::patterned).orElse(null)))
        .withPieces(r.pieces(side.pieces()));
  }

  /** What a piece shows in another size; where it lies stays, and how often a motif repeats. */
  public static Piece sized(Piece piece, UnaryOperator<Length> rule) {
    Rewriting r = new Rewriting(UnaryOperator.identity(), rule);
    Piece sized = piece.withAppearance(r.appearance(piece.appearance()));
    return piece.content() instanceof Content.Pattern
        ? sized
        : sized.withContent(piece.content().accept(r));
  }

  /**
   * What a piece in a group shows where the group is so many times as large; motifs go with it too.
   * A line stays a line in a group that is squashed flat.
   */
  public static Piece scaled(Piece piece, double scale) {
    if (scale == 1) {
      return piece;
    }
    Rewriting r =
        new Rewriting(
            UnaryOperator.identity(),
            l -> {
              Length scaled = Length.nearMm(l.toMm() * Math.max(0, scale));
              return l.isPositive() ? scaled.max(THINNEST) : scaled;
            });
    return piece
        .withAppearance(r.appearance(piece.appearance()))
        .withContent(piece.content().accept(r));
  }

  private List<Piece> pieces(List<Piece> pieces) {
    return pieces.stream()
        .map(
            p ->
                p.withAnchors(new Anchors(span(p.anchors().across()), span(p.anchors().down())))
                    .withAppearance(appearance(p.appearance()))
                    .withContent(p.content().accept(this)))
        .toList();
  }

  private Span span(Span s) {
    return s.accept(
        new Span.Visitor<>() {
          @Override
          public Span hung(Span.Hung h) {
            return new Span.Hung(
                h.line(), h.part(), length.apply(h.offset()), length.apply(h.size()));
          }

          @Override
          public Span stretched(Span.Stretched t) {
            return new Span.Stretched(
                t.from(), length.apply(t.fromOffset()), t.to(), length.apply(t.toOffset()));
          }
        });
  }

  private Appearance appearance(Appearance a) {
    return new Appearance(
        a.opacity(),
        a.blend(),
        a.shadow()
            .map(
                s ->
                    new Appearance.Shadow(
                        length.apply(s.right()),
                        length.apply(s.down()),
                        length.apply(s.blur()).min(Appearance.Shadow.MOST_BLUR),
                        colour.apply(s.colour()),
                        s.opacity())),
        a.mask()
            .map(
                m ->
                    new Appearance.Mask(
                        figure(m.figure()),
                        length.apply(m.soft()).min(Appearance.Shadow.MOST_BLUR))));
  }

  private Figure figure(Figure f) {
    return f.accept(
        new Figure.Visitor<>() {
          @Override
          public Figure rectangle(Figure.Rectangle r) {
            return new Figure.Rectangle(
                length.apply(r.topLeft()),
                length.apply(r.topRight()),
                length.apply(r.bottomRight()),
                length.apply(r.bottomLeft()));
          }

          @Override
          public Figure regular(Figure.Regular g) {
            return g;
          }

          @Override
          public Figure free(Figure.Free g) {
            return g;
          }

          @Override
          public Figure line(Figure.Line g) {
            return g;
          }

          @Override
          public Figure ellipse(Figure.Ellipse e) {
            return e;
          }
        });
  }

  private Paint paint(Paint paint) {
    if (paint == null) {
      return null;
    }
    return paint.accept(
        new Paint.Visitor<>() {
          @Override
          public Paint flat(Paint.Flat f) {
            return new Paint.Flat(colour.apply(f.colour()));
          }

          @Override
          public Paint linear(Paint.Linear l) {
            return new Paint.Linear(l.angle(), stops(l.stops()));
          }

          @Override
          public Paint radial(Paint.Radial r) {
            return new Paint.Radial(stops(r.stops()));
          }
        });
  }

  private List<Paint.Stop> stops(List<Paint.Stop> stops) {
    return stops.stream().map(s -> new Paint.Stop(s.at(), colour.apply(s.colour()))).toList();
  }

  private Stroke stroke(Stroke s) {
    return s == null
        ? null
        : new Stroke(
            paint(s.paint()),
            length.apply(s.width()),
            s.dashes().stream().map(length).toList(),
            s.side());
  }

  private Curve curve(Curve c) {
    return c instanceof Curve.Arc a
        ? new Curve.Arc(a.edge(), a.side(), a.by(), length.apply(a.measure()))
        : c;
  }

  private Panel panel(Panel p) {
    return p == null
        ? null
        : new Panel(
            paint(p.paint()),
            p.opacity(),
            length.apply(p.radius()),
            length.apply(p.across()),
            length.apply(p.down()));
  }

  @Override
  public Content words(Words w) {
    return new Words(
        w.fact(),
        w.text(),
        w.type().withSize(length.apply(w.type().size())),
        w.setting(),
        paint(w.paint()),
        stroke(w.outline()),
        curve(w.curve()),
        panel(w.panel()),
        w.through() == null ? null : pictured(w.through()));
  }

  @Override
  public Content shape(Content.Shape s) {
    return new Content.Shape(figure(s.figure()), paint(s.fill()), stroke(s.stroke()));
  }

  @Override
  public Content picture(Content.Picture p) {
    return pictured(p);
  }

  private Content.Picture pictured(Content.Picture p) {
    Treatment.Toning t = p.treatment().toning();
    return p.withTreatment(
        p.treatment()
            .withToning(
                new Treatment.Toning(t.kind(), colour.apply(t.dark()), colour.apply(t.light()))));
  }

  private Motif.Drawn drawn(Motif.Drawn d) {
    return new Motif.Drawn(d.ornament(), d.inks().stream().map(colour).toList());
  }

  @Override
  public Content ornament(Content.Ornament o) {
    return new Content.Ornament(drawn(o.drawn()));
  }

  @Override
  public Content pattern(Content.Pattern p) {
    return patterned(p);
  }

  /** A motif keeps within what can be printed, whatever the cover's size. */
  private Content.Pattern patterned(Content.Pattern p) {
    Tiling t = p.tiling();
    Motif motif =
        p.motif()
            .accept(
                new Motif.Visitor<Motif>() {
                  @Override
                  public Motif drawn(Motif.Drawn d) {
                    return Rewriting.this.drawn(d);
                  }

                  @Override
                  public Motif pictured(Motif.Pictured d) {
                    return d;
                  }
                });
    return new Content.Pattern(
        motif,
        new Tiling(
            length.apply(t.width()).max(Tiling.LEAST).min(Tiling.MOST),
            length.apply(t.across()).min(Tiling.MOST),
            length.apply(t.down()).min(Tiling.MOST),
            t.stagger(),
            t.angle()));
  }

  @Override
  public Content page(Content.Page p) {
    return p;
  }

  @Override
  public Content cutting(Content.Cutting c) {
    return c;
  }

  @Override
  public Content barcode(Content.Barcode b) {
    return b.withPanel(colour.apply(b.panel()));
  }

  /** Lengths in a group are of its natural size, which stays; colours are as anywhere. */
  @Override
  public Content group(Content.Group g) {
    return g.withPieces(new Rewriting(colour, UnaryOperator.identity()).pieces(g.pieces()));
  }
}
