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
                    "glyph-missing",
                    Finding.Severity.MEND,
                    w,
                    w.extent(),
                    "“"
                        + w.name()
                        + "” has "
                        + w.missing()
                        + ", which "
                        + w.face()
                        + " can't print: choose another typeface or other words.",
                    "no glyph for " + w.missing(),
                    "a glyph for every character"))
        .toList();
  }
}
