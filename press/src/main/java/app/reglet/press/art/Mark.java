package app.reglet.press.art;

import app.reglet.press.type.Typeface;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.util.ArrayList;
import java.util.List;

/**
 * One thing drawn, in mm, origin top left of the sheet, x right, y down: a node of the display
 * list. What the screen shows and what the press gets is this one tree, walked by a {@link
 * Painter}.
 */
public sealed interface Mark {
  /** Hands itself to the painter, a group with all that is in it. */
  void paint(Painter painter);

  /**
   * A path, filled and drawn.
   *
   * @param shape the path; its winding rule says what is inside
   * @param fill null for none
   * @param pen null for none
   */
  record Path(Shape shape, Fill fill, Pen pen) implements Mark {
    @Override
    public void paint(Painter painter) {
      painter.path(this);
    }
  }

  /**
   * A run of glyphs on one baseline.
   *
   * @param face the typeface
   * @param size type size in mm
   * @param glyphs the font file's glyph ids
   * @param x where each glyph starts along the baseline, mm
   * @param y how far each glyph stands below the baseline, mm
   * @param turns how far each glyph is turned about where it starts, radians clockwise; empty where
   *     none is
   * @param chars index in the text of the first character each glyph stands for
   * @param place from the run's own coordinates (x along the baseline, y down) to the sheet
   * @param fill of the letters, in sheet coordinates; null for letters that are only read
   * @param outline a line round the letters, null for none
   * @param text what it says, for readers and searches
   */
  record Glyphs(
      Typeface face,
      double size,
      int[] glyphs,
      double[] x,
      double[] y,
      double[] turns,
      int[] chars,
      AffineTransform place,
      Fill fill,
      Pen outline,
      String text)
      implements Mark {
    @Override
    public void paint(Painter painter) {
      painter.glyphs(this);
    }

    /** The same letters, not drawn: found, read and copied. */
    public Glyphs unseen() {
      return new Glyphs(face, size, glyphs, x, y, turns, chars, place, null, null, text);
    }

    /** What stands for glyphs that are not turned. */
    public static final double[] UPRIGHT = {};

    /** From a glyph's own ems, on its baseline, to the run's coordinates. */
    public AffineTransform glyph(int index) {
      AffineTransform t = AffineTransform.getTranslateInstance(x[index], y[index]);
      if (turns.length > 0) {
        t.rotate(turns[index]);
      }
      t.scale(size, size);
      return t;
    }
  }

  /**
   * A line of text of a drawing, not of a cover: set in the face that the painter has for labels.
   *
   * @param x where it is anchored
   * @param y its baseline
   * @param anchor which part of it stands there
   * @param size type size
   * @param angle clockwise round the anchor, degrees
   * @param halo whether a light outline lies under it
   * @param kind what it is, for styles: {@code panel-name}, {@code figure}, {@code guide-label}
   */
  record Label(
      String text,
      double x,
      double y,
      Anchor anchor,
      double size,
      int angle,
      boolean halo,
      String kind)
      implements Mark {
    /** Which part of a label stands at its anchor. */
    public enum Anchor {
      START,
      MIDDLE,
      END
    }

    @Override
    public void paint(Painter painter) {
      painter.label(this);
    }
  }

  /**
   * A picture.
   *
   * @param pixels where they come from
   * @param place from the unit square, the upright picture's top left at 0, 0, to the sheet
   */
  record Image(Pixels pixels, AffineTransform place) implements Mark {
    public Image {
      place = new AffineTransform(place);
    }

    @Override
    public AffineTransform place() {
      return new AffineTransform(place);
    }

    @Override
    public void paint(Painter painter) {
      painter.image(this);
    }
  }

  /**
   * A page of a PDF, as it is.
   *
   * @param page which
   * @param place from the unit square, the page's top left at 0, 0, to the sheet
   */
  record Page(PlacedPage page, AffineTransform place) implements Mark {
    public Page {
      place = new AffineTransform(place);
    }

    @Override
    public AffineTransform place() {
      return new AffineTransform(place);
    }

    @Override
    public void paint(Painter painter) {
      painter.page(this);
    }
  }

  /**
   * Marks that repeat all over an area.
   *
   * @param area what of them is seen
   * @param lattice where and how they stand
   * @param motif what repeats, in a box of the lattice's motif with its top left at 0, 0
   * @param closed whether it covers its whole box: no seam may show between two of them
   */
  record Tiled(Shape area, Lattice lattice, List<Mark> motif, boolean closed) implements Mark {
    /** How far a closed motif reaches over its neighbours' edges in a first, lower layer, mm. */
    private static final double OVER = 0.2;

    public Tiled {
      motif = List.copyOf(motif);
    }

    /**
     * From the motif to the lattice, for each that shows. Closed ones come twice: under all, a hair
     * larger, so that what shines through two edges that meet is their own colour.
     */
    public List<AffineTransform> places() {
      return laid(lattice.places(area));
    }

    /** The same for one period of the lattice, which begins at 0, 0. */
    public List<AffineTransform> period() {
      return laid(lattice.period(closed ? OVER : 0));
    }

    private List<AffineTransform> laid(List<Point2D> corners) {
      List<AffineTransform> all = new ArrayList<>();
      if (closed) {
        for (Point2D p : corners) {
          AffineTransform t =
              AffineTransform.getTranslateInstance(p.getX() - OVER, p.getY() - OVER);
          t.scale(1 + 2 * OVER / lattice.width(), 1 + 2 * OVER / lattice.height());
          all.add(t);
        }
      }
      corners.forEach(p -> all.add(AffineTransform.getTranslateInstance(p.getX(), p.getY())));
      return all;
    }

    @Override
    public void paint(Painter painter) {
      painter.tiled(this);
    }
  }

  /**
   * Marks that are one thing: a piece, a layer of a drawing, what is cut or laid over as one.
   *
   * @param name the piece's id or the layer's name, empty for neither
   * @param effects what is done to them as one
   * @param marks from back to front
   */
  record Group(String name, Effects effects, List<Mark> marks) implements Mark {
    public Group {
      marks = List.copyOf(marks);
    }

    public static Group named(String name, List<Mark> marks) {
      return new Group(name, Effects.NONE, marks);
    }

    public static Group clipped(Shape clip, Mark... marks) {
      return new Group("", Effects.clipped(clip), List.of(marks));
    }

    @Override
    public void paint(Painter painter) {
      painter.begin(this);
      painter.paint(marks);
      painter.end(this);
    }
  }
}
