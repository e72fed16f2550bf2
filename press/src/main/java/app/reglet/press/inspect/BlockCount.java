package app.reglet.press.inspect;

import app.reglet.core.house.PageCounts;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;

/**
 * The page count of a book block's file beside the docket's; {@link BlockFitText} makes the
 * sentence.
 *
 * @param found pages in the file
 * @param typed pages on the docket, empty when none are typed
 * @param allowed whether the house binds the file's count
 * @param above the nearest count above it that the house binds, itself when it is allowed
 * @param below the nearest count below it that the house binds, itself when it is allowed
 * @param blankAtEnd how many of its last pages have nothing on them
 */
public record BlockCount(
    int found,
    Optional<Integer> typed,
    boolean allowed,
    Optional<Integer> above,
    Optional<Integer> below,
    int blankAtEnd) {

  /** Sets a count against the docket's and what the house binds. */
  public static BlockCount of(BlockFacts file, Optional<Integer> typed, PageCounts counts) {
    int found = file.pdf().pages();
    return new BlockCount(
        found,
        typed,
        counts.allows(found),
        counts.above(found),
        counts.below(found),
        file.blankAtEnd());
  }

  /**
   * Counts worth taking: what the house binds with blank pages added, and the file's own; without
   * the docket's.
   */
  public Set<Integer> choices() {
    Set<Integer> choices = new LinkedHashSet<>();
    above.ifPresent(choices::add);
    choices.add(found);
    typed.ifPresent(choices::remove);
    return choices;
  }
}
