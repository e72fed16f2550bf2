package app.reglet.press.type;

import app.reglet.core.design.Setting;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import java.util.ArrayList;
import java.util.List;

/**
 * Lines of type one under the other, mm, y down from the first baseline. A block's height runs from
 * the ascenders of its first line to the descenders of its last.
 */
final class Block {
  static final double HAIR = 1e-6;

  private final Words words;
  private final Setting setting;
  private final Typeface face;
  private final List<Row> rows;
  private final double space;
  private final double outLeft;
  private final double outRight;
  private final double[] down;

  /**
   * A line.
   *
   * @param size in mm
   * @param begins whether it begins a paragraph that is not the first
   * @param ends whether it ends one
   * @param leftwards whether its paragraph reads from right to left
   * @param hangsFirst how far the mark it begins with hangs out, in ems
   * @param hangsLast how far the mark it ends with does
   * @param at as {@link SetWords.PlacedLine} has it
   */
  record Row(
      SetLine line,
      double size,
      boolean begins,
      boolean ends,
      boolean leftwards,
      double hangsFirst,
      double hangsLast,
      int[] at) {
    double hangsLeft() {
      return leftwards ? hangsLast : hangsFirst;
    }

    double hangs() {
      return hangsFirst + hangsLast;
    }
  }

  Block(Words words, Typeface face, List<Row> rows, double space, double outLeft, double outRight) {
    this.words = words;
    this.setting = words.setting();
    this.face = face;
    this.rows = rows;
    this.space = space;
    this.outLeft = outLeft;
    this.outRight = outRight;
    this.down = down();
  }

  /**
   * Where each baseline stands. Lines of several sizes keep one distance, that of their mean size,
   * between the baseline of one and the capitals of the next.
   */
  private double[] down() {
    double mean = rows.stream().mapToDouble(Row::size).average().orElse(0);
    double[] at = new double[rows.size()];
    for (int i = 1; i < at.length; i++) {
      Row row = rows.get(i);
      double step =
          words.type().fit() == Type.Fit.WIDTH
              ? face.capHeight() * row.size() + (setting.leading() - face.capHeight()) * mean
              : setting.leading() * row.size();
      at[i] = at[i - 1] + step + (row.begins() ? setting.gap() * setting.leading() * mean : 0);
    }
    return at;
  }

  /** The smallest size of its lines. */
  double least() {
    return rows.stream().mapToDouble(Row::size).min().orElse(words.type().size().toMm());
  }

  boolean fits(double width, double height) {
    boolean high =
        setting.vertical().isOptical()
            ? reach() <= height / 2 + HAIR
            : height() <= height + HAIR && inkHeight() <= height + HAIR;
    return high && rows.stream().allMatch(r -> fits(r, width));
  }

  private boolean fits(Row row, double width) {
    double ink = row.line().ink().getWidth() * row.size();
    double hangs = row.hangs() * row.size();
    if (words.type().fit() == Type.Fit.WIDTH) {
      return ink <= width + HAIR;
    }
    double indent = row.begins() ? setting.indent() : 0;
    double advance = fillsLine(row) ? 0 : row.line().advance() + indent;
    double most = fillsLine(row) ? narrowest(row) : advance;
    return (most + outLeft + outRight) * row.size() - hangs <= width + HAIR
        && (fillsLine(row) || ink - hangs <= width + HAIR);
  }

  private boolean fillsLine(Row row) {
    return setting.align() == Align.JUSTIFIED && !row.ends();
  }

  /** A line with its spaces shrunk to the most. */
  private double narrowest(Row row) {
    return row.line().advance()
        + (row.begins() ? setting.indent() : 0)
        - Breaking.SHRINK * space * row.line().spaces();
  }

  private double ascent() {
    return words.type().letters().areCapitals() ? face.capHeight() : face.ascent();
  }

  private double height() {
    if (rows.isEmpty()) {
      return 0;
    }
    Row last = rows.get(rows.size() - 1);
    double descent = words.type().letters().areCapitals() ? 0 : face.descent();
    return ascent() * rows.get(0).size() + down[down.length - 1] + descent * last.size();
  }

  /** From the highest ink of any line to the lowest of any. */
  private double inkHeight() {
    double top = inkTop();
    return top == Double.POSITIVE_INFINITY ? 0 : Math.max(0, inkBottom() - top);
  }

  private double inkTop() {
    double top = Double.POSITIVE_INFINITY;
    for (int i = 0; i < down.length; i++) {
      Row row = rows.get(i);
      if (!row.line().ink().isEmpty()) {
        top = Math.min(top, down[i] + row.line().ink().getMinY() * row.size());
      }
    }
    return top;
  }

  private double inkBottom() {
    double bottom = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < down.length; i++) {
      Row row = rows.get(i);
      if (!row.line().ink().isEmpty()) {
        bottom = Math.max(bottom, down[i] + row.line().ink().getMaxY() * row.size());
      }
    }
    return bottom;
  }

  /** The middle of the letters that lines are centred by, below the first baseline. */
  private double middle() {
    double letters =
        setting.vertical() == Setting.VerticalAlign.SMALL_LETTERS
                && !words.type().letters().areCapitals()
            ? face.smallMiddle()
            : face.capMiddle();
    double first = rows.isEmpty() ? 0 : rows.get(0).size();
    return rows.isEmpty() ? 0 : down[down.length - 1] / 2 - letters * first;
  }

  /** How far ink reaches from that middle, up or down. */
  private double reach() {
    double top = inkTop();
    return top == Double.POSITIVE_INFINITY ? 0 : Math.max(middle() - top, inkBottom() - middle());
  }

  /** The lines in a frame. */
  List<SetWords.PlacedLine> placed(double width, double height) {
    double first = baseline(height);
    List<SetWords.PlacedLine> placed = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      Row row = rows.get(i);
      placed.add(along(row, width, first + down[i]));
    }
    return placed;
  }

  private SetWords.PlacedLine along(Row row, double width, double baseline) {
    double size = row.size();
    SetLine line = row.line();
    if (words.type().fit() == Type.Fit.WIDTH) {
      return new SetWords.PlacedLine(line, size, -line.ink().getMinX() * size, baseline, row.at());
    }
    double indent = row.begins() ? setting.indent() * size : 0;
    double left = (outLeft - row.hangsLeft()) * size + (row.leftwards() ? 0 : indent);
    if (fillsLine(row)) {
      double room = width - (outLeft + outRight) * size - indent;
      double more = room / size - line.advance() + row.hangs();
      int spaces = line.spaces();
      if (spaces > 0) {
        return new SetWords.PlacedLine(line.widened(more / spaces), size, left, baseline, row.at());
      }
    }
    double advance = (line.advance() - row.hangs()) * size;
    double x =
        switch (setting.align()) {
          case LEFT -> left;
          case JUSTIFIED -> row.leftwards() ? right(row, width, advance, indent) : left;
          case CENTRE -> (width - advance) / 2 - row.hangsLeft() * size;
          case RIGHT -> right(row, width, advance, row.leftwards() ? indent : 0);
        };
    if (!setting.hanging()) {
      x += inside(x + line.ink().getMinX() * size, line.ink().getWidth() * size, width);
    }
    return new SetWords.PlacedLine(line, size, x, baseline, row.at());
  }

  private double right(Row row, double width, double advance, double indent) {
    return width - advance - (outRight + row.hangsLeft()) * row.size() - indent;
  }

  /** The first baseline, from the top of the frame. */
  private double baseline(double height) {
    double room = height - height();
    double ascent = rows.isEmpty() ? 0 : rows.get(0).size() * ascent();
    double baseline =
        switch (setting.vertical()) {
          case TOP -> ascent;
          case MIDDLE -> room / 2 + ascent;
          case BOTTOM -> room + ascent;
          case CAPITALS, SMALL_LETTERS -> height / 2 - middle();
        };
    return setting.vertical().isOptical() || inkTop() == Double.POSITIVE_INFINITY
        ? baseline
        : baseline + inside(baseline + inkTop(), inkHeight(), height);
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
