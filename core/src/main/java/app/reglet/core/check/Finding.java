package app.reglet.core.check;

import app.reglet.core.act.Act;
import app.reglet.core.house.FindingRules;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Unit;
import java.util.List;
import java.util.Optional;

/**
 * Something about a cover that a person should know.
 *
 * @param found what it is, with its figures
 * @param severity whether it must be mended
 * @param place where on the sheet, if it is on the sheet
 * @param piece the piece concerned, if one is
 * @param remedies what would mend it, best first
 */
public record Finding(
    Found found,
    Severity severity,
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

  /** Stable name of what was found, {@code words-outside-safe}. */
  public String code() {
    return found.code();
  }

  /** The same as a house takes it, which may stop what others only advise, and the other way. */
  Finding at(FindingRules house) {
    Severity there =
        house.stops().contains(code())
            ? Severity.MEND
            : house.advises().contains(code()) ? Severity.LOOK : severity;
    return there == severity ? this : new Finding(found, there, place, piece, remedies);
  }

  /** Findings as a house takes them. */
  public static List<Finding> at(FindingRules house, List<Finding> all) {
    return all.stream().map(f -> f.at(house)).toList();
  }

  /** What a person does about it. */
  public Act act() {
    return Act.of(code());
  }

  /** What mends it without anything that a person would have to judge. */
  public Optional<Remedy.OfDesign> safeRemedy() {
    return remedies.stream()
        .filter(Remedy.OfDesign.class::isInstance)
        .map(Remedy.OfDesign.class::cast)
        .filter(Remedy.OfDesign::isSafe)
        .findFirst();
  }

  public boolean mustMend() {
    return severity == Severity.MEND;
  }

  /** What is wrong, its figures in a unit. */
  public String sentence(Unit unit) {
    return FindingText.of(found, unit);
  }

  static Finding ofEdition(Found found, List<Remedy> remedies) {
    return new Finding(found, Severity.MEND, Optional.empty(), Optional.empty(), remedies);
  }

  static Finding ofPiece(Found found, Severity severity, Laid laid, Box place, Remedy... remedies) {
    return new Finding(
        found, severity, Optional.of(place), Optional.of(laid.piece()), List.of(remedies));
  }
}
