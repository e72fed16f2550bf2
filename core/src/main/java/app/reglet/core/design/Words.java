package app.reglet.core.design;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.book.FactsInText;
import app.reglet.core.measure.Length;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * Words, of a fact of the book or typed here.
 *
 * @param fact the fact they follow, null for words of their own
 * @param text the words when there is no fact; facts may stand in them as their names in braces
 * @param face id of the typeface
 * @param size type size, or the largest when {@code fit}
 * @param fit whether the size shrinks so that the words fit their box
 * @param paint of the letters
 * @param outline a line round the letters, null for none
 * @param align along the line
 * @param vertical where the lines stand in the box
 * @param leading distance of baselines, as a multiple of the size
 * @param capitals whether set in capitals
 * @param tracking space added between letters, in thousandths of the size
 * @param direction in which the lines run
 */
public record Words(
    Fact fact,
    String text,
    String face,
    Length size,
    boolean fit,
    Paint paint,
    Stroke outline,
    Align align,
    VerticalAlign vertical,
    double leading,
    boolean capitals,
    int tracking,
    Direction direction)
    implements Content {
  /** Along a line. */
  public enum Align {
    LEFT,
    CENTRE,
    RIGHT
  }

  /** Of the lines in their box. */
  public enum VerticalAlign {
    TOP,
    /** By the middle from the ascenders of the first line to the descenders of the last. */
    MIDDLE,
    BOTTOM,
    /**
     * By the middle of the flat capitals, from the top of the first line's to the last baseline.
     */
    CAPITALS,
    /** By the middle of the flat small letters, likewise. */
    SMALL_LETTERS;

    /** Whether the middle of letters stands in the middle of the box, whatever hangs from them. */
    public boolean isOptical() {
      return this == CAPITALS || this == SMALL_LETTERS;
    }
  }

  /** The way lines run: level, from top to bottom, or from bottom to top. */
  public enum Direction {
    LEVEL,
    DOWN,
    UP
  }

  /** Words of a fact or of their own, in one colour, shrunk to their box, level and ranged left. */
  public static Words of(Fact fact, String text, String face, Length size, Colour colour) {
    return new Words(
        fact,
        text,
        face,
        size,
        true,
        Paint.of(colour),
        null,
        Align.LEFT,
        VerticalAlign.TOP,
        1.2,
        false,
        0,
        Direction.LEVEL);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.words(this);
  }

  @Override
  public Stream<Colour> colours() {
    return Stream.concat(
        paint.colours(), outline == null ? Stream.empty() : outline.paint().colours());
  }

  /** The words for this book, as they are set. */
  public String on(Book book) {
    String words = said(book).text();
    return capitals ? words.toUpperCase(Locale.ROOT) : words;
  }

  /** The words for this book, as they are written, with the facts that stand in them by name. */
  public FactsInText said(Book book) {
    return fact == null
        ? FactsInText.of(text, book)
        : new FactsInText(book.text(fact), List.of(), List.of());
  }

  public Words withSize(Length newSize, boolean newFit) {
    return new Words(
        fact, text, face, newSize, newFit, paint, outline, align, vertical, leading, capitals,
        tracking, direction);
  }

  /** The same words in another typeface. */
  public Words in(String otherFace) {
    return new Words(
        fact, text, otherFace, size, fit, paint, outline, align, vertical, leading, capitals,
        tracking, direction);
  }

  public Words aligned(Align along, VerticalAlign down) {
    return new Words(
        fact, text, face, size, fit, paint, outline, along, down, leading, capitals, tracking,
        direction);
  }

  public Words withLeading(double multiple) {
    return new Words(
        fact, text, face, size, fit, paint, outline, align, vertical, multiple, capitals, tracking,
        direction);
  }

  public Words running(Direction way) {
    return new Words(
        fact, text, face, size, fit, paint, outline, align, vertical, leading, capitals, tracking,
        way);
  }

  public Words withPaint(Paint p) {
    return new Words(
        fact, text, face, size, fit, p, outline, align, vertical, leading, capitals, tracking,
        direction);
  }
}
