package app.reglet.press.raster;

import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Which words of a display list have a shadow or a line round their letters, their own or that of a
 * group they are in, and the same list without these.
 *
 * @param adorned ids of the pieces concerned
 * @param without all marks but shadows of words and lines round letters
 */
record Adornment(Set<String> adorned, List<Mark> without) {
  static Adornment of(List<? extends Mark> marks) {
    Set<String> adorned = new HashSet<>();
    return new Adornment(adorned, without(marks, "", false, adorned));
  }

  private static List<Mark> without(
      List<? extends Mark> marks, String piece, boolean inShadow, Set<String> adorned) {
    boolean letters = hasLetters(marks);
    boolean runs = marks.stream().anyMatch(Adornment::isRun);
    boolean shaded = inShadow || letters && marks.size() > 1 && isShadow(marks.get(0));
    boolean edged = runs && marks.stream().anyMatch(Adornment::isLine);
    if (runs && (shaded || edged)) {
      adorned.add(piece);
    }
    List<Mark> out = new ArrayList<>();
    for (Mark m : marks) {
      boolean adorns = letters && m == marks.get(0) && isShadow(m) || runs && isLine(m);
      if (m instanceof Mark.Group g) {
        out.add(
            adorns
                ? new Mark.Group(g.name(), g.effects(), List.of())
                : new Mark.Group(
                    g.name(),
                    g.effects(),
                    without(g.marks(), g.name().isEmpty() ? piece : g.name(), shaded, adorned)));
      } else if (!adorns) {
        out.add(m);
      }
    }
    return out;
  }

  private static boolean hasLetters(List<? extends Mark> marks) {
    return marks.stream()
        .anyMatch(m -> isRun(m) || m instanceof Mark.Group g && hasLetters(g.marks()));
  }

  private static boolean isRun(Mark mark) {
    return mark instanceof Mark.Glyphs g && g.fill() != null;
  }

  /** What the composer lays under the marks of a piece that has one. */
  private static boolean isShadow(Mark mark) {
    return mark instanceof Mark.Group g
        && g.name().isEmpty()
        && g.marks().size() == 1
        && g.marks().get(0) instanceof Mark.Image i
        && i.pixels() instanceof Pixels.Made;
  }

  /** A line alone, among letters: what goes round them lies under them as one path. */
  private static boolean isLine(Mark mark) {
    return mark instanceof Mark.Path p && p.fill() == null && p.pen() != null;
  }
}
