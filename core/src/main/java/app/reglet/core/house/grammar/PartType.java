package app.reglet.core.house.grammar;

import java.util.List;
import java.util.Optional;

/**
 * A kind of object in a rule sheet: its fields in the order in which a form asks for them.
 *
 * @param name what it is called in the schema
 * @param variantBy the field whose value says which of its fields it may have, empty for none
 * @param anyOf at least one of these must be there, empty for no such rule
 * @param oneOf just one of these must be there, among the variants that may have them
 */
public record PartType(
    String name, String variantBy, List<Field> fields, List<String> anyOf, List<String> oneOf) {
  public PartType {
    fields = List.copyOf(fields);
    anyOf = List.copyOf(anyOf);
    oneOf = List.copyOf(oneOf);
  }

  static PartType of(String name, Field... fields) {
    return new PartType(name, "", List.of(fields), List.of(), List.of());
  }

  PartType by(String field) {
    return new PartType(name, field, fields, anyOf, oneOf);
  }

  PartType anyOf(String... names) {
    return new PartType(name, variantBy, fields, List.of(names), oneOf);
  }

  PartType oneOf(String... names) {
    return new PartType(name, variantBy, fields, anyOf, List.of(names));
  }

  /** A field by its name. */
  public Optional<Field> field(String wanted) {
    return fields.stream().filter(f -> f.name().equals(wanted)).findFirst();
  }
}
