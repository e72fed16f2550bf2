package app.reglet.core.design;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;
import java.util.Optional;

/**
 * A named line of the wrap: an edge or the middle of a region. Written {@code front.safe.left},
 * {@code spine.trim.centre}, {@code sheet.top}.
 */
public record Line(Region region, Edge edge) {
  /** Which line of the region; the first three are upright, the last three level. */
  public enum Edge {
    LEFT,
    CENTRE,
    RIGHT,
    TOP,
    MIDDLE,
    BOTTOM;

    public boolean isUpright() {
      return ordinal() < 3;
    }

    public String id() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * Reads {@code region.edge}.
   *
   * @throws Refusal when there is no such line
   */
  @JsonCreator
  public static Line parse(String id) {
    int dot = id.lastIndexOf('.');
    if (dot > 0) {
      for (Edge e : Edge.values()) {
        if (e.id().equals(id.substring(dot + 1))) {
          return new Line(Region.parse(id.substring(0, dot)), e);
        }
      }
    }
    throw new Refusal("“" + id + "” is no line of a wrap.");
  }

  @JsonValue
  public String id() {
    return region.id() + "." + edge.id();
  }

  /** Where the line is on this wrap, from the left or top of the sheet; empty when it has none. */
  public Optional<Length> on(Wrap wrap) {
    return wrap.box(region).map(this::of);
  }

  private Length of(Box box) {
    return switch (edge) {
      case LEFT -> box.left();
      case CENTRE -> box.centreX();
      case RIGHT -> box.right();
      case TOP -> box.top();
      case MIDDLE -> box.centreY();
      case BOTTOM -> box.bottom();
    };
  }
}
