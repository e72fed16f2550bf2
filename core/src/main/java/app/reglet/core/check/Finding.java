package app.reglet.core.check;

import app.reglet.core.measure.Box;
import java.util.List;
import java.util.Optional;

/**
 * Something about a cover that a person should know.
 *
 * @param code stable name of the check, {@code words-outside-safe}
 * @param severity whether it must be mended
 * @param sentence what is wrong
 * @param measured the figure found
 * @param required the figure wanted
 * @param place where on the sheet, if it is on the sheet
 * @param piece the piece concerned, if one is
 * @param remedies what would mend it, best first
 */
public record Finding(
    String code,
    Severity severity,
    String sentence,
    String measured,
    String required,
    Optional<Box> place,
    Optional<String> piece,
    List<Remedy> remedies) {
  /** How much it matters. */
  public enum Severity {
    /** The house would refuse it, or it would print wrong. */
    MEND,
    /** It may be meant; worth a look. */
    LOOK
  }

  public Finding {
    remedies = List.copyOf(remedies);
  }

  public boolean mustMend() {
    return severity == Severity.MEND;
  }

  static Finding ofEdition(
      String code, String sentence, String measured, String required, List<Remedy> remedies) {
    return new Finding(
        code,
        Severity.MEND,
        sentence,
        measured,
        required,
        Optional.empty(),
        Optional.empty(),
        remedies);
  }

  static Finding ofPiece(
      String code,
      Severity severity,
      Laid laid,
      Box place,
      String sentence,
      String measured,
      String required,
      Remedy... remedies) {
    return new Finding(
        code,
        severity,
        sentence,
        measured,
        required,
        Optional.of(place),
        Optional.of(laid.piece()),
        List.of(remedies));
  }
}
