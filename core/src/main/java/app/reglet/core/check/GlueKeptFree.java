package app.reglet.core.check;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Zone;
import java.util.ArrayList;
import java.util.List;

/**
 * Whether pieces on the inside keep off the strip that is glued to the book block: glue does not
 * hold on ink. The ground leaves it out by itself. Common practice, no single source.
 */
public final class GlueKeptFree implements Check {
  @Override
  public List<Finding> find(Subject s) {
    List<Box> glue =
        s.wrap().zones().stream().filter(z -> z.kind() == Zone.Kind.GLUE).map(Zone::box).toList();
    List<Finding> findings = new ArrayList<>();
    if (glue.isEmpty()) {
      return findings;
    }
    Box strip = round(glue);
    for (Laid l : s.laid()) {
      Length in = l.extent().isEmpty() ? Length.ZERO : reach(l.extent(), strip);
      if (!l.piece().equals(Laid.GROUND) && Tolerance.exceededBy(in)) {
        findings.add(
            Finding.ofPiece(
                new Found.OnGlue(l.name(), in, strip.width()),
                Finding.Severity.MEND,
                l,
                l.extent()));
      }
    }
    return findings;
  }

  private static Box round(List<Box> boxes) {
    Box all = boxes.get(0);
    for (Box b : boxes) {
      all =
          Box.between(
              all.left().min(b.left()),
              all.top().min(b.top()),
              all.right().max(b.right()),
              all.bottom().max(b.bottom()));
    }
    return all;
  }

  /** How wide it lies on the strip. */
  private static Length reach(Box art, Box strip) {
    if (!art.overlaps(strip)) {
      return Length.ZERO;
    }
    return art.right().min(strip.right()).minus(art.left().max(strip.left()));
  }
}
