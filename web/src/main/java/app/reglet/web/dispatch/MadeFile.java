package app.reglet.web.dispatch;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A state of facts and cover that files were made of, with its number. */
@Entity
@Table(name = "made_file")
class MadeFile {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "edition_id")
  private Long editionId;

  private int number;
  private String state;
  private Instant made;

  protected MadeFile() {}

  MadeFile(Long editionId, int number, String state, Instant made) {
    this.editionId = editionId;
    this.number = number;
    this.state = state;
    this.made = made;
  }

  int getNumber() {
    return number;
  }
}
