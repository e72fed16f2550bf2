package app.reglet.press.compose;

import app.reglet.core.design.Content;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Tiling;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Lattice;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.ornament.Ornaments;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.util.ArrayList;
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

  /** An ornament in the middle of a box, in its own proportion; empty when there is none such. */
  Optional<List<Mark>> ornament(Motif.Drawn drawn, Rect box) {
    return Ornaments.shipped().find(drawn.ornament()).map(o -> marks(o, drawn, fitted(o, box)));
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

  /** One path for each colour that follows another. */
  private List<Mark> marks(Ornament o, Motif.Drawn drawn, AffineTransform to) {
    List<Mark> marks = new ArrayList<>();
    for (Ornament.Part part : o.parts()) {
      Fill fill = Fill.of(fills.solid(drawn.ink(part.colour())));
      marks.add(new Mark.Path(to.createTransformedShape(part.shape()), fill, null));
    }
    return marks;
  }

  /** What a pattern comes to. */
  record Tiles(Mark.Tiled mark, Optional<Double> ppi) {}

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
                return Ornaments.shipped()
                    .find(drawn.ornament())
                    .map(
                        o -> {
                          double height = width * o.height() / o.width();
                          List<Mark> motif =
                              marks(o, drawn, fitted(o, new Rect(0, 0, width, height)));
                          return new Tiles(
                              new Mark.Tiled(area, lattice(t, height, box), motif, false),
                              Optional.empty());
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
                                  new Pixels.Stored(p, null),
                                  AffineTransform.getScaleInstance(width, height));
                          boolean closed = t.across().isZero() && t.down().isZero();
                          return new Tiles(
                              new Mark.Tiled(
                                  area,
                                  lattice(t, height, box),
                                  List.of(image),
                                  closed && isOpaque(p)),
                              Optional.of(p.width() / width * 25.4));
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
