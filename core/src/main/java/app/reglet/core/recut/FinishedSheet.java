package app.reglet.core.recut;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Size;
import java.util.Optional;

/**
 * A cover made elsewhere, of which there is only the finished file.
 *
 * @param sha the SHA-256 of the file
 * @param page of a PDF, from 1; 0 for a picture
 * @param ratio its width over its height
 * @param size of a PDF's page; empty for a picture, which has none of its own
 */
public record FinishedSheet(String sha, int page, double ratio, Optional<Size> size) {
  public FinishedSheet {
    if (!(ratio > 0.01 && ratio < 100)) {
      throw new Refusal(
          "file", "This file is no cover: it is " + ratio + " times as wide as high.");
    }
  }
}
