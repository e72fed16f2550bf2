package app.reglet.press.pdf;

import app.reglet.core.book.Book;
import app.reglet.core.wrap.Wrap;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/** What files of a cover are called. Letters and digits of any script stay. */
public final class FileName {
  private static final int MOST = 60;

  private FileName() {}

  /**
   * The name of a file that is handed over, by the house's pattern.
   *
   * @param kind what it is, {@code wrap}
   * @param revision of the cover
   * @param number of what was made of the edition: two that differ never share one
   * @param made the day it is of, in UTC
   * @param ending {@code pdf}
   */
  public static String of(
      Book book, Wrap wrap, String kind, int revision, int number, Instant made, String ending) {
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
    known.put("number", String.valueOf(number));
    return wrap.house().files().press().names().name(known) + "." + ending;
  }

  /** A name for any file of a cover, without revision and ending: title, kind, trim, pages. */
  public static String stem(Book book, Wrap wrap, String kind) {
    String pages = pages(wrap);
    return title(book) + "_" + kind + "_" + trim(wrap) + (pages.isEmpty() ? "" : "_" + pages);
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
