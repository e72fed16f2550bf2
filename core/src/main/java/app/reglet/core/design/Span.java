package app.reglet.core.design;

import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Regions;
import java.util.Optional;

/**
 * How a piece is held along one axis: hung on one line with a size, or stretched between two. When
 * the wrap changes, the lines move and the piece is again where it was meant.
 */
public sealed interface Span {
  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** What can be done with each kind; a kind that is forgotten does not compile. */
  interface Visitor<R> {
    R hung(Hung span);

    R stretched(Stretched span);
  }

  /** From and to on the sheet; {@code to} is not before {@code from}. */
  record Range(Length from, Length to) {
    public Length length() {
      return to.minus(from);
    }
  }

  /** Where the piece lies, empty when a line it hangs on is lacking. */
  Optional<Range> on(Regions regions);

  /** The region whose lines hold it; of two, the first. */
  Region region();

  /** The same hold, moved by a distance. */
  Span movedBy(Length by);

  /** Held by the same lines, but so that the piece lies there. */
  Span placed(Regions regions, Range there);

  /** Held in the same way by the lines of another panel. */
  Span onPanel(PanelKind panel);

  /** Which part of the region holds it. */
  Hold hold();

  /**
   * Holds a piece where it lies, by lines of a region.
   *
   * @param region the region, which must be there
   * @param upright whether along the width
   */
  static Span hung(Region region, boolean upright, Hold hold, Range there, Regions regions) {
    Line start = new Line(region, upright ? Line.Edge.LEFT : Line.Edge.TOP);
    Line middle = new Line(region, upright ? Line.Edge.CENTRE : Line.Edge.MIDDLE);
    Line end = new Line(region, upright ? Line.Edge.RIGHT : Line.Edge.BOTTOM);
    Span any =
        switch (hold) {
          case START -> new Hung(start, Part.START, Length.ZERO, Length.ZERO);
          case MIDDLE -> new Hung(middle, Part.MIDDLE, Length.ZERO, Length.ZERO);
          case END -> new Hung(end, Part.END, Length.ZERO, Length.ZERO);
          case BOTH -> new Stretched(start, Length.ZERO, end, Length.ZERO);
        };
    return any.placed(regions, there);
  }

  /**
   * Hung on one line.
   *
   * @param line the line
   * @param part which part of the piece is on it: its START (left, top), MIDDLE or END
   * @param offset from the line to that part, right or down positive
   * @param size of the piece along this axis
   */
  record Hung(Line line, Part part, Length offset, Length size) implements Span {
    @Override
    public Region region() {
      return line.region();
    }

    @Override
    public Optional<Range> on(Regions regions) {
      return line.on(regions)
          .map(
              at -> {
                Length point = at.plus(offset);
                Length from =
                    switch (part) {
                      case START -> point;
                      case MIDDLE -> point.minus(size.half());
                      case END -> point.minus(size);
                    };
                return new Range(from, from.plus(size));
              });
    }

    @Override
    public Span movedBy(Length by) {
      return new Hung(line, part, offset.plus(by), size);
    }

    @Override
    public Span onPanel(PanelKind panel) {
      return new Hung(line.onPanel(panel), part, offset, size);
    }

    @Override
    public Span placed(Regions regions, Range there) {
      Length point =
          switch (part) {
            case START -> there.from();
            case MIDDLE -> there.from().plus(there.length().half());
            case END -> there.to();
          };
      return new Hung(line, part, point.minus(line.on(regions).orElseThrow()), there.length());
    }

    @Override
    public Hold hold() {
      return Hold.values()[part.ordinal()];
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.hung(this);
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
    public Optional<Range> on(Regions regions) {
      Optional<Length> a = from.on(regions);
      Optional<Length> b = to.on(regions);
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
    public Span onPanel(PanelKind panel) {
      return new Stretched(from.onPanel(panel), fromOffset, to.onPanel(panel), toOffset);
    }

    @Override
    public Span placed(Regions regions, Range there) {
      return new Stretched(
          from,
          there.from().minus(from.on(regions).orElseThrow()),
          to,
          there.to().minus(to.on(regions).orElseThrow()));
    }

    @Override
    public Hold hold() {
      return Hold.BOTH;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.stretched(this);
    }
  }

  /** A part of the piece along an axis. */
  enum Part {
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
