package app.reglet.core.check;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Whether placed pages bring the fonts they are set in: a press that lacks one sets another in its
 * place (ISO 15930-4, 6.3 wants every font in the file). What is missing in one file is told once,
 * of however many parts of it are laid.
 */
public final class PageBringsFonts implements Check {
  @Override
  public List<Finding> find(Subject s) {
    Set<String> told = new HashSet<>();
    return s.laid().stream()
        .filter(Laid.Page.class::isInstance)
        .map(Laid.Page.class::cast)
        .filter(p -> !p.missing().isEmpty() && told.add(p.sha() + p.missing()))
        .map(
            p ->
                Finding.ofPiece(
                    new Found.FontsMissing(p.name(), p.missing()),
                    Finding.Severity.MEND,
                    p,
                    p.extent()))
        .toList();
  }
}
