package app.reglet.core.design;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Regions;
import java.util.Locale;
import java.util.Optional;

/**
 * A named line: an edge or the middle of a region. Written {@code front.safe.left}, {@code
 * spine.trim.centre}, {@code sheet.top}.
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
  public static Line parse(String id) {
    int dot = id.lastIndexOf('.');
    if (dot > 0) {
      for (Edge e : Edge.values()) {
        if (e.id().equals(id.substring(dot + 1))) {
          return new Line(Region.parse(id.substring(0, dot)), e);
        }
      }
    }
    throw new Refusal("“" + id + "” is no line that a piece can hang on.");
  }

  public String id() {
    return region.id() + "." + edge.id();
  }

  /** Where the line is, from the left or top; empty when its region is lacking. */
  public Optional<Length> on(Regions regions) {
    return regions.box(region).map(this::of);
  }

  /** The same line of another panel; one of the sheet or of a group stays. */
  Line onPanel(PanelKind panel) {
    return region.panel() == null ? this : new Line(new Region(region.bounds(), panel), edge);
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
