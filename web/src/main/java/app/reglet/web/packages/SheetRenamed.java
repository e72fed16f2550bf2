package app.reglet.web.packages;

import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A rule sheet's document under another id: there is one here that says something else. */
final class SheetRenamed {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private SheetRenamed() {}

  static String as(String document, String id) {
    ObjectNode sheet = (ObjectNode) JSON.readTree(document);
    sheet.put("id", id);
    return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(sheet);
  }
}
