package app.reglet.web.houses;

import app.reglet.core.Refusal;
import app.reglet.core.house.grammar.Grammar;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A place in a rule sheet's document, written as the reader's messages write it: {@code
 * bindings[1].spine[0].perPage}.
 */
record RuleSheetPath(List<Object> steps) {
  private static final Pattern STEP = Pattern.compile("([A-Za-z0-9-]+)|\\[(\\d{1,4})]");

  /**
   * Reads a path.
   *
   * @throws Refusal when it is none
   */
  static RuleSheetPath parse(String text) {
    List<Object> steps = new ArrayList<>();
    Matcher m = STEP.matcher(text);
    int at = 0;
    while (at < text.length()) {
      if (text.charAt(at) == '.' && at > 0) {
        at++;
      }
      if (!m.find(at) || m.start() != at || steps.size() > 8) {
        throw new Refusal("“" + text + "” is no place in a rule sheet.");
      }
      steps.add(m.group(1) != null ? m.group(1) : Integer.parseInt(m.group(2)));
      at = m.end();
    }
    if (steps.isEmpty()) {
      throw new Refusal("A place in a rule sheet is missing.");
    }
    return new RuleSheetPath(steps);
  }

  /** The path without the numbers of list items: {@code bindings.spine.perPage}. */
  String kind() {
    StringBuilder out = new StringBuilder();
    for (Object step : steps) {
      if (step instanceof String name) {
        out.append(out.isEmpty() ? "" : ".").append(name);
      }
    }
    return out.toString();
  }

  Object last() {
    return steps.get(steps.size() - 1);
  }

  /** What stands there, null when nothing does. */
  JsonNode in(JsonNode root) {
    JsonNode at = root;
    for (Object step : steps) {
      if (at == null) {
        return null;
      }
      at = step instanceof Integer i ? at.get(i) : at.get((String) step);
    }
    return at;
  }

  /** The object or list that holds this place, made where it is missing. */
  JsonNode holder(ObjectNode root) {
    JsonNode at = root;
    for (int i = 0; i < steps.size() - 1; i++) {
      boolean list = steps.get(i + 1) instanceof Integer;
      JsonNode next = steps.get(i) instanceof Integer n ? at.get(n) : at.get((String) steps.get(i));
      if (next == null || !(list ? next.isArray() : next.isObject())) {
        next = list ? root.arrayNode() : root.objectNode();
        put(at, steps.get(i), next, root);
      }
      at = next;
    }
    return at;
  }

  /** Puts something there; null takes away what stands there. */
  void set(ObjectNode root, JsonNode value) {
    if (value == null) {
      if (in(root) != null) {
        remove(root);
      }
      return;
    }
    put(holder(root), last(), value, root);
  }

  void remove(ObjectNode root) {
    JsonNode holder = holder(root);
    if (holder instanceof ObjectNode object && last() instanceof String name) {
      object.remove(name);
    } else if (holder instanceof ArrayNode array && last() instanceof Integer i) {
      array.remove(i);
    }
  }

  private static void put(JsonNode holder, Object step, JsonNode value, ObjectNode root) {
    if (holder instanceof ArrayNode array && step instanceof Integer i) {
      if (i >= Grammar.MOST_ITEMS) {
        throw new Refusal(
            "A list in a rule sheet has at most " + Grammar.MOST_ITEMS + " items here.");
      }
      while (array.size() <= i) {
        array.add(root.objectNode());
      }
      array.set(i, value);
    } else if (holder instanceof ObjectNode object && step instanceof String name) {
      object.set(name, value);
    }
  }
}
