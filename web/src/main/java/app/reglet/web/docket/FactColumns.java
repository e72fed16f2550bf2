package app.reglet.web.docket;

import java.util.LinkedHashMap;
import java.util.Map;

/** The columns that hold the facts of an edition and its book. */
final class FactColumns {
  /** Columns by table, with what people call them. */
  static final Map<String, Map<String, String>> ALL = new LinkedHashMap<>();

  static {
    Map<String, String> book = new LinkedHashMap<>();
    book.put("title", "title");
    book.put("subtitle", "subtitle");
    book.put("author", "author");
    book.put("imprint", "imprint");
    book.put("blurb", "blurb");
    book.put("price", "price");
    book.put("series", "series");
    book.put("series_number", "number in the series");
    book.put("quote", "quotation");
    book.put("about_author", "words about the author");
    book.put("edition_words", "edition");
    book.put("published", "date");
    book.put("language", "language");
    book.put("own_facts", "facts of your own");
    ALL.put("book", book);
    Map<String, String> edition = new LinkedHashMap<>();
    edition.put("house_id", "house");
    edition.put("house_version", "house");
    edition.put("binding", "binding");
    edition.put("trim", "trim size");
    edition.put("trim_typed", "trim size");
    edition.put("pages", "page count");
    edition.put("pages_typed", "page count");
    edition.put("spread", "how far the count may go");
    edition.put("spread_typed", "how far the count may go");
    edition.put("stock", "paper");
    edition.put("ink", "ink");
    edition.put("turn", "direction");
    edition.put("front_flap", "front flap");
    edition.put("front_flap_typed", "front flap");
    edition.put("back_flap", "back flap");
    edition.put("back_flap_typed", "back flap");
    edition.put("told_spine", "told spine");
    edition.put("told_spine_typed", "told spine");
    edition.put("told_source", "where it was told");
    edition.put("inside_printed", "inside printed");
    edition.put("isbn", "ISBN");
    edition.put("isbn_typed", "ISBN");
    ALL.put("edition", edition);
  }

  private FactColumns() {}

  /** What people call a column, {@code edition.pages}. */
  static String label(String column) {
    int dot = column.indexOf('.');
    return ALL.get(column.substring(0, dot)).get(column.substring(dot + 1));
  }
}
