package app.reglet.core.house.grammar;

import java.util.Set;

/**
 * A field of a rule sheet: what it is called, what it holds, and what is said of it. The reader
 * takes its limits from here, the form its label and hints, the schema both.
 *
 * @param name in the document
 * @param kind what it holds, with its limits
 * @param required whether it must be there
 * @param label in a form; empty when its part's label stands for it or no form shows it
 * @param hint what usually stands there, in a sheet in inches
 * @param metricHint the same in a sheet in millimetres
 * @param help what it says, for the schema; empty when the label does
 * @param section the heading it stands under in a form, empty for none of its own
 * @param of the variants of its part that may have it, empty for all
 * @param asked the variants whose form asks for it, empty for all that may have it
 * @param otherwise what is taken when it is absent, as the document would write it; empty when the
 *     absence says something itself
 */
public record Field(
    String name,
    Kind kind,
    boolean required,
    String label,
    String hint,
    String metricHint,
    String help,
    String section,
    Set<String> of,
    Set<String> asked,
    String otherwise) {
  public Field {
    of = Set.copyOf(of);
    asked = Set.copyOf(asked);
  }

  static Field need(String name, Kind kind) {
    return new Field(name, kind, true, "", "", "", "", "", Set.of(), Set.of(), "");
  }

  static Field may(String name, Kind kind) {
    return new Field(name, kind, false, "", "", "", "", "", Set.of(), Set.of(), "");
  }

  Field label(String text) {
    return new Field(
        name, kind, required, text, hint, metricHint, help, section, of, asked, otherwise);
  }

  Field hint(String inches, String metric) {
    return new Field(
        name, kind, required, label, inches, metric, help, section, of, asked, otherwise);
  }

  Field hint(String any) {
    return hint(any, any);
  }

  Field help(String text) {
    return new Field(
        name, kind, required, label, hint, metricHint, text, section, of, asked, otherwise);
  }

  Field under(String heading) {
    return new Field(
        name, kind, required, label, hint, metricHint, help, heading, of, asked, otherwise);
  }

  Field of(Set<String> variants) {
    return new Field(
        name, kind, required, label, hint, metricHint, help, section, variants, asked, otherwise);
  }

  Field asked(Set<String> variants) {
    return new Field(
        name, kind, required, label, hint, metricHint, help, section, of, variants, otherwise);
  }

  Field otherwise(String value) {
    return new Field(
        name, kind, required, label, hint, metricHint, help, section, of, asked, value);
  }

  /** Whether a variant of its part may have it; a variant that isn't known may have any. */
  public boolean fits(String variant) {
    return of.isEmpty() || variant.isEmpty() || of.contains(variant);
  }

  /** Whether the form of a variant asks for it. */
  public boolean isAsked(String variant) {
    return fits(variant) && (asked.isEmpty() || asked.contains(variant));
  }
}
