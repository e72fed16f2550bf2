package app.reglet.core.design;

import app.reglet.core.Refusal;
import com.fasterxml.jackson.annotation.JsonIgnore;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A composed cover, independent of any wrap: a background and pieces, each pinned to lines that
 * every wrap names. A value; a change gives a new one.
 *
 * @param background behind everything
 * @param pieces from back to front
 */
public record Design(Background background, List<Piece> pieces) {
  /** More than any cover has; a guard against runaway documents. */
  public static final int MOST_PIECES = 200;

  public Design {
    pieces = List.copyOf(pieces);
    if (pieces.size() > MOST_PIECES) {
      throw new Refusal(
          "A design holds at most "
              + MOST_PIECES
              + " pieces; this one would have "
              + pieces.size()
              + ".");
    }
  }

  @JsonIgnore
  public Optional<Piece> piece(String id) {
    return pieces.stream().filter(p -> p.id().equals(id)).findFirst();
  }

  public Design withBackground(Background b) {
    return new Design(b, pieces);
  }

  /** With a piece put in front of the others. */
  public Design plus(Piece piece) {
    List<Piece> all = new ArrayList<>(pieces);
    all.add(piece);
    return new Design(background, all);
  }

  public Design without(String id) {
    return new Design(background, pieces.stream().filter(p -> !p.id().equals(id)).toList());
  }

  /** With the piece of the same id replaced. */
  public Design with(Piece changed) {
    return new Design(
        background, pieces.stream().map(p -> p.id().equals(changed.id()) ? changed : p).toList());
  }

  /** With a piece moved one place towards the front (+1) or the back (−1). */
  public Design reordered(String id, int by) {
    List<Piece> all = new ArrayList<>(pieces);
    for (int i = 0; i < all.size(); i++) {
      int to = i + by;
      if (all.get(i).id().equals(id) && to >= 0 && to < all.size()) {
        java.util.Collections.swap(all, i, to);
        break;
      }
    }
    return new Design(background, all);
  }

  /** An id that no piece has, {@code words-3}. */
  public String freeId(String stem) {
    int n = 1;
    while (piece(stem + "-" + n).isPresent()) {
      n++;
    }
    return stem + "-" + n;
  }
}
