package app.reglet.web.titles;

import app.reglet.core.book.Book;
import app.reglet.core.book.Isbn;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Optional;

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

  private String isbn;

  @Column(name = "isbn_typed")
  private String isbnTyped = "";

  private String price = "";
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

  /** What was typed as ISBN, right or wrong. */
  public String getIsbnTyped() {
    return isbnTyped;
  }

  public Instant getCreated() {
    return created;
  }

  /** The words of the book, all but its ISBN. */
  public void setWords(
      String title, String subtitle, String author, String imprint, String blurb, String price) {
    this.title = title;
    this.subtitle = subtitle;
    this.author = author;
    this.imprint = imprint;
    this.blurb = blurb;
    this.price = price;
  }

  /** What was typed, and the ISBN it is; null keeps none. */
  public void setIsbn(String typed, Isbn read) {
    this.isbnTyped = typed;
    this.isbn = read == null ? null : read.digits();
  }

  /** The facts as the core knows them. */
  public Book facts() {
    return new Book(
        title, subtitle, author, imprint, blurb, Optional.ofNullable(isbn).map(Isbn::new), price);
  }
}
