package app.reglet.web.fonts;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** What is known of a font that somebody brought; the bytes are files. */
@Entity
@Table(name = "font")
public class FontEntity {
  @Id private String id;
  private String name;
  private String facts;
  private long bytes;
  private Instant added;

  protected FontEntity() {}

  FontEntity(String id, String name, String facts, long bytes, Instant added) {
    this.id = id;
    this.name = name;
    this.facts = facts;
    this.bytes = bytes;
    this.added = added;
  }

  public String getId() {
    return id;
  }

  /** What its file was called. */
  public String getName() {
    return name;
  }

  /** As JSON. */
  public String getFacts() {
    return facts;
  }

  void setFacts(String facts) {
    this.facts = facts;
  }

  public long getBytes() {
    return bytes;
  }

  public Instant getAdded() {
    return added;
  }
}
