package app.reglet.web.fonts;

import app.reglet.press.font.FontFacts;
import app.reglet.press.type.BroughtFaces;

/**
 * A font that somebody brought.
 *
 * @param sha SHA-256 of its file, in hex
 * @param fileName what that was called
 */
public record Brought(String sha, String fileName, FontFacts facts) {
  /** Whether a face is of it. */
  public boolean has(String face) {
    return facts.faces().stream().anyMatch(f -> BroughtFaces.id(f).equals(face));
  }

  /** What it is, as a sentence. */
  public String said() {
    int faces = facts.faces().size();
    String all = facts.family() + ": " + (faces == 1 ? "one face." : faces + " faces.");
    String notes = String.join(" ", facts.notes());
    return all + " " + facts.embedding().said() + (notes.isEmpty() ? "" : " " + notes);
  }
}
