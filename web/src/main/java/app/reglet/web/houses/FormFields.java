package app.reglet.web.houses;

import app.reglet.web.houses.SheetForm.Field;
import app.reglet.web.houses.SheetForm.Item;
import app.reglet.web.houses.SheetForm.Kind;
import app.reglet.web.houses.SheetForm.Option;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;

/** Makes fields of a form from what stands in a rule sheet's document. */
class FormFields {
  final JsonNode root;
  final boolean shop;
  private final boolean inches;

  FormFields(JsonNode root) {
    this.root = root;
    String unit = text(root.get("unit"));
    this.shop = unit.equals("px");
    this.inches = unit.equals("in");
  }

  List<Option> named(String list) {
    return items(list).stream()
        .map(p -> option(text(at(p + ".id")), text(at(p + ".name"))))
        .filter(o -> !o.value().isEmpty())
        .toList();
  }

  List<Item> rows(String list, Function<String, List<Field>> fields) {
    return items(list).stream().map(p -> new Item(p, fields.apply(p))).toList();
  }

  void rounding(String p, String label, List<Field> fields) {
    fields.add(figure(p + ".step", label, "0.0625 in", "0.5 mm"));
    fields.add(
        select(
            p + ".mode",
            "Which way",
            option("nearest", "to the nearest"),
            option("up", "up"),
            option("down", "down")));
  }

  /** Tick boxes for a list, where there is a choice or something is ticked. */
  void chosenFrom(String list, String path, String label, List<Field> fields) {
    Field field = choices(path, label, named(list));
    boolean ticked = field.options().stream().anyMatch(Option::chosen);
    if (field.options().size() > 1 || ticked) {
      fields.add(field);
    }
  }

  /** The paths of a list's items. */
  List<String> items(String list) {
    JsonNode found = at(list);
    List<String> paths = new ArrayList<>();
    for (int i = 0; found != null && found.isArray() && i < found.size(); i++) {
      paths.add(list + "[" + i + "]");
    }
    return paths;
  }

  JsonNode at(String path) {
    return SheetPath.parse(path).in(root);
  }

  static String text(JsonNode node) {
    return node == null || node.isContainer() || node.isNull() ? "" : node.asString();
  }

  Field text(String path, String label, String hint) {
    return new Field(path, label, Kind.TEXT, text(at(path)), List.of(), hint);
  }

  Field figure(String path, String label, String hintInches, String hintMetric) {
    return new Field(
        path,
        label,
        Kind.FIGURE,
        text(at(path)),
        List.of(),
        shop || hintInches.isEmpty() ? "" : "e.g. " + (inches ? hintInches : hintMetric));
  }

  Field lines(String path, String label) {
    JsonNode found = at(path);
    String value =
        found != null && found.isArray()
            ? String.join("\n", found.values().stream().map(FormFields::text).toList())
            : text(found);
    return new Field(path, label, Kind.LINES, value, List.of(), "");
  }

  Field check(String path, String label) {
    JsonNode found = at(path);
    boolean on = found != null && (found.isObject() || found.asBoolean(false));
    return new Field(path, label, Kind.CHECK, on ? "on" : "", List.of(), "");
  }

  static Option option(String value, String label) {
    return new Option(value, label, false);
  }

  Field select(String path, String label, Option... options) {
    String value = text(at(path));
    List<Option> all = new ArrayList<>();
    boolean known = value.isEmpty();
    for (Option o : options) {
      known |= o.value().equals(value);
      all.add(new Option(o.value(), o.label(), o.value().equals(value)));
    }
    if (!known) {
      all.add(new Option(value, value + " (unknown)", true));
    }
    return new Field(path, label, Kind.SELECT, value, all, "");
  }

  Field choices(String path, String label, List<Option> options) {
    JsonNode found = at(path);
    List<String> chosen =
        found != null && found.isArray()
            ? found.values().stream().map(FormFields::text).toList()
            : List.of();
    List<Option> all = new ArrayList<>();
    for (Option o : options) {
      all.add(new Option(o.value(), o.label(), chosen.contains(o.value())));
    }
    for (String c : chosen) {
      if (options.stream().noneMatch(o -> o.value().equals(c))) {
        all.add(new Option(c, c + " (not listed)", true));
      }
    }
    return new Field(path, label, Kind.CHECKS, "", all, "");
  }
}
