package app.reglet.core.check;

import app.reglet.core.book.Book;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.stream.Stream;

/**
 * What is checked: a book's cover laid on its wrap.
 *
 * @param wrap the measured sheet
 * @param book what the book says of itself
 * @param laid the pieces as laid, from back to front; empty when nothing is composed yet
 */
public record Subject(Wrap wrap, Book book, List<Laid> laid) {
  public Subject {
    laid = List.copyOf(laid);
  }

  /** The words that have ink. */
  Stream<Laid.Words> words() {
    return laid.stream()
        .filter(Laid.Words.class::isInstance)
        .map(Laid.Words.class::cast)
        .filter(w -> !w.ink().isEmpty());
  }
}
