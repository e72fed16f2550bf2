package app.reglet.web.houses;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;

/** One published version of a rule sheet: its document, never changed again. */
@Entity
@Table(name = "house_version")
public class HouseVersion {
  /** Which version of which sheet, counted from 1. */
  @Embeddable
  public record Key(@Column(name = "house_id") String houseId, int number)
      implements Serializable {}

  @EmbeddedId private Key key;
  @Lob private String document;
  private Instant published;

  @Column(name = "by_name")
  private String by = "";

  protected HouseVersion() {}

  public HouseVersion(Key key, String document, Instant published, String by) {
    this.key = key;
    this.document = document;
    this.published = published;
    this.by = by;
  }

  public Key getKey() {
    return key;
  }

  public String getDocument() {
    return document;
  }

  /** Who published it; empty for a shipped one, and when Reglet was open to its machine. */
  public String getBy() {
    return by;
  }

  public Instant getPublished() {
    return published;
  }
}
