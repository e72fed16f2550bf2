package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.core.book.Asset;
import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.book.Further;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hibernate.annotations.OptimisticLock;

/** A title: what the book says of itself, shared by its editions. */
@Entity
@Table(name = "book")
public class BookEntity {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Version private long version;
  private String title = "";
  private String subtitle = "";
  private String author = "";
  private String imprint = "";

  @Column(length = 20_000)
  private String blurb = "";

  private String price = "";
  private String series = "";

  @Column(name = "series_number")
  private String number = "";

  @Column(length = 20_000)
  private String quote = "";

  @Column(name = "about_author", length = 20_000)
  private String about = "";

  @Column(name = "edition_words")
  private String edition = "";

  @Column(name = "published")
  private String date = "";

  private String language = "en";

  @Column(name = "own_facts", length = 20_000)
  private String own = "";

  /** The pictures that are kept with it, as JSON; no part of what the docket says. */
  @OptimisticLock(excluded = true)
  @Column(name = "pictures", length = 1_000_000)
  private String pictures = "[]";

  @OptimisticLock(excluded = true)
  @Column(name = "pictures_step")
  private long picturesStep;

  private Instant created;

  protected BookEntity() {}

  public BookEntity(String title, String author, Instant created) {
    this.title = title;
    this.author = author;
    this.created = created;
  }

  public Long getId() {
    return id;
  }

  public long getVersion() {
    return version;
  }

  public String getTitle() {
    return title;
  }

  public String getAuthor() {
    return author;
  }

  public Instant getCreated() {
    return created;
  }

  /** The words of the book. */
  public void setWords(
      String title, String subtitle, String author, String imprint, String blurb, String price) {
    this.title = title;
    this.subtitle = subtitle;
    this.author = author;
    this.imprint = imprint;
    this.blurb = blurb;
    this.price = price;
  }

  /** What else it says. */
  public void setFurther(Further further, String ownTyped) {
    this.series = further.series();
    this.number = further.number();
    this.quote = further.quote();
    this.about = further.about();
    this.edition = further.edition();
    this.date = further.date();
    this.language = further.language();
    this.own = ownTyped;
  }

  /** One fact said anew; the ISBN is an edition's. */
  public void say(Fact fact, String text) {
    switch (fact) {
      case TITLE -> title = text;
      case SUBTITLE -> subtitle = text;
      case AUTHOR -> author = text;
      case IMPRINT -> imprint = text;
      case BLURB -> blurb = text;
      case PRICE -> price = text;
      case SERIES -> series = text;
      case NUMBER -> number = text;
      case QUOTE -> quote = text;
      case ABOUT_THE_AUTHOR -> about = text;
      case EDITION -> edition = text;
      case DATE -> date = text;
      case ISBN ->
          throw new Refusal("isbn", "An ISBN is changed on the docket, where it is checked.");
    }
  }

  /** Facts of the publisher's own as they were typed, right or wrong. */
  public String getOwnTyped() {
    return own;
  }

  /** The pictures that are kept with it. */
  public List<Asset> pictures() {
    return KeptPictures.read(pictures);
  }

  /** Keeps these pictures with it. */
  public void keep(List<Asset> all) {
    pictures = KeptPictures.write(all);
    picturesStep++;
  }

  /** How often that changed. */
  long getPicturesStep() {
    return picturesStep;
  }

  /** The facts as the core knows them, without the ISBN, which its editions have. */
  public Book facts() {
    return new Book(
        title,
        subtitle,
        author,
        imprint,
        blurb,
        Optional.empty(),
        price,
        new Further(series, number, quote, about, edition, date, language, ownFacts()),
        pictures());
  }

  /** Those that were typed rightly. */
  private Map<String, String> ownFacts() {
    Map<String, String> all = new LinkedHashMap<>();
    for (String line : own.split("\n")) {
      try {
        Further.own(line).forEach(all::putIfAbsent);
      } catch (Refusal r) {
        // told where it is typed
      }
    }
    return all;
  }
}
