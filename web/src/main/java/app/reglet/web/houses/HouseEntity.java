package app.reglet.web.houses;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;

/** A house with the number of the version of its rule sheet in force. */
@Entity
@Table(name = "house")
public class HouseEntity {
  @Id private String id;
  @Version private Long version;
  private boolean shipped;
  private Instant changed;
  private int current;

  protected HouseEntity() {}

  public HouseEntity(String id, boolean shipped) {
    this.id = id;
    this.shipped = shipped;
  }

  public String getId() {
    return id;
  }

  public boolean isShipped() {
    return shipped;
  }

  /** The number of the version in force. */
  public int getCurrent() {
    return current;
  }

  public Instant getChanged() {
    return changed;
  }

  public void setCurrent(int number, Instant when) {
    this.current = number;
    this.changed = when;
  }
}
