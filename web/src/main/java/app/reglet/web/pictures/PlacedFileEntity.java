package app.reglet.web.pictures;

import app.reglet.web.store.KeptFile;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;

/** What is known of a drawing or of a page of a PDF. */
@Entity
@Table(name = "placed_file")
public class PlacedFileEntity extends KeptFile {
  protected PlacedFileEntity() {}

  PlacedFileEntity(String id, String name, String facts, long bytes, Instant added) {
    super(id, name, facts, bytes, added);
  }

  /**
   * Takes what is known now, which an earlier version may not have looked at.
   *
   * @return whether that is more, or other, than was known
   */
  boolean learn(String facts) {
    boolean other = !facts.equals(getFacts());
    setFacts(facts);
    return other;
  }
}
