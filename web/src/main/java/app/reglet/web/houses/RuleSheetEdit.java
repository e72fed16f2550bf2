package app.reglet.web.houses;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.house.grammar.Field;
import app.reglet.core.house.grammar.Grammar;
import app.reglet.core.house.grammar.Kind;
import app.reglet.core.house.grammar.PartType;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Changes a rule sheet's document as its form was filled in. What can't be read is kept as typed,
 * so that the reader refuses it by name and nothing is lost.
 */
final class RuleSheetEdit {
  private static final Kind ANY_TEXT = new Kind.Text("", "");

  private final ObjectNode root;

  RuleSheetEdit(ObjectNode root) {
    this.root = root;
  }

  /**
   * Takes the form's fields over. A field whose name has an underscore before it only says that a
   * tick box stood there.
   */
  void take(Map<String, String[]> form) {
    for (Map.Entry<String, String[]> field : form.entrySet()) {
      String name = field.getKey();
      if (isPlace(name)) {
        take(RuleSheetPath.parse(name), field.getValue());
      } else if (name.startsWith("_")
          && isPlace(name.substring(1))
          && !form.containsKey(name.substring(1))) {
        untick(RuleSheetPath.parse(name.substring(1)));
      }
    }
    for (JsonNode binding : items(root.get("bindings"))) {
      if (binding.at("/cost/perPage") instanceof ObjectNode prices) {
        // a name that can be no ink's has no field to mend it in
        new ArrayList<>(prices.propertyNames())
            .stream().filter(n -> !isId(n)).forEach(prices::remove);
      }
      for (JsonNode rule : items(binding.get("spine"))) {
        keepOfKind((ObjectNode) rule);
      }
    }
    prune(root, "");
  }

  /** Whether a text may be a short name: small letters, digits and hyphens. */
  static boolean isId(String text) {
    return text.matches("[a-z0-9][a-z0-9-]{0,59}");
  }

  private static boolean isPlace(String name) {
    return name.matches("(id|name|about|unit|stocks|inks|bindings|files|examples)([.\\[].*)?");
  }

  private void take(RuleSheetPath path, String[] values) {
    Kind kind = Grammar.at(path.kind()).map(Field::kind).orElse(ANY_TEXT);
    path.set(root, kind.accept(new TypedField(root, path, values)));
  }

  private void untick(RuleSheetPath path) {
    path.set(root, null);
  }

  private static List<JsonNode> items(JsonNode list) {
    return list == null || !list.isArray()
        ? List.of()
        : list.values().stream().filter(JsonNode::isObject).toList();
  }

  private static void keepOfKind(ObjectNode rule) {
    PartType type = Grammar.type("bindings.spine");
    String kind = rule.get("kind") == null ? "" : rule.get("kind").asString("");
    if (!(type.field("kind").orElseThrow().kind() instanceof Kind.Choice choice)
        || !choice.values().contains(kind)) {
      return;
    }
    for (String name : new ArrayList<>(rule.propertyNames())) {
      if (type.field(name).filter(f -> f.fits(kind)).isEmpty()) {
        rule.remove(name);
      }
    }
  }

  /**
   * Takes objects away in which nothing is left; items of lists stay, they are rows of the form.
   */
  private static void prune(JsonNode node, String kind) {
    if (node instanceof ObjectNode object) {
      for (String name : new ArrayList<>(object.propertyNames())) {
        String path = kind.isEmpty() ? name : kind + "." + name;
        JsonNode child = object.get(name);
        if (name.toLowerCase(java.util.Locale.ROOT).endsWith("rounding")
            && child.get("step") == null) {
          object.remove(name); // a direction alone rounds nothing
          continue;
        }
        prune(child, path);
        if (child.isObject() && child.isEmpty() && !says(path)) {
          object.remove(name);
        }
      }
    } else if (node instanceof ArrayNode array) {
      array.forEach(item -> prune(item, kind));
    }
  }

  /** Whether an object says something by being there at all. */
  private static boolean says(String path) {
    return Grammar.at(path).map(Field::kind).orElse(ANY_TEXT) instanceof Kind.One one && one.says();
  }

  /**
   * Does what a button of the form says: {@code add PATH}, {@code drop PATH}, {@code up PATH},
   * {@code paste PATH ROW COLUMN}.
   *
   * @param form the whole form, for what goes with the button
   * @throws Refusal when it can't be done
   */
  void act(String what, Map<String, String[]> form) {
    String[] words = what.split(" ");
    switch (words[0]) {
      case "add" -> add(words[1], form);
      case "drop" -> RuleSheetPath.parse(words[1]).remove(root);
      case "up" -> up(RuleSheetPath.parse(words[1]));
      case "paste" -> {
        String[] pasted = form.getOrDefault("pasted", new String[] {""});
        paste(
            RuleSheetPath.parse(words[1]),
            Integer.parseInt(words[2]),
            Integer.parseInt(words[3]),
            pasted[0]);
      }
      default -> {
        // "shape": the fields were taken over and the form is drawn anew
      }
    }
  }

  private void add(String where, Map<String, String[]> form) {
    RuleSheetPath path = RuleSheetPath.parse(where);
    JsonNode there = path.in(root);
    ArrayNode list;
    if (there instanceof ArrayNode found) {
      list = found;
    } else {
      list = root.arrayNode();
      path.set(root, list);
    }
    if (list.size() >= 500) {
      throw new Refusal("There are 500 already, which is more than any house needs.");
    }
    ObjectNode item = root.objectNode();
    if (path.kind().equals("bindings")) {
      String wanted = form.getOrDefault("newBinding", new String[] {""})[0];
      Binding binding = Binding.byId(wanted);
      if (binding == null) {
        throw new Refusal("Choose which binding to add.");
      }
      item.put("binding", wanted);
      ObjectNode rule = item.putArray("spine").addObject();
      rule.put("kind", binding.hasSpine() ? "caliper-per-page" : "none");
      if (binding.hasPages()) {
        item.putArray("pages").addObject();
      }
    } else if (path.kind().equals("bindings.spine")) {
      item.put("kind", "caliper-per-page");
    } else if (path.kind().equals("examples")) {
      List<JsonNode> bindings = items(root.get("bindings"));
      if (!bindings.isEmpty() && bindings.get(0).get("binding") != null) {
        item.set("binding", bindings.get(0).get("binding"));
      }
    }
    list.add(item);
  }

  private void up(RuleSheetPath path) {
    if (path.last() instanceof Integer i
        && i > 0
        && path.holder(root) instanceof ArrayNode list
        && i < list.size()) {
      JsonNode moved = list.remove(i);
      list.insert(i - 1, moved);
    }
  }

  /**
   * A range of cells from a spreadsheet, put into a step table from a cell on: rows by line, cells
   * by tab (or semicolon). A first cell such as {@code 76–100} fills from and to.
   */
  private void paste(RuleSheetPath rule, int row, int column, String text) {
    if (text.length() > 100_000) {
      throw new Refusal("That is more than a step table can hold: paste the range of rows only.");
    }
    String[] names = {"from", "to", "width"};
    List<String> lines = text.lines().filter(l -> !l.isBlank()).toList();
    for (int r = 0; r < lines.size(); r++) {
      List<String> cells = new ArrayList<>();
      String separator = lines.get(r).contains("\t") ? "\t" : ";";
      for (String cell : lines.get(r).split(separator, -1)) {
        String[] range = cell.strip().split("\\s*[–—-]\\s*");
        boolean isRange =
            range.length == 2 && range[0].matches("\\d{1,5}") && range[1].matches("\\d{1,5}");
        cells.addAll(isRange ? List.of(range) : List.of(cell.strip()));
      }
      for (int c = 0; c < cells.size() && column + c < names.length; c++) {
        List<Object> steps = new ArrayList<>(rule.steps());
        steps.addAll(List.of("rows", row + r, names[column + c]));
        take(new RuleSheetPath(steps), new String[] {cells.get(c)});
      }
    }
  }
}
