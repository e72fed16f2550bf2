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

  protected HouseVersion() {}

  public HouseVersion(Key key, String document, Instant published) {
    this.key = key;
    this.document = document;
    this.published = published;
  }

  public Key getKey() {
    return key;
  }

  public String getDocument() {
    return document;
  }

  public Instant getPublished() {
    return published;
  }
}
