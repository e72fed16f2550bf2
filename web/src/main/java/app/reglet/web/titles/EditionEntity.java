package app.reglet.web.titles;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
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
import java.util.Optional;

/**
 * One edition of a title. What was typed is kept beside the last value that could be read, so that
 * a slip is still there to mend after a reload and the drawing stands on the last good fact.
 */
@Entity
@Table(name = "edition")
public class EditionEntity {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Version private long version;

  @ManyToOne(fetch = FetchType.EAGER, optional = false)
  @JoinColumn(name = "book_id")
  private BookEntity book;

  @Column(name = "house_id")
  private String houseId;

  private String binding;
  private String trim;

  @Column(name = "trim_typed")
  private String trimTyped = "";

  private Integer pages;

  @Column(name = "pages_typed")
  private String pagesTyped = "";

  private String stock;
  private String ink;
  private String turn;
  private int revision;
  private Instant created;

  protected EditionEntity() {}

  public EditionEntity(BookEntity book, String houseId, Specification spec, Instant created) {
    this.book = book;
    this.houseId = houseId;
    this.created = created;
    setChoices(houseId, spec.binding(), spec.stock(), spec.ink(), spec.turn());
    setTrim("", spec.trim());
    setPages(
        spec.pages() > 0 ? String.valueOf(spec.pages()) : "",
        spec.pages() > 0 ? spec.pages() : null);
  }

  public Long getId() {
    return id;
  }

  public long getVersion() {
    return version;
  }

  public BookEntity getBook() {
    return book;
  }

  public String getHouseId() {
    return houseId;
  }

  public String getTrimTyped() {
    return trimTyped;
  }

  public String getPagesTyped() {
    return pagesTyped;
  }

  public Integer getPages() {
    return pages;
  }

  public String getStock() {
    return stock;
  }

  public int getRevision() {
    return revision;
  }

  public void setRevision(int revision) {
    this.revision = revision;
  }

  public Binding getBinding() {
    return Binding.byId(binding);
  }

  public PageTurn getTurn() {
    return PageTurn.byId(turn);
  }

  public Size getTrim() {
    return Size.parse(trim, Unit.MM);
  }

  /** What was chosen from lists. */
  public void setChoices(String houseId, Binding binding, String stock, String ink, PageTurn turn) {
    this.houseId = houseId;
    this.binding = binding.id();
    this.stock = stock;
    this.ink = ink;
    this.turn = turn.id();
  }

  /** What was typed, and the size it is; null keeps the last good one. */
  public void setTrim(String typed, Size read) {
    this.trimTyped = read == null ? typed : "";
    if (read != null) {
      this.trim = read.width() + " x " + read.height();
    }
  }

  /** What was typed, and the count it is; null keeps the last good one. */
  public void setPages(String typed, Integer read) {
    this.pagesTyped = typed;
    if (read != null) {
      this.pages = read;
    }
  }

  /** The facts to measure, empty while there is no page count. */
  public Optional<Specification> specification() {
    return pages == null
        ? Optional.empty()
        : Optional.of(Specification.of(getBinding(), getTrim(), pages, stock, ink, getTurn()));
  }
}
