package app.reglet.press.art;

import app.reglet.core.design.Colour;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.Treating;
import java.awt.image.BufferedImage;
import java.util.List;

/** Where an image's pixels come from. */
public sealed interface Pixels {
  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** What can be done with each kind. */
  interface Visitor<R> {
    R stored(Stored stored);

    R made(Made made);

    R drawn(Drawn drawn);
  }

  /**
   * A picture that somebody brought.
   *
   * @param under the flat colour that shows through it; null where it lies on other art, and its
   *     transparency stays
   * @param treating how it is seen other than its file has it
   * @param columns how many pixels of its upright width are wanted; as many as the file has, or
   *     fewer
   */
  record Stored(Picture picture, Colour.Solid under, Treating treating, int columns)
      implements Pixels {
    public Stored(Picture picture, Colour.Solid under, Treating treating) {
      this(picture, under, treating, picture.width());
    }

    /** The same with fewer pixels. */
    public Stored coarser(int wide) {
      return new Stored(picture, under, treating, Math.max(1, Math.min(columns, wide)));
    }

    /** Rows of the upright picture, for so many columns. */
    public int rows() {
      return columns == picture.width()
          ? picture.height()
          : Math.max(1, (int) Math.round((double) picture.height() * columns / picture.width()));
    }

    /** Whether its pixels are those of the file. */
    public boolean isWhole() {
      return columns == picture.width();
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.stored(this);
    }
  }

  /**
   * Pixels made by the composer: a shadow, a soft edge.
   *
   * @param image ARGB or gray, upright
   */
  record Made(BufferedImage image) implements Pixels {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.made(this);
    }
  }

  /**
   * Pixels of marks, drawn when they are asked for: the image's unit square is the box.
   *
   * @param marks in the coordinates that the image's place leads to
   * @param box what of them is drawn, in the same, mm
   * @param ppi pixels per inch
   * @param opaque whether nothing shows through
   */
  record Drawn(List<Mark> marks, Rect box, double ppi, boolean opaque) implements Pixels {
    private static final double MM_PER_INCH = 25.4;

    public Drawn {
      marks = List.copyOf(marks);
    }

    /** Pixels of its width. */
    public int width() {
      return Math.max(1, (int) Math.ceil(box.width() * ppi / MM_PER_INCH - 1e-6));
    }

    /** Pixels of its height. */
    public int height() {
      return Math.max(1, (int) Math.ceil(box.height() * ppi / MM_PER_INCH - 1e-6));
    }

    /** An image of it where it lies. */
    public Mark.Image image() {
      return new Mark.Image(
          this,
          new java.awt.geom.AffineTransform(box.width(), 0, 0, box.height(), box.x(), box.y()));
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.drawn(this);
    }
  }
}
