package app.reglet.core.design;

import app.reglet.core.Refusal;
import java.util.List;
import java.util.stream.Stream;

/** What repeats in a pattern. */
public sealed interface Motif {
  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** Every colour given in it. */
  Stream<Colour> colours();

  /** What can be done with each kind; a kind that is forgotten does not compile. */
  interface Visitor<R> {
    R drawn(Drawn motif);

    R pictured(Pictured motif);
  }

  /**
   * A drawing in colours of its own: an ornament, or one that somebody brought.
   *
   * @param ornament its id; the SHA-256 of the file for one that was brought
   * @param inks its colours, one at least; a drawing that has more takes the last again
   */
  record Drawn(String ornament, List<Colour> inks) implements Motif {
    /** More colours than any drawing has. */
    public static final int MOST = 256;

    public Drawn {
      inks = List.copyOf(inks);
      if (inks.isEmpty() || inks.size() > MOST) {
        throw new Refusal(
            "A drawing has 1 to " + MOST + " colours; these are " + inks.size() + ".");
      }
    }

    /** The colour of this number. */
    public Colour ink(int number) {
      return inks.get(Math.min(number, inks.size() - 1));
    }

    @Override
    public Stream<Colour> colours() {
      return inks.stream();
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.drawn(this);
    }
  }

  /**
   * A picture, whole.
   *
   * @param sha the SHA-256 of its file
   */
  record Pictured(String sha) implements Motif {
    @Override
    public Stream<Colour> colours() {
      return Stream.empty();
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.pictured(this);
    }
  }
}
