package app.reglet.web.titles;

import java.util.List;

/**
 * A version of a house's rule sheet that came after the one an edition is measured by.
 *
 * @param from the version the edition keeps
 * @param to the version in force
 * @param changes what would change in figures; empty when nothing would
 */
public record NewerSheet(int from, int to, List<String> changes) {
  public NewerSheet {
    changes = List.copyOf(changes);
  }

  public String sentence() {
    return changes.isEmpty()
        ? "Every figure stays as it is."
        : "With it: " + String.join("; ", changes) + ".";
  }
}
