package app.reglet.press.type;

import app.reglet.core.design.DesignLimits;
import app.reglet.core.design.Words;
import java.awt.geom.Rectangle2D;
import java.text.Bidi;
import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Sets words in a frame: breaks lines, finds the size, places baselines. A block's height runs from
 * the ascenders of its first line to the descenders of its last.
 */
public final class Setter {
  private static final double MM_PER_POINT = 25.4 / 72;
  private static final double SMALLEST = DesignLimits.LEAST_FITTED_TYPE.toMm();
  private static final double STEP = 0.1 * MM_PER_POINT;
  private static final double HAIR = 1e-6;

  private final Typeface face;
  private final Words words;
  private final double tracking;
  private final List<Paragraph> paragraphs = new ArrayList<>();
  private final Map<Line, ShapedLine> shaped = new HashMap<>();

  /** How far ink may stand out left of a line's start and right of its end, in ems: italics do. */
  private double outLeft;

  private double outRight;

  /** A stretch of text between two places where a line may break; the width excludes end spaces. */
  private record Segment(String text, double solid, double full) {}

  /** A paragraph and whether it reads from right to left. */
  private record Paragraph(boolean leftwards, List<Segment> segments) {}

  /** A line and whether its paragraph reads from right to left. */
  private record Line(String text, boolean leftwards) {}

  private Setter(Words words, String text, Typeface face) {
    this.face = face;
    this.words = words;
    this.tracking = words.tracking() / 1000.0;
    for (String paragraph : text.strip().split("\\R", -1)) {
      paragraphs.add(paragraph(paragraph.strip().replace('\t', ' ')));
    }
  }

  /**
   * Sets words.
   *
   * @param words how
   * @param text what
   * @param face in which face
   * @param width of the frame along the lines, mm
   * @param height of the frame across the lines, mm
   */
  public static SetWords set(Words words, String text, Typeface face, double width, double height) {
    if (text.isBlank()) {
      return new SetWords(words.size().toMm(), List.of(), false);
    }
    return new Setter(words, text, face).fitted(width, height);
  }

  /** The largest size in mm whose lines, ascender to descender, stand in this height. */
  public static double largestIn(Typeface face, double height) {
    return height / (face.ascent() + face.descent());
  }

  /** A paragraph reads as its first letter with a direction does (UAX #9, rules P2 and P3). */
  private Paragraph paragraph(String paragraph) {
    boolean leftwards =
        !new Bidi(paragraph, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT).baseIsLeftToRight();
    List<Segment> segments = new ArrayList<>();
    BreakIterator breaks = BreakIterator.getLineInstance(Locale.ENGLISH);
    breaks.setText(paragraph);
    int from = breaks.first();
    for (int to = breaks.next(); to != BreakIterator.DONE; from = to, to = breaks.next()) {
      String text = paragraph.substring(from, to);
      ShapedLine solid = line(new Line(text.stripTrailing(), leftwards));
      outLeft = Math.max(outLeft, -solid.ink().getMinX());
      outRight = Math.max(outRight, solid.ink().getMaxX() - solid.advance());
      segments.add(new Segment(text, solid.advance(), line(new Line(text, leftwards)).advance()));
    }
    return new Paragraph(leftwards, segments);
  }

  private ShapedLine line(Line line) {
    return shaped.computeIfAbsent(line, l -> face.shape(l.text(), tracking, l.leftwards()));
  }

  private SetWords fitted(double width, double height) {
    double most = words.size().toMm();
    if (!words.fit()) {
      return place(most, width, height);
    }
    if (fits(most, width, height)) {
      return place(most, width, height);
    }
    // sizes in tenths of a point; fits() holds for small sizes and fails for large ones
    int low = (int) Math.ceil(SMALLEST / STEP);
    int high = (int) Math.floor(most / STEP);
    while (low < high) {
      int mid = (low + high + 1) / 2;
      if (fits(mid * STEP, width, height)) {
        low = mid;
      } else {
        high = mid - 1;
      }
    }
    return place(Math.min(low * STEP, most), width, height);
  }

  private boolean fits(double size, double width, double height) {
    return fits(broken(size, width), size, width, height);
  }

  private boolean fits(List<Line> lines, double size, double width, double height) {
    boolean high =
        words.vertical().isOptical()
            ? reach(lines) * size <= height / 2 + HAIR
            : blockHeight(lines.size(), size) <= height + HAIR
                && inkHeight(lines) * size <= height + HAIR;
    return high
        && (widest(lines) + outLeft + outRight) * size <= width + HAIR
        && lines.stream().allMatch(l -> line(l).ink().getWidth() * size <= width + HAIR);
  }

  /** From the highest ink of any line to the lowest of any, in ems. */
  private double inkHeight(List<Line> lines) {
    double top = Double.POSITIVE_INFINITY;
    double bottom = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < lines.size(); i++) {
      Rectangle2D ink = line(lines.get(i)).ink();
      if (!ink.isEmpty()) {
        top = Math.min(top, i * words.leading() + ink.getMinY());
        bottom = Math.max(bottom, i * words.leading() + ink.getMaxY());
      }
    }
    return Math.max(0, bottom - top);
  }

  /** The middle of the letters that lines are centred by, in ems below the first baseline. */
  private double middle(int lines) {
    double letters =
        words.vertical() == Words.VerticalAlign.SMALL_LETTERS && !words.capitals()
            ? face.smallMiddle()
            : face.capMiddle();
    return (lines - 1) * words.leading() / 2 - letters;
  }

  /** How far ink reaches from that middle, up or down, in ems. */
  private double reach(List<Line> lines) {
    double middle = middle(lines.size());
    double top = inkFrom(lines, 0, 1);
    return top == Double.POSITIVE_INFINITY
        ? 0
        : Math.max(middle - top, top + inkHeight(lines) - middle);
  }

  private double widest(List<Line> lines) {
    return lines.stream().mapToDouble(l -> line(l).advance()).max().orElse(0);
  }

  private double blockHeight(int lines, double size) {
    double descent = words.capitals() ? 0 : face.descent();
    double ascent = words.capitals() ? face.capHeight() : face.ascent();
    return size * (ascent + (lines - 1) * words.leading() + descent);
  }

  private List<Line> broken(double size, double width) {
    double room = width / size - outLeft - outRight;
    List<Line> lines = new ArrayList<>();
    for (Paragraph paragraph : paragraphs) {
      StringBuilder current = new StringBuilder();
      double used = 0;
      for (Segment s : paragraph.segments()) {
        if (!current.isEmpty() && used + s.solid() > room + HAIR) {
          lines.add(new Line(current.toString().stripTrailing(), paragraph.leftwards()));
          current.setLength(0);
          used = 0;
        }
        current.append(s.text());
        used += s.full() + tracking;
      }
      lines.add(new Line(current.toString().stripTrailing(), paragraph.leftwards()));
    }
    return lines;
  }

  private SetWords place(double size, double width, double height) {
    List<Line> lines = broken(size, width);
    double baseline = baseline(lines, size, height);
    List<SetWords.PlacedLine> placed = new ArrayList<>();
    for (Line each : lines) {
      ShapedLine line = line(each);
      double advance = line.advance() * size;
      double x =
          switch (words.align()) {
            case LEFT -> outLeft * size;
            case CENTRE -> (width - advance) / 2;
            case RIGHT -> width - advance - outRight * size;
          };
      x += inside(x + line.ink().getMinX() * size, line.ink().getWidth() * size, width);
      if (!each.text().isEmpty()) {
        placed.add(new SetWords.PlacedLine(line, x, baseline));
      }
      baseline += size * words.leading();
    }
    return new SetWords(size, placed, !fits(lines, size, width, height));
  }

  /** The first baseline, from the top of the frame. */
  private double baseline(List<Line> lines, double size, double height) {
    double room = height - blockHeight(lines.size(), size);
    double ascent = size * (words.capitals() ? face.capHeight() : face.ascent());
    double baseline =
        switch (words.vertical()) {
          case TOP -> ascent;
          case MIDDLE -> room / 2 + ascent;
          case BOTTOM -> room + ascent;
          case CAPITALS, SMALL_LETTERS -> height / 2 - middle(lines.size()) * size;
        };
    if (words.vertical().isOptical()) {
      return baseline;
    }
    return baseline + inside(inkFrom(lines, baseline, size), inkHeight(lines) * size, height);
  }

  /** Where the highest ink of lines begins, the first of which stands on this baseline. */
  private double inkFrom(List<Line> lines, double baseline, double size) {
    double top = Double.POSITIVE_INFINITY;
    for (int i = 0; i < lines.size(); i++) {
      Rectangle2D ink = line(lines.get(i)).ink();
      if (!ink.isEmpty()) {
        top = Math.min(top, baseline + (i * words.leading() + ink.getMinY()) * size);
      }
    }
    return top;
  }

  /**
   * How far ink must move to lie between 0 and a length, when it fits: accents on capitals, tails
   * of Q and J, and italics stand out of what their lines measure.
   */
  private static double inside(double from, double extent, double length) {
    if (extent == 0 || extent > length + HAIR) {
      return 0;
    }
    return Math.max(0, -from) - Math.max(0, from + extent - length);
  }
}
