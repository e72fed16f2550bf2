package app.reglet.core.book;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What a book says of itself. Words on a cover refer to these, so a title is changed once and
 * front, spine and listing follow. Absent texts are empty strings.
 *
 * @param price as printed, with its currency: {@code £14.99}
 * @param further what else it says
 * @param pictures that are kept with it, or those of them that a cover shows
 */
public record Book(
    String title,
    String subtitle,
    String author,
    String imprint,
    String blurb,
    Optional<Isbn> isbn,
    String price,
    Further further,
    List<Asset> pictures) {
  /** The name in braces that stands for the credits owed. */
  public static final String CREDITS = "credits";

  /** The name in braces that stands for the first letter of the title. */
  public static final String INITIAL = "initial";

  /** The name in braces that stands for the first paragraph of the blurb. */
  public static final String BEGINNING = "beginning of the blurb";

  /** The name in braces that stands for what follows the first paragraph of the blurb. */
  public static final String REST = "rest of the blurb";

  private static final Pattern PARAGRAPH = Pattern.compile("\\s*\\R\\s*");

  private static final Pattern ARTICLE = Pattern.compile("(?i)^(the|an|a)\\s+(?=\\S)");

  public Book {
    pictures = List.copyOf(pictures);
  }

  /** A book without pictures. */
  public Book(
      String title,
      String subtitle,
      String author,
      String imprint,
      String blurb,
      Optional<Isbn> isbn,
      String price,
      Further further) {
    this(title, subtitle, author, imprint, blurb, isbn, price, further, List.of());
  }

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

  /** The same as a cover shows it, with nothing but its pictures, each once. */
  public Book showing(Set<String> shas) {
    List<Asset> shown =
        shas.stream()
            .map(
                sha ->
                    pictures.stream()
                        .filter(a -> a.sha().equals(sha))
                        .findFirst()
                        .orElse(Asset.of(sha, "a picture")))
            .toList();
    return with(shown);
  }

  /** The same with other pictures. */
  public Book with(List<Asset> other) {
    return new Book(title, subtitle, author, imprint, blurb, isbn, price, further, other);
  }

  /** The same of an edition with this ISBN. */
  public Book with(Optional<Isbn> of) {
    return new Book(title, subtitle, author, imprint, blurb, of, price, further, pictures);
  }

  /** The credit lines that are owed, each once. */
  public String credits() {
    return pictures.stream()
        .filter(Asset::owesCredit)
        .map(a -> a.credit().strip())
        .filter(c -> !c.isEmpty())
        .distinct()
        .collect(Collectors.joining(" · "));
  }

  /**
   * The first letter of the title; an English article before it counts as little as it does in a
   * catalogue (MARC 21, nonfiling characters; from memory). Empty where the title has no letter.
   */
  public String initial() {
    String bare = ARTICLE.matcher(title.strip()).replaceFirst("");
    return bare.codePoints()
        .filter(Character::isLetterOrDigit)
        .mapToObj(Character::toString)
        .findFirst()
        .orElse("");
  }

  /** The first paragraph of the blurb. */
  public String beginning() {
    return PARAGRAPH.split(blurb.strip(), 2)[0];
  }

  /** What follows the first paragraph of the blurb; empty where that is all. */
  public String rest() {
    String[] parts = PARAGRAPH.split(blurb.strip(), 2);
    return parts.length < 2 ? "" : parts[1];
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
