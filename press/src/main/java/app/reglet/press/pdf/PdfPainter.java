package app.reglet.press.pdf;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Labels;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Painter;
import app.reglet.press.art.Pixels;
import app.reglet.press.picture.Orientation;
import app.reglet.press.type.Typeface;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShading;

/** Writes marks as the operators of a page (ISO 32000-1, 8, 9 and 11). */
final class PdfPainter implements Painter {
  private final PdfParts parts;
  private final Typeface labels;

  /** The streams being written: the page's, and one for each group that is made apart. */
  private final Deque<Stream> streams = new ArrayDeque<>();

  /** Whether what is painted says how much of something else is seen. */
  private boolean masking;

  /** A stream and the resources it names. */
  private record Stream(Operators out, PDResources resources) {}

  /**
   * @param labels the face of labels; null where there are none
   */
  private PdfPainter(PdfParts parts, PDResources resources, Typeface labels) {
    this.parts = parts;
    this.labels = labels;
    streams.push(new Stream(new Operators(), resources));
  }

  /**
   * The content of a page.
   *
   * @param toPage from the marks' mm to the page's points
   */
  static byte[] write(
      PdfParts parts,
      PDResources resources,
      Typeface labels,
      AffineTransform toPage,
      List<? extends Mark> marks) {
    PdfPainter painter = new PdfPainter(parts, resources, labels);
    painter.op().op("q");
    painter.op().matrix("cm", toPage);
    painter.paint(marks);
    painter.op().op("Q");
    return painter.op().bytes();
  }

  private Operators op() {
    return streams.peek().out();
  }

  private PDResources resources() {
    return streams.peek().resources();
  }

  @Override
  public void path(Mark.Path p) {
    if (p.fill() != null) {
      fill(p.shape(), p.fill());
    }
    if (p.pen() == null) {
      return;
    }
    if (p.pen().fill() instanceof Fill.Flat flat) {
      Inks.pen(op(), resources(), p.pen(), flat.colour());
      op().path(p.shape());
      op().op("S");
    } else {
      fill(p.pen().stroke().createStrokedShape(p.shape()), p.pen().fill());
    }
  }

  private void fill(Shape shape, Fill fill) {
    fill.accept(
        new Fill.Visitor<Void>() {
          @Override
          public Void flat(Fill.Flat flat) {
            Inks.colour(op(), resources(), flat.colour(), false);
            op().path(shape);
            op().op(Operators.byRule("f", shape));
            return null;
          }

          @Override
          public Void linear(Fill.Linear linear) {
            return shade(Shadings.of(linear));
          }

          @Override
          public Void radial(Fill.Radial radial) {
            return shade(Shadings.of(radial));
          }

          private Void shade(PDShading shading) {
            op().op("q");
            op().clip(shape);
            op().op("sh", resources().add(shading));
            op().op("Q");
            return null;
          }
        });
  }

  @Override
  public void glyphs(Mark.Glyphs g) {
    if (g.glyphs().length == 0) {
      return;
    }
    if (g.fill() == null) {
      op().op("q");
      op().op("Tr", Operators.number(3)); // neither filled nor stroked (Table 106)
      PdfText.show(g, parts.fonts(), op(), resources());
      op().op("Q");
      return;
    }
    if (g.fill() instanceof Fill.Flat flat) {
      Inks.colour(op(), resources(), flat.colour(), false);
      boolean outlined = g.outline() != null && g.outline().fill() instanceof Fill.Flat;
      if (outlined) {
        op().op("q");
        Inks.pen(op(), resources(), g.outline(), ((Fill.Flat) g.outline().fill()).colour());
        op().op("Tr", Operators.number(2));
      }
      PdfText.show(g, parts.fonts(), op(), resources());
      if (outlined) {
        op().op("Q");
      }
      return;
    }
    op().op("q");
    op().op("Tr", Operators.number(7)); // the letters cut what follows (Table 106)
    PdfText.show(g, parts.fonts(), op(), resources());
    op().op(
            "sh",
            resources()
                .add(
                    g.fill() instanceof Fill.Linear l
                        ? Shadings.of(l)
                        : Shadings.of((Fill.Radial) g.fill())));
    op().op("Q");
  }

  @Override
  public void label(Mark.Label label) {
    glyphs(Labels.glyphs(label, labels));
  }

  @Override
  public void image(Mark.Image i) {
    AffineTransform place = i.place();
    PDImageXObject object =
        i.pixels()
            .accept(
                new Pixels.Visitor<>() {
                  @Override
                  public PDImageXObject stored(Pixels.Stored stored) {
                    place.concatenate(Orientation.upright(stored.picture().orientation()));
                    return parts.image(stored);
                  }

                  @Override
                  public PDImageXObject made(Pixels.Made made) {
                    return masking ? parts.mask(made) : parts.image(made);
                  }

                  @Override
                  public PDImageXObject drawn(Pixels.Drawn drawn) {
                    return parts.image(drawn);
                  }
                });
    place.concatenate(new AffineTransform(1, 0, 0, -1, 0, 1)); // an image's own y points up
    op().op("q");
    op().matrix("cm", place);
    op().op("Do", resources().add(object));
    op().op("Q");
  }

  @Override
  public void page(Mark.Page p) {
    PDFormXObject form = parts.page(p.page());
    Rectangle2D upright = PdfParts.upright(form);
    AffineTransform place = p.place();
    place.concatenate(new AffineTransform(1, 0, 0, -1, 0, 1));
    place.scale(1 / upright.getWidth(), 1 / upright.getHeight());
    place.translate(-upright.getX(), -upright.getY());
    op().op("q");
    asAtTheBeginning();
    op().matrix("cm", place);
    op().op("Do", resources().add(form));
    op().op("Q");
  }

  /** What a page takes for granted that sets none of it (ISO 32000-1, table 52). */
  private void asAtTheBeginning() {
    Colour.Solid black =
        COSName.DEVICECMYK.equals(parts.mixedIn())
            ? new Colour.Cmyk(0, 0, 0, 100)
            : new Colour.Gray(100);
    Inks.colour(op(), resources(), black, false);
    Inks.colour(op(), resources(), black, true);
    op().op("w", Operators.number(1));
    op().op("J", Operators.number(0));
    op().op("j", Operators.number(0));
    op().op("M", Operators.number(10));
    op().op("d", Operators.numbers(), Operators.number(0));
  }

  /** The motif is one form, shown at every place. */
  @Override
  public void tiled(Mark.Tiled t) {
    streams.push(new Stream(new Operators(), parts.resources()));
    paint(t.motif());
    Stream made = streams.pop();
    COSName motif = resources().add(parts.form(made.out().bytes(), made.resources()));
    op().op("q");
    op().clip(t.area());
    op().matrix("cm", t.lattice().toSheet());
    for (AffineTransform place : t.places()) {
      op().op("q");
      op().matrix("cm", place);
      op().op("Do", motif);
      op().op("Q");
    }
    op().op("Q");
  }

  @Override
  public void begin(Mark.Group group) {
    Effects e = group.effects();
    if (e.isApart()) {
      streams.push(new Stream(new Operators(), parts.resources()));
    }
    if (!e.isNone()) {
      op().op("q");
      if (!e.transform().isIdentity()) {
        op().matrix("cm", e.transform());
      }
      if (e.clip() != null) {
        op().clip(e.clip());
      }
    }
  }

  @Override
  public void end(Mark.Group group) {
    Effects e = group.effects();
    if (!e.isNone()) {
      op().op("Q");
    }
    if (!e.isApart()) {
      return;
    }
    Stream made = streams.pop();
    PDFormXObject form = parts.form(made.out().bytes(), made.resources(), parts.mixedIn());
    op().op("q");
    if (!e.mask().isEmpty()) {
      // the mask lies in the group's coordinates, which hold when it is set
      op().matrix("cm", e.transform());
      op().op("gs", resources().add(parts.masked(mask(e.mask()))));
      op().matrix("cm", inverse(e.transform()));
    }
    boolean multiplied = e.blend() == Appearance.Blend.MULTIPLY;
    op().op("gs", resources().add(parts.state(e.opacity(), multiplied)));
    op().op("Do", resources().add(form));
    op().op("Q");
  }

  private PDFormXObject mask(List<Mark> marks) {
    streams.push(new Stream(new Operators(), parts.resources()));
    masking = true;
    paint(marks);
    masking = false;
    Stream made = streams.pop();
    return parts.form(made.out().bytes(), made.resources(), COSName.DEVICEGRAY);
  }

  private static AffineTransform inverse(AffineTransform t) {
    try {
      return t.createInverse();
    } catch (java.awt.geom.NoninvertibleTransformException e) {
      throw new IllegalStateException(e); // turns and mirrors can always be undone
    }
  }
}
