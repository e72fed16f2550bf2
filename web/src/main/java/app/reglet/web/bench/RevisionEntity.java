package app.reglet.web.bench;

import app.reglet.core.Refusal;
import app.reglet.core.design.Design;
import app.reglet.core.design.document.DesignDocument;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Locale;

/** A design as it was after one change; never altered. */
@Entity
@Table(name = "revision")
public class RevisionEntity {
  /** Most characters of a design's document. */
  static final int LONGEST_DESIGN = 1_000_000;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "edition_id")
  private Long editionId;

  private int number;
  private int parent;
  private String what;

  @Column(length = LONGEST_DESIGN)
  private String design;

  private Instant made;

  @Column(name = "by_name")
  private String by = "";

  protected RevisionEntity() {}

  /**
   * A new revision.
   *
   * @throws Refusal when the design is too large to be kept
   */
  RevisionEntity(
      Long editionId, int number, int parent, String what, Design design, Instant made, String by) {
    this.editionId = editionId;
    this.number = number;
    this.parent = parent;
    this.what = what;
    this.design = DesignDocument.write(design);
    if (this.design.length() > LONGEST_DESIGN) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "This cover would take %,d characters to keep; at most %,d are kept. Take pieces off or shorten their words.",
              this.design.length(),
              LONGEST_DESIGN));
    }
    this.made = made;
    this.by = by;
  }

  public int getNumber() {
    return number;
  }

  public int getParent() {
    return parent;
  }

  /** The change that made it, {@code Title moved}. */
  public String getWhat() {
    return what;
  }

  public Instant getMade() {
    return made;
  }

  /** Who made it; empty when Reglet was open to its machine then. */
  public String getBy() {
    return by;
  }

  public Design design() {
    return DesignDocument.read(design);
  }
}
