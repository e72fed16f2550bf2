package app.reglet.press.compose;

import app.reglet.press.ornament.Ornament;
import app.reglet.press.picture.Picture;
import java.util.Optional;

/** Where pictures are kept, and what else people bring to put on covers. */
@FunctionalInterface
public interface Pictures {
  /** The picture with this SHA-256, if it is there. */
  Optional<Picture> find(String sha);

  /** The drawing with this SHA-256, if it is there. */
  default Optional<Ornament> drawing(String sha) {
    return Optional.empty();
  }

  /**
   * A page of the PDF with this SHA-256, if it is there.
   *
   * @param number from 1
   */
  default Optional<PageOfFile> page(String sha, int number) {
    return Optional.empty();
  }

  Pictures NONE = sha -> Optional.empty();
}
