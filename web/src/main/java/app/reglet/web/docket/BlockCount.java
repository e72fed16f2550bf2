package app.reglet.web.docket;

import app.reglet.core.house.BindingRules;
import app.reglet.core.house.PageCounts;
import app.reglet.web.titles.EditionEntity;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;

/**
 * The page count of a book block's file beside the docket's.
 *
 * @param found pages in the file
 * @param sentence how it differs from what was typed, and what the house binds instead
 * @param choices counts worth taking, the file's own first; empty when the docket has it already
 */
public record BlockCount(int found, String sentence, Set<Integer> choices) {

  /** Sets a count against an edition and what its house binds. */
  static BlockCount of(int found, EditionEntity e, BindingRules rules) {
    Integer typed = e.getPages();
    StringBuilder out =
        new StringBuilder("The file has " + found + (found == 1 ? " page" : " pages"));
    if (typed == null) {
      out.append("; the docket has no count yet.");
    } else if (typed == found) {
      out.append(", as the docket says.");
    } else {
      out.append("; the docket says ")
          .append(typed)
          .append(", ")
          .append(Math.abs(typed - found))
          .append(typed > found ? " more." : " fewer.");
    }
    Set<Integer> choices = new LinkedHashSet<>();
    PageCounts counts = PageCounts.of(e.specification(found), rules);
    if (counts.allows(found)) {
      choices.add(found);
    } else {
      Optional<Integer> above = counts.above(found);
      above.ifPresent(
          n -> {
            out.append(" The house does not bind ")
                .append(found)
                .append("; with ")
                .append(n - found)
                .append(n - found == 1 ? " blank page it is " : " blank pages it is ")
                .append(n)
                .append('.');
            choices.add(n);
          });
      choices.add(found);
    }
    if (typed != null) {
      choices.remove(typed);
    }
    return new BlockCount(found, out.toString(), choices);
  }
}
