package app.reglet.web.docket;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The docket as typed: every field a text.
 *
 * @param version the version of book and edition the page was showing, {@code 3.5}
 */
public record DocketForm(
    String version,
    String title,
    String subtitle,
    String author,
    String imprint,
    String blurb,
    String isbn,
    String price,
    String house,
    String binding,
    String trim,
    String pages,
    String stock,
    String ink,
    String turn) {
  public DocketForm {
    title = text(title);
    subtitle = text(subtitle);
    author = text(author);
    imprint = text(imprint);
    blurb = text(blurb).replace("\r\n", "\n");
    isbn = text(isbn);
    price = text(price);
    trim = text(trim);
    pages = text(pages);
  }

  private static String text(String s) {
    return s == null ? "" : s.replace("\u0000", "");
  }

  /** The short texts with what people call them and how long they may be. */
  Map<String, Integer> lengths() {
    Map<String, Integer> lengths = new LinkedHashMap<>();
    lengths.put("title", title.length());
    lengths.put("subtitle", subtitle.length());
    lengths.put("author", author.length());
    lengths.put("imprint", imprint.length());
    lengths.put("isbn", isbn.length());
    lengths.put("price", price.length());
    lengths.put("trim", trim.length());
    lengths.put("pages", pages.length());
    return lengths;
  }
}
