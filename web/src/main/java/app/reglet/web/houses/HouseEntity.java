package app.reglet.web.houses;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;

/** A rule sheet as its document. */
@Entity
@Table(name = "house")
public class HouseEntity {
  @Id private String id;
  @Lob private String document;
  private boolean shipped;
  private Instant changed;

  protected HouseEntity() {}

  public HouseEntity(String id, String document, boolean shipped, Instant changed) {
    this.id = id;
    this.document = document;
    this.shipped = shipped;
    this.changed = changed;
  }

  public String getId() {
    return id;
  }

  public String getDocument() {
    return document;
  }

  public boolean isShipped() {
    return shipped;
  }
}
