package app.reglet.core.design.document;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;

/**
 * An object of a design's document, read field by field. What is missing, of the wrong kind or
 * unknown is refused: it would be lost at the next change.
 */
final class Fields {
  private final JsonNode node;
  private final String where;
  private final Set<String> read = new HashSet<>();

  private Fields(JsonNode node, String where) {
    if (!node.isObject()) {
      throw new Refusal(where + " is no object.");
    }
    this.node = node;
    this.where = where;
  }

  /** Reads an object with a reader that must know all its fields. */
  static <T> T of(JsonNode node, String where, Function<Fields, T> reader) {
    Fields fields = new Fields(node, where);
    T value = reader.apply(fields);
    for (String name : node.propertyNames()) {
      if (!fields.read.contains(name)) {
        throw new Refusal(where + " has a field “" + name + "” that is not known here.");
      }
    }
    return value;
  }

  private Refusal refuse(String name, String reason) {
    return new Refusal(where + ": “" + name + "” " + reason + ".");
  }

  private Optional<JsonNode> find(String name) {
    read.add(name);
    JsonNode found = node.get(name);
    return found == null || found.isNull() ? Optional.empty() : Optional.of(found);
  }

  private JsonNode need(String name) {
    return find(name).orElseThrow(() -> refuse(name, "is missing"));
  }

  boolean has(String name) {
    return find(name).isPresent();
  }

  String text(String name) {
    JsonNode found = need(name);
    if (!found.isString()) {
      throw refuse(name, "is no text");
    }
    return found.stringValue();
  }

  String text(String name, String otherwise) {
    return has(name) ? text(name) : otherwise;
  }

  boolean flag(String name) {
    Optional<JsonNode> found = find(name);
    if (found.isPresent() && !found.get().isBoolean()) {
      throw refuse(name, "is neither true nor false");
    }
    return found.map(JsonNode::booleanValue).orElse(false);
  }

  double number(String name) {
    JsonNode found = need(name);
    if (!found.isNumber()) {
      throw refuse(name, "is no number");
    }
    return found.doubleValue();
  }

  double number(String name, double otherwise) {
    return has(name) ? number(name) : otherwise;
  }

  int whole(String name, int otherwise) {
    Optional<JsonNode> found = find(name);
    if (found.isPresent() && !found.get().canConvertToInt()) {
      throw refuse(name, "is no whole number");
    }
    return found.map(JsonNode::intValue).orElse(otherwise);
  }

  Length length(String name) {
    return Length.parse(text(name), Unit.MM);
  }

  Length length(String name, Length otherwise) {
    return has(name) ? length(name) : otherwise;
  }

  Colour colour(String name) {
    return Colour.parse(text(name));
  }

  /** A choice by its name, in any case. */
  <E extends Enum<E>> E choice(String name, Class<E> kind) {
    String wanted = text(name);
    for (E e : kind.getEnumConstants()) {
      if (e.name().equalsIgnoreCase(wanted)) {
        return e;
      }
    }
    throw refuse(name, "is “" + wanted + "”, none of the choices here");
  }

  <E extends Enum<E>> E choice(String name, E otherwise) {
    return has(name) ? choice(name, otherwise.getDeclaringClass()) : otherwise;
  }

  /** An object in this one. */
  <T> T part(String name, Function<Fields, T> reader) {
    return of(need(name), where + ", " + name, reader);
  }

  <T> Optional<T> partIfAny(String name, Function<Fields, T> reader) {
    return has(name) ? Optional.of(part(name, reader)) : Optional.empty();
  }

  /** The objects of a list; an absent list is empty. */
  <T> List<T> parts(String name, Function<Fields, T> reader) {
    Optional<JsonNode> found = find(name);
    if (found.isEmpty()) {
      return List.of();
    }
    if (!found.get().isArray()) {
      throw refuse(name, "is no list");
    }
    List<T> all = new ArrayList<>();
    for (JsonNode item : found.get()) {
      all.add(
          of(item, String.format(Locale.ROOT, "%s, %s %d", where, name, all.size() + 1), reader));
    }
    return all;
  }

  /** The texts of a list; an absent list is empty. */
  List<String> texts(String name) {
    List<String> all = new ArrayList<>();
    find(name)
        .ifPresent(
            list -> {
              for (JsonNode item : list) {
                all.add(item.asString());
              }
            });
    return all;
  }

  /** Each field's name with its text, for objects whose names are free. */
  <T> void eachText(java.util.function.BiConsumer<String, String> use) {
    for (String name : node.propertyNames()) {
      use.accept(name, text(name));
    }
  }
}
