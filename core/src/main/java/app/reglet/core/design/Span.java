package app.reglet.core.design;

import app.reglet.core.measure.Length;
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

  /** The same hold, moved by a distance. */
  Span movedBy(Length by);

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
  }

  /** A part of the piece along an axis. */
  enum Side {
    START,
    MIDDLE,
    END
  }
}
