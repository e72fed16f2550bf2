package app.reglet.core.check;

import java.util.List;

/** Whether words have room in the box they were given. */
public final class WordsFitBox implements Check {
  @Override
  public List<Finding> find(Subject s) {
    return s.words()
        .filter(Laid.Words::overflowing)
        .map(
            w ->
                Finding.ofPiece(
                    new Found.WordsOverflow(w.name(), w.size(), w.extent().size()),
                    Finding.Severity.LOOK,
                    w,
                    w.extent(),
                    new Remedy.FitWords(w.piece())))
        .toList();
  }
}
