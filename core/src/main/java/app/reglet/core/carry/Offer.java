package app.reglet.core.carry;

/**
 * Something that an origin is in otherwise than when a cover was carried from it.
 *
 * @param key names it among all offers of a cover: {@code title/colour}
 * @param name of what it is of, as people know it
 * @param said in what: {@code colour}, {@code new piece}, {@code taken off}
 * @param own whether the cover has gone its own way in it: then it is told and not taken by itself
 */
public record Offer(String key, String name, String said, boolean own) {}
