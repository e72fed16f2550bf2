package app.reglet.web.bench;

import app.reglet.core.design.document.DesignDocument;
import app.reglet.core.edit.Look;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A look that somebody saved from a cover, for others. */
@Entity
@Table(name = "look")
public class LookEntity {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String name;
  private String design;

  @Column(name = "front_width")
  private long frontWidth;

  @Column(name = "front_height")
  private long frontHeight;

  private Instant made;

  protected LookEntity() {}

  LookEntity(String name, Look look, Instant made) {
    this.name = name;
    this.made = made;
    this.design = DesignDocument.write(look.design());
    this.frontWidth = look.front().width().quanta();
    this.frontHeight = look.front().height().quanta();
  }

  public Long getId() {
    return id;
  }

  public String getName() {
    return name;
  }

  public Instant getMade() {
    return made;
  }

  Look look() {
    return new Look(
        DesignDocument.read(design), new Size(new Length(frontWidth), new Length(frontHeight)));
  }
}
