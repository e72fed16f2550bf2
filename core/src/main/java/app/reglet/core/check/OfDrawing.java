package app.reglet.core.check;

import app.reglet.core.house.SafeDistances;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;

/** What checks find of what is drawn: lines, edges, and pieces that nobody sees. */
public sealed interface OfDrawing extends Found {
  /** Hands itself to the method of its kind. */
  <R> R accept(Teller<R> teller);

  @Override
  default <R> R accept(Found.Visitor<R> visitor) {
    return visitor.ofDrawing(this);
  }

  /** One method for each kind. */
  interface Teller<R> {
    R lineThin(LineThin found);

    R edgeOnFold(EdgeOnFold found);

    R borderNearTrim(BorderNearTrim found);

    R pieceHidden(PieceHidden found);

    R pieceOffSheet(PieceOffSheet found);

    R wordsNone(WordsNone found);

    R pieceLocked(PieceLocked found);
  }

  /** A line is thinner than a press prints without breaks. */
  record LineThin(String name, Length width, Length least) implements OfDrawing {
    @Override
    public String code() {
      return "line-thin";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.lineThin(this);
    }
  }

  /** An edge lies where the cover is folded: a fold that drifts shows it. */
  record EdgeOnFold(String name, PanelKind between, PanelKind and, Length drift)
      implements OfDrawing {
    @Override
    public String code() {
      return "edge-on-fold";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.edgeOnFold(this);
    }
  }

  /**
   * A border runs so near the trim that a drift of the knife is seen.
   *
   * @param from the trim, at its nearest
   * @param safe what the house asks for
   */
  record BorderNearTrim(String name, Length from, PanelKind panel, SafeDistances safe)
      implements OfDrawing {
    @Override
    public String code() {
      return "border-near-trim";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.borderNearTrim(this);
    }
  }

  /** A piece is hidden, and so not printed. */
  record PieceHidden(String name) implements OfDrawing {
    @Override
    public String code() {
      return "piece-hidden";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.pieceHidden(this);
    }
  }

  /** A piece lies beside the sheet. */
  record PieceOffSheet(String name) implements OfDrawing {
    @Override
    public String code() {
      return "piece-off-sheet";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.pieceOffSheet(this);
    }
  }

  /** A piece of words has none. */
  record WordsNone(String name) implements OfDrawing {
    @Override
    public String code() {
      return "words-none";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.wordsNone(this);
    }
  }

  /**
   * A piece is locked, so that what is found of it can't be mended.
   *
   * @param findings how many
   */
  record PieceLocked(String name, int findings) implements OfDrawing {
    @Override
    public String code() {
      return "piece-locked";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.pieceLocked(this);
    }
  }
}
