package app.reglet.core.house;

import java.util.Optional;

/**
 * What an odd page count becomes at a house. Two pages make a leaf, so an odd count leaves the last
 * side blank; houses tell it differently (common practice, no single source).
 */
public enum OddCount {
  /** The sheet doesn't say: the multiple of its page limit decides. */
  AS_LIMITED("as the limit says"),
  /** It is refused. */
  REFUSE("an odd count is refused"),
  /** It is measured as typed. */
  AS_TYPED("an odd count is bound as typed"),
  /** A blank side is added, and measured with. */
  BLANK_SIDE("an odd count gets a blank side more");

  private final String sentence;

  OddCount(String sentence) {
    this.sentence = sentence;
  }

  /** The sides that are bound when so many pages are handed in. */
  public int bound(int pages) {
    return this == BLANK_SIDE && pages % 2 != 0 ? pages + 1 : pages;
  }

  /** Whether a count is refused for being odd, whatever the limits say. */
  boolean refuses(int pages) {
    return this == REFUSE && pages % 2 != 0;
  }

  /** What the sheet says, for people; empty when it doesn't. */
  public Optional<String> print() {
    return this == AS_LIMITED ? Optional.empty() : Optional.of(sentence);
  }
}
