package app.reglet.core.carry;

import java.util.Optional;

/**
 * Something that an origin is in otherwise than when a cover was carried from it.
 *
 * @param key names it among all offers of a cover: {@code title/colour}
 * @param name of what it is of, as people know it
 * @param said in what: {@code colour}, {@code new piece}, {@code taken off}
 * @param own whether the cover has gone its own way in it: then it is told and not taken by itself
 */
public record Offer(String key, String name, String said, boolean own) {
  static final String GROUND = "ground";
  static final String ORDER = "order of pieces";
  static final String COLOUR = "palette:";

  /** The id of the piece it is of; empty for the ground, the order and colours of the palette. */
  public Optional<String> piece() {
    int slash = key.lastIndexOf('/');
    String of = slash < 0 ? "" : key.substring(0, slash);
    return key.startsWith(COLOUR) || of.isEmpty() || of.equals(GROUND) || of.equals(ORDER)
        ? Optional.empty()
        : Optional.of(of);
  }
}
