package app.reglet.press.type;

import java.util.List;
import java.util.Set;

/**
 * A family of typefaces.
 *
 * @param id short name, {@code eb-garamond}
 * @param name people read, {@code EB Garamond}
 * @param classification what kind of letters
 * @param genres the covers it is at home on
 * @param faces its faces, the one that is usual first
 * @param goesWith ids of families that go with it on one cover
 */
public record Family(
    String id,
    String name,
    Classification classification,
    Set<Genre> genres,
    List<Typeface> faces,
    List<String> goesWith) {

  /** The face of the same style as another, else the usual one. */
  public Typeface like(Typeface other) {
    return faces.stream()
        .filter(f -> f.style().equals(other.style()))
        .findFirst()
        .orElse(faces.get(0));
  }
}
