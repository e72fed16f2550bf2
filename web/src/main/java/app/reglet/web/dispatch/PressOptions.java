package app.reglet.web.dispatch;

import app.reglet.core.Refusal;
import app.reglet.core.house.PressRules;
import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;

/**
 * How somebody wants press files this time, where that is other than the house's rule sheet says.
 *
 * @param standard of files; empty for the house's
 * @param pages {@code house} as it takes them, {@code apart}, or the id of one page alone
 * @param ppi of the whole sheet as one picture; 0 as the house has it
 * @param marks those of the printer that are asked for
 */
record PressOptions(String standard, String pages, int ppi, TreeSet<String> marks) {
  static final PressOptions HOUSE = new PressOptions("", "house", 0, new TreeSet<>());
  static final List<String> MARKS = List.of("crop", "bleed", "fold", "bar", "slug");

  private static final int LEAST_PPI = 100;
  private static final int MOST_PPI = 1200;

  /**
   * Reads what was chosen.
   *
   * @throws Refusal when there is no such thing to choose
   */
  static PressOptions of(String standard, String pages, String ppi, List<String> marks) {
    if (!standard.isEmpty()) {
      standard(standard);
    }
    if (!List.of("house", "apart").contains(pages)
        && Arrays.stream(FilePage.values()).noneMatch(p -> p.id().equals(pages))) {
      throw new Refusal(
          "pages", "A cover is made as the house takes it, apart, or the spine alone.");
    }
    int fine = 0;
    if (!ppi.isBlank()) {
      if (!ppi.strip().matches("\\d{1,4}")
          || Integer.parseInt(ppi.strip()) != 0 && Integer.parseInt(ppi.strip()) < LEAST_PPI
          || Integer.parseInt(ppi.strip()) > MOST_PPI) {
        throw new Refusal(
            "ppi",
            "The whole sheet as one picture has "
                + LEAST_PPI
                + " to "
                + MOST_PPI
                + " ppi, or none is made.");
      }
      fine = Integer.parseInt(ppi.strip());
    }
    TreeSet<String> asked = new TreeSet<>(marks);
    if (!MARKS.containsAll(asked)) {
      throw new Refusal("marks", "Marks are " + String.join(", ", MARKS) + ".");
    }
    return new PressOptions(standard, pages, fine, asked);
  }

  private static PressRules.Standard standard(String id) {
    return Arrays.stream(PressRules.Standard.values())
        .filter(s -> s.id().equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                new Refusal(
                    "standard",
                    "“" + id + "” is no standard of press files here: x1a, x4 or plain."));
  }

  /** The house's rules with what was chosen. */
  PressRules on(PressRules house) {
    PressRules rules = standard.isEmpty() ? house : house.in(standard(standard));
    return ppi == 0 ? rules : rules.asPicture(ppi);
  }

  /**
   * The pages that are files of their own: the inside goes behind a whole outside, else alone.
   *
   * @throws Refusal when the cover has no such page
   */
  List<Wrap> pages(Wrap outside) {
    List<Wrap> all = FilePages.of(outside);
    if (pages.equals("house")) {
      return all.get(0).page() == FilePage.OUTSIDE ? all.subList(0, 1) : all;
    }
    List<Wrap> apart = FilePages.apart(outside);
    if (pages.equals("apart")) {
      return apart;
    }
    List<Wrap> one = apart.stream().filter(p -> p.page().id().equals(pages)).toList();
    if (one.isEmpty()) {
      throw new Refusal("pages", "This cover has no " + pages + " to be made alone.");
    }
    return one;
  }

  /** Whether all is as the house has it. */
  public boolean isAsHouse() {
    return equals(HOUSE);
  }

  /** In one word, for orders; {@link #parse} reads it. */
  String text() {
    return standard + ";" + pages + ";" + ppi + ";" + String.join(",", marks);
  }

  static PressOptions parse(String text) {
    String[] p = text.split(";", -1);
    return of(p[0], p[1], p[2], p[3].isEmpty() ? List.of() : List.of(p[3].split(",")));
  }
}
