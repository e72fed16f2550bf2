package app.reglet.core.check;

import java.util.List;

/**
 * Whether the typeface is here and its family has what words ask of it: small capitals, italics, a
 * bolder face.
 */
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
                                lack == Laid.Lack.TYPEFACE
                                    ? Finding.Severity.MEND
                                    : Finding.Severity.LOOK,
                                w,
                                w.extent())))
        .toList();
  }
}
