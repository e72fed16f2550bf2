package app.reglet.press.inks;

import app.reglet.press.art.Mark;
import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;

/**
 * A part of a page that one thing is seen in: where all its outlines meet, these marks, drawn one
 * over the other. Of layers that lie over each other the last alone is seen.
 *
 * @param clips outlines, on the sheet, mm
 * @param bounds where it can be, on the sheet
 * @param marks drawn all over its bounds, on the sheet
 * @param opaque whether nothing shows through
 */
record Layer(List<Shape> clips, Rectangle2D bounds, List<Mark> marks, boolean opaque) {
  Layer {
    clips = List.copyOf(clips);
    marks = List.copyOf(marks);
  }

  static Layer of(List<Shape> clips, List<Mark> marks, boolean opaque) {
    Rectangle2D bounds = clips.get(0).getBounds2D();
    for (Shape clip : clips) {
      bounds = bounds.createIntersection(clip.getBounds2D());
    }
    return new Layer(clips, bounds, marks, opaque);
  }

  boolean isEmpty() {
    return bounds.getWidth() <= 0 || bounds.getHeight() <= 0;
  }

  /** Whether it is all of its bounds. */
  boolean isBox() {
    return clips.stream().allMatch(Rectangle2D.class::isInstance);
  }

  /** Another over it, where both are. */
  Layer under(Layer over) {
    List<Shape> both = new ArrayList<>(clips);
    over.clips.stream().filter(c -> !both.contains(c)).forEach(both::add);
    List<Mark> all = new ArrayList<>(marks);
    all.addAll(over.marks);
    return new Layer(both, bounds.createIntersection(over.bounds), all, opaque || over.opaque);
  }
}
