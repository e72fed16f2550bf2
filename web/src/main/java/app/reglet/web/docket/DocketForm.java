package app.reglet.web.docket;

import app.reglet.core.book.PageTurn;
import app.reglet.core.facts.TypedFacts;
import app.reglet.web.titles.EditionEntity;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The docket as typed: every field a text. A field that the page doesn't show is null.
 *
 * @param version the version of book and edition the page was showing, {@code 3.5}
 * @param spread pages that the count may still go either way
 * @param told the spine as the house told it
 * @param toldSource where it told so
 * @param inside any text when the inside is printed too
 * @param ownFacts facts of the publisher's own, one on a line
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
    String spread,
    String stock,
    String ink,
    String turn,
    String frontFlap,
    String backFlap,
    String told,
    String toldSource,
    String inside,
    String series,
    String number,
    String edition,
    String date,
    String language,
    String quote,
    String about,
    String ownFacts) {
  /** The fields that stand among the house's choices and come anew with them. */
  static final Set<String> CHOICES =
      Set.of(
          "trim",
          "pages",
          "spread",
          "stock",
          "ink",
          "binding",
          "frontFlap",
          "backFlap",
          "told",
          "toldSource");

  /** The fields that the page of an edition shows, each with a message of its own. */
  static List<String> fields(boolean flaps, boolean told) {
    List<String> fields =
        new ArrayList<>(
            List.of(
                "title",
                "subtitle",
                "author",
                "imprint",
                "isbn",
                "price",
                "blurb",
                "series",
                "number",
                "edition",
                "date",
                "quote",
                "about",
                "ownFacts",
                "trim",
                "pages",
                "spread",
                "stock",
                "ink",
                "binding"));
    if (flaps) {
      fields.addAll(List.of("frontFlap", "backFlap"));
    }
    if (told) {
      fields.addAll(List.of("told", "toldSource"));
    }
    return fields;
  }

  public DocketForm {
    title = text(title);
    subtitle = text(subtitle);
    author = text(author);
    imprint = text(imprint);
    blurb = text(blurb).replace("\r\n", "\n");
    isbn = text(isbn);
    price = text(price);
    trim = text(trim);
    pages = bare(pages);
    spread = bare(spread);
    frontFlap = bare(frontFlap);
    backFlap = bare(backFlap);
    told = bare(told);
    toldSource = bare(toldSource);
    series = bare(series);
    number = bare(number);
    edition = bare(edition);
    date = bare(date);
    quote = lines(quote);
    about = lines(about);
    ownFacts = lines(ownFacts);
  }

  private static String lines(String s) {
    return s == null ? null : bare(s).replace("\r\n", "\n");
  }

  /**
   * The facts as the reader wants them; a field that the page doesn't show stands as it is kept.
   *
   * @param sameTrim whether the trim stands there as it was printed
   */
  TypedFacts typed(EditionEntity e, boolean sameTrim) {
    return new TypedFacts(
        binding == null ? e.getBinding().id() : binding,
        sameTrim ? e.getTrimKept() : trim,
        pages == null ? e.getPagesTyped() : pages,
        spread,
        stock,
        ink,
        turn == null || PageTurn.byId(turn) == null ? e.getTurn().id() : turn,
        frontFlap,
        backFlap,
        told,
        toldSource,
        inside != null);
  }

  private static String text(String s) {
    return s == null ? "" : bare(s);
  }

  private static String bare(String s) {
    return s == null ? null : s.replace("\u0000", "");
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
    lengths.put("series", length(series));
    lengths.put("number", length(number));
    lengths.put("edition", length(edition));
    lengths.put("date", length(date));
    lengths.put("trim", trim.length());
    lengths.put("pages", length(pages));
    lengths.put("spread", length(spread));
    lengths.put("frontFlap", length(frontFlap));
    lengths.put("backFlap", length(backFlap));
    lengths.put("told", length(told));
    lengths.put("toldSource", length(toldSource));
    return lengths;
  }

  /** The long texts with how long they are. */
  Map<String, Integer> longTexts() {
    Map<String, Integer> lengths = new LinkedHashMap<>();
    lengths.put("blurb", blurb.length());
    lengths.put("quote", length(quote));
    lengths.put("about", length(about));
    lengths.put("ownFacts", length(ownFacts));
    return lengths;
  }

  private static int length(String s) {
    return s == null ? 0 : s.length();
  }
}
