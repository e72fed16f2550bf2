package app.reglet.core.design;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import java.util.List;

/**
 * What is seen of a picture: its subject without its ground. The outline is kept apart from the
 * picture, whose file stays as it is, and goes with it however it is framed.
 *
 * @param contours closed outlines in the upright picture's unit square, from its top left; what
 *     lies in an even number of them is out
 * @param soft the width on the cover over which the edge fades inwards; 0 for a sharp cut
 */
public record CutOut(List<Contour> contours, Length soft) {
  /** More would be noise, not an outline. */
  public static final int MOST_POINTS = 6000;

  /** Softer would be a fog. */
  public static final Length MOST_SOFT = Length.mm("20");

  /**
   * One closed outline.
   *
   * @param points at least three
   */
  public record Contour(List<Figure.Free.Corner> points) {
    public Contour {
      points = List.copyOf(points);
      if (points.size() < 3) {
        throw new Refusal("An outline has at least 3 points; one has " + points.size() + ".");
      }
    }
  }

  public CutOut {
    contours = List.copyOf(contours);
    int points = contours.stream().mapToInt(c -> c.points().size()).sum();
    if (contours.isEmpty()) {
      throw new Refusal(
          "cutOut",
          "This would leave nothing of the picture: paint over what is to stay, or outline it.");
    }
    if (points > MOST_POINTS) {
      throw new Refusal(
          "cutOut",
          "An outline has at most " + MOST_POINTS + " points; this one would have " + points + ".");
    }
    if (soft.isNegative() || soft.isMoreThan(MOST_SOFT)) {
      throw new Refusal(
          "cutSoft", "An edge fades over 0 to 20 mm here; this would be " + soft + ".");
    }
  }

  public CutOut withSoft(Length other) {
    return new CutOut(contours, other);
  }

  public CutOut withContours(List<Contour> other) {
    return new CutOut(other, soft);
  }
}
