package app.reglet.web.preflight;

import app.reglet.core.act.Act;
import app.reglet.core.check.Finding;
import app.reglet.press.svg.GuidedSvg;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.LetBeEntity;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What is found of a cover, by what a person does about it.
 *
 * @param groups those in which something is found
 * @param safe how many can be mended together, with nothing to judge
 */
public record Preflight(List<Group> groups, long safe) {
  /** What is done about some findings. */
  public record Group(String title, List<Line> lines) {}

  /**
   * A finding.
   *
   * @param number as the sheet shows it
   * @param inside whether it is of the sheet's inside
   */
  public record Line(int number, Finding finding, boolean inside) {
    /** What tells it from others of its kind and piece. */
    public String said() {
      return LetBeEntity.said(finding);
    }
  }

  /** That of a cover's outside, its inside's findings after its own. */
  public static Preflight of(Cover cover) {
    Map<Act, List<Line>> groups = new EnumMap<>(Act.class);
    int number = 0;
    for (Finding f : cover.findings()) {
      number++;
      groups.computeIfAbsent(f.act(), a -> new ArrayList<>()).add(new Line(number, f, false));
    }
    for (Finding f : cover.beyond()) {
      number++;
      groups.computeIfAbsent(f.act(), a -> new ArrayList<>()).add(new Line(number, f, true));
    }
    return new Preflight(
        groups.entrySet().stream().map(g -> new Group(g.getKey().title(), g.getValue())).toList(),
        cover.findings().stream().filter(cover::isSafelyMended).count());
  }

  /** The outside as it is handed over, what is found of it numbered as in the list. */
  public String drawn(Cover cover, String picture) {
    List<GuidedSvg.Note> notes =
        groups.stream()
            .flatMap(g -> g.lines().stream())
            .filter(l -> !l.inside() && l.finding().place().isPresent())
            .sorted(Comparator.comparingInt(Line::number))
            .map(
                l ->
                    new GuidedSvg.Note(
                        l.number(), l.finding().place().get(), l.finding().mustMend()))
            .toList();
    return GuidedSvg.handed(
        cover.sheet(), picture, notes, "The cover as it is handed over, bleed and all");
  }
}
