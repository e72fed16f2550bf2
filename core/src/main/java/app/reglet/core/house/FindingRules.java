package app.reglet.core.house;

import app.reglet.core.Refusal;
import app.reglet.core.act.Act;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * Which findings stop a file at a house and which only advise, where that is other than usual.
 *
 * @param stops codes of those that must be mended there
 * @param advises codes of those that may be as they are
 */
public record FindingRules(Set<String> stops, Set<String> advises) {
  /** As everywhere. */
  public static final FindingRules USUAL = new FindingRules(Set.of(), Set.of());

  public FindingRules {
    stops = Set.copyOf(stops);
    advises = Set.copyOf(advises);
  }

  /**
   * Reads a list of codes.
   *
   * @param typed with commas or spaces between them; empty for none
   * @throws Refusal naming what is no code, and those that there are
   */
  static Set<String> codes(String typed) {
    Set<String> codes = new LinkedHashSet<>();
    for (String code : typed.strip().split("[,\\s]+")) {
      if (!code.isEmpty() && !Act.codes().contains(code)) {
        throw new Refusal(
            "no finding is called “"
                + (code.length() > 40 ? code.substring(0, 40) + "…" : code)
                + "”. There are: "
                + String.join(", ", new TreeSet<>(Act.codes()))
                + ".");
      }
      if (!code.isEmpty()) {
        codes.add(code);
      }
    }
    return codes;
  }

  /** {@code picture-soft stops; families-many only advises}; empty where all is as everywhere. */
  public String print() {
    String stop = new TreeSet<>(stops).stream().collect(Collectors.joining(", "));
    String advise = new TreeSet<>(advises).stream().collect(Collectors.joining(", "));
    return (stop.isEmpty() ? "" : "Stops here: " + stop + ".")
        + (stop.isEmpty() || advise.isEmpty() ? "" : " ")
        + (advise.isEmpty() ? "" : "Only advises here: " + advise + ".");
  }
}
