package app.reglet.web.pictures;

import app.reglet.press.picture.Picture;
import app.reglet.press.reading.FileBytes;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** What is known of a stored picture; its bytes are a file. */
@Entity
@Table(name = "picture")
public class PictureEntity {
  @Id private String sha;
  private String name;
  private String format;
  private int width;
  private int height;
  private int orientation;
  private int mean;
  private long bytes;
  private Instant added;

  protected PictureEntity() {}

  PictureEntity(Picture p, String name, long bytes, Instant added) {
    this.sha = p.sha();
    this.name = name;
    this.format = p.format().name();
    this.width = p.width();
    this.height = p.height();
    this.orientation = p.orientation();
    this.mean = p.mean();
    this.bytes = bytes;
    this.added = added;
  }

  public String getSha() {
    return sha;
  }

  public String getName() {
    return name;
  }

  public int getWidth() {
    return width;
  }

  public int getHeight() {
    return height;
  }

  public long getBytes() {
    return bytes;
  }

  Picture picture(FileBytes file) {
    return new Picture(sha, Picture.Format.valueOf(format), width, height, orientation, mean, file);
  }
}
