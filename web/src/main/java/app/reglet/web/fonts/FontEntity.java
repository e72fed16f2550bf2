package app.reglet.web.fonts;

import app.reglet.web.store.KeptFile;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;

/** What is known of a font that somebody brought. */
@Entity
@Table(name = "font")
public class FontEntity extends KeptFile {
  protected FontEntity() {}

  FontEntity(String id, String name, String facts, long bytes, Instant added) {
    super(id, name, facts, bytes, added);
  }

  /** It has another face. */
  void become(String facts) {
    setFacts(facts);
  }
}
