package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.Figure.Free.Corner;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What somebody painted on a picture to say what is its subject, in the order in which they did.
 *
 * @param marks in that order; none for a proposal without help
 */
public record CutMarks(List<Mark> marks) {
  public static final CutMarks NONE = new CutMarks(List.of());

  /** More is not painted by hand. */
  private static final int MOST_POINTS = 60_000;

  /**
   * One of them.
   *
   * @param stays whether what it covers is of the subject; else it is out
   * @param radius of the brush, a share of the picture's longer side; 0 for an outline whose inside
   *     it is
   * @param points in the upright picture's unit square
   */
  public record Mark(boolean stays, double radius, List<Corner> points) {
    public Mark {
      points = List.copyOf(points);
    }
  }

  public CutMarks {
    marks = List.copyOf(marks);
  }

  /**
   * Reads marks parted by semicolons: {@code +} for what stays or {@code -} for what is out, the
   * radius, then points: {@code + 0.02 0.1,0.2 0.3,0.4; - 0 …}.
   *
   * @throws Refusal when it is none
   */
  static CutMarks parse(String typed) {
    List<Mark> marks = new ArrayList<>();
    int points = 0;
    try {
      for (String one : typed.split(";")) {
        if (one.isBlank()) {
          continue;
        }
        String[] words = one.strip().split("\\s+");
        boolean stays = words[0].equals("+");
        double radius = Double.parseDouble(words[1]);
        points += words.length - 2;
        if (!stays && !words[0].equals("-")
            || !(radius >= 0 && radius <= 0.5)
            || words.length < 3) {
          throw new Refusal("cutOut", MEANT);
        }
        marks.add(
            new Mark(stays, radius, Arrays.stream(words).skip(2).map(CutMarks::corner).toList()));
      }
    } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
      throw new Refusal("cutOut", MEANT);
    }
    if (points > MOST_POINTS) {
      throw new Refusal(
          "cutOut",
          "That is " + points + " points; at most " + MOST_POINTS + " are painted at once.");
    }
    return new CutMarks(marks);
  }

  private static final String MEANT =
      "What was painted can't be read: reload the page and paint it again.";

  private static Corner corner(String word) {
    String[] xy = word.split(",");
    return new Corner(within(Double.parseDouble(xy[0])), within(Double.parseDouble(xy[1])));
  }

  private static double within(double share) {
    return Math.max(0, Math.min(1, share));
  }
}
