package app.reglet.core.edit;

import app.reglet.core.design.Colour;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import java.util.List;
import java.util.Map;
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

    R stretch(Stretch edit);

    R swing(Swing edit);

    R snap(Snap edit);

    R paste(Paste edit);
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

  /**
   * Made larger or smaller as one: each edge of the upright box round all of them moved by a
   * distance. Type goes with the lesser of the two ways; what stands askew keeps its proportion.
   */
  record Stretch(List<String> pieces, Length left, Length top, Length right, Length bottom)
      implements Arrangement {
    public Stretch {
      pieces = List.copyOf(pieces);
    }

    @Override
    public <R> R arrange(Kinds<R> kinds) {
      return kinds.stretch(this);
    }
  }

  /**
   * Turned as one, round the middle of the upright box round all of them.
   *
   * @param by degrees clockwise
   */
  record Swing(List<String> pieces, double by) implements Arrangement {
    public Swing {
      pieces = List.copyOf(pieces);
    }

    @Override
    public <R> R arrange(Kinds<R> kinds) {
      return kinds.swing(this);
    }
  }

  /** A part of a region to hang on. */
  record Hanging(Region region, Span.Hold hold) {}

  /**
   * Moved by a distance, onto lines from which it hangs from then.
   *
   * @param across what it was laid on across; empty for what it hangs on now
   * @param along the same down
   */
  record Snap(
      String piece, Length right, Length down, Optional<Hanging> across, Optional<Hanging> along)
      implements Arrangement {
    @Override
    public List<String> pieces() {
      return List.of(piece);
    }

    @Override
    public <R> R arrange(Kinds<R> kinds) {
      return kinds.snap(this);
    }
  }

  /**
   * Pieces of another cover put on this one, hung on the same lines; where this cover lacks those,
   * on the front.
   *
   * @param copied what is put on, from back to front
   * @param palette the colours that have a name there
   */
  record Paste(List<Piece> copied, Map<String, Colour.Solid> palette) implements Arrangement {
    public Paste {
      copied = List.copyOf(copied);
    }

    @Override
    public List<String> pieces() {
      return List.of();
    }

    @Override
    public <R> R arrange(Kinds<R> kinds) {
      return kinds.paste(this);
    }
  }
}
