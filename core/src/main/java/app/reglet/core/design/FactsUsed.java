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
    List<Content> all =
        Stream.of(PrintedSide.values())
            .flatMap(side -> design.side(side).all())
            .map(Piece::content)
            .toList();
    return Arrays.stream(Fact.values())
        .filter(f -> !book.text(f).isBlank())
        .filter(f -> all.stream().noneMatch(c -> stands(f, c)))
        .toList();
  }

  private static boolean stands(Fact fact, Content content) {
    if (content instanceof Content.Barcode) {
      return fact == Fact.ISBN;
    }
    return content instanceof Words w
        && (w.fact() == fact
            || w.fact() == null
                && w.text()
                    .toLowerCase(Locale.ROOT)
                    .replaceAll("\\s*([{}])\\s*", "$1")
                    .contains("{" + fact.id() + "}"));
  }
}
