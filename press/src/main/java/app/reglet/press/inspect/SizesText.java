package app.reglet.press.inspect;

import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Tells which pages have which other size. */
public final class SizesText {
  /** Of many sizes so many are told, and of many runs of pages of a size so many. */
  private static final int TOLD = 12;

  private SizesText() {}

  /** {@code page 3 is 8.5 × 11 in; pages 5, 8–12 are 5 × 8 in}; empty where all are alike. */
  public static String of(List<PdfFacts.OtherSize> others, Unit unit) {
    Map<String, List<Integer>> bySize = new LinkedHashMap<>();
    for (PdfFacts.OtherSize o : others) {
      bySize.computeIfAbsent(print(o.size(), unit), s -> new ArrayList<>()).add(o.page());
    }
    List<String> said =
        bySize.entrySet().stream()
            .limit(TOLD)
            .map(
                e ->
                    (e.getValue().size() == 1 ? "page " : "pages ")
                        + runs(e.getValue())
                        + (e.getValue().size() == 1 ? " is " : " are ")
                        + e.getKey())
            .toList();
    int more = bySize.size() - said.size();
    return String.join("; ", said)
        + (more > 0 ? "; others have " + more + " further " + (more == 1 ? "size" : "sizes") : "");
  }

  private static String print(Size size, Unit unit) {
    return size.print(unit);
  }

  private static String runs(List<Integer> pages) {
    List<String> runs = new ArrayList<>();
    int from = pages.get(0);
    int last = from;
    for (int p : pages.subList(1, pages.size())) {
      if (p != last + 1) {
        runs.add(run(from, last));
        from = p;
      }
      last = p;
    }
    runs.add(run(from, last));
    return runs.size() <= TOLD
        ? String.join(", ", runs)
        : String.join(", ", runs.subList(0, TOLD)) + " and others (" + pages.size() + " in all)";
  }

  private static String run(int from, int to) {
    return from == to ? String.valueOf(from) : from + (to == from + 1 ? ", " : "–") + to;
  }
}
