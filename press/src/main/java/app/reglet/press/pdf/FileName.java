package app.reglet.press.pdf;

import app.reglet.core.book.Book;
import app.reglet.core.wrap.Wrap;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What files of a cover are called. Letters and digits of any script stay. */
public final class FileName {
  private static final int MOST = 60;

  private FileName() {}

  /**
   * The name of a file that is handed over, by the house's pattern.
   *
   * @param kind what it is, {@code wrap}
   * @param revision of the cover
   * @param edition its number, which no other edition ever has
   * @param number of what was made of the edition: two that differ never share one
   * @param made the day it is of, in UTC
   * @param ending {@code pdf}
   */
  public static String of(
      Book book,
      Wrap wrap,
      String kind,
      int revision,
      long edition,
      int number,
      Instant made,
      String ending) {
    Map<String, String> known = new HashMap<>();
    known.put("kind", kind);
    known.put("title", title(book));
    known.put("author", plain(book.author()));
    known.put("isbn", book.isbn().map(i -> i.digits()).orElse(""));
    known.put("house", wrap.house().id());
    known.put("binding", wrap.spec().binding().id());
    known.put("trim", trim(wrap));
    known.put("pages", pages(wrap));
    known.put("date", DateTimeFormatter.ISO_LOCAL_DATE.format(made.atOffset(ZoneOffset.UTC)));
    known.put("version", String.valueOf(revision));
    known.put("number", edition + "-" + number);
    return wrap.house().files().press().names().name(known) + "." + ending;
  }

  /**
   * A name for any file of a cover, without revision and ending: title, binding, kind, trim, pages
   * and edition.
   *
   * @param edition its number, which no other edition ever has
   */
  public static String stem(Book book, Wrap wrap, String kind, long edition) {
    return Stream.of(
            title(book),
            wrap.spec().binding().id(),
            kind,
            trim(wrap),
            pages(wrap),
            "edition-" + edition)
        .filter(s -> !s.isEmpty())
        .collect(Collectors.joining("_"));
  }

  private static String title(Book book) {
    String title = plain(book.title());
    return title.isEmpty() ? "untitled" : title;
  }

  private static String plain(String text) {
    String plain =
        text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "");
    return plain.substring(
        0, plain.offsetByCodePoints(0, Math.min(MOST, plain.codePointCount(0, plain.length()))));
  }

  private static String trim(Wrap wrap) {
    var unit = wrap.house().unit();
    return wrap.spec().trim().width().figure(unit, 3)
        + "x"
        + wrap.spec().trim().height().figure(unit, 3)
        + unit.symbol();
  }

  private static String pages(Wrap wrap) {
    return wrap.spec().binding().hasPages() ? wrap.spec().pages() + "pp" : "";
  }
}
