package app.reglet.core.design;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.measure.Length;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Locale;

/** What a piece shows. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Content.Words.class, name = "words"),
  @JsonSubTypes.Type(value = Content.Band.class, name = "band"),
  @JsonSubTypes.Type(value = Content.Barcode.class, name = "barcode")
})
public sealed interface Content {
  /**
   * Words, of a fact of the book or typed here.
   *
   * @param fact the fact they follow, null for words of their own
   * @param text the words when there is no fact
   * @param face id of the typeface
   * @param size type size, or the largest when {@code fit}
   * @param fit whether the size shrinks so that the words fit their box
   * @param colour of the type
   * @param align along the line
   * @param stand where the lines stand in the box
   * @param leading distance of baselines, as a multiple of the size
   * @param capitals whether set in capitals
   * @param tracking space added between letters, in thousandths of the size
   * @param turn which way the lines run
   */
  record Words(
      Fact fact,
      String text,
      String face,
      Length size,
      boolean fit,
      Colour colour,
      Align align,
      Stand stand,
      double leading,
      boolean capitals,
      int tracking,
      Turn turn)
      implements Content {

    /** The words for this book, as they are set. */
    public String on(Book book) {
      String words = fact == null ? text : book.text(fact);
      return capitals ? words.toUpperCase(Locale.ROOT) : words;
    }

    public Words withSize(Length newSize, boolean newFit) {
      return new Words(
          fact, text, face, newSize, newFit, colour, align, stand, leading, capitals, tracking,
          turn);
    }
  }

  /** A flat area of colour that keeps words readable. */
  record Band(Colour colour) implements Content {}

  /** The ISBN barcode of the book, on white, in its area. */
  record Barcode() implements Content {}

  /** Along a line. */
  enum Align {
    LEFT,
    CENTRE,
    RIGHT
  }

  /** Of the lines in their box. */
  enum Stand {
    TOP,
    MIDDLE,
    BOTTOM
  }

  /** Which way lines run: level, top to bottom, or bottom to top. */
  enum Turn {
    LEVEL,
    DOWN,
    UP
  }
}
