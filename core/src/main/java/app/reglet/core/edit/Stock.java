package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.design.CutOut;
import app.reglet.core.design.Treatment.Levels;
import app.reglet.core.layout.Dress;
import java.util.List;
import java.util.Optional;

/** What there is to choose from on the bench. */
@FunctionalInterface
public interface Stock {
  /** Whether there is this typeface. */
  boolean hasFace(String id);

  /** The name and the box of an ornament, in any unit; empty when there is none. */
  default Optional<Ornament> ornament(String id) {
    return Optional.empty();
  }

  /**
   * Levels that spread a picture's tones from black to white.
   *
   * @throws Refusal when it has but one tone
   */
  default Levels levels(String sha) {
    return Levels.NONE;
  }

  /**
   * The outline of a picture's subject, proposed from its colours and edges.
   *
   * @param marks what somebody said of it
   * @throws Refusal when no subject is found
   */
  default List<CutOut.Contour> proposed(String sha, CutMarks marks) {
    return List.of();
  }

  /** An outline with marks painted into it. */
  default List<CutOut.Contour> painted(String sha, List<CutOut.Contour> before, CutMarks marks) {
    return List.of();
  }

  /** The colours that a picture is mostly of; none when it is not here. */
  default List<Colour.Rgb> colours(String sha) {
    return List.of();
  }

  /** Whether there is the picture with this SHA-256. */
  default boolean hasPicture(String sha) {
    return false;
  }

  /** A picture's width by its height, upright; a square's when it is not here. */
  default double proportion(String sha) {
    return 1;
  }

  /** A picture as a layout shows it, empty when it is not here. */
  default Optional<Dress.Shown> shown(String sha) {
    return Optional.empty();
  }

  /** How many pages a PDF has that was brought; 0 for one that is not here. */
  default int pages(String sha) {
    return 0;
  }

  /** An ornament that there is. */
  public record Ornament(String name, double width, double height) {}
}
