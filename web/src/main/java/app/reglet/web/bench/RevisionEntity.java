package app.reglet.web.bench;

import app.reglet.core.design.Design;
import app.reglet.core.design.DesignDocument;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;

/** A design as it was after one change; never altered. */
@Entity
@Table(name = "revision")
public class RevisionEntity {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "edition_id")
  private Long editionId;

  private int number;
  private int parent;
  private String what;
  @Lob private String design;
  private Instant made;

  protected RevisionEntity() {}

  RevisionEntity(Long editionId, int number, int parent, String what, Design design, Instant made) {
    this.editionId = editionId;
    this.number = number;
    this.parent = parent;
    this.what = what;
    this.design = DesignDocument.write(design);
    this.made = made;
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

  public Design design() {
    return DesignDocument.read(design);
  }
}
