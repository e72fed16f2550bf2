package app.reglet.press.picture;

import app.reglet.core.Refusal;
import app.reglet.core.design.CutOut;
import app.reglet.core.edit.CutMarks;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.util.List;

/** The outline of a picture's subject: proposed, or painted by hand. */
public final class Subject {
  /** Pixels of the longer side in which what is painted by hand is kept. */
  private static final int PAINTED = 1400;

  private static final double TOLERANCE = 0.35;
  private static final float HALF = 0.5f;

  private Subject() {}

  /**
   * A proposal from colours and edges.
   *
   * @param image upright
   * @param marks what somebody said of it
   * @throws Refusal when the picture is of one colour, or nothing or all of it would be the subject
   */
  public static List<CutOut.Contour> proposed(BufferedImage image, CutMarks marks) {
    Parting parting = Parting.of(image, marks);
    float[] field = parting.refined();
    double share = share(field);
    if (share < 0.001 || share > 0.999) {
      throw new Refusal(
          "cutOut",
          share > HALF
              ? "All of this picture looks like its subject: paint over what is to go, or outline what is to stay."
              : "No subject stands out in this picture: paint over what is to stay, or outline it.");
    }
    return Contours.of(field, parting.fineWidth(), parting.fineHeight(), TOLERANCE);
  }

  private static double share(float[] field) {
    int in = 0;
    for (float v : field) {
      in += v > HALF ? 1 : 0;
    }
    return in / (double) field.length;
  }

  /**
   * Marks painted into an outline.
   *
   * @param width of the upright picture
   * @param height of it
   * @param before the outline; none where nothing is cut out yet, and all of the picture stays
   *     where the first mark takes something out, nothing where it says what stays
   * @throws Refusal when nothing is left
   */
  public static List<CutOut.Contour> painted(
      int width, int height, List<CutOut.Contour> before, CutMarks marks) {
    double scale = Math.min(1, PAINTED / (double) Math.max(width, height));
    int w = Math.max(1, (int) Math.round(width * scale));
    int h = Math.max(1, (int) Math.round(height * scale));
    BufferedImage field = new BufferedImage(w, h, BufferedImage.TYPE_BYTE_GRAY);
    Graphics2D g = field.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    boolean all = before.isEmpty() && !marks.marks().isEmpty() && !marks.marks().get(0).stays();
    g.setColor(Color.WHITE);
    if (all) {
      g.fillRect(0, 0, w, h);
    }
    g.fill(scaled(Contours.path(before), w, h));
    for (CutMarks.Mark m : marks.marks()) {
      g.setColor(m.stays() ? Color.WHITE : Color.BLACK);
      paint(g, m, w, h);
    }
    g.dispose();
    float[] values = new float[w * h];
    for (int i = 0; i < values.length; i++) {
      values[i] = field.getRaster().getSample(i % w, i / w, 0) / 255f;
    }
    List<CutOut.Contour> contours = Contours.of(values, w, h, TOLERANCE);
    if (contours.isEmpty()) {
      throw new Refusal(
          "cutOut",
          "This would leave nothing of the picture: paint over what is to stay, or outline it.");
    }
    return contours;
  }

  private static Path2D scaled(Path2D path, int w, int h) {
    path.transform(java.awt.geom.AffineTransform.getScaleInstance(w, h));
    return path;
  }

  /** One mark in the colour that is set. */
  static void paint(Graphics2D g, CutMarks.Mark m, int w, int h) {
    Path2D path = new Path2D.Double();
    m.points()
        .forEach(
            p -> {
              if (path.getCurrentPoint() == null) {
                path.moveTo(p.x() * w, p.y() * h);
              } else {
                path.lineTo(p.x() * w, p.y() * h);
              }
            });
    if (m.radius() == 0) {
      path.closePath();
      g.fill(path);
      return;
    }
    double r = m.radius() * Math.max(w, h);
    if (m.points().size() == 1) {
      double x = m.points().get(0).x() * w;
      double y = m.points().get(0).y() * h;
      g.fill(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r));
      return;
    }
    g.setStroke(new BasicStroke((float) (2 * r), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    g.draw(path);
  }
}
