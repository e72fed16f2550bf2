package app.reglet.core.design;

import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Optional;

/**
 * How a piece is held along one axis: hung on one line with a size, or stretched between two. When
 * the wrap changes, the lines move and the piece is again where it was meant.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Span.Hung.class, name = "hung"),
  @JsonSubTypes.Type(value = Span.Stretched.class, name = "stretched")
})
public sealed interface Span {
  /** From and to on the sheet; {@code to} is not before {@code from}. */
  record Range(Length from, Length to) {
    public Length length() {
      return to.minus(from);
    }
  }

  /** Where the piece lies on this wrap, empty when the wrap lacks a line it hangs on. */
  Optional<Range> on(Wrap wrap);

  /** The region whose lines hold it; of two, the first. */
  Region region();

  /** The same hold, moved by a distance. */
  Span movedBy(Length by);

  /** Held by the same lines, but so that on this wrap the piece lies there. */
  Span placed(Wrap wrap, Range there);

  /** Which part of the region holds it. */
  Hold hold();

  /**
   * Holds a piece where it lies on a wrap, by lines of a region.
   *
   * @param region the region, which the wrap must have
   * @param upright whether along the width
   */
  static Span hung(Region region, boolean upright, Hold hold, Range there, Wrap wrap) {
    Line start = new Line(region, upright ? Line.Edge.LEFT : Line.Edge.TOP);
    Line middle = new Line(region, upright ? Line.Edge.CENTRE : Line.Edge.MIDDLE);
    Line end = new Line(region, upright ? Line.Edge.RIGHT : Line.Edge.BOTTOM);
    Span any =
        switch (hold) {
          case START -> new Hung(start, Side.START, Length.ZERO, Length.ZERO);
          case MIDDLE -> new Hung(middle, Side.MIDDLE, Length.ZERO, Length.ZERO);
          case END -> new Hung(end, Side.END, Length.ZERO, Length.ZERO);
          case BOTH -> new Stretched(start, Length.ZERO, end, Length.ZERO);
        };
    return any.placed(wrap, there);
  }

  /**
   * Hung on one line.
   *
   * @param line the line
   * @param side which part of the piece is on it: its START (left, top), MIDDLE or END
   * @param offset from the line to that part, right or down positive
   * @param size of the piece along this axis
   */
  record Hung(Line line, Side side, Length offset, Length size) implements Span {
    @Override
    public Region region() {
      return line.region();
    }

    @Override
    public Optional<Range> on(Wrap wrap) {
      return line.on(wrap)
          .map(
              at -> {
                Length point = at.plus(offset);
                Length from =
                    switch (side) {
                      case START -> point;
                      case MIDDLE -> point.minus(size.half());
                      case END -> point.minus(size);
                    };
                return new Range(from, from.plus(size));
              });
    }

    @Override
    public Span movedBy(Length by) {
      return new Hung(line, side, offset.plus(by), size);
    }

    @Override
    public Span placed(Wrap wrap, Range there) {
      Length point =
          switch (side) {
            case START -> there.from();
            case MIDDLE -> there.from().plus(there.length().half());
            case END -> there.to();
          };
      return new Hung(line, side, point.minus(line.on(wrap).orElseThrow()), there.length());
    }

    @Override
    public Hold hold() {
      return Hold.values()[side.ordinal()];
    }
  }

  /**
   * Stretched between two lines.
   *
   * @param from the line on the left or top
   * @param fromOffset from that line to the piece, right or down positive
   * @param to the line on the right or bottom
   * @param toOffset from that line to the piece, right or down positive
   */
  record Stretched(Line from, Length fromOffset, Line to, Length toOffset) implements Span {
    @Override
    public Region region() {
      return from.region();
    }

    @Override
    public Optional<Range> on(Wrap wrap) {
      Optional<Length> a = from.on(wrap);
      Optional<Length> b = to.on(wrap);
      if (a.isEmpty() || b.isEmpty()) {
        return Optional.empty();
      }
      Length start = a.get().plus(fromOffset);
      Length end = b.get().plus(toOffset);
      if (end.isLessThan(start)) {
        Length middle = start.plus(end).half();
        return Optional.of(new Range(middle, middle));
      }
      return Optional.of(new Range(start, end));
    }

    @Override
    public Span movedBy(Length by) {
      return new Stretched(from, fromOffset.plus(by), to, toOffset.plus(by));
    }

    @Override
    public Span placed(Wrap wrap, Range there) {
      return new Stretched(
          from,
          there.from().minus(from.on(wrap).orElseThrow()),
          to,
          there.to().minus(to.on(wrap).orElseThrow()));
    }

    @Override
    public Hold hold() {
      return Hold.BOTH;
    }
  }

  /** A part of the piece along an axis. */
  enum Side {
    START,
    MIDDLE,
    END
  }

  /** The part of a region that holds a piece: one edge, the middle, or both edges. */
  enum Hold {
    START,
    MIDDLE,
    END,
    BOTH
  }
}
