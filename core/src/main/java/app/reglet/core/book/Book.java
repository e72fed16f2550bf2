package app.reglet.core.book;

import java.util.Optional;

/**
 * What a book says of itself. Words on a cover refer to these, so a title is changed once and
 * front, spine and listing follow. Absent texts are empty strings.
 *
 * @param price as printed, with its currency: {@code £14.99}
 * @param further what else it says
 */
public record Book(
    String title,
    String subtitle,
    String author,
    String imprint,
    String blurb,
    Optional<Isbn> isbn,
    String price,
    Further further) {
  /** A book that says nothing further. */
  public Book(
      String title,
      String subtitle,
      String author,
      String imprint,
      String blurb,
      Optional<Isbn> isbn,
      String price) {
    this(title, subtitle, author, imprint, blurb, isbn, price, Further.NONE);
  }

  /** The text of one fact. */
  public String text(Fact fact) {
    return switch (fact) {
      case TITLE -> title;
      case SUBTITLE -> subtitle;
      case AUTHOR -> author;
      case IMPRINT -> imprint;
      case BLURB -> blurb;
      case PRICE -> price;
      case SERIES -> further.series();
      case NUMBER -> further.number();
      case ISBN -> isbn.map(Isbn::print).orElse("");
      case QUOTE -> further.quote();
      case ABOUT_THE_AUTHOR -> further.about();
      case EDITION -> further.edition();
      case DATE -> further.date();
    };
  }
}
