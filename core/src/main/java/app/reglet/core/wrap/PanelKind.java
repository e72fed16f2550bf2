package app.reglet.core.wrap;

import java.util.Locale;

/** The parts of a wrap, in the order in which they lie for pages that turn left to right. */
public enum PanelKind {
  BACK_FLAP("Back flap"),
  BACK("Back"),
  BACK_HINGE("Back hinge"),
  SPINE("Spine"),
  FRONT_HINGE("Front hinge"),
  FRONT("Front"),
  FRONT_FLAP("Front flap");

  private final String title;

  PanelKind(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }

  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  public boolean isHinge() {
    return this == BACK_HINGE || this == FRONT_HINGE;
  }

  /** The panel whose board this is the hinge of; itself when it is none. */
  public PanelKind board() {
    return switch (this) {
      case BACK_HINGE -> BACK;
      case FRONT_HINGE -> FRONT;
      default -> this;
    };
  }

  public boolean isFlap() {
    return this == BACK_FLAP || this == FRONT_FLAP;
  }
}
