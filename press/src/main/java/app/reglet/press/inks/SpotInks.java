package app.reglet.press.inks;

import app.reglet.core.design.Colour;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pen;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * The inks of their own that a cover is in.
 *
 * @param plates names of those that have a plate
 * @param mixed names of those that are, somewhere, part of something that fades or runs: laid flat,
 *     or in a gradient, they are printed there with what stands for them
 */
public record SpotInks(SortedSet<String> plates, SortedSet<String> mixed) {
  /** Those of marks. */
  public static SpotInks of(List<? extends Mark> marks) {
    SpotInks found = new SpotInks(new TreeSet<>(), new TreeSet<>());
    found.look(marks, false);
    return found;
  }

  private void look(List<? extends Mark> marks, boolean fades) {
    for (Mark mark : marks) {
      if (mark instanceof Mark.Path p) {
        look(p.fill(), fades);
        look(p.pen(), fades);
      } else if (mark instanceof Mark.Glyphs g) {
        look(g.fill(), fades);
        look(g.outline(), fades);
      } else if (mark instanceof Mark.Tiled t) {
        look(t.motif(), fades);
      } else if (mark instanceof Mark.Group g) {
        look(g.marks(), fades || g.effects().isApart());
      }
    }
  }

  private void look(Pen pen, boolean fades) {
    if (pen != null) {
      look(pen.fill(), fades);
    }
  }

  private void look(Fill fill, boolean fades) {
    if (fill == null) {
      return;
    }
    fill.accept(
        new Fill.Visitor<Void>() {
          @Override
          public Void flat(Fill.Flat flat) {
            note(flat.colour(), fades ? mixed : plates);
            return null;
          }

          @Override
          public Void linear(Fill.Linear linear) {
            linear.stops().forEach(s -> note(s.colour(), mixed));
            return null;
          }

          @Override
          public Void radial(Fill.Radial radial) {
            radial.stops().forEach(s -> note(s.colour(), mixed));
            return null;
          }
        });
  }

  private static void note(Colour.Solid colour, SortedSet<String> among) {
    if (colour instanceof Colour.Spot spot && spot.tint() > 0) {
      among.add(spot.name());
    }
  }

  /** In a sentence; empty where there are none. */
  public String said() {
    StringBuilder said = new StringBuilder();
    if (!plates.isEmpty()) {
      said.append(plates.size() == 1 ? "A plate besides the four: " : "Plates besides the four: ")
          .append(String.join(", ", plates))
          .append(".");
    }
    if (!mixed.isEmpty()) {
      said.append(said.isEmpty() ? "" : " ")
          .append(String.join(", ", mixed))
          .append(
              mixed.size() == 1
                  ? " fades or runs somewhere: there it is printed with what stands for it."
                  : " fade or run somewhere: there they are printed with what stands for them.");
    }
    return said.toString();
  }
}
