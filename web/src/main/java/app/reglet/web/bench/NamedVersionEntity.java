package app.reglet.web.bench;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A name that somebody gave to a revision of a cover. */
@Entity
@Table(name = "named_version")
public class NamedVersionEntity {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "edition_id")
  private Long editionId;

  private int number;
  private String name;
  private String note;
  private Instant made;

  @Column(name = "by_name")
  private String by;

  protected NamedVersionEntity() {}

  NamedVersionEntity(
      Long editionId, int number, String name, String note, Instant made, String by) {
    this.editionId = editionId;
    this.number = number;
    this.name = name;
    this.note = note;
    this.made = made;
    this.by = by;
  }

  public Long getId() {
    return id;
  }

  /** The revision it names. */
  public int getNumber() {
    return number;
  }

  public String getName() {
    return name;
  }

  public String getNote() {
    return note;
  }

  public Instant getMade() {
    return made;
  }

  /** Who named it; empty when Reglet was open to its machine then. */
  public String getBy() {
    return by;
  }
}
