package app.reglet.core.check;

import java.util.List;
import java.util.stream.Stream;

/** Whether the facts that words name in braces are facts, and stated; braces may be meant. */
public final class FactsStated implements Check {
  @Override
  public List<Finding> find(Subject s) {
    return s.laid().stream()
        .filter(Laid.Words.class::isInstance)
        .map(Laid.Words.class::cast)
        .flatMap(
            w ->
                Stream.concat(
                    w.unknown().stream()
                        .limit(1)
                        .map(
                            u ->
                                Finding.ofPiece(
                                    new OfWords.FactUnknown(w.name(), u),
                                    Finding.Severity.LOOK,
                                    w,
                                    w.extent())),
                    w.empty().stream()
                        .limit(1)
                        .map(
                            e ->
                                Finding.ofPiece(
                                    new OfWords.FactEmpty(w.name(), e),
                                    Finding.Severity.LOOK,
                                    w,
                                    w.extent()))))
        .toList();
  }
}
