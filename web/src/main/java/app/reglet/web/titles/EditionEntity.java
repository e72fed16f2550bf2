package app.reglet.web.titles;

import app.reglet.core.book.Book;
import app.reglet.core.book.Specification;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Map;

/** One edition of a title: its facts, and the revision of its cover that is in force. */
@Entity
@Table(name = "edition")
public class EditionEntity extends EditionFacts {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Version private long version;

  @ManyToOne(fetch = FetchType.EAGER, optional = false)
  @JoinColumn(name = "book_id")
  private BookEntity book;

  /** Moved by {@link Editions#lay} alone: a change of the cover is no change of the docket. */
  @Column(updatable = false)
  private int revision;

  private Instant created;

  /** When it was taken away; null while it is there. */
  @Column(name = "taken_away")
  private Instant takenAway;

  protected EditionEntity() {}

  /** An edition with these facts, measured by this version of a house's sheet. */
  public EditionEntity(
      BookEntity book, String houseId, int houseVersion, Specification spec, Instant created) {
    this.book = book;
    this.created = created;
    setHouse(houseId, houseVersion);
    setChoices(spec.binding(), spec.stock(), spec.ink(), spec.turn());
    setTrim("", spec.trim());
    setPages(
        spec.pages() > 0 ? String.valueOf(spec.pages()) : "",
        spec.pages() > 0 ? spec.pages() : null);
    setFlaps(spec.flaps());
    spec.toldSpine().ifPresent(t -> setToldSpine("", t.width(), t.source()));
    setInsidePrinted(spec.insidePrinted());
  }

  public Instant getCreated() {
    return created;
  }

  /** A new edition with facts as {@link EditionFacts#columns} gives them. */
  public static EditionEntity begun(BookEntity book, Map<String, String> facts, Instant created) {
    EditionEntity e = new EditionEntity();
    e.book = book;
    e.created = created;
    e.take(facts);
    return e;
  }

  /**
   * The same edition with some of its facts as they stand in columns; it is not stored.
   *
   * @param columns names and texts, see {@link EditionFacts#columns}
   */
  public EditionEntity as(Map<String, String> columns) {
    EditionEntity e = new EditionEntity();
    e.id = id;
    e.version = version;
    e.book = book;
    e.revision = revision;
    e.created = created;
    e.takenAway = takenAway;
    e.take(columns());
    e.take(columns);
    return e;
  }

  public Long getId() {
    return id;
  }

  /** When it was taken away; null while it is there. */
  public Instant getTakenAway() {
    return takenAway;
  }

  /** Takes it away, or with null puts it back. */
  public void setTakenAway(Instant when) {
    this.takenAway = when;
  }

  public long getVersion() {
    return version;
  }

  public BookEntity getBook() {
    return book;
  }

  /** What its cover says: the title's facts with its own ISBN. */
  public Book printed() {
    return book.facts().with(getIsbn());
  }

  public int getRevision() {
    return revision;
  }

  /** What {@link Editions#lay} stored. */
  public void laid(int revision) {
    this.revision = revision;
  }
}
