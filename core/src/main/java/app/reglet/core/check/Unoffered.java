package app.reglet.core.check;

import app.reglet.core.book.Binding;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import java.util.List;

/** What a house does not offer of an edition's facts. */
public sealed interface Unoffered extends Found {
  /**
   * The house does not make this size.
   *
   * @param reset whether the inside must be re-set for the nearest
   */
  record TrimNotOffered(String house, Binding binding, Size trim, Size nearest, boolean reset)
      implements Unoffered {
    @Override
    public String code() {
      return "trim-not-offered";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.trimNotOffered(this);
    }
  }

  /**
   * The house does not bind so many pages.
   *
   * @param bound the sides that would be bound: the pages, and a blank one where it is added
   * @param limit the least, the most or the multiple, as the reason has it; else 0
   * @param nearest counts that work
   */
  record PagesNotOffered(
      String house,
      Binding binding,
      int pages,
      int bound,
      Why why,
      int limit,
      List<Integer> nearest)
      implements Unoffered {
    /** Why not. */
    public enum Why {
      ODD,
      TOO_FEW,
      TOO_MANY,
      NO_MULTIPLE,
      NO_ROW
    }

    public PagesNotOffered {
      nearest = List.copyOf(nearest);
    }

    @Override
    public String code() {
      return "pages-not-offered";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.pagesNotOffered(this);
    }
  }

  /** Both flaps are 0 where there must be one. */
  record NoFlap(Binding binding, Length least, Length most) implements Unoffered {
    @Override
    public String code() {
      return "no-flap";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.noFlap(this);
    }
  }

  /** The house folds no flap so wide. */
  record FlapNotOffered(String house, Length flap, Length least, Length most) implements Unoffered {
    @Override
    public String code() {
      return "flap-not-offered";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.flapNotOffered(this);
    }
  }

  /** The house does not print the inside. */
  record InsideNotOffered(String house, Binding binding) implements Unoffered {
    @Override
    public String code() {
      return "inside-not-offered";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.insideNotOffered(this);
    }
  }
}
