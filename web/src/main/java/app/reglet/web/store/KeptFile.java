package app.reglet.web.store;

import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.time.Instant;

/** What is known of a file that somebody brought and that is kept; its bytes are a file. */
@MappedSuperclass
public abstract class KeptFile {
  @Id private String id;
  private String name;
  private String facts;
  private long bytes;
  private Instant added;

  protected KeptFile() {}

  /**
   * A file.
   *
   * @param id its SHA-256 in hex, and what is meant of it where that is not all
   * @param name what it was called
   * @param facts what was read of it, as JSON
   */
  protected KeptFile(String id, String name, String facts, long bytes, Instant added) {
    this.id = id;
    this.name = name;
    this.facts = facts;
    this.bytes = bytes;
    this.added = added;
  }

  public String getId() {
    return id;
  }

  public String getName() {
    return name;
  }

  /** As JSON. */
  public String getFacts() {
    return facts;
  }

  protected void setFacts(String facts) {
    this.facts = facts;
  }

  public long getBytes() {
    return bytes;
  }

  public Instant getAdded() {
    return added;
  }
}
