package app.reglet.core.book;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * A text in which facts of the book stand as their names in braces: {@code {author} · {price}}.
 *
 * @param text with the facts in their places, stars of short facts escaped (see {@link
 *     Emphasised}); a name that is no fact stays as it was written
 * @param empty names of facts that the book does not state
 * @param unknown names that are no facts
 * @param source where each character of the text stands in what was written, and last how long that
 *     is; those of a fact where its name begins
 */
public record FactsInText(
    String text, List<String> empty, List<String> unknown, List<Integer> source) {
  private static final Pattern NAMED = Pattern.compile("\\{\\s*(\\p{L}[\\p{L} ]{0,40}?)\\s*\\}");

  /** Puts a book's facts into a text. */
  public static FactsInText of(String text, Book book) {
    if (text.indexOf('{') < 0) {
      return plain(text);
    }
    List<Integer> source = new ArrayList<>();
    int read = 0;
    List<String> empty = new ArrayList<>();
    List<String> unknown = new ArrayList<>();
    Matcher m = NAMED.matcher(text);
    StringBuilder out = new StringBuilder();
    while (m.find()) {
      Optional<String> found = said(m.group(1), book);
      String said = found.orElse(m.group());
      if (found.isEmpty()) {
        unknown.add(m.group());
      } else if (said.isBlank()) {
        empty.add(m.group());
      }
      for (; read < m.start(); read++) {
        source.add(read);
      }
      source.addAll(Collections.nCopies(said.length(), m.start()));
      read = m.end();
      m.appendReplacement(out, Matcher.quoteReplacement(said));
    }
    m.appendTail(out);
    for (; read <= text.length(); read++) {
      source.add(read);
    }
    return new FactsInText(
        out.toString(), List.copyOf(empty), List.copyOf(unknown), List.copyOf(source));
  }

  /** A text in which no facts stand. */
  static FactsInText plain(String text) {
    return new FactsInText(
        text, List.of(), List.of(), IntStream.rangeClosed(0, text.length()).boxed().toList());
  }

  /** What a fact itself says. */
  public static FactsInText of(Fact fact, Book book) {
    return plain(fact.marked(book.text(fact)));
  }

  /** What a fact says, as it is written where stars mark emphasis. */
  private static Optional<String> said(String name, Book book) {
    if (name.equalsIgnoreCase(Book.CREDITS)) {
      return Optional.of(Emphasised.escaped(book.credits()));
    }
    if (name.equalsIgnoreCase(Book.INITIAL)) {
      return Optional.of(Emphasised.escaped(book.initial()));
    }
    if (name.equalsIgnoreCase(Book.BEGINNING)) {
      return Optional.of(book.beginning());
    }
    if (name.equalsIgnoreCase(Book.REST)) {
      return Optional.of(book.rest());
    }
    return Fact.named(name)
        .map(f -> f.marked(book.text(f)))
        .or(
            () ->
                Optional.ofNullable(book.further().own().get(name.toLowerCase(Locale.ROOT)))
                    .map(Emphasised::escaped));
  }
}
