package app.reglet.core.carry;

import java.util.OptionalDouble;

/** What is known of the pictures of a design. */
@FunctionalInterface
public interface Proportions {
  /** Nothing is. */
  Proportions UNKNOWN = sha -> OptionalDouble.empty();

  /** Width over height of a picture, upright; empty where its file is not here. */
  OptionalDouble of(String sha);
}
