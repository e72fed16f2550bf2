package app.reglet.core.edit;

import app.reglet.core.wrap.PanelKind;
import java.util.List;
import java.util.Optional;

/** A change that lays pieces by each other or by their panel, or puts copies of them there. */
public sealed interface Arrangement extends Edit {
  @Override
  default <R> R accept(Edit.Visitor<R> visitor) {
    return visitor.arrangement(this);
  }

  /** Hands itself to the method of its kind. */
  <R> R arrange(Kinds<R> kinds);

  /** What can be done with each kind. */
  interface Kinds<R> {
    R copy(Copy edit);

    R align(Align edit);

    R spread(Spread edit);
  }

  /** What pieces are laid by. */
  enum Against {
    /** The trimmed panel that each lies on. */
    PANEL,
    /** The region that each hangs on: a safe zone, say. */
    PART,
    /** The box round all of them. */
    SELECTION
  }

  /** Which of its edges, or its middle, is laid on that of the other. */
  enum Edge {
    LEFT(true),
    CENTRE(true),
    RIGHT(true),
    TOP(false),
    MIDDLE(false),
    BOTTOM(false);

    private final boolean across;

    Edge(boolean across) {
      this.across = across;
    }

    /** Whether it moves pieces across, else down. */
    public boolean isAcross() {
      return across;
    }
  }

  /**
   * Copies put in front of the originals.
   *
   * @param to the panel they go to, at the same place on it; empty for a little beside the
   *     originals
   * @param mirrored whether they lie there mirrored: as far from the right as the original from the
   *     left; words stay readable
   */
  record Copy(List<String> pieces, Optional<PanelKind> to, boolean mirrored)
      implements Arrangement {
    public Copy {
      pieces = List.copyOf(pieces);
    }

    @Override
    public <R> R arrange(Kinds<R> kinds) {
      return kinds.copy(this);
    }
  }

  /** Laid with an edge or the middle on that of something. */
  record Align(List<String> pieces, Edge edge, Against against) implements Arrangement {
    public Align {
      pieces = List.copyOf(pieces);
    }

    @Override
    public <R> R arrange(Kinds<R> kinds) {
      return kinds.align(this);
    }
  }

  /** Laid so that the gaps between them are equal, the outermost at the edges of something. */
  record Spread(List<String> pieces, boolean across, Against against) implements Arrangement {
    public Spread {
      pieces = List.copyOf(pieces);
    }

    @Override
    public <R> R arrange(Kinds<R> kinds) {
      return kinds.spread(this);
    }
  }
}
