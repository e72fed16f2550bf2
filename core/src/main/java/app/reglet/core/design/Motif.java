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
   * An ornament in colours of its own.
   *
   * @param ornament its id
   * @param inks its colours, one at least; an ornament that has more takes the last again
   */
  record Drawn(String ornament, List<Colour> inks) implements Motif {
    /** More colours than any ornament has. */
    public static final int MOST = 16;

    public Drawn {
      inks = List.copyOf(inks);
      if (inks.isEmpty() || inks.size() > MOST) {
        throw new Refusal(
            "An ornament has 1 to " + MOST + " colours; these are " + inks.size() + ".");
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
