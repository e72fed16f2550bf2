package app.reglet.web.houses;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;

/** A rule sheet being written: its document as far as it has come, right or wrong. */
@Entity
@Table(name = "house_draft")
public class HouseDraft {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Version private long version;

  @Column(name = "house_id")
  private String houseId;

  private String name;
  @Lob private String document;
  private Instant changed;

  protected HouseDraft() {}

  /**
   * @param houseId the house this is to be the next version of; null for a new one
   */
  public HouseDraft(String houseId, String name, String document, Instant changed) {
    this.houseId = houseId;
    write(name, document, changed);
  }

  public Long getId() {
    return id;
  }

  public long getVersion() {
    return version;
  }

  public String getHouseId() {
    return houseId;
  }

  public String getName() {
    return name;
  }

  public String getDocument() {
    return document;
  }

  public Instant getChanged() {
    return changed;
  }

  /** What is written now. */
  public void write(String newName, String newDocument, Instant when) {
    this.name = newName;
    this.document = newDocument;
    this.changed = when;
  }
}
