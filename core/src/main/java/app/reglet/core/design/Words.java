package app.reglet.core.design;

import app.reglet.core.book.Book;
import app.reglet.core.book.Emphasised;
import app.reglet.core.book.Fact;
import app.reglet.core.book.FactsInText;
import app.reglet.core.measure.Length;
import java.util.List;
import java.util.stream.Stream;

/**
 * Words, of a fact of the book or typed here.
 *
 * @param fact the fact they follow, null for words of their own
 * @param text the words when there is no fact; facts may stand in them as their names in braces
 * @param type their letters
 * @param setting their lines
 * @param paint of the letters
 * @param outline a line round the letters, null for none
 * @param curve the line they stand on, null for a straight one
 * @param panel an area behind them, null for none
 * @param through a picture seen through the letters, null for none; where its file is not here the
 *     paint is seen
 */
public record Words(
    Fact fact,
    String text,
    Type type,
    Setting setting,
    Paint paint,
    Stroke outline,
    Curve curve,
    Panel panel,
    Content.Picture through)
    implements Content {

  /** Words of a fact or of their own, in one colour, shrunk to their box, level and ranged left. */
  public static Words of(Fact fact, String text, String face, Length size, Colour colour) {
    return new Words(
        fact, text, Type.of(face, size), Setting.PLAIN, Paint.of(colour), null, null, null, null);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.words(this);
  }

  @Override
  public Stream<Colour> colours() {
    return Stream.of(
            paint.colours(),
            outline == null ? Stream.<Colour>empty() : outline.paint().colours(),
            panel == null ? Stream.<Colour>empty() : panel.paint().colours())
        .flatMap(c -> c);
  }

  /** The words for this book, as they are read: with their facts, without marks of emphasis. */
  public Emphasised on(Book book) {
    return Emphasised.of(said(book).text());
  }

  /**
   * The words for this book with the facts that stand in them by name. Stars mark emphasis, but not
   * those that a title or another short fact brings.
   */
  public FactsInText said(Book book) {
    return fact == null ? FactsInText.of(text, book) : FactsInText.of(fact, book);
  }

  /**
   * Where each character of the words stands in what people write: the fact, or the words of their
   * own; and last how long that is.
   */
  public List<Integer> source(Book book) {
    Emphasised words = on(book);
    if (fact != null && !fact.isProse()) { // its stars are no marks and written as they are
      return Emphasised.plain(words.text()).source();
    }
    List<Integer> written = said(book).source();
    return words.source().stream().map(written::get).toList();
  }

  /** Other words of their own, or none where they follow a fact. */
  public Words withText(String other) {
    return new Words(fact, other, type, setting, paint, outline, curve, panel, through);
  }

  public Words withType(Type other) {
    return new Words(fact, text, other, setting, paint, outline, curve, panel, through);
  }

  public Words withSetting(Setting other) {
    return new Words(fact, text, type, other, paint, outline, curve, panel, through);
  }

  public Words withSize(Length size) {
    return withType(type.withSize(size));
  }

  /** The same words in another typeface. */
  public Words in(String otherFace) {
    return withType(type.withFace(otherFace));
  }

  public Words aligned(Setting.Align along, Setting.VerticalAlign down) {
    return withSetting(setting.aligned(along, down));
  }

  public Words withLeading(double multiple) {
    return withSetting(setting.withLeading(multiple));
  }

  public Words running(Setting.Direction way) {
    return withSetting(setting.running(way));
  }

  /** With a picture seen through the letters; null for none. */
  public Words through(Content.Picture picture) {
    return new Words(fact, text, type, setting, paint, outline, curve, panel, picture);
  }

  /** With an area behind them; null for none. */
  public Words withPanel(Panel other) {
    return new Words(fact, text, type, setting, paint, outline, curve, other, through);
  }

  public Words withPaint(Paint p) {
    return new Words(fact, text, type, setting, p, outline, curve, panel, through);
  }
}
