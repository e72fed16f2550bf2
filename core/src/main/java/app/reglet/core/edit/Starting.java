package app.reglet.core.edit;

import app.reglet.core.layout.Dress;
import app.reglet.core.layout.StartingLayout;

/** A change that lays a whole cover out anew. */
public sealed interface Starting extends Edit.OfNone {
  /**
   * By a layout.
   *
   * @param dress its colours, typefaces and picture
   */
  record Lay(StartingLayout layout, Dress dress) implements Starting {
    /** On the ground that is there. */
    public Lay(StartingLayout layout) {
      this(layout, Dress.KEPT);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.lay(this);
    }
  }

  /**
   * By the look of another cover.
   *
   * @param name of the look
   * @param worn what it comes to here
   */
  record Wear(String name, Look.Worn worn) implements Starting {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.wear(this);
    }
  }
}
