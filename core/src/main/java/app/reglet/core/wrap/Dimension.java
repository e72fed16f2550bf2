package app.reglet.core.wrap;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A dimension line of the drawing.
 *
 * @param axis along which it measures
 * @param row 0 next to the sheet, larger further out
 * @param from where it begins on the sheet
 * @param to where it ends
 * @param what the thing measured, {@code front}
 */
public record Dimension(Axis axis, int row, Length from, Length to, String what) {
  /** Along the width or along the height. */
  public enum Axis {
    ACROSS,
    DOWN
  }

  /** The lines round a page: margin and panels next to it, the whole further out. */
  static List<Dimension> of(Size sheet, Box trimmed, List<Panel> panels, String margin) {
    List<Dimension> lines = new ArrayList<>();
    if (trimmed.left().isPositive()) {
      lines.add(new Dimension(Axis.ACROSS, 0, Length.ZERO, trimmed.left(), margin));
    } else if (trimmed.right().isLessThan(sheet.width())) {
      lines.add(new Dimension(Axis.ACROSS, 0, trimmed.right(), sheet.width(), margin));
    }
    if (trimmed.top().isPositive()) {
      lines.add(new Dimension(Axis.DOWN, 0, Length.ZERO, trimmed.top(), margin));
    }
    for (Panel p : panels) {
      lines.add(
          new Dimension(
              Axis.ACROSS,
              0,
              p.trim().left(),
              p.trim().right(),
              p.kind().title().toLowerCase(Locale.ROOT)));
    }
    if (!trimmed.height().equals(sheet.height())) {
      lines.add(new Dimension(Axis.DOWN, 0, trimmed.top(), trimmed.bottom(), "trimmed height"));
    }
    if (panels.size() > 1 || !trimmed.width().equals(sheet.width())) {
      lines.add(new Dimension(Axis.ACROSS, 1, Length.ZERO, sheet.width(), "sheet"));
    }
    lines.add(new Dimension(Axis.DOWN, 1, Length.ZERO, sheet.height(), "sheet"));
    return lines;
  }

  public Length length() {
    return to.minus(from);
  }
}
