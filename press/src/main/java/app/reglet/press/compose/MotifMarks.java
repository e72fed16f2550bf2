package app.reglet.press.compose;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Content;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Tiling;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Lattice;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.ornament.Ornaments;
import app.reglet.press.ornament.Tint;
import app.reglet.press.picture.JpegQuality;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.Treating;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.util.List;
import java.util.Optional;

/** Ornaments, alone and repeated, as marks. */
final class MotifMarks {
  private final Fills fills;
  private final Pictures pictures;

  MotifMarks(Fills fills, Pictures pictures) {
    this.fills = fills;
    this.pictures = pictures;
  }

  /**
   * What a drawing comes to.
   *
   * @param shapes what of the sheet its parts cover
   */
  record Inked(List<Mark> marks, List<Shape> shapes) {}

  /** An ornament in the middle of a box, in its own proportion; empty when there is none such. */
  Optional<Inked> ornament(Motif.Drawn drawn, Rect box) {
    return find(drawn).map(o -> inked(o, drawn, fitted(o, box)));
  }

  private Optional<Ornament> find(Motif.Drawn drawn) {
    return Ornaments.shipped().find(drawn.ornament()).or(() -> pictures.drawing(drawn.ornament()));
  }

  private static AffineTransform fitted(Ornament o, Rect box) {
    double scale = Math.min(box.width() / o.width(), box.height() / o.height());
    AffineTransform to =
        AffineTransform.getTranslateInstance(
            box.x() + (box.width() - o.width() * scale) / 2,
            box.y() + (box.height() - o.height() * scale) / 2);
    to.scale(scale, scale);
    return to;
  }

  private Inked inked(Ornament o, Motif.Drawn drawn, AffineTransform to) {
    return new Inked(
        o.parts().stream().map(p -> mark(p, drawn, to)).toList(),
        o.areas().map(a -> covered(a, to)).toList());
  }

  private static Shape covered(Ornament.Area area, AffineTransform to) {
    Shape shape = to.createTransformedShape(area.shape());
    return area.clip() == null
        ? shape
        : to.createTransformedShape(area.clip())
            .getBounds2D()
            .createIntersection(shape.getBounds2D());
  }

  private Mark mark(Ornament.Part part, Motif.Drawn drawn, AffineTransform to) {
    if (part instanceof Ornament.Faded f) {
      return faded(f.opacity(), null, f.parts().stream().map(p -> mark(p, drawn, to)).toList());
    }
    Ornament.Area area = (Ornament.Area) part;
    Mark filled = filled(area.tint(), drawn, to.createTransformedShape(area.shape()), to);
    double opacity = area.tint().opacity();
    return area.clip() == null && opacity == 1
        ? filled
        : faded(
            opacity,
            area.clip() == null ? null : to.createTransformedShape(area.clip()),
            List.of(filled));
  }

  private static Mark faded(double opacity, Shape clip, List<Mark> marks) {
    return new Mark.Group(
        "",
        new Effects(new AffineTransform(), opacity, Appearance.Blend.NORMAL, clip, List.of()),
        marks);
  }

  private Mark filled(Tint tint, Motif.Drawn drawn, Shape shape, AffineTransform to) {
    if (tint instanceof Tint.Linear l) {
      double[] ends = {l.x1(), l.y1(), l.x2(), l.y2()};
      to.transform(ends, 0, ends, 0, 2);
      return new Mark.Path(
          shape,
          new Fill.Linear(ends[0], ends[1], ends[2], ends[3], stops(l.stops(), drawn)),
          null);
    }
    if (tint instanceof Tint.Radial r) {
      return round(r, drawn, shape, to);
    }
    return new Mark.Path(shape, Fill.of(fills.solid(drawn.ink(((Tint.Flat) tint).ink()))), null);
  }

  /** In coordinates in which the ellipse is a circle. */
  private Mark round(Tint.Radial r, Motif.Drawn drawn, Shape shape, AffineTransform to) {
    List<Fill.Stop> stops = stops(r.stops(), drawn);
    AffineTransform circle = new AffineTransform(to);
    circle.concatenate(r.circle());
    try {
      Shape there = circle.createInverse().createTransformedShape(shape);
      return new Mark.Group(
          "",
          Effects.NONE.withTransform(circle),
          List.of(new Mark.Path(there, new Fill.Radial(0, 0, 1, stops), null)));
    } catch (NoninvertibleTransformException e) {
      return new Mark.Path(shape, Fill.of(stops.get(stops.size() - 1).colour()), null);
    }
  }

  private List<Fill.Stop> stops(List<Tint.Stop> stops, Motif.Drawn drawn) {
    return stops.stream().map(s -> new Fill.Stop(s.at(), fills.solid(drawn.ink(s.ink())))).toList();
  }

  /**
   * What a pattern comes to.
   *
   * @param ppi of its picture, where it is one
   * @param sha of that, empty where it is none
   * @param quality at which that was packed with loss; 0 for none
   */
  record Tiles(Mark.Tiled mark, Optional<Double> ppi, String sha, int quality) {}

  /**
   * A pattern all over an area, in the middle of a box; empty when its motif is not here.
   *
   * @param area what of it is seen
   */
  Optional<Tiles> pattern(Content.Pattern pattern, Shape area, Rect box) {
    Tiling t = pattern.tiling();
    double width = t.width().toMm();
    return pattern
        .motif()
        .accept(
            new Motif.Visitor<>() {
              @Override
              public Optional<Tiles> drawn(Motif.Drawn drawn) {
                return find(drawn)
                    .map(
                        o -> {
                          double height = width * o.height() / o.width();
                          List<Mark> motif =
                              inked(o, drawn, fitted(o, new Rect(0, 0, width, height))).marks();
                          return new Tiles(
                              new Mark.Tiled(area, lattice(t, height, box), motif, false),
                              Optional.empty(),
                              "",
                              0);
                        });
              }

              @Override
              public Optional<Tiles> pictured(Motif.Pictured pictured) {
                return pictures
                    .find(pictured.sha())
                    .map(
                        p -> {
                          double height = width * p.height() / p.width();
                          Mark image =
                              new Mark.Image(
                                  new Pixels.Stored(p, null, Treating.NONE),
                                  AffineTransform.getScaleInstance(width, height));
                          boolean closed = t.across().isZero() && t.down().isZero();
                          return new Tiles(
                              new Mark.Tiled(
                                  area,
                                  lattice(t, height, box),
                                  List.of(image),
                                  closed && isOpaque(p)),
                              Optional.of(p.width() / width * 25.4),
                              p.sha(),
                              JpegQuality.of(p));
                        });
              }
            });
  }

  private static boolean isOpaque(Picture p) {
    return !PictureReader.mayBeTransparent(p);
  }

  private static Lattice lattice(Tiling t, double height, Rect box) {
    AffineTransform to =
        AffineTransform.getTranslateInstance(box.x() + box.width() / 2, box.y() + box.height() / 2);
    to.rotate(Math.toRadians(t.angle()));
    return new Lattice(
        t.width().toMm(),
        height,
        t.width().toMm() + t.across().toMm(),
        height + t.down().toMm(),
        t.stagger(),
        to);
  }
}
