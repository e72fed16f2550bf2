package app.reglet.core.design;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Which facts of a book stand on a cover. */
public final class FactsUsed {
  private FactsUsed() {}

  /** The facts a book states that stand nowhere on a cover, not even in words that are hidden. */
  public static List<Fact> missing(Design design, Book book) {
    List<Content> all = contents(design);
    return Arrays.stream(Fact.values())
        .filter(f -> !book.text(f).isBlank())
        .filter(f -> all.stream().noneMatch(c -> stands(f, c)))
        .filter(f -> f != Fact.BLURB || halvesMissing(all, book).size() > 0)
        .toList();
  }

  /**
   * What stands nowhere on a cover, by the names that words have for it: a blurb of which one half
   * stands there lacks the other.
   */
  public static List<String> nowhere(Design design, Book book) {
    List<String> halves = halvesMissing(contents(design), book);
    return missing(design, book).stream()
        .map(f -> f == Fact.BLURB && halves.size() == 1 ? halves.get(0) : f.id())
        .toList();
  }

  private static List<Content> contents(Design design) {
    return Stream.of(PrintedSide.values())
        .flatMap(side -> design.side(side).all())
        .map(Piece::content)
        .toList();
  }

  /** The halves of the blurb that stand nowhere; a blurb of one paragraph has no second. */
  private static List<String> halvesMissing(List<Content> all, Book book) {
    boolean first = all.stream().noneMatch(c -> named(Book.BEGINNING, c));
    boolean second = !book.rest().isBlank() && all.stream().noneMatch(c -> named(Book.REST, c));
    if (first && book.rest().isBlank()) {
      return List.of(Fact.BLURB.id());
    }
    return Stream.of(first ? Book.BEGINNING : "", second ? Book.REST : "")
        .filter(n -> !n.isEmpty())
        .toList();
  }

  private static boolean stands(Fact fact, Content content) {
    if (content instanceof Content.Barcode) {
      return fact == Fact.ISBN;
    }
    return content instanceof Words w && w.fact() == fact || named(fact.id(), content);
  }

  private static boolean named(String name, Content content) {
    return content instanceof Words w
        && w.fact() == null
        && w.text()
            .toLowerCase(Locale.ROOT)
            .replaceAll("\\s*([{}])\\s*", "$1")
            .contains("{" + name + "}");
  }
}
