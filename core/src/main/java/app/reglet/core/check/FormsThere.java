package app.reglet.core.check;

import java.util.List;

/** Whether the family has what words ask of it: small capitals, italics, a bolder face. */
public final class FormsThere implements Check {
  @Override
  public List<Finding> find(Subject s) {
    return s.words()
        .flatMap(
            w ->
                w.lacks().stream()
                    .sorted()
                    .map(
                        lack ->
                            Finding.ofPiece(
                                new OfWords.FormsLacking(w.name(), w.face().name(), lack),
                                Finding.Severity.LOOK,
                                w,
                                w.extent())))
        .toList();
  }
}
