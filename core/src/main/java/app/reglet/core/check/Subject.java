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
 * @param overleaf what is laid on the sheet's other side, where that is printed
 */
public record Subject(Wrap wrap, Book book, List<Laid> laid, List<Laid> overleaf) {
  public Subject {
    laid = List.copyOf(laid);
    overleaf = List.copyOf(overleaf);
  }

  /** A side whose other is empty. */
  public Subject(Wrap wrap, Book book, List<Laid> laid) {
    this(wrap, book, laid, List.of());
  }

  /** Whether words are said on either side, whatever the space between them. */
  boolean says(String text) {
    return Stream.concat(words(laid), words(overleaf))
        .anyMatch(w -> plain(w.said().text()).contains(plain(text)));
  }

  private static String plain(String text) {
    return text.strip().replaceAll("\\s+", " ");
  }

  /** The words that have ink. */
  Stream<Laid.Words> words() {
    return words(laid);
  }

  private static Stream<Laid.Words> words(List<Laid> laid) {
    return laid.stream()
        .filter(Laid.Words.class::isInstance)
        .map(Laid.Words.class::cast)
        .filter(w -> !w.ink().isEmpty());
  }
}
