package app.reglet.web.profiles;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;

/** An ICC profile of a press that somebody brought. */
@Entity
@Table(name = "press_profile")
class ProfileEntity {
  @Id private String id;

  private String title;
  private String sha;
  @Lob private byte[] icc;
  private Instant added;

  protected ProfileEntity() {}

  ProfileEntity(String id, String title, String sha, byte[] icc, Instant added) {
    this.id = id;
    this.title = title;
    this.sha = sha;
    this.icc = icc.clone();
    this.added = added;
  }

  String getId() {
    return id;
  }

  String getTitle() {
    return title;
  }

  byte[] getIcc() {
    return icc.clone();
  }
}
