package app.reglet.web.pictures;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** What is known of a drawing or of a page of a PDF; the bytes are a file. */
@Entity
@Table(name = "placed_file")
public class PlacedFileEntity {
  @Id private String id;
  private String name;
  private String facts;
  private long bytes;
  private Instant added;

  protected PlacedFileEntity() {}

  PlacedFileEntity(String id, String name, String facts, long bytes, Instant added) {
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

  public long getBytes() {
    return bytes;
  }

  public Instant getAdded() {
    return added;
  }
}
