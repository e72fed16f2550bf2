package app.reglet.press.compose;

import app.reglet.press.picture.Picture;
import java.util.Optional;

/** Where pictures are kept. */
@FunctionalInterface
public interface Pictures {
  /** The picture with this SHA-256, if it is there. */
  Optional<Picture> find(String sha);

  Pictures NONE = sha -> Optional.empty();
}
