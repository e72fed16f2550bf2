package app.reglet.web.carry;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** Where a cover was carried from. */
@Entity
@Table(name = "carried")
public class CarriedEntity {
  @Id
  @Column(name = "edition_id")
  private Long editionId;

  @Column(name = "origin_id")
  private Long originId;

  @Column(name = "origin_revision")
  private int originRevision;

  private int revision;
  private Instant made;

  protected CarriedEntity() {}

  CarriedEntity(Long editionId, Long originId, int originRevision, int revision, Instant made) {
    this.editionId = editionId;
    this.originId = originId;
    this.originRevision = originRevision;
    this.revision = revision;
    this.made = made;
  }

  public Long getEditionId() {
    return editionId;
  }

  /** The edition it was carried from. */
  public Long getOriginId() {
    return originId;
  }

  /** The revision of that edition's design. */
  public int getOriginRevision() {
    return originRevision;
  }

  /** The revision of its own design that came of it. */
  public int getRevision() {
    return revision;
  }

  public Instant getMade() {
    return made;
  }
}
