package app.reglet.web.carry;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Which design, made for which facts, a cover follows its facts from. */
@Entity
@Table(name = "refitted")
class RefittedEntity {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  @Id
  @Column(name = "edition_id")
  private Long editionId;

  @Column(name = "base_revision")
  private int baseRevision;

  @Column(name = "base_facts")
  private String baseFacts;

  private int revision;
  private Instant made;

  protected RefittedEntity() {}

  RefittedEntity(
      Long editionId, int baseRevision, Map<String, String> baseFacts, int revision, Instant made) {
    this.editionId = editionId;
    this.baseRevision = baseRevision;
    this.baseFacts = JSON.writeValueAsString(baseFacts);
    this.revision = revision;
    this.made = made;
  }

  /** The design that somebody made. */
  int getBaseRevision() {
    return baseRevision;
  }

  /** The facts it was made for, by column. */
  Map<String, String> baseFacts() {
    return JSON.readValue(baseFacts, new TypeReference<TreeMap<String, String>>() {});
  }

  /** The design that came of it, while nobody changed that. */
  int getRevision() {
    return revision;
  }

  /** When it came of it. */
  Instant getMade() {
    return made;
  }
}
