package app.reglet.core.check;

import java.util.List;

/** Whether the typeface has a glyph for every character. */
public final class WordsHaveGlyphs implements Check {
  @Override
  public List<Finding> find(Subject s) {
    return s.laid().stream()
        .filter(Laid.Words.class::isInstance)
        .map(Laid.Words.class::cast)
        .filter(w -> !w.missing().isEmpty())
        .map(
            w ->
                Finding.ofPiece(
                    new OfWords.GlyphMissing(w.name(), w.missing(), w.face().name()),
                    Finding.Severity.MEND,
                    w,
                    w.extent(),
                    w.instead().map(f -> new Remedy.SetIn(w.piece(), f)).stream()
                        .toArray(Remedy[]::new)))
        .toList();
  }
}
